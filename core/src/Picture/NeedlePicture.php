<?php

declare(strict_types=1);

namespace OpenSeam\Core\Picture;

use OpenSeam\Core\Data;

/**
 * A needle, its shank in the clamp or beside it, and next to it its shank in
 * section: the flat side is where it is. Size is its blade in hundredths of a
 * millimetre, as on the packet.
 */
final class NeedlePicture implements Drawer
{
    public const STATES = ['seated', 'not-home', 'backwards', 'bent', 'blunt', 'threaded-front', 'threaded-side', 'sizes', 'out'];

    /** The usual domestic shank, mm; common practice, no source. */
    private const SHANK_MM = 2.0;

    /** So many mm of the picture for a millimetre: a blade of 0.7 mm is to be told from one of 1.0. */
    private const LARGE = 5.0;

    public function draw(Data $d, Shown $of): Picture
    {
        $state = $d->among('state', self::STATES, 'seated');
        // Shown as it is threaded on this machine.
        $state = $state === 'threaded-front' && $of->machine->sideThreading ? 'threaded-side' : $state;
        $size = $d->numberWithin('size', 80.0, 60, 120, 'hundredths of a mm') / 100;
        $pen = new Pen;
        if ($state === 'sizes') {
            foreach ([0.7, 0.8, 0.9, 1.0] as $i => $blade) {
                $this->needle($pen, $i * 26.0, 0.0, $blade, 'out');
                $pen->label('', $i * 26.0, 150.0, number: (string) round($blade * 100));
            }

            return $pen->picture();
        }
        if ($state !== 'out') {
            $pen->box('metal', -16.0, -10.0, 16.0, 26.0)->oval('metal', 26.0, 12.0, 9.0)->line('heavy', 19.0, 12.0, 33.0, 12.0);
        }
        $down = $state === 'not-home' ? 16.0 : 0.0;
        $this->needle($pen, 0.0, $down, $size, $state);
        $state === 'seated' && $pen->line('lit', -16.0, 0.0, 16.0, 0.0)->label('to-the-stop', -24.0, 6.0, 'end');
        $state === 'not-home' && $pen->cross(0.0, 8.0, 10.0)->label('gap', -24.0, 10.0, 'end');
        // The shank in section, the back of the machine up.
        $flat = match ($state) {
            'backwards' => 1,
            'threaded-side' => 0,
            default => -1,
        };
        $this->section($pen, 74.0, 40.0, 15.0, $flat);
        $pen->label('flat-side', 74.0, $flat === 1 ? 72.0 : 16.0);
        $state === 'backwards' && $pen->cross(74.0, 40.0, 14.0);
        if (str_starts_with($state, 'threaded')) {
            $side = $state === 'threaded-side';
            $pen->shape('thread', $side ? [[-40.0, 90.0], [-4.0, 128.0], [4.0, 128.0], [30.0, 140.0]] : [[0.0, 60.0], [1.5, 128.0], [4.0, 132.0], [30.0, 150.0]]);
        }

        return $pen->picture();
    }

    private function needle(Pen $pen, float $x, float $top, float $blade, string $state): void
    {
        $shank = self::SHANK_MM * self::LARGE / 2;
        $half = $blade * self::LARGE / 2;
        $pen->box('metal', $x - $shank, $top, $x + $shank, $top + 50.0);
        $bend = $state === 'bent' ? 12.0 : 0.0;
        $tip = $state === 'blunt' ? [[$x + $half + $bend, $top + 128.0], [$x - $half * 0.6 + $bend, $top + 130.0], [$x - $half + $bend, $top + 126.0]] : [[$x + $bend, $top + 140.0]];
        $pen->shape('metal', [[$x - $shank, $top + 50.0], [$x + $shank, $top + 50.0], [$x + $half, $top + 62.0], [$x + $half + $bend * 0.1, $top + 90.0], [$x + $half + $bend, $top + 124.0], ...$tip, [$x - $half + $bend, $top + 124.0], [$x - $half + $bend * 0.1, $top + 90.0], [$x - $half, $top + 62.0]]);
        $pen->line('thin', $x, $top + 64.0, $x + $bend * 0.4, $top + 112.0)->oval('dark', $x + $bend * 0.9, $top + 120.0, max(0.7, $half * 0.45), 4.0);
        $state === 'bent' && $pen->line('chalk', $x, $top + 50.0, $x, $top + 142.0)->label('roll-it', $x + 20.0, $top + 138.0, 'start');
        $state === 'blunt' && $pen->oval('lit', $x, $top + 128.0, 12.0);
    }

    /** @param  int  $flat  -1: at the back, 1: at the front, 0: at the left */
    private function section(Pen $pen, float $x, float $y, float $r, int $flat): void
    {
        $turn = [-1 => -M_PI / 2, 1 => M_PI / 2, 0 => M_PI][$flat];
        $pen->arc('metal', $x, $y, $r, $r, $turn + 0.8, $turn - 0.8 + 2 * M_PI);
        $a = [$x + $r * cos($turn + 0.8), $y + $r * sin($turn + 0.8)];
        $b = [$x + $r * cos($turn - 0.8), $y + $r * sin($turn - 0.8)];
        $pen->shape('lit', [$a, $b]);
    }
}
