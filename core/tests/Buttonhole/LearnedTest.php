<?php

declare(strict_types=1);

namespace OpenSeam\Core\Tests\Buttonhole;

use OpenSeam\Core\Buttonhole\Learned;
use OpenSeam\Core\Buttonhole\Release;
use OpenSeam\Core\Buttonhole\SewnHole;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/** What a machine's own holes say of it, and when one may be sewn on the garment. */
final class LearnedTest extends TestCase
{
    private static function hole(float $off = 0.0, bool $met = true, ?bool $snug = true, ?float $bar = null, ?float $finished = 21.0): SewnHole
    {
        return new SewnHole(21, 21, $finished === null ? null : $finished + $off, $bar, $met, $snug);
    }

    public function test_nothing_is_believed_before_there_are_two(): void
    {
        self::assertSame([0.0, null, 1.5, null], self::numbers(Learned::of([])));
        self::assertSame([0.0, null, 1.5, null], self::numbers(Learned::of([self::hole(2, bar: 3)])));
        self::assertEqualsWithDelta([2.0, 0.0, 3.0, 0.0], self::numbers(Learned::of([self::hole(2, bar: 3), self::hole(2, bar: 3)])), 1e-9);
        self::assertSame([0.0, null, 1.5, null], self::numbers(Learned::of([self::hole(2, finished: null), self::hole(2)])), 'what nobody measured says nothing');
    }

    /** @return array{float, float|null, float, float|null} */
    private static function numbers(Learned $l): array
    {
        return [$l->offsetMm, $l->offsetUncertaintyMm, $l->barMm, $l->barUncertaintyMm];
    }

    public function test_the_median_of_the_last_five(): void
    {
        $offsets = fn (float ...$of): float => Learned::of(array_map(fn (float $o): SewnHole => self::hole($o), array_values($of)))->offsetMm;
        self::assertEqualsWithDelta(1.0, $offsets(9, 9, 9, 1, 1, 1, 1, 1), 1e-9, 'the older ones are forgotten');
        self::assertEqualsWithDelta(1.0, $offsets(1, 1, 1, 1, 9), 1e-9, 'one slip moves nothing');
        self::assertEqualsWithDelta(1.5, $offsets(1, 2), 1e-9);
        self::assertEqualsWithDelta(-0.5, $offsets(-1, -0.5, 0), 1e-9);
    }

    /** The standard uncertainty of a median of n normal values is about 1.2533 s / √n: drawn 4,000 times, and held against the spread of the medians. */
    public function test_its_uncertainty_is_that_of_a_median(): void
    {
        mt_srand(5);
        $medians = [];
        $said = [];
        for ($i = 0; $i < 4000; $i++) {
            $learned = Learned::of(array_map(fn (): SewnHole => self::hole(self::normal(0.6)), range(1, 5)));
            $medians[] = $learned->offsetMm;
            $said[] = ($learned->offsetUncertaintyMm ?? 0.0) ** 2;
        }
        $spread = sqrt(array_sum(array_map(fn (float $m): float => $m * $m, $medians)) / count($medians));
        self::assertEqualsWithDelta($spread, sqrt(array_sum($said) / count($said)), 0.15 * $spread);
    }

    public function test_success_begins_at_one_of_two(): void
    {
        self::assertSame(0.5, Learned::of([])->success());
        self::assertSame(0.75, Learned::of([self::hole(), self::hole()])->success());
        self::assertSame(0.25, Learned::of([self::hole(met: false), self::hole(met: false)])->success());
    }

    /** @return iterable<string, array{list<SewnHole>, bool, int, bool}> tests, beginner, in a row, allowed */
    public static function rows(): iterable
    {
        yield 'nothing sewn' => [[], true, 0, false];
        yield 'one for a beginner' => [[self::hole()], true, 1, false];
        yield 'one for who can' => [[self::hole()], false, 1, true];
        yield 'two in a row' => [[self::hole(), self::hole()], true, 2, true];
        yield 'one that went wrong begins anew' => [[self::hole(), self::hole(), self::hole(met: false)], true, 0, false];
        yield 'two with a wrong one between' => [[self::hole(), self::hole(met: false), self::hole()], true, 1, false];
        yield 'not opened is not tried' => [[self::hole(snug: null), self::hole(snug: null)], true, 0, false];
        yield 'a loose button is no success' => [[self::hole(snug: false)], false, 0, false];
    }

