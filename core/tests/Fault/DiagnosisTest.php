<?php

declare(strict_types=1);

namespace OpenSeam\Core\Tests\Fault;

use DateTimeImmutable;
use InvalidArgumentException;
use OpenSeam\Core\Fault\CauseBook;
use OpenSeam\Core\Fault\Change;
use OpenSeam\Core\Fault\CheckOrder;
use OpenSeam\Core\Fault\Diagnosis;
use OpenSeam\Core\Fault\Fault;
use OpenSeam\Core\Fault\MachineDrift;
use OpenSeam\Core\Grading\Grader;
use OpenSeam\Core\InputError;
use OpenSeam\Core\NextLesson\PastSample;
use OpenSeam\Core\Sampler\Readings;
use OpenSeam\Core\Tests\Support\Fixtures;
use OpenSeam\Core\Words;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

final class DiagnosisTest extends TestCase
{
    /** Kadane & Simon (1977), Heckerman et al. (1995): descending probability ÷ time, worked by hand. */
    public function test_the_worked_order_of_checks(): void
    {
        $order = CheckOrder::of([['id' => 'first', 'probability' => 0.5, 'minutes' => 10.0], ['id' => 'second', 'probability' => 0.3, 'minutes' => 2.0], ['id' => 'third', 'probability' => 0.2, 'minutes' => 1.0]]);
        self::assertSame(['third', 'second', 'first'], $order->order);
        self::assertEqualsWithDelta(7.6, $order->expectedMinutes, 1e-9);
        // Where it may be none of them, that spends all.
        self::assertEqualsWithDelta(0.5 * 2 + 0.5 * 2, CheckOrder::of([['id' => 'only', 'probability' => 0.5, 'minutes' => 2.0]])->expectedMinutes, 1e-9);
    }

    /** No order of up to seven causes takes less: all of them are tried. */
    public function test_against_all_orders(): void
    {
        mt_srand(4);
        for ($round = 0; $round < 25; $round++) {
            $n = 2 + $round % 6;
            $checks = [];
            $left = 1.0;
            for ($i = 0; $i < $n; $i++) {
                $p = $left * mt_rand(5, 60) / 100;
                $left -= $p;
                $checks[] = ['id' => "c$i", 'probability' => $p, 'minutes' => mt_rand(1, 80) / 10];
            }
            $found = CheckOrder::of($checks);
            self::assertEqualsWithDelta(self::least($checks, 0.0, 1.0), $found->expectedMinutes, 1e-9);
        }
    }

    /** @param  list<array{id: string, probability: float, minutes: float}>  $checks  still to do */
    private static function least(array $checks, float $spent, float $left): float
    {
        if ($checks === []) {
            return $left * $spent;
        }
        $least = INF;
        foreach ($checks as $i => $check) {
            $rest = $checks;
            array_splice($rest, $i, 1);
            $least = min($least, $check['probability'] * ($spent + $check['minutes']) + self::least($rest, $spent + $check['minutes'], $left - $check['probability']));
        }

        return $least;
    }

    /** @return iterable<string, array{list<array{id: string, probability: float, minutes: float}>}> */
    public static function noOrders(): iterable
    {
        yield 'more than sure' => [[['id' => 'a', 'probability' => 0.7, 'minutes' => 1.0], ['id' => 'b', 'probability' => 0.4, 'minutes' => 1.0]]];
        yield 'below 0' => [[['id' => 'a', 'probability' => -0.1, 'minutes' => 1.0]]];
        yield 'no time' => [[['id' => 'a', 'probability' => 0.1, 'minutes' => 0.0]]];
    }

    /** @param  list<array{id: string, probability: float, minutes: float}>  $checks */
    #[DataProvider('noOrders')]
    public function test_what_is_no_probability_is_refused(array $checks): void
    {
        $this->expectException(InvalidArgumentException::class);
        CheckOrder::of($checks);
    }

