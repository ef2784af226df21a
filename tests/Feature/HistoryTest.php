<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Models\SewingClass;
use App\Support\Clock;
use Carbon\CarbonImmutable;
use Illuminate\Support\Str;
use OpenSeam\Core\Tests\Support\Fixtures;
use Tests\TestCase;

/** A student's way through the course, over the API, at its own times. */
final class HistoryTest extends TestCase
{
    /** @param  array<string, list<mixed>>  $but */
    private function keep(SewingClass $class, string $student, string $lesson, array $but = [], string $at = self::NOW): mixed
    {
        Clock::fix(CarbonImmutable::parse($at, 'UTC'));
        $readings = array_merge(Fixtures::good(Fixtures::bundle()->lesson($lesson)), $but);

        return $this->postJson('/api/samples', ['id' => strtolower((string) Str::ulid()), 'class' => $class->id, 'student' => $student, 'lesson' => $lesson, 'readings' => $readings, 'faults' => []])
            ->assertCreated()->json('judged.advice');
    }

    /** @return array<string, mixed> */
    private function today(SewingClass $class): array
    {
        /** @var array<string, mixed> $row */
        $row = $this->getJson("/api/classes/{$class->id}/today")->assertOk()->json('students.0');

        return $row;
    }

    public function test_a_strong_student_walks_the_whole_course(): void
    {
        $class = $this->sewingClass($this->teacher());
        $student = $this->student($class);
        $minute = 0;
        foreach (Fixtures::order() as $i => $lesson) {
            self::assertSame($lesson, data_get($this->today($class), 'in_hand.lesson'));
            isset(Fixtures::order()[$i + 1]) && self::assertSame(Fixtures::bundle()->lessons[Fixtures::order()[$i + 1]]->title, data_get($this->today($class), 'next_title'));
            $this->keep($class, $student, $lesson, at: CarbonImmutable::parse(self::NOW)->addMinutes(++$minute)->toDateTimeString());
        }
        // What was shown once is sewn once more, and then the course is done: what the shelf holds beyond it, by what it adds.
        for ($again = 0; $again < 16 && data_get($this->today($class), 'in_hand.kind') !== 'enrich'; $again++) {
            self::assertStringContainsString('once more makes it sure', implode(' ', (array) data_get($this->today($class), 'why')));
            $this->keep($class, $student, (string) data_get($this->today($class), 'in_hand.lesson'), at: CarbonImmutable::parse(self::NOW)->addMinutes(++$minute)->toDateTimeString());
        }
        self::assertLessThan(9, $again);
        self::assertSame(['double-hem', 'enrich'], [data_get($this->today($class), 'in_hand.lesson'), data_get($this->today($class), 'in_hand.kind')]);
        $levels = (array) $this->getJson("/api/classes/{$class->id}")->json('students.0.levels');
        self::assertSame(17, count(array_keys($levels, 'sure', true)) + count(array_keys($levels, 'coming', true)), 'all that the eight lessons teach, and the pins of the first seam');
    }

    public function test_a_stuck_student_gets_the_drill_then_goes_on(): void
    {
        $class = $this->sewingClass($this->teacher());
        $student = $this->student($class);
        foreach (['safe-seat', 'wind-and-thread', 'needle-and-foot', 'paper-drive'] as $lesson) {
            $this->keep($class, $student, $lesson, at: '2030-05-02 19:00:00');
        }
        $advice = $this->keep($class, $student, 'first-seam', ['seam.allowance' => [13.5, 14.5, 15.5, 17, 18.5]], '2030-05-09 18:50:00');
        self::assertSame(['drill', 'rows-120'], [data_get($advice, 'kind'), data_get($advice, 'drill')]);
        self::assertStringContainsString('drifts +5.0 mm', implode(' ', array_column((array) data_get($advice, 'reasons'), 'text')));
        self::assertSame('First seam: three 120 mm rows', data_get($this->today($class), 'in_hand.title'));
        self::assertSame('Steering: drifts +5.0 mm over 120 mm', data_get($this->today($class), 'last.text'));
        self::assertSame('length-ladder', data_get($this->keep($class, $student, 'first-seam', at: '2030-05-09 19:05:00'), 'lesson'));
    }

    public function test_weeks_later_a_refresh_is_due(): void
    {
        $class = $this->sewingClass($this->teacher());
        $student = $this->student($class);
        foreach (['safe-seat', 'wind-and-thread', 'needle-and-foot', 'paper-drive'] as $lesson) {
            $this->keep($class, $student, $lesson, at: '2030-05-02 19:00:00');
        }
        Clock::fix(CarbonImmutable::parse('2030-06-20 19:00:00', 'UTC'));
        self::assertSame('refresh', data_get($this->today($class), 'in_hand.kind'));
        self::assertSame('refresh-due', data_get($this->today($class), 'level'));
        $this->getJson("/api/classes/{$class->id}/students/$student/skills/safe-habits")->assertJsonPath('level', 'refresh-due');
    }

    public function test_the_session_in_hand_follows_the_clock(): void
    {
        $class = $this->sewingClass($this->teacher());
        $state = function (string $at) use ($class): array {
            Clock::fix(CarbonImmutable::parse($at, 'UTC'));
            $session = $this->getJson("/api/classes/{$class->id}/today")->assertOk()->json('session');

            return [data_get($session, 'number'), data_get($session, 'state')];
        };
        self::assertSame([1, 'before'], $state('2030-04-30 12:00:00'));
        self::assertSame([1, 'running'], $state('2030-05-02 18:30:00'));
        self::assertSame([1, 'after'], $state('2030-05-02 21:00:00'));
        self::assertSame([2, 'before'], $state('2030-05-03 09:00:00'));
        self::assertSame([6, 'after'], $state('2031-01-01 09:00:00'));
    }

    public function test_samples_outside_a_session_belong_to_none(): void
    {
        $class = $this->sewingClass($this->teacher());
        $student = $this->student($class);
        $this->keep($class, $student, 'safe-seat', at: '2030-05-05 10:00:00');
        Clock::fix(CarbonImmutable::parse(self::NOW, 'UTC'));
        self::assertFalse($this->today($class)['looked']);
        $this->keep($class, $student, 'wind-and-thread');
        self::assertTrue($this->today($class)['looked']);
    }

    public function test_looking_asks_for_the_lesson_in_hand_or_the_one_named(): void
    {
        $class = $this->sewingClass($this->teacher());
        $student = $this->student($class);
        $look = "/api/classes/{$class->id}/students/$student/look";
        $this->getJson($look)->assertJsonPath('lesson.id', 'safe-seat')->assertJsonPath('number', 1)->assertJsonPath('next_student.title', 'Pim');
        $this->getJson("$look?lesson=guides")->assertJsonPath('lesson.id', 'guides')->assertJsonCount(12, 'lesson.drawing.marks');
        $this->assertProblem($this->getJson("$look?lesson=juggling"), 422, 'lesson', 'no such lesson');
        $this->keep($class, $student, 'safe-seat');
        $this->getJson("$look?lesson=safe-seat")->assertJsonPath('number', 2)->assertJsonPath('earlier.0.verdict', 'met');
        // The one before has been looked at: from the last seat it goes on to the second, not the first.
        $last = $this->student($class, 3);
        $this->getJson("/api/classes/{$class->id}/students/$last/look")->assertJsonPath('next_student.title', 'Pim');
    }
}
