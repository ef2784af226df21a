<?php

declare(strict_types=1);

namespace App\Console;

use App\Models\SewingClass;
use App\Models\User;
use App\Places\Class\Comers;
use App\Places\Plan\PlanCourse;
use App\Records\CourseDates;
use App\Records\OpenStudio;
use App\Records\Shelf;
use App\Support\Clock;
use App\Support\CurrentStudio;
use Carbon\CarbonImmutable;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Str;
use OpenSeam\Core\Course\Lesson;
use OpenSeam\Core\Measure\Verdict;
use OpenSeam\Core\Sampler\CheckSpec;
use OpenSeam\Core\Sampler\Row;
use OpenSeam\Core\Words;
use Random\Engine\Mt19937;
use Random\Randomizer;

/**
 * Invented studios with years behind them, to see how everything goes when there is
 * much of it: two classes a year, samples of the course's lessons in their order,
 * poor at first and good later, by lot and the same each time. One that is there
 * already is left as it is, so that growing can be stopped and gone on with.
 */
final class Grow
{
    private const COURSE = 'first-steps';

    private const SESSIONS = 10;

    /** Of one lesson, readings that are good and poor ones, from which a sample takes one at a time. */
    private const DRAWN = 12;

    /** Tries to find a reading of the kind that is wanted. */
    private const TRIES = 200;

    private const ROWS_AT_ONCE = 1_500;

    /** @var array<string, array<string, array{good: list<list<float>>, poor: list<list<float>>}>> by lesson and reading */
    private array $pools = [];

    private Randomizer $lot;

    public function __construct(private readonly OpenStudio $open, private readonly PlanCourse $plan, private readonly Shelf $shelf, private readonly CurrentStudio $studio)
    {
        $this->lot = new Randomizer(new Mt19937(7));
    }

    public static function email(int $number): string
    {
        return "evening$number@loft.example";
    }

    /**
     * One studio, its teacher, and a class whose session is running now; before it, years of classes that are over.
     *
     * @param  int  $students  that come in a year
     * @param  int  $samples  of each of them
     * @return bool false where it was there already
     */
    public function studio(int $number, string $password, int $years, int $students, int $samples): bool
    {
        if (User::query()->where('email', self::email($number))->exists()) {
            return false;
        }
        $this->studio->reachAll();
        DB::transaction(function () use ($number, $password, $years, $students, $samples): void {
            $user = ($this->open)("Evening $number", "Teacher $number", self::email($number), $password, 'UTC');
            $this->studio->within($user->studio_id, function () use ($user, $years, $students, $samples): void {
                $now = Clock::now()->startOfHour();
                for ($half = 2 * $years; $half > 0; $half--) {
                    $this->past($user, $now->subMonths(6 * $half)->addDays(3), intdiv($students, 2), $samples);
                }
                $this->course($user, 'Evening', 10, Clock::now()->subHour());
            });
        });

        return true;
    }

    private function past(User $user, CarbonImmutable $first, int $students, int $samples): void
    {
        $class = $this->course($user, 'Course of '.$first->format('F Y'), $students, $first);
        foreach ($class->enrolments()->pluck('student_id') as $student) {
            $this->samples($user, $class, is_string($student) ? $student : '', $first, $samples);
        }
        $class->update(['archived_at' => $first->addWeeks(self::SESSIONS + 8)->min(Clock::now())]);
    }

    private function course(User $user, string $name, int $students, CarbonImmutable $first): SewingClass
    {
        $names = array_map(fn (int $n): string => "Student $n of $name", range(1, max(1, $students)));

        return ($this->plan)($user->studio_id, $name, self::COURSE, new Comers($names), new CourseDates($first, self::SESSIONS, 120), 0, 8);
    }

    private function samples(User $user, SewingClass $class, string $student, CarbonImmutable $first, int $many): void
    {
        $order = $this->shelf->order(self::COURSE);
        $samples = $readings = [];
        for ($turn = 1; $turn <= $many; $turn++) {
            $done = ($turn - 1) / max(1, $many);
            $lesson = $this->shelf->bundle()->lesson($order[(int) floor($done * count($order))]);
            // Evenly through the sessions of the course; the id says when, as each does.
            $at = $first->addMinutes((int) (7 * 1440 * floor($done * self::SESSIONS)) + $turn % 100);
            $id = strtolower((string) Str::ulid($at));
            $samples[] = ['id' => $id, 'studio_id' => $user->studio_id, 'class_id' => $class->id, 'student_id' => $student, 'lesson' => $lesson->id, 'lesson_version' => $lesson->version, 'settings' => '{}', 'kept_by' => $user->id, 'kept_at' => $at->format('Y-m-d H:i:s.v'), 'turn' => $turn];
            foreach ($this->pool($lesson) as $reading => $pool) {
                $kind = $this->share() < 0.55 + 0.4 * $done || $pool['poor'] === [] ? 'good' : 'poor';
                foreach ($pool[$kind] === [] ? [] : $pool[$kind][$this->lot->getInt(0, count($pool[$kind]) - 1)] as $position => $value) {
                    $readings[] = ['id' => strtolower((string) Str::ulid($at)), 'studio_id' => $user->studio_id, 'sample_id' => $id, 'reading' => $reading, 'position' => $position, 'value' => $value];
                }
            }
        }
        DB::table('samples')->insert($samples);
        foreach (array_chunk($readings, self::ROWS_AT_ONCE) as $chunk) {
            DB::table('sample_readings')->insert($chunk);
        }
    }

    /** @return array<string, array{good: list<list<float>>, poor: list<list<float>>}> by reading as it is kept */
    private function pool(Lesson $lesson): array
    {
        if (! isset($this->pools[$lesson->id])) {
            $this->pools[$lesson->id] = [];
            foreach ($lesson->sampler->rows as $row) {
                foreach ($row->checks as $spec) {
                    $this->pools[$lesson->id]["$row->id.$spec->of"] ??= $this->drawn($row, $spec);
                }
            }
        }

        return $this->pools[$lesson->id];
    }

    /** @return array{good: list<list<float>>, poor: list<list<float>>} readings that this check calls met, and others */
    private function drawn(Row $row, CheckSpec $spec): array
    {
        $field = $row->fields[$spec->of];
        $found = ['good' => [], 'poor' => []];
        $values = $field->values();
        for ($try = 0; $try < self::TRIES && min(count($found['good']), count($found['poor'])) < self::DRAWN; $try++) {
            // All of one row about one length, each a little off it.
            $about = $this->share();
            $spread = 0.1 * $this->share();
            $drawn = [];
            foreach ($values as $v) {
                $share = max(0.0, min(1.0, $about + $spread * (2 * $this->share() - 1)));
                $drawn[] = round(round(($v->min + $share * ($v->max - $v->min)) / $v->step) * $v->step, 4);
            }
            $kind = $spec->check->judge($field, $drawn, Words::in())?->judgement->verdict === Verdict::Met ? 'good' : 'poor';
            count($found[$kind]) < self::DRAWN && $found[$kind][] = $drawn;
        }

        return $found;
    }

    /** Drawn from 0 to 1. */
    private function share(): float
    {
        return $this->lot->getInt(0, 1_000_000) / 1_000_000;
    }
}
