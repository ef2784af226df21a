<?php

declare(strict_types=1);

namespace App\Records;

use App\Models\SewingClass;
use App\Models\Student;
use App\Support\CurrentStudio;
use App\Support\NearMemory;
use DateTimeImmutable;
use OpenSeam\Core\Course\LessonRoom;
use OpenSeam\Core\NextLesson\Advice;
use OpenSeam\Core\NextLesson\Ladder;
use OpenSeam\Core\NextLesson\PastSample;
use OpenSeam\Core\Words;

/** Asks the core's ladder for a class: its course, policy and school. */
final class Adviser
{
    /** What time alone changes is told that much later at most. */
    public const SECONDS = 600;

    /** @var array{list<mixed>, Ladder}|null made last, and of what: a class asks for each of its students */
    private ?array $made = null;

    public function __construct(private readonly Shelf $shelf, private readonly Standings $standings, private readonly CurrentStudio $studio, private readonly NearMemory $memory) {}

    /**
     * @param  list<PastSample>  $samples
     * @param  list<string>  $wishes
     * @param  Student|null  $atHome  whose machine at home counts for what is sewn there
     */
    public function advise(SewingClass $class, array $samples, array $wishes, DateTimeImmutable $now, Words $words, ?Student $atHome = null): Advice
    {
        $home = $atHome?->atHome();

        return $this->ladder($class, $words)->advise(
            $samples, $now, $wishes, ownMachine: $atHome->own_machine ?? false, atHome: $home === null ? null : LessonRoom::sewnIn($home->room(), $this->shelf->taught($class)->lessons->all()),
        );
    }

    /**
     * The same for samples as they lie, remembered for some minutes with all that it was worked out from.
     *
     * @param  list<KeptSample>  $samples
     */
    public function adviseOn(SewingClass $class, array $samples, Student $student, DateTimeImmutable $now, Words $words): Advice
    {
        $work = fn (): Advice => $this->advise($class, array_map(fn (KeptSample $k): PastSample => $k->past(), $samples), $student->wishes, $now, $words, $student);
        $key = $this->key('advice', $class, $samples, $now, [$student->wishes, $student->own_machine, $student->home]);

        return $key === null ? $work() : $this->memory->remember($key, self::SECONDS, fn (): WrittenAdvice => WrittenAdvice::of($work()))->read(fn (): array => $this->shelf->options($class));
    }

    /**
     * What stands for all that the ladder's word hangs on: what each sample showed, how the class is taught, this studio's
     * numbers, and the time to some minutes.
     *
     * @param  list<KeptSample>  $samples
     * @param  list<mixed>  $besides
     * @return string|null null: nothing is remembered
     */
    public function key(string $what, SewingClass $class, array $samples, DateTimeImmutable $now, array $besides): ?string
    {
        $keys = array_map(fn (KeptSample $k): ?string => $k->key, $samples);
        if ($keys === [] || in_array(null, $keys, true)) {
            return null;
        }

        return $what.'/'.hash('xxh128', serialize([$keys, $class->course, $class->policy, $class->school, $class->lesson_schools, $this->studio->tracing(), intdiv($now->getTimestamp(), self::SECONDS), $besides]));
    }

    public function ladder(SewingClass $class, Words $words): Ladder
    {
        $of = [$this->shelf->bundle()->skills, $this->shelf->options($class), $this->shelf->order($class->course), $words, $class->policy, $class->school, $this->standings->table()];
        if ($this->made === null || $this->made[0] !== $of) {
            $this->made = [$of, new Ladder(...$of)];
        }

        return $this->made[1];
    }
}