    /** Every fault of the course has its causes in the table, in the order of how usual they are; common practice, no source. */
    public function test_every_fault_of_the_course_can_be_diagnosed(): void
    {
        foreach (array_keys(Fixtures::bundle()->faults) as $fault) {
            $found = Diagnosis::of([$fault]);
            self::assertSame(array_keys(CauseBook::standard()->shares[$fault]), array_keys($found->causes), "$fault: most usual first");
            self::assertEqualsWithDelta(0.97, array_sum($found->causes), 1e-9);
            self::assertEqualsCanonicalizing(array_keys($found->causes), $found->order);
        }
    }

    public function test_what_is_known_speaks(): void
    {
        $chance = fn (string $cause, array $seen, array $known = [], array $tried = [], array $confirmed = []): float => Diagnosis::of($seen, $known, $tried, $confirmed)->causes[$cause];
        self::assertGreaterThan($chance('needle-worn', ['skipped']), $chance('needle-worn', ['skipped'], ['needle_hours' => 12]));
        self::assertLessThan(0.15, $chance('needle-worn', ['skipped'], ['needle_new' => true]));
        self::assertGreaterThan(0.5, $chance('top-tension-low', ['loops-under'], ['rethreaded' => true]));
        self::assertGreaterThan($chance('stitch-too-long', ['puckered'], ['length_mm' => 2.5]), $chance('stitch-too-long', ['puckered'], ['length_mm' => 4.0]));
        self::assertLessThan(0.05, $chance('stretch-universal-needle', ['skipped'], ['cloth' => 'woven']));
        // One cause behind two faults is likelier than either alone says.
        self::assertGreaterThan($chance('needle-worn', ['puckered']), $chance('needle-worn', ['puckered', 'skipped']));
        // Tried in vain, it is nearly out; the next one comes up.
        $after = Diagnosis::of(['nest'], [], ['tails-not-held']);
        self::assertNotSame('tails-not-held', $after->first()?->id);
        self::assertNotContains('tails-not-held', $after->order);
        self::assertLessThan(0.1, $after->causes['tails-not-held']);
        // The same with many at one machine: rather the machine than the hands.
        self::assertGreaterThan($chance('needle-worn', ['knots']), $chance('needle-worn', ['knots'], ['others_here' => 3]));
    }

    /** @return iterable<string, array{list<string>, array<string, mixed>, string}> */
    public static function cures(): iterable
    {
        yield 'slack thread: both threads, not half the speed' => [['slack-thread'], ['fast' => true], 'both-threads-out'];
        yield 'a nest: rethread' => [['nest'], [], 'top-not-seated'];
        yield 'a nest, rethreaded just now: the cheapest habit' => [['nest'], ['rethreaded' => true], 'foot-not-down'];
        yield 'a strike: a new needle' => [['needle-strike'], [], 'needle-worn'];
        yield 'a strike: however new the needle was' => [['needle-strike'], ['needle_new' => true], 'needle-worn'];
        yield 'skips on stretch cloth: a stretch needle' => [['skipped'], ['cloth' => 'stretch'], 'stretch-universal-needle'];
    }

    /**
     * Cure before prevention; common practice, no source.
     *
     * @param  list<string>  $seen
     * @param  array<string, mixed>  $known
     */
    #[DataProvider('cures')]
    public function test_what_puts_it_right_comes_first(array $seen, array $known, string $first): void
    {
        self::assertSame($first, Diagnosis::of($seen, $known)->first()?->id);
    }

