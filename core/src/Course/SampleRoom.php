<?php

declare(strict_types=1);

namespace OpenSeam\Core\Course;

use OpenSeam\Core\Near;

/**
 * How many samples a student can sew in the sessions to come: one of each lesson
 * that is laid in them, and as many more as the minutes that are left hold.
 */
final class SampleRoom
{
    /**
     * @param  list<array{lessons: int, used: float, usable: float, left: float}>  $sessions  lessons laid, their minutes, those there are, and the share of the session that is still to come, 0 to 1
     * @param  list<float>  $more  minutes of one more sample without the demo, for each lesson of the course
     * @return list<int> samples by the end of each session
     */
    public static function by(array $sessions, array $more): array
    {
        $one = max(1.0, array_sum($more) / max(1, count($more)));
        $sum = 0.0;
        $samples = [];
        foreach ($sessions as $s) {
            $sum += ($s['lessons'] + max(0.0, $s['usable'] - $s['used']) / $one) * max(0.0, min(1.0, $s['left']));
            $samples[] = (int) floor($sum + Near::DUST);
        }

        return $samples;
    }
}
