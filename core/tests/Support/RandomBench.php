<?php

declare(strict_types=1);

namespace OpenSeam\Core\Tests\Support;

use OpenSeam\Core\Bench\BenchProblem;
use OpenSeam\Core\Bench\FootStock;

/** Sessions drawn by lot: rooms of unlike machines, few feet of a kind, wishes that pull apart. */
final class RandomBench
{
    public static function of(int $students, int $machines, int $lessons, int $seed): BenchProblem
    {
        mt_srand($seed);
        $kinds = ['zip', 'satin', 'blind hem'];
        $needs = $can = $wants = $feet = $at = [];
        for ($l = 0; $l < $lessons; $l++) {
            $needs["l$l"] = mt_rand(0, 2) === 0 ? null : $kinds[mt_rand(0, 2)];
        }
        $names = array_map(fn (int $m): string => "m$m", range(0, $machines - 1));
        // Two or three makes of machine, as in a real room.
        $makes = array_map(fn (): array => array_values(array_filter(array_keys($needs), fn (): bool => mt_rand(0, 3) > 0)), range(0, 2));
        foreach ($names as $m) {
            $can[$m] = mt_rand(0, 5) === 0 ? array_values(array_filter(array_keys($needs), fn (): bool => mt_rand(0, 1) > 0)) : $makes[mt_rand(0, 2)];
        }
        foreach ($kinds as $kind) {
            for ($i = mt_rand(1, 2); $i > 0; $i--) {
                $feet[] = new FootStock($kind, array_values(array_filter($names, fn (): bool => mt_rand(0, 3) > 0)), mt_rand(0, max(1, intdiv($students, 3))));
            }
        }
        for ($s = 0; $s < $students; $s++) {
            $mine = array_keys($needs);
            shuffle($mine);
            foreach (array_slice($mine, 0, mt_rand(1, min(6, $lessons))) as $l) {
                $wants["s$s"][$l] = mt_rand(1, 40) / 4;
            }
            arsort($wants["s$s"]);
            $at["s$s"] = $names[$s % $machines];
        }

        return new BenchProblem($wants, $needs, $can, $feet, mt_rand(1, 4), $at, $seed % 3 === 0 ? array_slice(array_unique($at), 0, 2) : []);
    }
}
