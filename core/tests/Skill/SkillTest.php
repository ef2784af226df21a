<?php

declare(strict_types=1);

namespace OpenSeam\Core\Tests\Skill;

use DateTimeImmutable;
use InvalidArgumentException;
use OpenSeam\Core\Skill\Evidence;
use OpenSeam\Core\Skill\KnowledgeTracing;
use OpenSeam\Core\Skill\Level;
use OpenSeam\Core\Skill\School;
use OpenSeam\Core\Skill\Skill;
use OpenSeam\Core\Skill\SkillGraph;
use OpenSeam\Core\Skill\SkillGraphBroken;
use OpenSeam\Core\Skill\Standing;
use OpenSeam\Core\Skill\StandingLedger;
use OpenSeam\Core\Skill\TracingParameters;
use OpenSeam\Core\Skill\TracingTable;
use PHPUnit\Framework\TestCase;

final class SkillTest extends TestCase
{
    /** @param  array<string, list<string>>  $needs */
    private static function graph(array $needs): SkillGraph
    {
        return SkillGraph::of(array_map(fn (string $id, array $n): Skill => new Skill($id, $id, needs: $n), array_keys($needs), $needs));
    }

    public function test_a_circle_is_named(): void
    {
        $this->expectException(SkillGraphBroken::class);
        $this->expectExceptionMessage('b needs c needs d needs b');
        self::graph(['a' => ['b'], 'b' => ['c'], 'c' => ['d'], 'd' => ['b']]);
    }

    public function test_a_skill_cannot_need_itself_or_a_stranger(): void
    {
        foreach ([['a' => ['a']], ['a' => ['x']]] as $needs) {
            try {
                self::graph($needs);
                self::fail('It was taken.');
            } catch (SkillGraphBroken $e) {
                self::assertStringContainsString('a', $e->getMessage());
            }
        }
    }

    /** Ready set and root gap against their definitions, on random graphs. */
    public function test_ready_and_root_gap_by_definition(): void
    {
        mt_srand(11);
        for ($round = 0; $round < 40; $round++) {
            $needs = [];
            for ($i = 0; $i < 12; $i++) {
                $needs["s$i"] = array_values(array_filter(array_map(fn (int $j): string => "s$j", range(0, max(0, $i - 1))), fn (string $id): bool => $id !== "s$i" && mt_rand(0, 4) === 0));
            }
            $graph = self::graph($needs);
            $sure = array_fill_keys(array_filter(array_keys($needs), fn (string $id): bool => mt_rand(0, 1) === 1), true);
            $isSure = fn (string $id): bool => isset($sure[$id]);
            $expected = array_filter(array_keys($needs), fn (string $id): bool => ! isset($sure[$id]) && array_diff($needs[$id], array_keys($sure)) === []);
            self::assertEqualsCanonicalizing($expected, $graph->ready($isSure));
            $gap = $graph->rootGap(['s11'], $isSure);
            $below = self::below('s11', $needs);
            self::assertSame(array_diff($below, array_keys($sure)) === [], $graph->stands(['s11'], $isSure));
            self::assertSame($graph->rootGap(['s9', 's10', 's11'], $isSure) === null, $graph->stands(['s9', 's10', 's11'], $isSure));
            if ($gap === null) {
                self::assertSame([], array_diff($below, array_keys($sure)));
            } else {
                self::assertContains($gap, $below);
                self::assertFalse($isSure($gap));
                // The deepest: nothing unmet lies under it.
                self::assertSame([], array_diff(self::below($gap, $needs), array_keys($sure)));
            }
        }
    }

    /**
     * @param  array<string, list<string>>  $needs
     * @return list<string>
     */
    private static function below(string $id, array $needs): array
    {
        $all = [];
        foreach ($needs[$id] as $need) {
            $all = [...$all, $need, ...self::below($need, $needs)];
        }

        return array_values(array_unique($all));
    }

