<?php

declare(strict_types=1);

namespace OpenSeam\Core\Picture;

use OpenSeam\Core\Data;
use OpenSeam\Core\Stitch\Buttonhole;
use OpenSeam\Core\Stitch\StitchBook;
use OpenSeam\Core\Stitch\StitchSettings;

/** A buttonhole along an edge, to scale: marked, sewn, pinned, opened, tried with its button. */
final class HolePicture implements Drawer
{
    public const STATES = ['marked', 'begun', 'sewn', 'pinned', 'opened', 'overcut', 'buttoned', 'compared', 'three', 'unpicked', 'stretched', 'stuck', 'puckered'];

    /** Centre line of the holes from the cloth's edge, mm; common practice, no source. */
    private const FROM_EDGE_MM = 15.0;

    public function draw(Data $d, Shown $of): Picture
    {
        $long = $d->numberWithin('long_mm', 21.0, 8, 60);
        $state = $d->among('state', self::STATES, 'sewn');
        $settings = StitchSettings::of(StitchBook::standard()->get($d->text('stitch', 'buttonhole'), $d->path('stitch')), self::lengthOf($d, 'points_in_10_mm') ?? $d->numberWithin('stitch_mm', 0.5, 0.2, 2), 5.0, gapMm: $d->numberWithin('gap_mm', 0.6, 0.2, 3.8), openBars: $d->flag('open_bars'));
        $pen = new Pen;
        $many = $state === 'three' ? 3 : 1;
        $pen->box('cloth-face', 0, 0, $state === 'three' ? 150.0 : 60.0, 34.0)->line('heavy', 0, 0, $state === 'three' ? 150.0 : 60.0, 0);
        for ($i = 0; $i < $many; $i++) {
            $x = ($state === 'three' ? 16.0 + $i * 40.0 : (60.0 - $long) / 2);
            $this->hole($pen, $state, $settings, $x, self::FROM_EDGE_MM, $long, $d);
        }
        if ($state === 'three') {
            $pen->line('chalk', 4, self::FROM_EDGE_MM, 146, self::FROM_EDGE_MM)->measure(16.0, 56.0, 26.0, 1.6);
        }

        return $pen->picture(true);
    }

    /** Points in ten millimetres of a side, as they are counted, as the length of a stitch; mm. */
    private static function lengthOf(Data $d, string $name): ?float
    {
        return $d->has($name) ? 10.0 / $d->numberWithin($name, null, 5, 50, 'points') : null;
    }

    /**
     * Needle points, moved by what went wrong.
     *
     * @return list<array{float, float}>
     */
    private static function bent(StitchSettings $settings, float $long, Data $d): array
    {
        $overrun = $d->numberWithin('overrun_mm', 0.0, -10, 10);
        $thin = $d->whole('second_side_thinner', 0);
        $lean = $d->numberWithin('leans_mm', 0.0, -10, 10);
        [$along, $across] = [$d->numberWithin('along_mm', 0.0, -40, 40), $d->numberWithin('beside_mm', 0.0, -10, 10)];
        $gap = $d->numberWithin('start_gap_mm', 0.0, 0, 10);
        $points = [];
        $second = self::lengthOf($d, 'second_points_in_10_mm');
        $parts = Buttonhole::parts($settings, $long);
        if ($second !== null) {
            $parts['side-2'] = Buttonhole::parts(StitchSettings::of($settings->kind, $second, $settings->widthMm, gapMm: $settings->gapMm, openBars: $settings->openBars), $long)['side-2'] ?? [];
        }
        foreach ($parts as $part => $of) {
            foreach ($of as $i => [$a, $b]) {
                if (($part === 'side-2' && $thin > 1 && $i % $thin !== 0) || ($part === 'side-1' && $a < $settings->barMm + $gap)) {
                    continue;
                }
                $a += $part === 'side-2' && $a > $long / 2 ? $overrun * (2 * $a / $long - 1) : 0.0;
                $points[] = [$a + $along, $b + $across + $lean * ($a / $long - 0.5)];
            }
        }

        return $points;
    }

