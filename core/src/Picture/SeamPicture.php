<?php

declare(strict_types=1);

namespace OpenSeam\Core\Picture;

use OpenSeam\Core\Data;

/**
 * Two pieces joined, cut across the seam, to scale but for the thickness, which
 * is drawn five times what it is. Which way the right sides look, where the row
 * lies and what the allowances do is the picture's whole point.
 */
final class SeamPicture implements Drawer
{
    public const STATES = ['closed', 'open', 'side', 'topstitched', 'graded', 'understitched', 'french', 'piped', 'tuck', 'elastic', 'bound', 'eased', 'zip', 'concealed-zip', 'gathered'];

    /** Cloth is drawn so much thicker than it is: layers of 0.3 mm could not be told apart at this size. */
    private const THICKER = 5.0;

    private float $thick = 1.0;

    private float $allowance = 15.9;

    /** The upper layer lies so far beside the lower one, mm. */
    private float $creep = 0.0;

    private Pen $pen;

    public function draw(Data $d, Shown $of): Picture
    {
        $this->pen = new Pen;
        $this->allowance = $d->numberWithin('allowance_mm', 15.9, 3, 40);
        $this->thick = $d->numberWithin('thickness_mm', 0.35, 0.1, 2) * self::THICKER;
        $this->creep = $d->numberWithin('creep_mm', 0.0, -20, 20);
        $state = $d->among('state', self::STATES, 'closed');
        match ($state) {
            'closed', 'eased', 'gathered' => $this->closed($state),
            'open' => $this->opened(),
            'side' => $this->pressed(false),
            'topstitched' => $this->pressed(true),
            'graded', 'understitched' => $this->facing($state),
            'french' => $this->french(),
            'piped' => $this->piped(),
            'tuck' => $this->tuck($d),
            'elastic' => $this->elastic(),
            'bound' => $this->bound(),
            default => $this->zip($state === 'concealed-zip'),
        };
        $d->flag('measure') && in_array($state, ['closed', 'eased'], true) && $this->pen->measure(0.0, $this->allowance, $this->thick * 4, 0.8);
        $d->flag('iron') && $this->iron();

        return $this->pen->picture();
    }

    /** Right sides together, the row at its allowance from the edges, which lie at the left. */
    private function closed(string $state): void
    {
        $t = $this->thick;
        $upper = [[$this->creep, -$t * 0.6], [32.0 + $this->creep, -$t * 0.6]];
        if ($state !== 'closed') {
            $upper = [];
            for ($i = 0; $i <= 40; $i++) {
                $upper[] = [$i * 32.0 / 40, -$t * ($state === 'eased' ? 0.9 : 2.2) - sin($i * M_PI / ($state === 'eased' ? 5 : 2)) * $t * ($state === 'eased' ? 0.25 : 1.4)];
            }
        }
        ClothLayer::draw($this->pen, [[0.0, $t * 0.6], [32.0, $t * 0.6]], $t, 1);
        ClothLayer::draw($this->pen, $upper, $t, -1, 'cloth-other');
        $this->row($this->allowance, -$t * ($state === 'closed' ? 1.8 : 5), $t * 1.8);
    }

    private function opened(): void
    {
        $t = $this->thick;
        foreach ([-1, 1] as $way) {
            $points = [[$way * 24.0, 0.0], [$way * $t * 0.9, 0.0], ...self::mirrored(ClothLayer::turn($t * 0.9, 0.0, -$t * 1.3, -1), $way), [$way * $t * 0.9, -$t * 1.3], [$way * $this->allowance, -$t * 1.3]];
            ClothLayer::draw($this->pen, $points, $t, $way === 1 ? 1 : -1, $way === 1 ? 'cloth-face' : 'cloth-other');
        }
        $this->row(0.0, -$t * 1.6, $t * 0.2);
        $this->pen->label('right-side', 0.0, $t * 3.4);
    }

