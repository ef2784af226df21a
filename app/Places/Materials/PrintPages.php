<?php

declare(strict_types=1);

namespace App\Places\Materials;

use App\Models\Enrolment;
use App\Models\PlanSession;
use App\Models\SewingClass;
use App\Models\Studio;
use App\Places\Room\ShowDials;
use App\Places\Session\SeatSession;
use App\Places\Session\ShowBench;
use App\Printing\BenchCards;
use App\Printing\Certificate;
use App\Printing\Format;
use App\Printing\HandoutPages;
use App\Printing\LessonCard;
use App\Printing\MaterialPages;
use App\Printing\PaperDrivePages;
use App\Printing\PhotoCardPages;
use App\Printing\SamplerPages;
use App\Printing\SeatCards;
use App\Printing\Sheet;
use App\Printing\SlipPages;
use App\Printing\WallChart;
use App\Records\ClassShop;
use App\Records\ReadClass;
use App\Records\RoomInventory;
use App\Records\Shelf;
use App\Support\LongJob;
use App\Support\RunLink;
use App\Views\StudentViews;
use Carbon\CarbonImmutable;
use OpenSeam\Core\Course\Drill;
use OpenSeam\Core\Course\Lesson;
use OpenSeam\Core\Course\SewNeed;
use OpenSeam\Core\Course\WallCharts;
use OpenSeam\Core\InputError;
use OpenSeam\Core\Picture\MachineLook;
use OpenSeam\Core\Words;

