<?php

declare(strict_types=1);

namespace OpenSeam\Core\Tests\Support;

use OpenSeam\Core\Bench\BenchProblem;
use OpenSeam\Core\Course\Planning\PlanTask;

/** The GNU Linear Programming Kit from Debian's packages, asked the same question as our own solver. Tests and measurements only. */
final class GeneralSolver
{
    public static function isThere(): bool
    {
        return trim((string) shell_exec('command -v glpsol 2>/dev/null')) !== '';
    }

    /**
     * The fewest sessions, as an integer program.
     *
     * @param  list<PlanTask>  $tasks
     * @param  int  $most  a number of sessions that is known to be enough
     * @return int|null null when it did not finish in its time
     */
    public static function fewestSessions(array $tasks, float $capacity, int $most, int $seconds = 10): ?int
    {
        $number = array_flip(array_map(fn (PlanTask $t): string => $t->id, $tasks));
        $rows = [];
        foreach ($tasks as $j => $task) {
            $rows[] = implode(' + ', array_map(fn (int $k): string => "x_{$j}_$k", range(1, $most))).' = 1';
            $session = implode(' + ', array_map(fn (int $k): string => "$k x_{$j}_$k", range(1, $most)));
            $rows[] = 'z - '.str_replace(' + ', ' - ', $session).' >= 0';
            foreach ($task->needs as $need) {
                $before = $number[$need];
                $rows[] = $session.' - '.implode(' - ', array_map(fn (int $k): string => "$k x_{$before}_$k", range(1, $most))).' >= 0';
            }
        }
        for ($k = 1; $k <= $most; $k++) {
            $rows[] = implode(' + ', array_map(fn (PlanTask $t, int $j): string => sprintf('%.6f x_%d_%d', $t->minutes, $j, $k), $tasks, array_keys($tasks))).sprintf(' <= %.6f', $capacity);
        }
        $lp = "Minimize\n obj: z\nSubject To\n";
        foreach ($rows as $i => $row) {
            $lp .= " c$i: $row\n";
        }
        $binaries = [];
        foreach (array_keys($tasks) as $j) {
            for ($k = 1; $k <= $most; $k++) {
                $binaries[] = "x_{$j}_$k";
            }
        }
        $lp .= "Bounds\n z >= 0\nBinary\n ".implode("\n ", $binaries)."\nEnd\n";
        $found = self::run($lp, $seconds);

        return $found === null ? null : (int) round($found);
    }

    /** The seating of most value, as an integer program. Null when it did not finish in its time. */
    public static function seating(BenchProblem $problem, int $seconds = 10): ?float
    {
        $rows = $sum = $binaries = [];
        foreach (array_keys($problem->wants) as $s) {
            foreach ($problem->wants[$s] as $l => $value) {
                foreach (array_keys($problem->machines) as $m) {
                    if (! in_array($l, $problem->machines[$m], true) || ($problem->held[$s] ?? $m) !== $m || in_array($m, array_diff_key($problem->held, [$s => 1]), true)) {
                        continue;
                    }
                    foreach ($problem->lessons[$l] === null ? [-1] : $problem->stocks($l, (string) $m) as $f) {
                        $binaries[] = $x = "x_{$s}_{$l}_{$m}_".($f < 0 ? 'n' : $f);
                        $sum[] = sprintf('%.6f %s', $value, $x);
                        $rows["s$s"][] = $rows["m$m"][] = $x;
                        $f < 0 || $rows["f$f"][] = $x;
                        $rows["u $x"] = [$x, "y_$l"];
                    }
                }
            }
        }
        if ($sum === []) {
            return 0.0;
        }
        $lp = "Maximize\n obj: ".implode("\n + ", $sum)."\nSubject To\n";
        foreach ($rows as $name => $xs) {
            $lp .= ' '.match ($name[0]) {
                'u' => "{$xs[0]} - {$xs[1]} <= 0",
                'f' => implode("\n + ", $xs).' <= '.$problem->feet[(int) substr($name, 1)]->count,
                default => implode("\n + ", $xs).' <= 1',
            }."\n";
        }
        $open = array_map(fn (string $l): string => "y_$l", array_keys($problem->lessons));

        return self::run($lp.' '.implode(' + ', $open)." <= {$problem->mostLessons}\nBinary\n ".implode("\n ", [...$binaries, ...$open])."\nEnd\n", $seconds);
    }

    private static function run(string $lp, int $seconds): ?float
    {
        $file = (string) tempnam(sys_get_temp_dir(), 'seam-lp');
        file_put_contents($file, $lp);
        exec(sprintf('glpsol --lp %s --cuts --tmlim %d -o %s.out 2>&1', escapeshellarg($file), $seconds, escapeshellarg($file)));
        $out = (string) @file_get_contents("$file.out");
        array_map(fn (string $f): bool => is_file($f) && unlink($f), [$file, "$file.out"]);

        return str_contains($out, 'INTEGER OPTIMAL') && preg_match('/Objective:\s+obj = (\S+)/', $out, $m) === 1 ? (float) $m[1] : null;
    }
}