    public function test_soft_evidence_lies_between_wrong_and_right(): void
    {
        $tracing = new KnowledgeTracing(TracingParameters::of(0.5, 0.1, 0.2, 0.0));
        $last = 0.0;
        foreach ([0.0, 0.25, 0.5, 0.75, 1.0] as $w) {
            $after = $tracing->afterSample(0.5, [$w]);
            self::assertGreaterThan($last, $after);
            $last = $after;
        }
        self::assertSame(0.5, $tracing->afterSample(0.5, [0.5]), 'an undecidable reading says nothing');
    }

    public function test_parameters_that_would_punish_a_right_showing_are_refused(): void
    {
        $this->expectException(InvalidArgumentException::class);
        TracingParameters::of(0.3, 0.6, 0.5, 0.1);
    }

    /** One good sample is enough to go on and not sure; two are sure, however many checks each has. */
    public function test_two_good_samples_make_sure(): void
    {
        $book = new StandingLedger(TracingTable::same(TracingParameters::usual()));
        $at = new DateTimeImmutable('2030-05-02');
        $sample = fn (array $weights, array $extras = []): Evidence => new Evidence('s', $at, ['seam' => $weights], [], $extras === [] ? [] : ['seam' => $extras]);
        $of = fn (Evidence ...$e): Standing => $book->standings(array_values($e), $at)['seam'];
        foreach ([[1.0], array_fill(0, 12, 1.0)] as $weights) {
            self::assertTrue($of($sample($weights))->isEnough(School::Tracing));
            self::assertFalse($of($sample($weights))->isSure(School::Tracing));
            self::assertTrue($of($sample($weights), $sample($weights))->isSure(School::Tracing));
        }
        self::assertFalse($of($sample([1.0], array_fill(0, 50, 1.0)))->isSure(School::Tracing), 'extras add, and are no second sample');
        self::assertGreaterThan($of($sample([1.0]))->known, $of($sample([1.0], [1.0]))->known);
        // Twelve checks of which eight were right: the weakest counts.
        $eight = $sample([...array_fill(0, 8, 1.0), ...array_fill(0, 4, 0.0)]);
        self::assertFalse($of($eight, $eight)->isEnough(School::Tracing));
        // Three undecidable readings take nothing away.
        $known = $of($sample([1.0]), $sample([1.0]));
        self::assertGreaterThanOrEqual($known->known, $of($sample([1.0]), $sample([1.0]), $sample([0.5, 0.5, 0.5]))->known);
    }

    /** The teacher's no counts under every school. */
    public function test_the_teachers_no_counts(): void
    {
        foreach (School::cases() as $school) {
            $said = fn (bool $word): Standing => new Standing('x', 0.99, 0.99, [1.0, 1.0, 1.0], new DateTimeImmutable('2030-01-01'), $word);
            self::assertFalse($said(false)->isSure($school));
            self::assertFalse($said(false)->isEnough($school));
            self::assertTrue($said(true)->isSure($school));
        }
    }

    /**
     * The ready set is the outer fringe of knowledge space theory (Doignon &
     * Falmagne 1985): here from the list of all knowledge states of small graphs
     * drawn by lot, a skill is ready when with it the state is a state again.
     */
    public function test_the_ready_set_against_all_knowledge_states(): void
    {
        mt_srand(85);
        for ($round = 0; $round < 40; $round++) {
            $needs = [];
            for ($i = 0; $i < mt_rand(2, 7); $i++) {
                $needs["q$i"] = array_values(array_filter(array_keys($needs), fn (): bool => mt_rand(0, 2) === 0));
            }
            $graph = self::graph($needs);
            $ids = array_keys($needs);
            $states = [];
            for ($bits = 0; $bits < 1 << count($ids); $bits++) {
                $state = array_values(array_filter($ids, fn (string $id): bool => ($bits >> (int) array_search($id, $ids, true) & 1) === 1));
                if (array_filter($state, fn (string $id): bool => array_diff($needs[$id], $state) !== []) === []) {
                    $states[$bits] = $state;
                }
            }
            foreach ($states as $bits => $state) {
                $fringe = array_values(array_filter($ids, fn (string $id): bool => ! in_array($id, $state, true) && isset($states[$bits | 1 << (int) array_search($id, $ids, true)])));
                $ready = $graph->ready(fn (string $id): bool => in_array($id, $state, true));
                sort($ready);
                self::assertSame($fringe, $ready);
            }
        }
    }

