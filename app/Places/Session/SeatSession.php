<?php

declare(strict_types=1);

namespace App\Places\Session;

use App\Models\BenchPlan;
use App\Models\SewingClass;
use App\Records\ClassAsRead;
use App\Records\ForecastClass;
use App\Records\ReadClass;
use App\Records\RoomInventory;
use App\Records\Shelf;
use Illuminate\Database\Eloquent\ModelNotFoundException;
use OpenSeam\Core\Bench\BenchProblem;
use OpenSeam\Core\Bench\BenchSolver;
use OpenSeam\Core\Bench\RoomBench;
use OpenSeam\Core\Course\Lesson;
use OpenSeam\Core\Deadline;
use OpenSeam\Core\InputError;
use OpenSeam\Core\Measure\Unit;
use OpenSeam\Core\NextLesson\Candidate;

/** Works out who sits where with what in the session in hand. Stores nothing. */
final readonly class SeatSession
{
    /** Whoever stands at the table waits no longer; then the best seating found is shown. */
    private const SECONDS = 3.0;

    public function __construct(private ReadClass $read, private Shelf $shelf, private ForecastClass $forecast) {}

    /**
     * @param  (callable(BenchPlan): mixed)|null  $change  what the teacher says differently
     *
     * @throws InputError when somebody is held to what is not there
     */
    public function __invoke(SewingClass $class, Unit $unit, ?callable $change = null): Bench
    {
        $reading = ($this->read)($class, $unit, planned: true);
        $inHand = $reading->sessionInHand() ?? throw (new ModelNotFoundException)->setModel(BenchPlan::class);
        $kept = $inHand->session->bench();
        $change === null || $change($kept);
        $room = RoomInventory::read();
        $this->check($kept, $reading, $room);
        $wants = $this->wants($reading, $room);
        $problem = $this->problem($reading, $kept, $room, $wants, $kept->held);
        $deadline = Deadline::in(self::SECONDS);
        $rounds = RoomBench::rounds($problem, deadline: $deadline);
        $best = $kept->held === [] ? $rounds[0]->value ?? 0.0 : BenchSolver::solve($this->problem($reading, $kept, $room, $wants, []), deadline: $deadline)->value;

        return new Bench($reading, $inHand, $kept, $room, $problem, $rounds, $best, $wants);
    }

    /**
     * What each lesson is worth to each student, by the expectation that plan and forecast go by; only what can be sewn in this room at all.
     *
     * @return array<string, array<string, float>>
     */
    private function wants(ClassAsRead $reading, RoomInventory $room): array
    {
        $taught = $this->shelf->taught($reading->class);
        $wants = [];
        foreach ($this->forecast->each($reading, [1]) as $id => ['left' => $left, 'forecast' => $forecast]) {
            $s = $reading->students[$id];
            $can = array_values(array_filter($s->advice->candidates, fn (Candidate $c): bool => $room->cannotTeach($taught, $c->lesson) === null));
            $wants[(string) $id] = RoomBench::wants($s->lesson(), $can, array_combine($left, $forecast->expected));
        }

        return $wants;
    }

    /**
     * @param  array<string, array<string, float>>  $wants  of everybody
     * @param  array<string, array{machine?: string, lesson?: string}>  $held
     */
    private function problem(ClassAsRead $reading, BenchPlan $kept, RoomInventory $room, array $wants, array $held): BenchProblem
    {
        $wants = array_diff_key($wants, $kept->away);
        $at = $lessons = [];
        $taught = $this->shelf->taught($reading->class);
        foreach (array_keys($wants) as $id) {
            $lesson = $held[$id]['lesson'] ?? null;
            $wants[$id] = $lesson === null ? $wants[$id] : [$lesson => $wants[$id][$lesson] ?? 0.0];
            $machine = $reading->students[$id]->enrolment->machine_id;
            $machine === null || $at[$id] = $machine;
            foreach (array_keys($wants[$id]) as $wanted) {
                $lessons[$wanted] ??= $taught->lesson((string) $wanted);
            }
        }

        return RoomBench::problem($room->room, $lessons, $wants, $kept->most_lessons, $at, array_filter(array_map(fn (array $h): ?string => $h['machine'] ?? null, $held)));
    }

    /** @throws InputError */
    private function check(BenchPlan $kept, ClassAsRead $reading, RoomInventory $room): void
    {
        $taken = [];
        foreach ($kept->held as $student => $held) {
            $s = $reading->students[$student] ?? throw InputError::at("held.$student", $student, 'Nobody of that id is in this class.');
            $machine = $held['machine'] ?? null;
            if ($machine !== null) {
                isset($room->room->machines[$machine]) || throw InputError::at("held.$student.machine", $machine, 'This machine is not in the room, or is out of use.');
                isset($taken[$machine]) && throw InputError::at("held.$student.machine", $machine, "{$taken[$machine]} is held to this machine already.");
                $taken[$machine] = $s->enrolment->student->name;
            }
            isset($held['lesson']) && $this->lesson($held['lesson'], "held.$student.lesson");
        }
        foreach ($kept->away as $student => $state) {
            isset($reading->students[$student]) || throw InputError::at("away.$student", $student, 'Nobody of that id is in this class.');
            in_array($state, BenchPlan::AWAY, true) || throw InputError::at("away.$student", $state, 'It must be one of: '.implode(', ', BenchPlan::AWAY).'.');
        }
    }

    private function lesson(string $id, string $field): Lesson
    {
        return $this->shelf->bundle()->lessons[$id] ?? throw InputError::at($field, $id, 'There is no such lesson on the shelf.');
    }
}
