<?php

declare(strict_types=1);

namespace OpenSeam\Core\Course;

use OpenSeam\Core\ValueRefused;

/**
 * How long a lesson takes a class: demo, rounds of sewing, and the part of the
 * inspecting that does not overlap with the next round. Students sew in rounds
 * of as many as there are machines and feet; the teacher and each helper look
 * at one sample at a time, in the order they are finished. Common practice, no
 * source.
 *
 * @phpstan-type Span array{kind: string, from: float, to: float, round: int}
 */
final readonly class ClassMinutes
{
    /** @param  list<Span>  $spans */
    private function __construct(
        public int $rounds,
        public float $minutes,
        /** What happens when, in minutes from the lesson's start: "show", "sew", "look". Looking may overlap sewing. */
        public array $spans,
    ) {}

    /**
     * @param  int  $students  1 to 500
     * @param  int  $places  usable machines, or feet where fewer, 1 or more
     * @param  int  $helpers  0 or more
     *
     * @throws ValueRefused when nobody could sew
     */
    public static function of(int $students, int $places, int $helpers, LessonMinutes $lesson): self
    {
        if ($students < 1 || $places < 1 || $helpers < 0) {
            throw new ValueRefused('A class needs a student, a machine and a foot.');
        }
        $rounds = (int) ceil($students / $places);
        $spans = [['kind' => 'show', 'from' => 0.0, 'to' => $lesson->demo, 'round' => 0]];
        $eyes = array_fill(0, 1 + $helpers, $lesson->demo);
        $left = $students;
        $end = $lesson->demo;
        for ($round = 1; $round <= $rounds; $round++) {
            $sewn = $lesson->demo + $round * $lesson->sew;
            $spans[] = ['kind' => 'sew', 'from' => $sewn - $lesson->sew, 'to' => $sewn, 'round' => $round];
            $here = min($places, $left);
            $left -= $here;
            $from = null;
            for ($i = 0; $i < $here; $i++) {
                sort($eyes);
                $start = max($eyes[0], $sewn);
                $eyes[0] = $start + $lesson->inspect;
                $from ??= $start;
                $end = max($end, $sewn, $eyes[0]);
            }
            $spans[] = ['kind' => 'look', 'from' => $from ?? $sewn, 'to' => max($eyes), 'round' => $round];
        }

        return new self($rounds, $end, $spans);
    }

    /** The same for a group that takes longer, or shorter: 1.25 takes a quarter more. */
    public function paced(float $pace): self
    {
        return $pace === 1.0 ? $this : new self($this->rounds, $this->minutes * $pace, array_map(fn (array $s): array => ['from' => $s['from'] * $pace, 'to' => $s['to'] * $pace] + $s, $this->spans));
    }

    /** A lesson of the course for this class: one without a machine is one round for all. */
    public static function forLesson(Lesson $lesson, int $students, int $machines, int $helpers): self
    {
        return self::of($students, $lesson->machine ? $machines : $students, $helpers, $lesson->minutes);
    }
}
