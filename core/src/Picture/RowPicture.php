<?php

declare(strict_types=1);

namespace OpenSeam\Core\Picture;

use OpenSeam\Core\Data;
use OpenSeam\Core\InputError;
use OpenSeam\Core\Sampler\Drawing;
use OpenSeam\Core\Sampler\Row;
use OpenSeam\Core\Sampler\Sampler;

/**
 * The lesson's own sampler to scale: its pieces and lines, the rows that are
 * spoken of, how far they have been sewn, and where the ruler is laid.
 *
 * @phpstan-type Point array{float, float}
 */
final class RowPicture implements Drawer
{
    /** Needle points of a row beyond this number are not told apart in a picture of this size. */
    private const MOST_POINTS = 100;

    private const EXTRAS = ['ruler', 'needle', 'foot', 'pins', 'hand'];

    public function draw(Data $d, Shown $of): Picture
    {
        $sampler = $of->sampler;
        $sampler !== null && $sampler->pieces !== [] || throw InputError::at($d->path('kind'), 'row', 'The lesson has no sampler of cloth to draw.');
        $rows = $this->rows($d, $sampler);
        $drawing = Drawing::of($sampler);
        $pen = new Pen;
        foreach ($drawing->pieces() as $p) {
            $pen->box($p['layers'] > 1 ? 'cloth-face' : 'cloth-other', $p['x'], $p['y'], $p['x'] + $p['width'], $p['y'] + $p['height'])->box('ink', $p['x'], $p['y'], $p['x'] + $p['width'], $p['y'] + $p['height']);
        }
        foreach ($drawing->lines() as $line) {
            $pen->shape(match ($line['kind']) {
                'cut' => 'cut-line',
                'fold' => 'crease',
                default => 'chalk',
            }, [$line['from'], $line['to']]);
        }
        $upTo = $d->numberWithin('up_to', 1.0, 0, 1, 'of the row');
        foreach ($d->flag('bare') ? [] : $drawing->rows() as $row) {
            $lit = in_array($row['id'], $rows, true);
            $points = $lit ? self::begun($row['points'], $upTo) : $row['points'];
            count($points) > 1 && $pen->shape($lit ? 'sewn' : 'ghost', self::fewer($points));
        }
        $this->extras($pen, $d, $drawing, $rows, $upTo);

        return $pen->picture(true);
    }

    /** @return list<string> those it is about; one that was taken away since is passed over, and without any it is about all */
    private function rows(Data $d, Sampler $sampler): array
    {
        $known = array_map(fn (Row $r): string => $r->id, array_values($sampler->rows));
        $rows = array_values(array_intersect($d->texts('rows'), $known));

        return $rows === [] ? $known : $rows;
    }

    /** @param  list<string>  $rows */
    private function extras(Pen $pen, Data $d, Drawing $drawing, array $rows, float $upTo): void
    {
        $with = $d->texts('with');
        foreach ($with as $i => $extra) {
            in_array($extra, self::EXTRAS, true) || throw InputError::at($d->path("with[$i]"), $extra, 'It must be one of: '.implode(', ', self::EXTRAS).'.');
        }
        $large = max($drawing->widthMm(), $drawing->heightMm());
        foreach ($drawing->rows() as $row) {
            if (! in_array($row['id'], $rows, true)) {
                continue;
            }
            $points = self::begun($row['points'], $upTo);
            $at = $points[count($points) - 1] ?? [0.0, 0.0];
            in_array('pins', $with, true) && $this->pins($pen, $row['points'], $large * 0.06);
            if (in_array('foot', $with, true)) {
                $pen->shape('metal', [[$at[0] - 7, $at[1] - 14], [$at[0] + 7, $at[1] - 14], [$at[0] + 7, $at[1] + 8], [$at[0] + 3, $at[1] + 11], [$at[0] + 3, $at[1] + 2], [$at[0] - 3, $at[1] + 2], [$at[0] - 3, $at[1] + 11], [$at[0] - 7, $at[1] + 8]]);
            }
            array_intersect(['foot', 'needle'], $with) !== [] && $pen->oval('dark', $at[0], $at[1], max(1.0, $large * 0.012))->oval('lit', $at[0], $at[1], $large * 0.04);
            break;
        }
        in_array('ruler', $with, true) && $this->rulers($pen, $drawing, $rows, $large);
    }

    /** @param  list<string>  $rows */
    private function rulers(Pen $pen, Drawing $drawing, array $rows, float $large): void
    {
        $first = true;
        foreach ($drawing->marks() as $mark) {
            if (! in_array($mark['row'], $rows, true)) {
                continue;
            }
            [[$x1, $y1], [$x2, $y2]] = [$mark['from'], $mark['to']];
            $long = hypot($x2 - $x1, $y2 - $y1) ?: 1.0;
            [$nx, $ny] = [-($y2 - $y1) / $long * $large * 0.015, ($x2 - $x1) / $long * $large * 0.015];
            $pen->line('measure', $x1, $y1, $x2, $y2)->line('measure', $x1 - $nx, $y1 - $ny, $x1 + $nx, $y1 + $ny)->line('measure', $x2 - $nx, $y2 - $ny, $x2 + $nx, $y2 + $ny);
            if ($first) {
                $pen->label('ruler-here', ($x1 + $x2) / 2, max($y1, $y2) + $large * 0.07);
                $first = false;
            }
        }
    }

    /** @param  list<Point>  $points */
    private function pins(Pen $pen, array $points, float $long): void
    {
        $n = count($points);
        foreach ([0.25, 0.75] as $share) {
            $i = min($n - 2, max(0, (int) round($share * ($n - 1))));
            [$dx, $dy] = [$points[$i + 1][0] - $points[$i][0], $points[$i + 1][1] - $points[$i][1]];
            $step = hypot($dx, $dy) ?: 1.0;
            [$x, $y] = $points[$i];
            [$nx, $ny] = [-$dy / $step * $long, $dx / $step * $long];
            $pen->line('pin', $x - $nx, $y - $ny, $x + $nx, $y + $ny)->oval('mark', $x + $nx, $y + $ny, $long * 0.2);
        }
    }

    /**
     * @param  list<Point>  $points
     * @return list<Point>
     */
    private static function begun(array $points, float $upTo): array
    {
        return array_slice($points, 0, max(1, (int) ceil(count($points) * $upTo)));
    }

    /**
     * @param  list<Point>  $points
     * @return list<Point>
     */
    private static function fewer(array $points): array
    {
        $every = (int) ceil(count($points) / self::MOST_POINTS);
        $last = count($points) - 1;

        return $every <= 1 ? $points : array_values(array_filter($points, fn (int $i): bool => $i % $every === 0 || $i === $last, ARRAY_FILTER_USE_KEY));
    }
}
