<?php

declare(strict_types=1);

namespace OpenSeam\Core\Tests\Skill;

use DateTimeImmutable;
use OpenSeam\Core\Skill\SimulatedLearner;
use OpenSeam\Core\Skill\Skill;
use OpenSeam\Core\Skill\SkillGraph;
use OpenSeam\Core\Skill\TracingParameters;
use OpenSeam\Core\Skill\TracingTable;
use PHPUnit\Framework\TestCase;

/** The stand-in for real students does what it says, by frequencies of many. */
final class SimulatedLearnerTest extends TestCase
{
    private const MANY = 6000;

    private static function graph(): SkillGraph
    {
        return SkillGraph::of([new Skill('thread', 'Thread'), new Skill('seam', 'Seam', needs: ['thread'])]);
    }

    private static function at(int $week = 0): DateTimeImmutable
    {
        return new DateTimeImmutable("2030-05-02 +$week weeks");
    }

    private static function learner(int $seed, TracingParameters $p, ?float $fading = null, float $quick = 1.0): SimulatedLearner
    {
        return new SimulatedLearner(self::graph(), TracingTable::same($p), $seed, $quick, $fading);
    }

    /**
     * @param  callable(int): bool  $is
     */
    private static function share(callable $is): float
    {
        return count(array_filter(range(1, self::MANY), $is)) / self::MANY;
    }

    private static function assertShare(float $expected, float $share, string $what): void
    {
        self::assertEqualsWithDelta($expected, $share, 4 * sqrt($expected * (1 - $expected) / self::MANY) + 1e-9, $what);
    }

    public function test_the_same_seed_is_the_same_learner(): void
    {
        $p = TracingParameters::usual();
        $walk = fn (int $seed): array => array_map(fn (int $i): array => self::learner($seed, $p)->sew(['thread', 'seam'], self::at($i)), range(1, 5));
        self::assertSame($walk(7), $walk(7));
        $draws = fn (int $seed): array => array_map(fn (SimulatedLearner $l): float => $l->draw(), array_fill(0, 20, self::learner($seed, $p)));
        self::assertNotSame($draws(7), $draws(8));
        self::assertGreaterThan(0.0, min($draws(0)));
        self::assertLessThan(1.0, max($draws(PHP_INT_MAX)));
    }

    public function test_starts_slips_and_guesses_come_as_often_as_they_should(): void
    {
        $p = TracingParameters::of(0.3, 0.1, 0.25, 0.0);
        $knows = $right = ['yes' => 0, 'no' => 0];
        for ($i = 1; $i <= self::MANY; $i++) {
            $learner = self::learner($i * 13, $p);
            $is = $learner->knows('seam') ? 'yes' : 'no';
            $knows[$is]++;
            $right[$is] += $learner->sew(['seam'], self::at())['seam'][0] === 1.0 ? 1 : 0;
        }
        self::assertShare(0.3, $knows['yes'] / self::MANY, 'known from the start');
        self::assertEqualsWithDelta(0.9, $right['yes'] / $knows['yes'], 0.03, 'shown right although it slips');
        self::assertEqualsWithDelta(0.25, $right['no'] / $knows['no'], 0.03, 'shown right by luck');
    }

    public function test_what_stands_on_something_unknown_is_learned_half_as_quickly(): void
    {
        $p = TracingParameters::of(0.0, 0.1, 0.1, 0.4, 0.4);
        self::assertShare(0.4, self::share(function (int $i) use ($p): bool {
            $l = self::learner($i * 31, $p);
            $l->watch('thread');

            return $l->knows('thread');
        }), 'by being shown');
        self::assertShare(0.4 * SimulatedLearner::WITHOUT_NEEDS, self::share(function (int $i) use ($p): bool {
            $l = self::learner($i * 31, $p);
            $l->watch('seam');

            return $l->knows('seam');
        }), 'without its need');
        self::assertShare(0.2, self::share(function (int $i) use ($p): bool {
            $l = self::learner($i * 31, $p, quick: 0.5);
            $l->sew(['thread'], self::at());

            return $l->knows('thread');
        }), 'half as quick a learner');
    }

    /** After twelve weeks all but 1/e of what is above the start is gone; what was used meanwhile keeps. */
    public function test_forgetting_and_using(): void
    {
        $p = TracingParameters::of(0.0, 0.0, 0.0, 1.0);
        $after = fn (int $weeks, bool $used): float => self::share(function (int $i) use ($p, $weeks, $used): bool {
            $l = self::learner($i * 17, $p, 12.0);
            $l->sew(['thread'], self::at());
            for ($w = 1; $used && $w < $weeks; $w++) {
                $l->sew(['seam'], self::at($w), uses: ['thread']);
            }

            // Never shown wrong when known, never right when not: what it shows is what it knows.
            return $l->sew(['thread'], self::at($weeks))['thread'][0] === 1.0;
        });
        self::assertSame(1.0, $after(0, false));
        self::assertShare(exp(-1), $after(12, false), 'twelve weeks unused');
        self::assertShare(exp(-1 / 12), $after(12, true), 'used until the week before');
    }

    public function test_as_many_showings_as_asked_for(): void
    {
        $shown = self::learner(3, TracingParameters::usual())->sew(['thread', 'seam'], self::at(), 3);
        self::assertSame([3, 3], array_map(count(...), array_values($shown)));
    }
}
