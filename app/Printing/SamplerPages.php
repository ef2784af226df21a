<?php

declare(strict_types=1);

namespace App\Printing;

use OpenSeam\Core\Course\Drill;
use OpenSeam\Core\Course\Lesson;
use OpenSeam\Core\Sampler\Drawing;

/** A sampler at true size, in tiles with an overlap where it is larger than the page. */
final class SamplerPages
{
    public const OVERLAP_MM = 10.0;

    /** Lines of different kinds, mm on and off. */
    private const DASHES = ['fold' => [6.0, 2.0, 1.0, 2.0], 'cut' => [], 'chalk' => [3.0, 2.0]];

    public static function add(Sheet $sheet, Lesson $lesson): void
    {
        $drawing = Drawing::of($lesson->sampler);
        if ($drawing->widthMm() <= 0) {
            return;
        }
        [$stepX, $stepY] = [$sheet->innerWidth() - self::OVERLAP_MM, $sheet->innerHeight() - self::OVERLAP_MM];
        $across = max(1, (int) ceil(($drawing->widthMm() - self::OVERLAP_MM) / $stepX));
        $down = max(1, (int) ceil(($drawing->heightMm() - self::OVERLAP_MM) / $stepY));
        for ($row = 0; $row < $down; $row++) {
            for ($column = 0; $column < $across; $column++) {
                $tile = $across * $down === 1 ? '' : sprintf('tile %s%d of %d', chr(65 + $row), $column + 1, $across * $down);
                $sheet->page($tile);
                [$left, $top] = [Sheet::MARGIN_MM - $column * $stepX, Sheet::MARGIN_MM - $row * $stepY];
                $sheet->clipped(Sheet::MARGIN_MM, Sheet::MARGIN_MM, $sheet->innerWidth(), $sheet->innerHeight(), fn () => self::draw($sheet, $drawing, $left, $top));
                self::overlap($sheet, $column > 0, $row > 0, $column < $across - 1, $row < $down - 1);
            }
        }
    }

    /** Short enough for one page, with what to do under its title. */
    public static function drill(Sheet $sheet, Drill $drill): void
    {
        $sheet->page($drill->title);
        $y = $sheet->text(Sheet::MARGIN_MM, Sheet::MARGIN_MM, $sheet->innerWidth(), $drill->title, 14, true);
        $y = $sheet->text(Sheet::MARGIN_MM, $y + 1, $sheet->innerWidth(), $drill->text, 10) + 6;
        self::draw($sheet, Drawing::of($drill->sampler()), Sheet::MARGIN_MM, $y);
    }

    private static function draw(Sheet $sheet, Drawing $drawing, float $left, float $top): void
    {
        foreach ($drawing->pieces() as $p) {
            $sheet->rect($left + $p['x'], $top + $p['y'], $p['width'], $p['height'], 0.3);
            $sheet->text($left + $p['x'] + 2, $top + $p['y'] + $p['height'] - 5, $p['width'] - 4, $p['label'].($p['layers'] > 1 && ! str_contains($p['label'], 'layer') ? " · {$p['layers']} layers" : ''), 9);
        }
        foreach ($drawing->lines() as $l) {
            $sheet->line($left + $l['from'][0], $top + $l['from'][1], $left + $l['to'][0], $top + $l['to'][1], $l['kind'] === 'cut' ? 0.5 : 0.25, self::DASHES[$l['kind']] ?? []);
        }
        foreach ($drawing->rows() as $row) {
            self::stitches($sheet, $row['points'], $left, $top);
            foreach ($row['back'] as $back) {
                // Beside the row, so that both can be seen.
                self::stitches($sheet, $back, $left - 0.8, $top);
            }
            $row['guide'] === '' || $sheet->text($left + $row['points'][0][0] + 1.5, $top + $row['points'][0][1] - 3.5, 60, $row['guide'], 9);
        }
        foreach ($drawing->marks() as $m) {
            $sheet->line($left + $m['from'][0], $top + $m['from'][1], $left + $m['to'][0], $top + $m['to'][1], 0.12, [], 110);
        }
    }

    /** @param  list<array{float, float}>  $points */
    private static function stitches(Sheet $sheet, array $points, float $left, float $top): void
    {
        for ($i = 1; $i < count($points); $i++) {
            [[$ax, $ay], [$bx, $by]] = [$points[$i - 1], $points[$i]];
            $length = hypot($bx - $ax, $by - $ay);
            if ($length > 0) {
                // A hole's width is left free at each end.
                $gap = min(0.3, $length / 4) / $length;
                $sheet->line($left + $ax + ($bx - $ax) * $gap, $top + $ay + ($by - $ay) * $gap, $left + $bx - ($bx - $ax) * $gap, $top + $by - ($by - $ay) * $gap, 0.35);
            }
        }
    }

    /** Marks where the next tile lies over this one. */
    private static function overlap(Sheet $sheet, bool $left, bool $top, bool $right, bool $bottom): void
    {
        [$x0, $y0] = [Sheet::MARGIN_MM, Sheet::MARGIN_MM];
        [$x1, $y1] = [$x0 + $sheet->innerWidth(), $y0 + $sheet->innerHeight()];
        foreach ([[$left, $x0 + self::OVERLAP_MM], [$right, $x1 - self::OVERLAP_MM]] as [$there, $x]) {
            if ($there) {
                $sheet->line($x, $y0, $x, $y1, 0.15, [1.0, 3.0], 90);
            }
        }
        foreach ([[$top, $y0 + self::OVERLAP_MM], [$bottom, $y1 - self::OVERLAP_MM]] as [$there, $y]) {
            if ($there) {
                $sheet->line($x0, $y, $x1, $y, 0.15, [1.0, 3.0], 90);
            }
        }
    }
}
