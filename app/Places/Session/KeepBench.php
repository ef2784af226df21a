<?php

declare(strict_types=1);

namespace App\Places\Session;

use App\Models\BenchPlan;
use App\Models\Enrolment;
use App\Models\LessonAssignment;
use App\Models\SewingClass;
use App\Models\Student;
use App\Records\Shelf;
use App\Support\Clock;
use App\Support\Conflict;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Str;
use OpenSeam\Core\Bench\BenchReasons;
use OpenSeam\Core\Bench\RoomBench;
use OpenSeam\Core\InputError;
use OpenSeam\Core\Measure\Unit;

/** Keeps what the teacher says of a session's bench, and begins a session with it. */
final readonly class KeepBench
{
    public function __construct(private SeatSession $seat, private Shelf $shelf) {}

    /**
     * @param  array<string, array{machine?: string, lesson?: string}>  $held
     * @param  array<string, string>  $away
     *
     * @throws Conflict when another teacher changed it meanwhile
     */
    public function __invoke(SewingClass $class, Unit $unit, int $version, int $most, array $held, array $away): Bench
    {
        return $this->keep($class, $unit, $version, function (BenchPlan $b) use ($most, $held, $away): void {
            $b->fill(['most_lessons' => $most, 'held' => $held, 'away' => $away]);
        });
    }

    /** One student is late, absent, gone or here after all. */
    public function note(SewingClass $class, Unit $unit, string $student, string $state): Bench
    {
        return $this->keep($class, $unit, null, function (BenchPlan $b) use ($student, $state): void {
            $b->fill(['away' => $state === 'here' ? array_diff_key($b->away, [$student => true]) : [$student => $state] + $b->away]);
        });
    }

    /**
     * The session begins, or goes on, as it is seated now: machines are handed
     * out, and whoever sews something other than what they were given is given it.
     *
     * @throws Conflict when another teacher changed it meanwhile
     * @throws InputError when nobody can be seated
     */
    public function start(SewingClass $class, Unit $unit, int $version): Bench
    {
        return DB::transaction(function () use ($class, $unit, $version): Bench {
            $bench = $this->keep($class, $unit, $version, fn (BenchPlan $b) => $b->fill(['started_at' => Clock::now()]));
            $session = $bench->inHand->session;
            $session->begun_at ??= $bench->reading->now;
            $session->ended_at = null;
            $session->save();
            $seats = $bench->seats();
            $seats !== [] || throw InputError::at('seats', null, 'Nobody can be seated: '.(count($bench->problem->wants) === 0 ? 'all are away.' : 'nothing that is next can be sewn in this room.'));
            $why = array_column(BenchReasons::of($bench->problem, $bench->rounds[0], $bench->reading->words), 'text', 'student');
            $kept = $moved = $given = [];
            Student::lock(array_map(strval(...), array_keys($seats)));
            $turns = LessonAssignment::nextTurns(array_map(strval(...), array_keys($seats)));
            foreach ($seats as $student => [$seat, $round]) {
                $s = $bench->reading->students[$student];
                $machine = str_starts_with($seat->machine, RoomBench::TABLE) ? null : $seat->machine;
                $kept[] = ['student' => $student, 'lesson' => $seat->lesson, 'machine' => $machine, 'foot' => $seat->foot, 'round' => $round];
                if ($machine !== null && $machine !== $s->enrolment->machine_id) {
                    $moved[] = ['id' => $s->enrolment->id, 'studio_id' => $class->studio_id, 'class_id' => $class->id, 'student_id' => $student, 'seat' => $s->enrolment->seat, 'machine_id' => $machine];
                }
                if ($seat->lesson !== $s->lesson()) {
                    $given[] = [
                        'id' => strtolower((string) Str::ulid()), 'studio_id' => $class->studio_id, 'class_id' => $class->id, 'student_id' => $student, 'sample_id' => null,
                        'kind' => $s->advice->kindOf($seat->lesson)->value, 'lesson' => $seat->lesson, 'drill' => null,
                        'proposed_lesson' => $s->advice->lesson, 'proposed_drill' => $s->advice->drill?->id,
                        'overruled' => true, 'overruled_because' => mb_substr($why[$student] ?? '', 0, 200), 'by_bench' => true, 'turn' => $turns[$student], 'assigned_at' => $bench->reading->now->format('Y-m-d H:i:s.v'),
                    ];
                }
            }
            // However many students, one query each.
            $moved === [] || Enrolment::query()->upsert($moved, ['id'], ['machine_id']);
            $given === [] || LessonAssignment::query()->insert($given);
            BenchPlan::query()->whereKey($bench->kept->id)->update(['seats' => json_encode($kept, JSON_THROW_ON_ERROR), 'tape' => json_encode($bench->tape($this->shelf->taught($bench->reading->class)), JSON_THROW_ON_ERROR)]);
            $bench->kept->seats = $kept;

            return $bench;
        });
    }

    /** @param  callable(BenchPlan): mixed  $change */
    private function keep(SewingClass $class, Unit $unit, ?int $version, callable $change): Bench
    {
        return DB::transaction(function () use ($class, $unit, $version, $change): Bench {
            // One change of a class's bench at a time.
            SewingClass::query()->whereKey($class->id)->lockForUpdate()->first();

            return ($this->seat)($class, $unit, function (BenchPlan $b) use ($class, $version, $change): void {
                $version === null || $version === $b->version || throw Conflict::staleBench($version, $b->version);
                $change($b);
                $b->version++;
                $b->studio_id = $class->studio_id;
                $b->save();
            });
        });
    }
}
