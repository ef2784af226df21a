<?php

declare(strict_types=1);

// Every length check of the course on rows that are known to the hair: how often what is not met is called met, and
// how often it is too close to call, at once and after the reading that is asked for. php core/bin/bench-verdicts.php [rows a check, default 400]

use OpenSeam\Core\Measure\Unit;
use OpenSeam\Core\Tests\Support\ReadBack;

require __DIR__.'/../../vendor/autoload.php';

$rows = max(1, (int) ($argv[1] ?? 400));
foreach (['half millimetres' => [Unit::Millimetre, 0.5], 'whole millimetres' => [Unit::Millimetre, 1.0], 'sixteenths of an inch' => [Unit::Inch, 25.4 / 16]] as $name => [$unit, $step]) {
    $found = ReadBack::all($unit, $step, $rows);
    $sum = fn (string $what): int => array_sum(array_column($found, $what));
    printf("%s: %d rows, called met and not %.1f %%, too close to call %.1f %%, after the reading asked for %.1f %%\n", $name, $sum('n'), 100 * $sum('false') / $sum('n'), 100 * $sum('unsure') / $sum('n'), 100 * $sum('still') / $sum('n'));
    uasort($found, fn (array $a, array $b): int => $b['unsure'] / max(1, $b['n']) <=> $a['unsure'] / max(1, $a['n']));
    foreach ($found as $check => $f) {
        $f['n'] > 0 && printf("  %-46s false met %4.1f %%  unsure %4.1f %%  then %4.1f %%\n", $check, 100 * $f['false'] / $f['n'], 100 * $f['unsure'] / $f['n'], 100 * $f['still'] / $f['n']);
    }
}