    /** Both allowances to one side; topstitched: held there by a row that shows. */
    private function pressed(bool $topstitched): void
    {
        $t = $this->thick;
        ClothLayer::draw($this->pen, [[-24.0, 0.0], [0.0, 0.0], ...ClothLayer::turn(0.0, 0.0, -$t * 1.2, 1), [0.0, -$t * 1.2], [-$this->allowance, -$t * 1.2]], $t, -1);
        ClothLayer::draw($this->pen, [[24.0, 0.0], [$t * 2.4, 0.0], [$t * 1.2, -$t * 1.6], [0.0, -$t * 2.4], [-$this->allowance, -$t * 2.4]], $t, 1, 'cloth-other');
        $this->row(-$t * 0.3, -$t * 2.8, -$t * 0.2);
        $topstitched && $this->row(-$this->allowance * 0.4, -$t * 3.4, $t * 1.0);
        $this->pen->label('right-side', 0.0, $t * 3.4);
    }

    /** Facing at the right, garment at the left: allowances trimmed in steps, and a row through facing and allowances. */
    private function facing(string $state): void
    {
        $t = $this->thick;
        ClothLayer::draw($this->pen, [[-24.0, 0.0], [-$t * 1.2, 0.0], [0.0, -$t * 1.2], [$this->allowance * 0.7, -$t * 1.2]], $t, -1);
        ClothLayer::draw($this->pen, [[24.0, 0.0], [$t * 0.6, 0.0], ...ClothLayer::turn($t * 0.6, 0.0, -$t * 2.4, -1), [$t * 0.6, -$t * 2.4], [$this->allowance * 0.4, -$t * 2.4]], $t, 1, 'cloth-other');
        $this->row(0.0, -$t * 3.0, -$t * 0.4);
        $state === 'understitched' && $this->row(3.0 + $t, -$t * 3.2, $t * 1.0);
        $this->pen->label('garment', -16.0, $t * 3.4)->label('facing', 16.0, $t * 4.0);
    }

    /** Sewn wrong sides together, turned, and sewn again round the edges. */
    private function french(): void
    {
        $t = $this->thick * 0.6;
        foreach ([-1, 1] as $way) {
            ClothLayer::draw($this->pen, [[$way * 18.0, 0.0], [$way * $t, 0.0], [$way * $t * 0.7, -$t], [$way * $t * 0.7, -9.0], ...self::mirrored(ClothLayer::turn($t * 0.7, -9.0, -9.0 - $t, 1, 4), $way), [0.0, -9.6], [$way * -0.2, -5.0]], $t * 0.6, $way === 1 ? -1 : 1, $way === 1 ? 'cloth-face' : 'cloth-other');
        }
        $this->pen->line('sewn', -$t * 1.8, -2.0, $t * 1.8, -2.0)->line('sewn', -$t, -7.4, $t, -7.4)->label('right-side', 0.0, $t * 3.4);
    }

    private function piped(): void
    {
        $t = $this->thick;
        $r = 2.4;
        ClothLayer::draw($this->pen, [[0.0, $t * 1.8], [32.0, $t * 1.8]], $t, 1);
        ClothLayer::draw($this->pen, [[0.0, -$t * 1.8], [32.0, -$t * 1.8]], $t, -1, 'cloth-other');
        ClothLayer::draw($this->pen, [[0.0, $t * 0.6], [18.0, $t * 0.6], ...ClothLayer::turn(19.0, $r, -$r, 1), [18.0, -$t * 0.6], [0.0, -$t * 0.6]], $t * 0.8, 1, 'cloth-back');
        $this->pen->oval('dark', 19.6, 0.0, $r * 0.85);
        $this->row(16.4, -$t * 3.0, $t * 3.0);
    }