    private function hole(Pen $pen, string $state, StitchSettings $settings, float $x, float $y, float $long, Data $d): void
    {
        if ($state === 'marked') {
            $pen->line('chalk', $x - 8, $y, $x + $long + 8, $y)->line('chalk', $x, $y - 6, $x, $y + 6)->line('chalk', $x + $long, $y - 6, $x + $long, $y + 6)->measure($x, $x + $long, $y + 12, 1.6);

            return;
        }
        $points = array_map(fn (array $p): array => [$x + $p[0], $y + $p[1]], self::bent($settings, $d->numberWithin('sewn_mm', $long, 8, 60), $d));
        $d->flag('marks') && $pen->line('chalk', $x, $y - 6, $x, $y + 6)->line('chalk', $x + $long, $y - 6, $x + $long, $y + 6)->line('chalk', $x - 5, $y, $x + $long + 5, $y);
        $sewn = $state === 'begun' ? array_slice($points, 0, (int) (count($points) * 0.45)) : $points;
        if ($state === 'stuck') {
            $sewn = array_slice($points, 0, (int) (count($points) * 0.2));
            $at = $sewn[count($sewn) - 1];
            foreach (range(0, 5) as $i) {
                $pen->oval('thread', $at[0] + sin($i * 2.0) * 1.6, $at[1] + cos($i * 2.0) * 1.4, 2.2, 1.6);
            }
        }
        if ($state === 'puckered') {
            foreach (range(0, 8) as $i) {
                $fold = $x + $long * $i / 8;
                $pen->line('thin', $fold, $y - 4, $fold - ($i - 4) * 0.7, $y - 11)->line('thin', $fold, $y + 4, $fold - ($i - 4) * 0.7, $y + 11);
            }
        }
        if ($state === 'stretched') {
            $sewn = array_map(fn (array $p): array => [$p[0], $p[1] + 1.6 * sin(($p[0] - $x) / $long * 3 * M_PI)], $sewn);
        }
        $state === 'unpicked' ? $pen->shape('ghost', $sewn) : $pen->shape('thread', $sewn);
        $bar = $settings->barMm;
        if ($state === 'begun') {
            $end = $sewn[count($sewn) - 1];
            $pen->oval('dark', $end[0], $end[1], 0.8)->oval('lit', $end[0], $end[1], 3.4);
        }
        if ($state === 'compared') {
            $pen->line('measure', $x, $y + 6, $x + $long, $y + 6)->line('measure', $x, $y - 6, $x + $long, $y - 6)->line('measure', $x, $y - 8, $x, $y + 8)->line('measure', $x + $long, $y - 8, $x + $long, $y + 8);
        }
        $cut = $d->numberWithin('cut_mm', $long - $bar * 2, 0, 60);
        in_array($state, ['opened', 'overcut', 'buttoned'], true) && $pen->line('cut-line', $x + $bar, $y, $x + ($state === 'overcut' ? $long + 2.0 : $bar + $cut), $y);
        $state === 'overcut' && $pen->cross($x + $long, $y, 3.0);
        if (in_array($state, ['pinned', 'opened'], true)) {
            $pin = $x + $long - $bar - 0.8;
            $pen->line('pin', $pin, $y - 11, $pin, $y + 9)->oval('mark', $pin, $y - 11.5, 1.3)->label('pin-inside-bar', $pin, $y + 17);
        }
        $state === 'opened' && $pen->shape('metal', [[$x - 22, $y - 3], [$x + 4, $y - 1.4], [$x + 9, $y - 0.3], [$x + 5, $y + 0.8], [$x + 3, $y + 3], [$x + 1, $y + 1], [$x - 22, $y + 1]]);
        $d->flag('cord') && $pen->shape('cord', [[$x - 4, $y - 1.9], [$x + $long, $y - 1.9], [$x + $long + 3, $y], [$x + $long, $y + 1.9], [$x - 4, $y + 1.9]]);
        $state === 'buttoned' && $pen->oval('wood', $x + $long / 2, $y, $d->numberWithin('button_mm', $long - 5, 5, 60) / 2)->oval('dark', $x + $long / 2 - 2, $y, 0.8)->oval('dark', $x + $long / 2 + 2, $y, 0.8)->line('thread', $x + $long / 2 - 2, $y, $x + $long / 2 + 2, $y);
    }
}
