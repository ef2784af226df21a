<?php

declare(strict_types=1);

namespace App\Places\Materials;

use App\Models\ButtonholeJob;
use App\Models\PlanSession;
use App\Models\SewingClass;
use App\Records\ClassShop;
use App\Records\CountRepeats;
use App\Records\Shelf;
use App\Support\Clock;
use OpenSeam\Core\Course\Lesson;
use OpenSeam\Core\Data;
use OpenSeam\Core\InputError;
use OpenSeam\Core\Machine\Machine;
use OpenSeam\Core\Material\Bought;
use OpenSeam\Core\Material\ButtonStock;
use OpenSeam\Core\Material\ClassMaterials;
use OpenSeam\Core\Material\Shortage;
use OpenSeam\Core\Words;

/** What a class, or one of its sessions, needs to buy and cut. */
final readonly class CountMaterials
{
    public function __construct(private Shelf $shelf, private CountRepeats $repeats) {}

    /**
     * @param  int|null  $session  number from 1; null: the whole course
     * @param  float|null  $samplesEach  samples a student sews of a lesson; null: as the skill model expects
     *
     * @throws InputError when there is no such session
     */
    public function __invoke(ClassShop $shop, ?int $session = null, ?float $samplesEach = null): ClassMaterials
    {
        $found = $session === null ? null : ($shop->sessions[$session - 1] ?? throw InputError::at('session', $session, sprintf('The plan has sessions 1 to %d.', count($shop->sessions))));

        return $this->count($shop, $found === null ? $this->shelf->order($shop->class->course) : $found->lessonIds(), $samplesEach ?? $this->expected($shop->class), $session === null ? $this->buttons($shop->class) : []);
    }

    /**
     * When something runs short, counted over the sessions that are still to come.
     *
     * @param  array<array-key, float>  $have  by item
     * @return array<array-key, PlanSession> the session by item; what lasts is left out
     */
    public function short(ClassShop $shop, array $have, ?float $samplesEach = null): array
    {
        $each = $samplesEach ?? $this->expected($shop->class);
        $now = Clock::now();
        $coming = array_values(array_filter($shop->sessions, fn (PlanSession $s): bool => $s->endsAt() > $now));
        $count = fn (int $from, int $to): ClassMaterials => $this->count($shop, array_merge([], ...array_map(fn (PlanSession $s): array => $s->lessonIds(), array_slice($coming, $from, $to - $from))), $each);

        return array_map(fn (int $i): PlanSession => $coming[$i], Shortage::first(count($coming), $count, $have));
    }

    /**
     * By the model that the forecast and the plan go by: each lesson of the course begun with what those before it taught.
     *
     * @return array<string, float> samples a student is expected to sew of each lesson
     */
    private function expected(SewingClass $class): array
    {
        return $this->repeats->expected($class, $this->shelf->order($class->course));
    }

    /**
     * @param  list<string>  $lessons
     * @param  float|array<string, float>  $samplesEach  of all, or by lesson
     * @param  list<ButtonStock>  $buttons
     */
    private function count(ClassShop $shop, array $lessons, float|array $samplesEach, array $buttons = []): ClassMaterials
    {
        $room = $shop->room->room;
        $metres = array_map(fn ($m): float => $m->bobbinMetres, array_values($room->machines));

        return ClassMaterials::of(
            array_map(fn (string $id): Lesson => $this->shelf->taught($shop->class)->lesson($id), $lessons), $shop->students, max(1, count($room->machines)),
            Bought::of($shop->studio->cloth_width_mm, $shop->studio->selvedge_mm, $shop->studio->spool_m, $metres === [] ? Machine::BOBBIN_METRES : min($metres)), $samplesEach, $buttons, Words::in($this->shelf->unit()),
        );
    }

    /** @return list<ButtonStock> of the class’s buttonhole jobs; two of the same button are one line */
    private function buttons(SewingClass $class): array
    {
        $stocks = [];
        foreach (ButtonholeJob::query()->where('class_id', $class->id)->orderBy('begun_at')->get() as $job) {
            $typed = Data::of($job->job);
            $name = (string) preg_replace('/^\d+ × /u', '', $job->title);
            $before = $stocks[$name] ?? new ButtonStock($name, 0, 0, 0, 0);
            $stocks[$name] = new ButtonStock($name, $before->buttons + $typed->whole('count', 1), $before->tests + ($typed->flag('beginner', true) ? 2 : 1), max($before->layers, $typed->whole('layers', 2)), max($before->interfacing, $typed->whole('interfacing', 2)));
        }

        return array_values($stocks);
    }
}
