<?php

declare(strict_types=1);

namespace OpenSeam\Core\Skill;

use OpenSeam\Core\Near;

/**
 * Who finishes when, by the skill model run forward: each lesson still to come
 * takes as many samples as it takes until one is good (LessonToCome), and each session to come
 * has room for so many. The chances are worked out, not drawn: sums of
 * independent counts, folded lesson by lesson.
 */
final readonly class FinishForecast
{
    /**
     * @param  list<list<float>>  $done  for each session to come, the chance that at least 0, 1, 2 … of the lessons are done by its end
     * @param  list<float>  $expected  samples each lesson takes
     */
    private function __construct(public array $done, public array $expected) {}

    /**
     * @param  list<LessonToCome>  $lessons  in order
     * @param  list<int>  $samples  a student can sew by the end of each session to come, from now on
     */
    public static function of(array $lessons, array $samples): self
    {
        $most = max([0, ...$samples]);
        // Chance that so many samples were needed for the lessons so far.
        $needed = [0 => 1.0];
        $within = [self::cumulated($needed, $most)];
        foreach ($lessons as $lesson) {
            $next = [];
            foreach ($needed as $a => $chance) {
                foreach ($lesson->chances as $n => $with) {
                    if ($a + $n <= $most) {
                        $next[$a + $n] = ($next[$a + $n] ?? 0.0) + $chance * $with;
                    }
                }
            }
            $needed = $next;
            $within[] = self::cumulated($needed, $most);
        }

        return new self(array_map(fn (int $s): array => array_map(fn (array $w): float => $w[$s] ?? 0.0, $within), $samples), array_map(fn (LessonToCome $l): float => $l->expected(), $lessons));
    }

    /**
     * Several forecasts of the same lessons, each as likely as its weight.
     *
     * @param  non-empty-list<array{float, self}>  $parts  weights together 1
     */
    public static function mixed(array $parts): self
    {
        $done = $parts[0][1]->done;
        $expected = $parts[0][1]->expected;
        foreach ($done as $s => $row) {
            foreach (array_keys($row) as $n) {
                $done[$s][$n] = array_sum(array_map(fn (array $p): float => $p[0] * $p[1]->done[$s][$n], $parts));
            }
        }
        foreach (array_keys($expected) as $i) {
            $expected[$i] = array_sum(array_map(fn (array $p): float => $p[0] * $p[1]->expected[$i], $parts));
        }

        return new self($done, $expected);
    }

    /** Chance that everything is done by the end of the last session. */
    public function chance(): float
    {
        $last = $this->done === [] ? [1.0] : $this->done[count($this->done) - 1];

        return $this->done === [] && $this->expected !== [] ? 0.0 : $last[count($last) - 1];
    }

    /**
     * So many samples are enough for this share of a class to have everything done.
     *
     * @param  non-empty-list<self>  $class  each of the same numbers of samples
     * @param  list<int>  $samples  that each entry of the forecasts stands for, fewest first
     * @return int the most that was looked at where none of them is enough
     */
    public static function samplesFor(array $class, array $samples, float $share): int
    {
        foreach ($samples as $k => $n) {
            $sum = array_sum(array_map(fn (self $f): float => $f->done[$k][count($f->expected)] ?? 0.0, $class));
            if ($sum / count($class) >= $share - Near::CHANCE) {
                return $n;
            }
        }

        return max([0, ...$samples]);
    }

    /**
     * So many lessons, at least, have this share of a class done by the end of a session.
     *
     * @param  list<array{int, self}>  $class  for each student the lessons done already, and what is to come
     * @param  float  $share  such as 0.9: nine in ten get that far
     */
    public static function ofClass(array $class, int $session, float $share): int
    {
        $most = max([0, ...array_map(fn (array $s): int => $s[0] + count($s[1]->expected), $class)]);
        for ($n = 1; $n <= $most; $n++) {
            $sum = 0.0;
            foreach ($class as [$done, $forecast]) {
                $sum += $n <= $done ? 1.0 : ($forecast->done[$session][$n - $done] ?? 0.0);
            }
            if ($sum / count($class) < $share - Near::CHANCE) {
                return $n - 1;
            }
        }

        return $most;
    }

    /**
     * So many lessons, at least, are done by the end of a session with this chance.
     *
     * @param  float  $share  such as 0.9: nine in ten get that far
     */
    public function lessonsBy(int $session, float $share): int
    {
        $lessons = 0;
        foreach ($this->done[$session] ?? [] as $n => $chance) {
            $lessons = $chance >= $share - Near::CHANCE ? $n : $lessons;
        }

        return $lessons;
    }

    /**
     * @param  array<int, float>  $chances
     * @return list<float> chance of at most 0, 1, 2 …
     */
    private static function cumulated(array $chances, int $most): array
    {
        $sum = 0.0;
        $all = [];
        for ($n = 0; $n <= $most; $n++) {
            $all[] = $sum += $chances[$n] ?? 0.0;
        }

        return $all;
    }
}
