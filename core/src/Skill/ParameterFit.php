<?php

declare(strict_types=1);

namespace OpenSeam\Core\Skill;

use OpenSeam\Core\Near;

/**
 * Slip, guess, start and transit of a kind of skill from a studio's own samples:
 * expectation maximisation for the two-state hidden Markov model that knowledge
 * tracing is (Baum, Petrie, Soules & Weiss 1970; Corbett & Anderson 1995). A
 * showing between right and wrong counts as that share of each. The usual
 * numbers stand in as some showings of their own, so that few samples move them
 * little. What comes out is only gone by where it foretells students that were
 * held out better than the usual numbers do, by more than the error of that
 * difference. Fading between sessions is left aside. What a student knows before
 * and what the demonstration taught cannot be told apart by samples: the usual
 * start is kept, and the demonstration takes the difference.
 *
 * @phpstan-type Sequence array{student: string, samples: list<list<float>>}
 */
final class ParameterFit
{
    /** Showings of a kind before anything is fitted; common practice, no source. */
    public const ENOUGH_SHOWINGS = 300;

    public const ENOUGH_STUDENTS = 15;

    /** Showings that the usual numbers count for. */
    private const PRIOR = 20.0;

    private const ROUNDS = 200;

    private const STILL = 1e-7;

    private const FOLDS = 5;

    /** Slip and guess each stay below: a right showing must speak for the student. */
    private const LARGEST = 0.45;

    /**
     * @param  list<Sequence>  $sequences  of one kind of skill: each student's showings of one skill, sample after sample (Evidence::showings)
     */
    public static function of(string $kind, array $sequences, TracingParameters $usual): FitReport
    {
        $students = array_values(array_unique(array_column($sequences, 'student')));
        sort($students);
        $showings = array_sum(array_map(fn (array $s): int => count($s['samples']), $sequences));
        if ($showings < self::ENOUGH_SHOWINGS || count($students) < self::ENOUGH_STUDENTS) {
            return new FitReport($kind, $usual, null, count($students), $showings, null, null, false);
        }
        $fold = array_flip($students);
        [$old, $new] = [[], []];
        for ($f = 0; $f < self::FOLDS; $f++) {
            $inside = array_values(array_filter($sequences, fn (array $s): bool => $f !== $fold[$s['student']] % self::FOLDS));
            $fitted = self::fit($inside, $usual);
            foreach ($sequences as $s) {
                if ($f === $fold[$s['student']] % self::FOLDS) {
                    $old[$s['student']][] = self::losses($s['samples'], $usual);
                    $new[$s['student']][] = self::losses($s['samples'], $fitted);
                }
            }
        }
        $before = array_map(fn (array $l): array => array_merge(...$l), $old);
        $after = array_map(fn (array $l): array => array_merge(...$l), $new);
        $fitted = self::fit($sequences, $usual);
        $used = self::better($before, $after);

        return new FitReport($kind, $used ? $fitted : $usual, $fitted, count($students), $showings, array_sum(array_merge(...array_values($before))) / $showings, array_sum(array_merge(...array_values($after))) / $showings, $used);
    }

    /**
     * The gain, student by student, is more than its own standard error.
     *
     * @param  array<string, list<float>>  $before
     * @param  array<string, list<float>>  $after
     */
    private static function better(array $before, array $after): bool
    {
        $gains = array_map(fn (array $b, array $a): float => array_sum($b) - array_sum($a), $before, $after);
        $n = count($gains);
        $mean = array_sum($gains) / max(1, $n);
        $variance = array_sum(array_map(fn (float $g): float => ($g - $mean) ** 2, $gains)) / max(1, $n - 1);

        return $mean > sqrt($variance / max(1, $n));
    }

    /**
     * @param  list<Sequence>  $sequences
     * @param  float  $prior  showings that the starting numbers count for
     */
    public static function fit(array $sequences, TracingParameters $usual, float $prior = self::PRIOR): TracingParameters
    {
        $usually = TracingParameters::of($usual->afterDemo(), $usual->slip, $usual->guess, $usual->transit);
        $p = $usually;
        for ($round = 0; $round < self::ROUNDS; $round++) {
            $next = self::step($sequences, $p, $usually, $prior);
            $moved = max(abs($next->start - $p->start), abs($next->slip - $p->slip), abs($next->guess - $p->guess), abs($next->transit - $p->transit));
            $p = $next;
            if ($moved < self::STILL) {
                break;
            }
        }
        $start = min($usual->start, $p->start);

        return TracingParameters::of($start, $p->slip, $p->guess, $p->transit, $start < 1 ? ($p->start - $start) / (1 - $start) : 0.0);
    }

