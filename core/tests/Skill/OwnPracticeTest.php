<?php

declare(strict_types=1);

namespace OpenSeam\Core\Tests\Skill;

use DateTimeImmutable;
use OpenSeam\Core\Grading\Agreement;
use OpenSeam\Core\Measure\Verdict;
use OpenSeam\Core\Skill\Evidence;
use OpenSeam\Core\Skill\Level;
use OpenSeam\Core\Skill\OwnPractice;
use OpenSeam\Core\Skill\School;
use OpenSeam\Core\Skill\StandingLedger;
use OpenSeam\Core\Skill\TracingTable;
use OpenSeam\Core\Tests\Support\Fixtures;
use PHPUnit\Framework\TestCase;

/** What students sew by themselves: it helps a little, and nothing stands on it. */
final class OwnPracticeTest extends TestCase
{
    private const SKILL = 'keep-allowance';

    private static function look(int $day, float $weight): Evidence
    {
        return new Evidence("s$day", new DateTimeImmutable(sprintf('2030-05-%02dT10:00:00Z', $day)), [self::SKILL => [$weight]]);
    }

    private static function table(): TracingTable
    {
        return TracingTable::of(Fixtures::bundle()->skills);
    }

    public function test_however_often_they_practise_it_is_coming_at_most(): void
    {
        for ($times = 1; $times <= 20; $times++) {
            $standing = (new OwnPractice(self::table()))->after([], array_map(fn (int $d): Evidence => self::look($d, 1.0), range(1, $times)))[self::SKILL];
            self::assertContains($standing->level(School::Tracing), [Level::Begun, Level::Coming]);
            self::assertFalse($standing->isEnough(School::Tracing), "$times times");
            self::assertLessThanOrEqual(OwnPractice::MOST, $standing->known);
            self::assertSame($times, $standing->practised);
        }
    }

    public function test_a_look_of_their_own_weighs_less_than_the_teachers(): void
    {
        $now = new DateTimeImmutable('2030-05-02T10:00:00Z');
        $teacher = (new StandingLedger(self::table(), null))->standings([self::look(1, 0.0), self::look(2, 1.0)], $now)[self::SKILL]->known;
        $seen = (new StandingLedger(self::table(), null))->standings([self::look(1, 0.0)], $now);
        $own = (new OwnPractice(self::table()))->after($seen, [self::look(2, 1.0)])[self::SKILL]->known;
        self::assertGreaterThan($seen[self::SKILL]->known, $own);
        self::assertLessThan($teacher, $own);
    }

    public function test_what_the_teacher_saw_stays_and_answers_what_came_before(): void
    {
        $now = new DateTimeImmutable('2030-05-05T10:00:00Z');
        $sure = (new StandingLedger(self::table(), null))->standings([self::look(1, 1.0), self::look(2, 1.0), self::look(3, 1.0)], $now);
        $practice = new OwnPractice(self::table());
        self::assertSame($sure[self::SKILL]->known, $practice->after($sure, [self::look(4, 1.0)])[self::SKILL]->known, 'above what practice can lift');
        self::assertSame(0, $practice->after($sure, [self::look(2, 0.0)])[self::SKILL]->practised, 'looked at since');
        self::assertLessThan($sure[self::SKILL]->known, $practice->after($sure, [self::look(4, 0.0)])[self::SKILL]->known, 'a bad seam at home says something too');
    }

    public function test_agreement_counts_what_both_judged(): void
    {
        $own = ['a' => Verdict::Met, 'b' => Verdict::Met, 'c' => Verdict::NotYet, 'd' => Verdict::Met];
        $teacher = ['a' => Verdict::Met, 'b' => Verdict::Near, 'c' => Verdict::Near, 'x' => Verdict::Met];
        $agreed = Agreement::of($own, $teacher);
        self::assertSame([1, 3, 1], [$agreed->alike, $agreed->of, $agreed->kinder]);
        self::assertSame([2, 6], [$agreed->and($agreed)->alike, $agreed->and($agreed)->of]);
        self::assertSame(0, Agreement::none()->of);
    }
}
