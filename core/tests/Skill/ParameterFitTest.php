<?php

declare(strict_types=1);

namespace OpenSeam\Core\Tests\Skill;

use DateTimeImmutable;
use OpenSeam\Core\Skill\ParameterFit;
use OpenSeam\Core\Skill\SimulatedLearner;
use OpenSeam\Core\Skill\Skill;
use OpenSeam\Core\Skill\SkillGraph;
use OpenSeam\Core\Skill\TracingParameters;
use OpenSeam\Core\Skill\TracingTable;
use PHPUnit\Framework\TestCase;

final class ParameterFitTest extends TestCase
{
    /**
     * @return list<array{student: string, samples: list<list<float>>}> each of one skill, drawn by lot
     */
    private static function drawn(TracingParameters $p, int $students, int $samples, int $seed): array
    {
        $graph = SkillGraph::of([new Skill('seam', 'Seam')]);
        $at = new DateTimeImmutable('2030-05-02');
        $sequences = [];
        for ($i = 0; $i < $students; $i++) {
            $learner = new SimulatedLearner($graph, TracingTable::same($p), $seed * 100_000 + $i * 7919, fadingWeeks: null);
            $sequences[] = ['student' => sprintf('s%04d', $i), 'samples' => array_map(fn (): array => $learner->sew(['seam'], $at)['seam'], range(1, $samples))];
        }

        return $sequences;
    }

    /** Numbers that samples were drawn with come out again, within 0.03 each, from 1,500 learners and ten samples; the usual ones count for nothing. */
    public function test_drawn_numbers_come_out_again(): void
    {
        foreach ([[0.3, 0.1, 0.1, 0.2], [0.15, 0.05, 0.25, 0.35], [0.5, 0.2, 0.15, 0.1]] as $i => $truth) {
            $p = TracingParameters::of(...$truth);
            $found = ParameterFit::fit(self::drawn($p, 1500, 10, $i + 1), TracingParameters::usual(), 0.0);
            foreach ([$found->afterDemo(), $found->slip, $found->guess, $found->transit] as $k => $value) {
                self::assertEqualsWithDelta($truth[$k], $value, 0.03, ['start', 'slip', 'guess', 'transit'][$k]." of draw $i");
            }
        }
    }

    /** A round of expectation maximisation never makes what was seen less likely (Dempster, Laird & Rubin 1977). */
    public function test_every_round_makes_the_samples_more_likely(): void
    {
        $sequences = self::drawn(TracingParameters::of(0.2, 0.15, 0.2, 0.3), 60, 6, 9);
        $loss = fn (TracingParameters $p): float => array_sum(array_map(fn (array $s): float => array_sum(ParameterFit::losses($s['samples'], $p)), $sequences));
        $fitted = ParameterFit::fit($sequences, TracingParameters::usual(), 0.0);
        $least = $loss($fitted);
        self::assertLessThan($loss(TracingParameters::usual()), $least);
        // No step to any side does better: a summit.
        foreach ([[0.01, 0, 0, 0], [-0.01, 0, 0, 0], [0, 0.01, 0, 0], [0, -0.01, 0, 0], [0, 0, 0.01, 0], [0, 0, -0.01, 0], [0, 0, 0, 0.01], [0, 0, 0, -0.01]] as [$a, $b, $c, $d]) {
            self::assertGreaterThanOrEqual($least - 1e-6, $loss(TracingParameters::of($fitted->start + $a, max(0.0, $fitted->slip + $b), max(0.0, $fitted->guess + $c), $fitted->transit + $d)));
        }
    }

    public function test_few_samples_or_no_gain_leave_the_usual_numbers(): void
    {
        $usual = TracingParameters::usual();
        $few = ParameterFit::of('hand', self::drawn(TracingParameters::of(0.1, 0.3, 0.3, 0.05), 10, 6, 3), $usual);
        self::assertSame([$usual, null, false, 10, 60], [$few->parameters, $few->fitted, $few->used, $few->students, $few->showings]);
        // Students like the usual ones: nothing to be gained but by luck.
        $used = 0;
        for ($seed = 1; $seed <= 12; $seed++) {
            $same = ParameterFit::of('hand', self::drawn($usual, 40, 8, $seed), $usual);
            self::assertNotNull($same->fitted);
            $used += $same->used ? 1 : 0;
        }
        self::assertLessThanOrEqual(4, $used);
    }

    public function test_students_who_learn_otherwise_are_foretold_better(): void
    {
        $usual = TracingParameters::usual();
        $report = ParameterFit::of('hand', self::drawn(TracingParameters::of(0.1, 0.05, 0.3, 0.5), 80, 8, 5), $usual);
        self::assertTrue($report->used);
        self::assertLessThan($report->usualLoss, $report->fittedLoss);
        self::assertEqualsWithDelta(0.5, $report->parameters->transit, 0.1);
    }
}
