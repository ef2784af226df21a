<?php

declare(strict_types=1);

namespace OpenSeam\Core\Picture;

use OpenSeam\Core\Stitch\StitchSettings;

/** The thread of a row as it lies on one face, from hole to hole. */
final class StitchThread
{
    /** Between two stitches the thread is in the cloth for this share of one. */
    private const IN_CLOTH = 0.1;

    /** @param  list<array{float, float}>  $points  needle points, mm */
    public static function draw(Pen $pen, array $points, StitchSettings $settings, string $face, Bend $bend): void
    {
        $role = $face === 'under' ? 'thread-under' : 'thread';
        if ($settings->kind->swings() || $settings->lengthMm < 1.2) {
            // Close stitches touch: one line is what is seen.
            foreach (self::runs($points, $bend->broken) as $run) {
                count($run) > 1 && $pen->shape($role, $run);
            }
        } else {
            for ($i = 1, $n = count($points); $i < $n; $i++) {
                if ($bend->broken > 0 && $i % $bend->broken < 2) {
                    continue;
                }
                [[$x1, $y1], [$x2, $y2]] = [$points[$i - 1], $points[$i]];
                [$dx, $dy] = [($x2 - $x1) * self::IN_CLOTH, ($y2 - $y1) * self::IN_CLOTH];
                $pen->line($role, $x1 + $dx, $y1 + $dy, $x2 - $dx, $y2 - $dy);
            }
        }
        $other = $face === 'under' ? 'thread' : 'thread-under';
        foreach ($points as $i => [$x, $y]) {
            $bend->dots && $pen->oval('dark', $x, $y, 0.42);
            if ($bend->loopsMm > 0 && $i > 0) {
                $pen->oval($other, $x, $y + $bend->loopsMm * 0.5, min(0.9, $settings->lengthMm * 0.4), $bend->loopsMm * 0.5);
            }
        }
        if ($bend->nest) {
            foreach (range(0, 6) as $i) {
                $pen->oval($role, 2.0 + ($i % 3) * 1.4, $points[0][1] + (($i * 7) % 5 - 2) * 0.9, 2.0 + ($i % 2), 1.4);
            }
        }
        for ($i = 0; $i < $bend->secured && isset($points[$i + 1]); $i++) {
            $ends = ['start' => [$points[$i], $points[$i + 1]], 'end' => [$points[count($points) - 1 - $i], $points[count($points) - 2 - $i]]];
            foreach ($bend->securedAt === 'both' ? $ends : [$ends[$bend->securedAt]] as [$a, $b]) {
                $pen->line($role, $a[0], $a[1] + 0.45, $b[0], $b[1] + 0.45);
            }
        }
    }

    /**
     * @param  list<array{float, float}>  $points
     * @return list<list<array{float, float}>>
     */
    private static function runs(array $points, int $broken): array
    {
        if ($broken < 1) {
            return [$points];
        }

        return array_map(fn (array $run): array => array_slice($run, 0, max(2, count($run) - 1)), array_chunk($points, $broken));
    }
}