    /**
     * One round: what was probably known when, and the numbers that fit it best.
     *
     * @param  list<Sequence>  $sequences
     */
    private static function step(array $sequences, TracingParameters $p, TracingParameters $usual, float $prior): TracingParameters
    {
        // Numerator and denominator of each, begun with what the usual numbers count for.
        $start = [$prior * $usual->start, $prior];
        $slip = [$prior * $usual->slip, $prior];
        $guess = [$prior * $usual->guess, $prior];
        $transit = [$prior * $usual->transit, $prior];
        foreach ($sequences as ['samples' => $samples]) {
            [$known, $learned] = self::smooth($samples, $p);
            $start[0] += $known[0] ?? 0.0;
            $start[1] += $samples === [] ? 0 : 1;
            foreach ($samples as $t => $weights) {
                $share = min(1.0, KnowledgeTracing::MOST_CHECKS / max(1, count($weights)));
                foreach ($weights as $w) {
                    // How much of a soft showing was probably wrong, or right, if it was known, or not.
                    $slipped = self::part((1 - $w) * $p->slip, $w * (1 - $p->slip));
                    $guessed = self::part($w * $p->guess, (1 - $w) * (1 - $p->guess));
                    $slip[0] += $share * $known[$t] * $slipped;
                    $slip[1] += $share * $known[$t];
                    $guess[0] += $share * (1 - $known[$t]) * $guessed;
                    $guess[1] += $share * (1 - $known[$t]);
                }
                if (isset($learned[$t])) {
                    $transit[0] += $learned[$t];
                    $transit[1] += 1 - $known[$t];
                }
            }
        }
        $of = fn (float $part, float $all): float => $all > 0 ? min(1.0, max(0.0, $part / $all)) : 0.0;

        return TracingParameters::of($of(...$start), min(self::LARGEST, $of(...$slip)), min(self::LARGEST, $of(...$guess)), $of(...$transit));
    }

    /**
     * Forwards and backwards through one sequence.
     *
     * @param  list<list<float>>  $samples
     * @return array{list<float>, list<float>} chance that it was known at each sample, and that it was learned right after it (but for the last)
     */
    private static function smooth(array $samples, TracingParameters $p): array
    {
        $n = count($samples);
        $likely = array_map(fn (array $w): array => self::likelihood($w, $p), $samples);
        $forward = [];
        $now = [1 - $p->start, $p->start];
        foreach ($likely as [$unknown, $knows]) {
            $a = [$now[0] * $unknown, $now[1] * $knows];
            $sum = max(Near::LEAST, $a[0] + $a[1]);
            $forward[] = $a = [$a[0] / $sum, $a[1] / $sum];
            $now = [$a[0] * (1 - $p->transit), $a[1] + $a[0] * $p->transit];
        }
        $back = [1.0, 1.0];
        [$known, $learned] = [[], []];
        for ($t = $n - 1; $t >= 0; $t--) {
            if ($t < $n - 1) {
                [$unknown, $knows] = $likely[$t + 1];
                $stay = $forward[$t][0] * (1 - $p->transit) * $unknown * $back[0];
                $step = $forward[$t][0] * $p->transit * $knows * $back[1];
                $kept = $forward[$t][1] * $knows * $back[1];
                $sum = max(Near::LEAST, $stay + $step + $kept);
                $learned[$t] = $step / $sum;
                $back = [(1 - $p->transit) * $unknown * $back[0] + $p->transit * $knows * $back[1], $knows * $back[1]];
                $scale = max(Near::LEAST, $back[0] + $back[1]);
                $back = [$back[0] / $scale, $back[1] / $scale];
            }
            $sum = max(Near::LEAST, $forward[$t][0] * $back[0] + $forward[$t][1] * $back[1]);
            $known[$t] = $forward[$t][1] * $back[1] / $sum;
        }
        ksort($known);
        ksort($learned);

        return [array_values($known), array_values($learned)];
    }

    /**
     * @param  list<float>  $weights
     * @return array{float, float} of a sample's showings, not known and known
     */
    private static function likelihood(array $weights, TracingParameters $p): array
    {
        [$unknown, $known] = [0.0, 0.0];
        foreach ($weights as $w) {
            $unknown += log(max(Near::DUST, $w * $p->guess + (1 - $w) * (1 - $p->guess)));
            $known += log(max(Near::DUST, $w * (1 - $p->slip) + (1 - $w) * $p->slip));
        }
        $share = min(1.0, KnowledgeTracing::MOST_CHECKS / max(1, count($weights)));

        return [exp($share * $unknown), exp($share * $known)];
    }

    private static function part(float $one, float $other): float
    {
        return $one + $other > 0 ? $one / ($one + $other) : 0.0;
    }

    /**
     * What each sample's showing cost that was foretold from the samples before it.
     *
     * @param  list<list<float>>  $samples
     * @return list<float> −log of the chance it was given
     */
    public static function losses(array $samples, TracingParameters $p): array
    {
        $losses = [];
        $tracing = new KnowledgeTracing($p);
        $known = $p->afterDemo();
        foreach ($samples as $weights) {
            foreach (array_slice($weights, 0, 1) as $w) {
                $right = min(1 - Near::DUST, max(Near::DUST, $known * (1 - $p->slip) + (1 - $known) * $p->guess));
                $losses[] = -($w * log($right) + (1 - $w) * log(1 - $right));
            }
            $known = $tracing->afterSample($known, $weights);
        }

        return $losses;
    }
}
