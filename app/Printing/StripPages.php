<?php

declare(strict_types=1);

namespace App\Printing;

use OpenSeam\Core\Buttonhole\Strip;

/**
 * The strip of a buttonhole and its twin for the buttons, true to size. What is
 * longer than the paper goes on over tiles that overlap, with marks to join them.
 */
final class StripPages
{
    /** Tiles share so much. */
    private const OVERLAP_MM = 10.0;

    private const TITLE_MM = 12.0;

    /** Between strip and twin. */
    private const APART_MM = 14.0;

    public static function add(Sheet $sheet, Strip $strip): void
    {
        $room = $sheet->innerHeight() - self::TITLE_MM;
        $tiles = $strip->lengthMm <= $room ? 1 : 1 + (int) ceil(($strip->lengthMm - $room) / ($room - self::OVERLAP_MM));
        for ($tile = 0; $tile < $tiles; $tile++) {
            $from = $tile * ($room - self::OVERLAP_MM);
            $sheet->page($tiles === 1 ? 'strip' : sprintf('strip, tile %d of %d', $tile + 1, $tiles));
            $sheet->text(Sheet::MARGIN_MM, Sheet::MARGIN_MM, $sheet->innerWidth(), 'Left: lay it on the band, its long line on the centre line. The dot is under the needle first, the arrow is the way it goes. Right: its twin for the buttons.', 9);
            $top = Sheet::MARGIN_MM + self::TITLE_MM;
            $high = min($room, $strip->lengthMm - $from);
            $twin = Sheet::MARGIN_MM + $strip->widthMm + self::APART_MM;
            $sheet->clipped(Sheet::MARGIN_MM, $top, $strip->widthMm, $high, fn () => self::holes($sheet, $strip, Sheet::MARGIN_MM, $top - $from));
            if ($twin + $strip->widthMm <= $sheet->format->widthMm() - Sheet::MARGIN_MM) {
                $sheet->clipped($twin, $top, $strip->widthMm, $high, fn () => self::buttons($sheet, $strip, $twin, $top - $from));
            }
            self::join($sheet, $strip, $top, $high, $tile > 0, $tile < $tiles - 1);
        }
    }

    private static function frame(Sheet $sheet, Strip $strip, float $x, float $y): float
    {
        $sheet->rect($x, $y, $strip->widthMm, $strip->lengthMm, 0.2, 120);
        $middle = $x + $strip->widthMm / 2;
        $sheet->line($middle, $y, $middle, $y + $strip->lengthMm, 0.2, [6, 2, 1, 2]);

        return $middle;
    }

    private static function holes(Sheet $sheet, Strip $strip, float $x, float $y): void
    {
        $middle = self::frame($sheet, $strip, $x, $y);
        foreach ($strip->holes as $i => $hole) {
            $at = $y + $strip->originMm + $hole['at_mm'];
            // Along the hole to a point of the paper: one across the band lies from left to right.
            $point = fn (float $along, float $side): array => $strip->across ? [$middle + $along, $at + $side] : [$middle + $side, $at + $along];
            $draw = fn (array $a, array $b, float $wide, bool $dotted = false) => $sheet->line($a[0], $a[1], $b[0], $b[1], $wide, $dotted ? [1, 1] : [], $dotted ? 120 : 0);
            foreach ([$hole['from_mm'], $hole['cut_from_mm'], $hole['cut_to_mm'], $hole['to_mm']] as $end) {
                $draw($point($end, -4), $point($end, 4), 0.25);
            }
            $draw($point($hole['cut_from_mm'], 0), $point($hole['cut_to_mm'], 0), 0.5);
            if ($hole['start_mm'] !== $hole['towards_mm']) {
                $forward = $hole['towards_mm'] <=> $hole['start_mm'];
                [$sx, $sy] = $point($hole['start_mm'], 0);
                $sheet->dot($sx, $sy, 0.9);
                $draw($point($hole['start_mm'], 6), $point($hole['start_mm'] + 8 * $forward, 6), 0.3);
                $draw($point($hole['start_mm'] + 8 * $forward, 6), $point($hole['start_mm'] + 6 * $forward, 5), 0.3);
                $draw($point($hole['start_mm'] + 8 * $forward, 6), $point($hole['start_mm'] + 6 * $forward, 7), 0.3);
                // Nothing may lie where the foot travels.
                $draw($point($hole['towards_mm'], -8), $point($hole['towards_mm'] + Strip::CLEAR_MM * $forward, -8), 0.2, true);
            }
            $sheet->text($x + 1, $at - 1.5, 8, (string) ($i + 1), 9);
        }
    }

    private static function buttons(Sheet $sheet, Strip $strip, float $x, float $y): void
    {
        $middle = self::frame($sheet, $strip, $x, $y);
        foreach ($strip->holes as $i => $hole) {
            $at = $y + $strip->originMm + $hole['at_mm'];
            // Under the middle of one along the band; under the end that takes the pull of one across: both lie on the centre line.
            [$cx, $cy] = [$middle, $at];
            $sheet->dot($cx, $cy, $strip->diameterMm / 2, false);
            $sheet->line($cx - 2, $cy, $cx + 2, $cy, 0.3);
            $sheet->line($cx, $cy - 2, $cx, $cy + 2, 0.3);
            $sheet->text($x + 1, $at - 1.5, 8, (string) ($i + 1), 9);
        }
    }

    private static function join(Sheet $sheet, Strip $strip, float $top, float $high, bool $before, bool $after): void
    {
        $x = Sheet::MARGIN_MM;
        foreach ([...($before ? [$top, $top + self::OVERLAP_MM] : []), ...($after ? [$top + $high - self::OVERLAP_MM, $top + $high] : [])] as $y) {
            $sheet->line($x - 4, $y, $x - 0.5, $y, 0.3);
            $sheet->line($x + $strip->widthMm + 0.5, $y, $x + $strip->widthMm + 4, $y, 0.3);
        }
    }
}