    /** All orders are tried that keep the rounds: none takes less, for every fault and for pairs of them, and the chances are worked out anew. */
    public function test_every_diagnosis_against_all_orders(): void
    {
        $book = CauseBook::standard();
        $faults = array_map(strval(...), array_keys($book->shares));
        foreach ($faults as $i => $fault) {
            foreach ([[$fault], [$fault, $faults[($i + 7) % count($faults)]]] as $seen) {
                foreach ([[], ['needle_hours' => 9, 'cloth' => 'stretch', 'width_mm' => 1.5]] as $known) {
                    $found = Diagnosis::of($seen, $known, array_slice(array_map(strval(...), array_keys($book->shares[$fault])), 0, 1));
                    $tried = (string) array_key_first($book->shares[$fault]);
                    self::assertNotContains($tried, $found->order);
                    // The chances once more, by the rule of the paper.
                    $weights = [];
                    foreach (array_unique(array_merge(...array_map(fn (string $f): array => array_keys($book->shares[$f]), $seen))) as $cause) {
                        $weights[$cause] = $book->spokenFor($known)[$cause] * array_product(array_map(fn (string $f): float => $book->shares[$f][$cause] ?? 0.03, $seen));
                    }
                    $else = array_sum($weights) * 0.03 / 0.97;
                    $weights[$tried] *= 0.03;
                    foreach ($found->causes as $cause => $chance) {
                        self::assertEqualsWithDelta($weights[$cause] / (array_sum($weights) + $else), $chance, 1e-9);
                    }
                    $rounds = [[], [], []];
                    foreach ($found->order as $cause) {
                        $rounds[$book->round($cause, $seen, $known, $book->spokenFor($known)[$cause])][] = $cause;
                    }
                    self::assertEqualsWithDelta(self::leastOf($rounds, $found->causes, 0.0, 1.0), $found->expectedMinutes, 1e-9, implode(' and ', $seen));
                }
            }
        }
    }

    /**
     * @param  list<list<string>>  $rounds
     * @param  array<string, float>  $chances
     */
    private static function leastOf(array $rounds, array $chances, float $spent, float $left): float
    {
        while ($rounds !== [] && $rounds[0] === []) {
            array_shift($rounds);
        }
        if ($rounds === []) {
            return $left * $spent;
        }
        $least = INF;
        foreach ($rounds[0] as $i => $cause) {
            $rest = $rounds;
            array_splice($rest[0], $i, 1);
            $after = $spent + CauseBook::standard()->cause($cause)->minutes;
            $least = min($least, $chances[$cause] * $after + self::leastOf($rest, $chances, $after, $left - $chances[$cause]));
        }

        return $least;
    }

    public function test_when_nothing_is_left_it_is_something_else(): void
    {
        $found = Diagnosis::of(['tunnelling'], [], ['swing-too-wide', 'no-stabiliser']);
        self::assertSame([], $found->order);
        self::assertNull($found->first());
        // 0.03 against 0.97 tried in vain, each of which may have been done wrongly three times in a hundred.
        self::assertEqualsWithDelta(0.03 / (0.03 + 0.97 * 0.03), $found->somethingElse(), 1e-9);
    }

    public function test_every_cause_speaks_of_a_skill_of_the_course_or_of_none(): void
    {
        foreach (CauseBook::standard()->causes as $cause) {
            self::assertTrue($cause->skill === null || Fixtures::bundle()->skills->has($cause->skill), $cause->id);
        }
    }

    public function test_what_was_found_counts_for_its_skill(): void
    {
        $lesson = Fixtures::bundle()->lesson('first-seam');
        $grade = (new Grader(Fixtures::bundle()->skills, Fixtures::bundle()->faults, Words::in()))->grade($lesson, Readings::kept(Fixtures::good($lesson)), ['breaks'], [], null, [CauseBook::standard()->cause('caught-on-spool')]);
        self::assertSame([0.0], $grade->evidence('s', new DateTimeImmutable)->weights['thread-top']);
        $past = PastSample::graded('s', 'first-seam', new DateTimeImmutable, $grade, Words::in());
        self::assertStringContainsString('caught on the spool', (string) $past->worst('thread-top')?->text);
        self::assertStringContainsString('Free the thread', (string) $past->worst('thread-top')?->change?->text);
    }

    /** A Dirichlet prior worth six cases: after six confirmed ones the studio's own weigh half. */
    public function test_confirmed_causes_are_learnt(): void
    {
        $before = Diagnosis::of(['breaks'])->causes;
        $after = Diagnosis::of(['breaks'], [], [], ['breaks' => ['caught-on-spool' => 6]])->causes;
        self::assertEqualsWithDelta(0.97 * (0.5 * $before['caught-on-spool'] / 0.97 + 0.5), $after['caught-on-spool'], 1e-9);
        self::assertSame('caught-on-spool', array_key_first($after));
        self::assertEqualsWithDelta(array_sum($before), array_sum($after), 1e-9);
    }

