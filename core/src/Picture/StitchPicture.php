<?php

declare(strict_types=1);

namespace OpenSeam\Core\Picture;

use OpenSeam\Core\Data;
use OpenSeam\Core\InputError;
use OpenSeam\Core\Stitch\NeedlePoints;
use OpenSeam\Core\Stitch\StitchBook;
use OpenSeam\Core\Stitch\StitchSettings;

/**
 * Rows of stitches from above, to scale, as the machine sews them or bent by what
 * went wrong: needle points are worked out, then moved by the measured amount.
 */
final class StitchPicture implements Drawer
{
    private const FACES = ['top', 'under'];

    private const MOST_ROWS = 8;

    /** Cloth that is drawn on the other side of a seam than its edge, mm. */
    private const INSIDE_MM = 8.0;

    public function draw(Data $d, Shown $of): Picture
    {
        $rows = $d->parts('rows');
        count($rows) >= 1 && count($rows) <= self::MOST_ROWS || throw InputError::at($d->path('rows'), count($rows), sprintf('From 1 to %d rows are drawn.', self::MOST_ROWS));
        $long = $d->numberWithin('long_mm', 30.0, 5, 200);
        $pen = new Pen;
        $y = 0.0;
        $drawn = [];
        $pucker = 0.0;
        foreach ($rows as $n => $row) {
            $settings = StitchSettings::of(StitchBook::standard()->get($row->text('stitch', 'straight'), $row->path('stitch')), $row->numberOrNull('length_mm'), $row->numberOrNull('width_mm'));
            $bend = Bend::read($row->part('bend'));
            $pucker = max($pucker, $bend->puckersMm);
            $half = max(2.6, $settings->widthMm / 2 + 1.4);
            // A row may lie where it was measured from the one before.
            $at = $n > 0 && $row->has('below_mm') ? $drawn[$n - 1][3] + $row->numberWithin('below_mm', null, 0, 60) : $y + $half;
            $drawn[] = [$row, $settings, $bend, $at];
            $y = max($y, $at + $half);
        }
        // A row that puckers shows at the cloth's edge, which is drawn near it then.
        $edge = $d->numberOrNull('edge_mm') ?? ($pucker > 0 ? 4.0 : null);
        $bottom = $edge === null ? $y + 1.6 : $y / 2 + $edge;
        $this->cloth($pen, -$d->numberWithin('start_mm', 3.0, 0, 60), $d->has('edge_mm') ? -self::INSIDE_MM : -1.6, $long + 3.0, $bottom, $pucker);
        foreach ($drawn as [$row, $settings, $bend, $at]) {
            $this->row($pen, $row, $settings, $bend, $at, $long, $d->among('face', self::FACES, 'top'));
            $d->flag('names') && $pen->label('', -4.0, $at + 1.0, 'end', number: (string) $settings->lengthMm);
        }
        if ($edge !== null && $d->flag('measure')) {
            $pen->line('measure', $long * 0.5, $y / 2, $long * 0.5, $bottom)->label('length', $long * 0.5 + 2, ($y / 2 + $bottom) / 2 + 1, 'start', $edge);
        }
        $d->flag('bare') || $this->scale($pen, $bottom, $long);

        return $pen->picture(true);
    }

    /** One row where it lies, bent by what went wrong; where it should lie is chalked. */
    private function row(Pen $pen, Data $row, StitchSettings $settings, Bend $bend, float $at, float $long, string $face): void
    {
        $bend->tunnelMm > 0 && $pen->box('cloth-back', 0, $at - $settings->widthMm / 2, $long, $at + $settings->widthMm / 2);
        $points = $bend->of(array_map(fn (array $p): array => [$p[0], $p[1] + $at], NeedlePoints::along($settings, $long)));
        $bend->isShifted() && $pen->line('chalk', 0, $at, $long, $at);
        $row->has('bites_mm')
            ? self::bites($pen, $points, $settings->widthMm, $at, $row->numberWithin('bites_mm', null, 0.2, 10))
            : StitchThread::draw($pen, $points, $settings, $row->among('face', self::FACES, $face), $bend);
        $row->has('tail_mm') && $pen->line('thread', $long, $at, $long + $row->numberWithin('tail_mm', null, 0, 300), $at);
    }

    /**
     * What shows on the right side of a blind hem: only where a swing bit.
     *
     * @param  list<array{float, float}>  $points
     */
    private static function bites(Pen $pen, array $points, float $width, float $at, float $bite): void
    {
        foreach ($points as [$x, $y]) {
            $y < $at - $width * 0.4 && $pen->line('thread', $x - $bite / 2, $at, $x + $bite / 2, $at);
        }
    }

    /** Its edge goes up and down where the row draws the cloth together. */
    private function cloth(Pen $pen, float $left, float $top, float $right, float $bottom, float $pucker): void
    {
        if ($pucker <= 0) {
            $pen->box('cloth-face', $left, $top, $right, $bottom);

            return;
        }
        $points = [];
        for ($i = 0; $i <= 40; $i++) {
            $points[] = [$left + ($right - $left) * $i / 40, $top - $pucker * sin($i * 1.4)];
        }
        for ($i = 40; $i >= 0; $i--) {
            $points[] = [$left + ($right - $left) * $i / 40, $bottom + $pucker * sin($i * 1.4)];
        }
        $pen->shape('cloth-face', $points);
        for ($i = 1; $i < 12; $i++) {
            $x = $left + ($right - $left) * $i / 12;
            $pen->line('thin', $x, $top + 0.6, $x + 0.6, $bottom - 0.6);
        }
    }

    private function scale(Pen $pen, float $y, float $long): void
    {
        $bar = $long >= 40 ? 20.0 : 10.0;
        $pen->line('heavy', 0, $y + 1.8, $bar, $y + 1.8)->line('heavy', 0, $y + 1.2, 0, $y + 2.4)->line('heavy', $bar, $y + 1.2, $bar, $y + 2.4)->label('bar', $bar + 1.0, $y + 2.8, 'start', $bar);
    }
}