/** Everything that can be printed, as one PDF. */
final readonly class PrintPages
{
    public const OF_LESSON = ['sampler', 'card', 'teacher', 'drills'];

    public const OF_CLASS = ['seats', 'bench', 'materials', 'handout', 'pack', 'certificates', 'slips'];

    public function __construct(private Shelf $shelf, private ShowDials $dials, private CountMaterials $count, private ShowMaterials $materials, private SeatSession $seat, private ShowBench $bench, private ReadClass $read, private StudentViews $views) {}

    /** @throws InputError for something that cannot be printed of a lesson */
    public function lesson(Lesson $lesson, string $what, Format $format, bool $leftHanded = false): string
    {
        $sheet = new Sheet($format, $lesson->title);
        match ($what) {
            'sampler' => $lesson->sampler->pieces === [] ? throw InputError::at('what', $what, "{$lesson->title} has no sampler to print; its card can be printed.") : SamplerPages::add($sheet, $lesson),
            'card' => $this->card($sheet, $leftHanded)->student($lesson, self::address($lesson)),
            'teacher' => $this->card($sheet, $leftHanded)->teacher($lesson, $this->shelf->bundle(), self::address($lesson)),
            'drills' => self::drills($sheet, $lesson),
            default => throw InputError::at('what', $what, 'It must be one of: '.implode(', ', self::OF_LESSON).'.'),
        };

        return $sheet->bytes();
    }

    /** As it is shown on the machines of this room. */
    private function card(Sheet $sheet, bool $leftHanded = false): LessonCard
    {
        $machine = RoomInventory::read()->machines->where('usable', true)->first();

        return new LessonCard($sheet, Words::in($this->shelf->unit()), $machine === null ? new MachineLook : MachineLook::of($machine->core()), $leftHanded);
    }

    /** @throws InputError when none of its drills is sewn */
    private static function drills(Sheet $sheet, Lesson $lesson): void
    {
        $sewn = array_filter($lesson->drills, fn (Drill $d): bool => $d->sampler()->pieces !== []);
        $sewn !== [] || throw InputError::at('what', 'drills', "The drills of {$lesson->title} have no rows to print; its card can be printed.");
        foreach ($sewn as $drill) {
            SamplerPages::drill($sheet, $drill);
        }
    }

    /** @param  bool  $double  of two sheets that are joined */
    public function photoCard(Format $format, bool $double, bool $leftHanded): string
    {
        $sheet = new Sheet($format, 'Photo card');
        PhotoCardPages::add($sheet, $double, $leftHanded);

        return $sheet->bytes();
    }

    public function paperDrive(Format $format, bool $leftHanded): string
    {
        $sheet = new Sheet($format, 'Paper drive');
        PaperDrivePages::add($sheet, $leftHanded);

        return $sheet->bytes();
    }

    /**
     * For the wall of this room.
     *
     * @param  bool  $tiles  as two sheets that are put together
     *
     * @throws InputError for a chart that is none
     */
    public function chart(string $chart, Format $format, bool $tiles): string
    {
        $words = Words::in($this->shelf->unit());
        $cells = (new WallCharts(RoomInventory::read()->room, $this->shelf->bundle()->faults, $words))->of($chart);
        $title = $words->say("chart.$chart");
        $sheet = new Sheet($format, $title);
        $page = new WallChart($sheet, $words, $title, $cells, $chart === 'zigzag');
        $tiles ? $page->tiles() : $page->whole();

        return $sheet->bytes();
    }

    /**
     * @throws InputError for something that cannot be printed of a class
     * @throws \App\Support\JobStopped when whoever waits has enough
     */
    public function class(SewingClass $class, string $what, Format $format, LongJob $job, ?string $lesson = null): string
    {
        $sheet = new Sheet($format, $class->name);
        $lessons = array_map(fn (string $id): Lesson => $this->shelf->taught($class)->lesson($id), $this->shelf->order($class->course));
        match ($what) {
            'seats' => $this->seats($sheet, $class, $lessons),
            'bench' => BenchCards::add($sheet, ($this->bench)(($this->seat)($class, $this->shelf->unit()))),
            'materials' => $this->shopping($sheet, $class),
            'handout' => HandoutPages::add($sheet, $class->name, array_values($class->load('plan.sessions.lessons')->plan?->sessions->all() ?? []), Studio::query()->findOrFail($class->studio_id), $this->shelf->taught($class)->lesson(...), Words::in($this->shelf->unit())),
            'certificates' => $this->certificates($sheet, $class),
            'slips' => SlipPages::add($sheet, array_values(Enrolment::seated($class->id)->all()), $class->name, Words::in($this->shelf->unit()), $lesson === null ? null : $this->shelf->taught($class)->lesson($lesson)),
            'pack' => $this->pack($sheet, $class, $lessons, $job),
            default => throw InputError::at('what', $what, 'It must be one of: '.implode(', ', self::OF_CLASS).'.'),
        };

        return $sheet->bytes();
    }

    private function certificates(Sheet $sheet, SewingClass $class): void
    {
        $reading = ($this->read)($class, $this->shelf->unit());
        $studio = Studio::query()->findOrFail($class->studio_id);
        $on = fn (?PlanSession $s): ?CarbonImmutable => $s?->beginsAt()->setTimezone($studio->timezone);
        foreach ($reading->students as $s) {
            Certificate::add($sheet, $s->enrolment->student->name, $class->name, $studio->name, $on($reading->sessions[0] ?? null), $on($reading->sessions[count($reading->sessions) - 1] ?? null), $this->views->skills($class, $s));
        }
    }

    /** @param  list<Lesson>  $lessons */
    private function pack(Sheet $sheet, SewingClass $class, array $lessons, LongJob $job): void
    {
        // The seat cards and the cutting plans are one step each.
        $steps = count($lessons) + 2;
        $card = $this->card($sheet);
        foreach ($lessons as $done => $lesson) {
            $job->step($done, $steps);
            $card->teacher($lesson, $this->shelf->bundle(), self::address($lesson));
            $card->student($lesson, self::address($lesson));
            SamplerPages::add($sheet, $lesson);
        }
        PaperDrivePages::add($sheet, false);
        PaperDrivePages::add($sheet, true);
        $job->step(count($lessons), $steps);
        $this->seats($sheet, $class, $lessons);
        $job->step(count($lessons) + 1, $steps);
        $this->shopping($sheet, $class);
        $job->step($steps, $steps);
    }

    /** @param  list<Lesson>  $lessons */
    private function seats(Sheet $sheet, SewingClass $class, array $lessons): void
    {
        $book = RoomInventory::read($class->studio_id);
        $dials = [];
        foreach ($lessons as $lesson) {
            $dials[$lesson->title] = ($this->dials)($lesson, $book);
        }
        $runs = [];
        foreach ($book->machines as $machine) {
            $machine->core()->swing->widestMm > 0 && $runs[$machine->id] = RunLink::to($machine->id);
        }
        $used = array_merge(...array_map(fn (Lesson $l): array => array_map(fn (SewNeed $n): string => $n->usualFoot(), $l->sews), $lessons));
        $feet = [];
        foreach ($book->room->feet as $foot) {
            in_array($foot->kind->id, $used, true) && $feet[$foot->kind->id] ??= $foot;
        }
        $seats = array_values(Enrolment::seated($class->id)->all());
        SeatCards::add($sheet, $seats, $dials, $runs, $feet);
        SlipPages::add($sheet, $seats, $class->name, Words::in($this->shelf->unit()));
    }

    private function shopping(Sheet $sheet, SewingClass $class): void
    {
        $shop = ClassShop::of($class);
        MaterialPages::add($sheet, $this->materials->of($shop, null, null)->lines, ($this->count)($shop)->layouts, $class->name, $shop->studio, Words::in($this->shelf->unit()));
    }

    private static function address(Lesson $lesson): string
    {
        return url("/samplers/{$lesson->id}");
    }
}