    public function test_a_studio_s_own_fault_has_its_own_causes(): void
    {
        $own = new Fault('squeak', 'it squeaks', ['dry race', 'loose plate'], [], new Change('setting', 'Brush out the race, power off.'));
        $found = Diagnosis::of(['squeak'], book: CauseBook::standard()->with([$own]));
        self::assertSame(['squeak/1', 'squeak/2'], array_keys($found->causes));
        self::assertSame('Brush out the race, power off.', $found->first()?->do);
        foreach ([[[], 'seen'], [['squeak'], 'seen[0]']] as [$seen, $field]) {
            try {
                Diagnosis::of($seen);
                self::fail('It was diagnosed.');
            } catch (InputError $e) {
                self::assertSame($field, $e->field);
            }
        }
    }

    /** The tea tasting: all four of four told among eight is 1 in 70 (Fisher, The Design of Experiments, 1935, from memory). */
    public function test_fishers_tea_tasting(): void
    {
        self::assertEqualsWithDelta(1 / 70, MachineDrift::tail(4, 4, 0, 4), 1e-12);
        self::assertEqualsWithDelta(17 / 70, MachineDrift::tail(3, 4, 1, 4), 1e-12);
        self::assertEqualsWithDelta(1.0, MachineDrift::tail(0, 4, 4, 4), 1e-12);
    }

    public function test_the_same_fault_on_one_machine_is_the_machine_s(): void
    {
        $samples = [];
        foreach (['a', 'b', 'c'] as $student) {
            $samples[] = ['machine' => 'Window 1', 'student' => $student, 'faults' => ['loops-under']];
        }
        foreach (range(1, 9) as $n) {
            $samples[] = ['machine' => 'Hearth '.($n % 4), 'student' => "s$n", 'faults' => $n === 1 ? ['loops-under', 'wanders'] : ['wanders']];
        }
        $found = MachineDrift::of($samples);
        self::assertCount(1, $found, 'what everybody has is nobody’s machine');
        self::assertSame(['Window 1', 'loops-under', 3, 3, 1, 9], [$found[0]->machine, $found[0]->fault, $found[0]->with, $found[0]->of, $found[0]->elsewhere, $found[0]->ofElsewhere]);
        // One student, however often, is a habit.
        self::assertSame([], MachineDrift::of(array_fill(0, 20, ['machine' => 'Window 1', 'student' => 'a', 'faults' => ['nest']])));
    }

    /** A machine without a lever has none that was left up; one that turns round by itself is not stopped late by hand. Common practice, no source. */
    public function test_causes_go_by_the_way_a_machine_sews_its_buttonholes(): void
    {
        $first = fn (string $fault, string $way): ?string => Diagnosis::of([$fault], ['buttonhole' => $way])->first()?->id;
        self::assertSame(['bh-lever-up', 'bh-foot-not-forward'], [$first('bh-no-start', 'one-step'), $first('bh-no-start', 'one-step-sensing')]);
        self::assertSame('bh-stopped-late', $first('bh-overrun', 'four-step'));
        $late = fn (string $way): float => Diagnosis::of(['bh-overrun'], ['buttonhole' => $way])->causes['bh-stopped-late'];
        self::assertLessThan($late('four-step') / 2, $late('typed'));
    }

    /** Every row of the buttonhole table that is a fault to be seen has causes, and each cause a skill it speaks against. */
    public function test_all_faults_of_the_table_are_known(): void
    {
        foreach (['bh-no-start', 'bh-overrun', 'bh-short', 'bh-sides-differ', 'bh-sticks', 'bh-tight', 'bh-loose', 'bh-other-end', 'bh-off-mark', 'bh-cloth-shows', 'bh-skewed', 'bh-puckered', 'bh-caught', 'bh-start-gap', 'bar-cut'] as $fault) {
            self::assertArrayHasKey($fault, Fixtures::bundle()->faults);
            $found = Diagnosis::of([$fault]);
            self::assertNotNull($found->first(), $fault);
            self::assertNotSame('', $found->first()->do);
            self::assertNotSame([], Fixtures::bundle()->faults[$fault]->denies, $fault);
        }
    }
}
