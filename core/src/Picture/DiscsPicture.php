<?php

declare(strict_types=1);

namespace OpenSeam\Core\Picture;

use OpenSeam\Core\Data;

/** The tension discs from above: open while the foot is up, so that the thread falls between them; shut when it is down. */
final class DiscsPicture implements Drawer
{
    public function draw(Data $d, Shown $of): Picture
    {
        $pen = new Pen;
        $this->discs($pen, 30.0, 5.0);
        $pen->oval('thread', 30.0, 34.0, 2.2)->line('thread', 30.0, 34.0, 30.0, 66.0)->label('foot-up', 30.0, 82.0);
        $this->discs($pen, 112.0, 0.8);
        $pen->oval('thread', 112.0, 4.0, 2.2)->line('thread', 112.0, 4.0, 112.0, -8.0)->cross(112.0, 4.0, 7.0)->label('foot-down', 112.0, 82.0);

        return $pen->picture();
    }

    private function discs(Pen $pen, float $x, float $open): void
    {
        foreach ([-1, 1] as $side) {
            $pen->shape('metal', [[$x + $side * ($open + 1), 10.0], [$x + $side * ($open + 8), 2.0], [$x + $side * ($open + 12), 2.0], [$x + $side * ($open + 5), 12.0], [$x + $side * ($open + 5), 58.0], [$x + $side * ($open + 12), 68.0], [$x + $side * ($open + 8), 68.0], [$x + $side * ($open + 1), 60.0]]);
        }
        $pen->line('heavy', $x - $open - 5, 35.0, $x - $open - 20, 35.0);
    }
}
