<?php

declare(strict_types=1);

namespace OpenSeam\Core\Tests\Support;

use OpenSeam\Core\Course\Planning\PlanTask;

/** Courses drawn by lot: lessons of 12 to 70 minutes that mostly stand on those shortly before. */
final class RandomLessons
{
    /** @return list<PlanTask> */
    public static function course(int $n, int $seed, float $dense = 0.25): array
    {
        mt_srand($seed);
        $tasks = [];
        for ($i = 0; $i < $n; $i++) {
            $needs = array_values(array_filter(range(0, max(0, $i - 1)), fn (int $k): bool => $k < $i && mt_rand() / mt_getrandmax() < $dense * min(1, 5 / ($i - $k))));
            $tasks[] = new PlanTask("t$i", mt_rand(12, 70), array_map(fn (int $k): string => "t$k", $needs), ['straight', 'zip', null][mt_rand(0, 2)]);
        }
        shuffle($tasks);

        return $tasks;
    }
}
