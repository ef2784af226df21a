<?php

declare(strict_types=1);

namespace OpenSeam\Core\Picture;

use OpenSeam\Core\Data;

/** A bobbin: how full, how wound, and how it lies in the machine with its thread in the slit. */
final class BobbinPicture implements Drawer
{
    public const STATES = ['half', 'full', 'over-full', 'uneven', 'winding', 'in-case', 'in-case-wrong', 'tail-cut', 'slit-out'];

    public function draw(Data $d, Shown $of): Picture
    {
        $state = $d->among('state', self::STATES, 'half');
        $pen = new Pen;
        match ($state) {
            'in-case', 'in-case-wrong', 'tail-cut', 'slit-out' => $this->lying($pen, $state, $of->machine->bobbin),
            default => $this->wound($pen, $state),
        };

        return $pen->picture();
    }

    private function wound(Pen $pen, string $state): void
    {
        $fill = ['half' => [0.5, 0.5], 'winding' => [0.3, 0.3], 'full' => [0.88, 0.88], 'over-full' => [1.12, 1.12], 'uneven' => [0.85, 0.2]][$state];
        [$r, $core] = [26.0, 8.0];
        $at = fn (float $share): float => $core + ($r - $core) * $share;
        $pen->shape('thread-wound', [[-20, -$at($fill[0])], [20, -$at($fill[1])], [20, $at($fill[1])], [-20, $at($fill[0])]]);
        for ($i = 1; $i < 7; $i++) {
            $x = -20 + $i * 40 / 7;
            $high = $at($fill[0] + ($fill[1] - $fill[0]) * $i / 7);
            $pen->line('thin', $x - 1, -$high, $x + 1, $high);
        }
        $pen->box('metal', -24, -$r, -20, $r)->box('metal', 20, -$r, 24, $r)->box('dark', -24, -2, -20, 2)->box('dark', 20, -2, 24, 2);
        if ($state === 'winding') {
            // Thread comes from under the disc; the tail is held for the first turns.
            $pen->shape('thread', [[-96, 8], [-74, 16], [-66, 6], [-20, -10]])->oval('metal', -70, 10, 9, 6)->label('under-the-disc', -74, 34)
                ->shape('thread', [[-22, -22], [-30, -40]])->label('hold-tail', -30, -46)->box('metal', 40, -24, 46, 20)->label('winder-stops', 46, 36);
        }
        in_array($state, ['over-full', 'uneven'], true) && $pen->cross(0, 0, 22);
    }

    private function lying(Pen $pen, string $state, string $bobbin): void
    {
        // Seen as the thread leaves it: where one looks in, from the front or from above.
        $pen->oval('metal', 0, 0, 34)->oval('dark', 0, 0, 28)->oval('thread-wound', 0, 0, 22)->oval('metal', 0, 0, 8)->oval('dark', 0, 0, 3);
        $wrong = $state === 'in-case-wrong';
        $way = ($bobbin === 'front') !== $wrong ? 1 : -1;
        $pen->line('heavy', 24, 24, 34, 30)->shape('thread', match ($state) {
            'slit-out' => [[22 * $way, 0], [46, -12], [70, -30]],
            'tail-cut' => [[22 * $way, 0], [26, 20], [30, 27], [56, 34]],
            default => [[22 * $way, 0], [24, 22], [30, 27], [64, 6]],
        });
        $turn = [];
        for ($i = 0; $i <= 10; $i++) {
            $a = -M_PI / 2 + $way * (-0.9 + 1.8 * $i / 10);
            $turn[] = 15 * cos($a);
            $turn[] = 15 * sin($a);
        }
        $pen->arrow(7, ...$turn);
        $state === 'slit-out' ? $pen->cross(29, 26, 9)->label('not-in-slit', 46, 52) : $pen->oval('lit', 29, 26, 10)->label('in-slit', 52, 52);
        $wrong && $pen->cross(0, 0, 24);
        $pen->label($bobbin === 'front' ? 'from-the-front' : 'from-above', 0, -40);
    }
}