    /** Who sews seams every week threads the machine every week: it keeps, though nobody reads it any more. */
    public function test_what_is_used_on_the_way_does_not_fade(): void
    {
        $book = new StandingLedger(TracingTable::same(TracingParameters::usual()));
        $at = fn (int $week): DateTimeImmutable => new DateTimeImmutable("2030-05-02 +$week weeks");
        $threaded = new Evidence('1', $at(0), ['thread' => [1.0, 1.0, 1.0]]);
        $sewn = array_map(fn (int $w): Evidence => new Evidence("s$w", $at($w), ['seam' => [1.0]], ['thread']), range(1, 12));
        $threaded = [$threaded, $threaded];
        self::assertTrue($book->standings($threaded, $at(12))['thread']->refreshDue(School::Tracing));
        $used = $book->standings([...$threaded, ...$sewn], $at(12))['thread'];
        self::assertFalse($used->refreshDue(School::Tracing));
        self::assertSame($used->known, $used->faded);
        self::assertSame([1.0, 1.0], $used->showings, 'using it is no showing');
        self::assertTrue($book->standings([...$threaded, ...$sewn], $at(24))['thread']->refreshDue(School::Tracing));
    }

    public function test_fading_goes_to_the_start_and_makes_a_refresh_due(): void
    {
        $book = new StandingLedger(TracingTable::same(TracingParameters::usual()));
        $kept = new DateTimeImmutable('2030-01-01');
        $evidence = [new Evidence('s', $kept, ['seam' => [1.0, 1.0, 1.0]]), new Evidence('t', $kept, ['seam' => [1.0]])];
        $levels = [];
        foreach (['+0 weeks', '+2 weeks', '+6 weeks', '+40 weeks'] as $later) {
            $standing = $book->standings($evidence, $kept->modify($later))['seam'];
            $levels[] = $standing->level(School::Tracing);
            self::assertGreaterThan(0.25, $standing->faded);
        }
        self::assertSame([Level::Sure, Level::Sure, Level::RefreshDue, Level::RefreshDue], $levels);
        // One time constant leaves 1/e of what was gained.
        self::assertEqualsWithDelta(0.25 + 0.65 / M_E, $book->fade('seam', 0.9, $kept, $kept->modify('+12 weeks')), 1e-9);
        self::assertSame(0.9, (new StandingLedger(TracingTable::same(TracingParameters::usual()), null))->fade('seam', 0.9, $kept, $kept->modify('+90 weeks')));
        self::assertSame(0.9, $book->fade('seam', 0.9, $kept, $kept->modify('-1 week')), 'a clock set back does not raise or fade');
    }

    public function test_schools_read_the_same_evidence_differently(): void
    {
        $standing = fn (float $known, array $showings, ?bool $word = null): Standing => new Standing('x', $known, $known, $showings, new DateTimeImmutable('2030-01-01'), $word);
        self::assertFalse($standing(0.96, [1.0])->isSure(School::Tracing), 'once may be luck');
        self::assertTrue($standing(0.96, [1.0, 1.0])->isSure(School::Tracing));
        self::assertFalse($standing(0.96, [1.0])->isSure(School::ThreeInARow));
        self::assertTrue($standing(0.5, [0.0, 1.0, 0.8, 0.9])->isSure(School::ThreeInARow));
        self::assertFalse($standing(0.99, [1.0, 1.0, 0.2])->isSure(School::ThreeInARow));
        self::assertTrue($standing(0.5, [1.0, 0.2, 0.9])->isSure(School::TwoOfThree));
        self::assertFalse($standing(0.5, [1.0, 1.0, 0.2, 0.1])->isSure(School::TwoOfThree));
        self::assertTrue($standing(0.1, [], true)->isSure(School::TeachersWord));
        self::assertFalse($standing(0.99, [1.0], false)->isSure(School::TeachersWord));
    }
}