    /** @param  list<SewnHole>  $tests */
    #[DataProvider('rows')]
    public function test_when_it_may_be_sewn_on_the_garment(array $tests, bool $beginner, int $row, bool $allowed): void
    {
        $release = Release::of($tests, $beginner, 1);
        self::assertSame([$row, $allowed], [$release->inARow, $release->allowed]);
    }

    public function test_few_tests_promise_little_and_the_chance_moves_the_right_way(): void
    {
        $next = fn (SewnHole ...$of): float => Release::of(array_values($of), true, 1)->next;
        $good = self::hole(0.1);
        self::assertLessThan(0.8, $next($good, $good), 'two are no proof');
        self::assertGreaterThan($next($good), $next($good, $good));
        self::assertGreaterThan($next($good, $good, $good), $next(...array_fill(0, 20, $good)));
        self::assertGreaterThan($next(self::hole(0.9), self::hole(0.9)), $next($good, $good), 'nearer to the limit, likelier over it');
        self::assertGreaterThan($next(self::hole(-0.9), self::hole(0.9)), $next($good, $good), 'a wide spread as well');
        self::assertGreaterThan($next($good, self::hole(0.1, met: false)), $next($good, $good), 'and a cut bar');
        self::assertGreaterThan(0.97, $next(...array_fill(0, 200, $good)));
    }

    public function test_all_of_many_is_less_likely_than_the_next_and_more_than_if_each_were_alone(): void
    {
        foreach ([[], [self::hole()], [self::hole(0.3), self::hole(-0.2), self::hole(0.1)]] as $tests) {
            $one = Release::of($tests, true, 1);
            self::assertEqualsWithDelta($one->next, $one->all, 1e-12);
            $before = $one->next;
            foreach ([2, 6, 12] as $n) {
                $all = Release::of($tests, true, $n)->all;
                self::assertLessThan($before, $all);
                // What is not known of the machine is the same for all of them: they stand or fall together.
                self::assertGreaterThan($one->next ** $n, $all);
                $before = $all;
            }
        }
    }

    /**
     * A world that is not in the formulas: means and spreads drawn from the belief, a few tests of each, and the next
     * hole. Of all that were given 60 to 80 %, so many came out.
     */
    public function test_the_chance_is_kept(): void
    {
        mt_srand(9);
        $said = $met = $n = 0.0;
        for ($i = 0; $i < 700; $i++) {
            // Scaled inverse chi-squared with two degrees about 0.7 mm, then a mean about 0.
            $spread = 0.7 * sqrt(2 / max(1e-3, self::normal(1) ** 2 + self::normal(1) ** 2));
            $mean = self::normal($spread / sqrt(0.5));
            $tests = array_map(fn (): SewnHole => self::hole($mean + self::normal($spread)), range(1, mt_rand(1, 5)));
            $chance = Release::of(array_map(fn (SewnHole $t): SewnHole => new SewnHole(21, 21, $t->finishedMm, null, abs((float) $t->finishedMm - 21) <= 1, true), $tests), true, 1)->next;
            $others = (4 + count(array_filter($tests, fn (SewnHole $t): bool => abs((float) $t->finishedMm - 21) <= 1)));
            // The length alone is drawn here: what else may go wrong is taken out again.
            $length = $chance / ($others / ($others + 0.5));
            if ($length >= 0.6 && $length <= 0.8) {
                $said += $length;
                $met += abs($mean + self::normal($spread)) <= 1 ? 1 : 0;
                $n++;
            }
        }
        self::assertGreaterThan(80, $n);
        self::assertEqualsWithDelta($said / $n, $met / $n, 0.08);
    }

    private static function normal(float $s): float
    {
        return $s * sqrt(-2 * log(mt_rand(1, 1_000_000) / 1_000_000)) * cos(2 * M_PI * mt_rand(0, 999_999) / 1_000_000);
    }
}