    private function tuck(Data $d): void
    {
        $t = $this->thick;
        $high = $d->numberWithin('high_mm', 5.0, 1, 30);
        foreach ([0, 1, 2] as $i) {
            $x = $i * 14.0;
            ClothLayer::draw($this->pen, [[$x - 7.0, 0.0], [$x - $t * 0.7, 0.0], [$x - $t * 0.6, -$high], ...array_map(fn (array $p): array => [$x + $p[1], -$high - $p[0]], ClothLayer::turn(0.0, -$t * 0.6, $t * 0.6, 1, 4)), [$x + $t * 0.6, -$high], [$x + $t * 0.7, 0.0], [$x + 7.0, 0.0]], $t, 1);
            $this->pen->line('sewn', $x - $t * 1.8, -$t, $x + $t * 1.8, -$t);
        }
    }

    private function elastic(): void
    {
        $t = $this->thick;
        $waves = [];
        for ($i = 0; $i <= 60; $i++) {
            $waves[] = [$i * 0.7, 1.2 + sin($i * M_PI / 4) * $t * 0.8];
        }
        ClothLayer::draw($this->pen, $waves, $t, -1);
        ClothLayer::draw($this->pen, [[0.0, -$t * 1.2], [42.0, -$t * 1.2]], $t * 1.6, 0, 'cloth-back');
        $this->pen->shape('sewn', array_map(fn (int $i): array => [$i * 1.4, $i % 2 === 0 ? -$t * 2.2 : $t * 1.6], range(0, 30)));
    }

    private function bound(): void
    {
        $t = $this->thick;
        ClothLayer::draw($this->pen, [[-24.0, 0.0], [0.0, 0.0]], $t * 1.2, 1);
        ClothLayer::draw($this->pen, [[-5.0, $t * 2.2], [-8.0, $t * 2.2], ...ClothLayer::turn(-8.0, $t * 2.2, $t * 1.2, -1, 4), [-7.0, $t * 1.2], [1.0, $t * 1.1], ...ClothLayer::turn(1.0, $t * 1.1, -$t * 1.1, 1), [1.0, -$t * 1.1], [-7.0, -$t * 1.2], ...ClothLayer::turn(-8.0, -$t * 1.2, -$t * 2.2, -1, 4), [-5.0, -$t * 2.2]], $t * 0.8, 1, 'cloth-other');
        $this->row(-5.8, -$t * 3.4, $t * 3.4);
    }

    private function zip(bool $concealed): void
    {
        $t = $this->thick;
        foreach ([-1, 1] as $way) {
            ClothLayer::draw($this->pen, [[$way * 24.0, 0.0], [$way * $t * 0.4, 0.0], ...self::mirrored(ClothLayer::turn($t * 0.4, 0.0, -$t * 1.2, -1, 4), $way), [$way * $t * 0.5, -$t * 1.2], [$way * 15.9, -$t * 1.2]], $t, $way === 1 ? 1 : -1);
            ClothLayer::draw($this->pen, [[$way * 2.2, -$t * 2.6], [$way * 12.0, -$t * 2.4]], $t * 0.8, 0, 'cloth-back');
            $this->pen->oval('dark', $way * 1.1, -$t * 2.7, 1.0);
            $concealed ? $this->row($way * 2.4, -$t * 3.4, -$t * 0.6) : $this->row($way * 5.5, -$t * 3.4, $t * 0.9);
        }
        $this->pen->label('right-side', 0.0, $t * 4.4);
    }

    private function row(float $x, float $from, float $to): void
    {
        $this->pen->line('sewn', $x, $from, $x, $to);
    }

    private function iron(): void
    {
        $t = $this->thick;
        $this->pen->shape('metal', [[-13.0, -$t * 3.8], [12.0, -$t * 3.8], [10.0, -$t * 3.8 - 6.0], [-3.0, -$t * 3.8 - 7.0], [-10.0, -$t * 3.8 - 3.5]])->arrow(2.4, 16.0, -$t * 3.8 - 9.0, 16.0, -$t * 3.8 - 1.0);
    }

    /**
     * @param  list<array{float, float}>  $points
     * @return list<array{float, float}>
     */
    private static function mirrored(array $points, int $way): array
    {
        return array_map(fn (array $p): array => [$way * $p[0], $p[1]], $points);
    }
}
