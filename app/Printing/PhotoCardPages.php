<?php

declare(strict_types=1);

namespace App\Printing;

use OpenSeam\Core\Scan\CardLayout;
use OpenSeam\Core\Words;

/** The card that a sample is laid on to be photographed, at true size: on one sheet, or on two that are joined. */
final class PhotoCardPages
{
    /** Sheets of a large card share so much. */
    private const OVERLAP_MM = 14.0;

    /** No printer reaches further to the edge, mm. */
    private const UNPRINTED_MM = 5.0;

    private const BLACK = 20;

    /** @param  bool  $double  of two sheets, for pieces up to 220 × 280 mm */
    public static function add(Sheet $sheet, bool $double, bool $leftHanded): void
    {
        $words = Words::in();
        if (! $double) {
            $sheet->blank($sheet->format->widthMm(), $sheet->format->heightMm());
            self::card($sheet, CardLayout::of($sheet->format === Format::A4 ? 'a4' : 'letter'), 0.0, 0.0, $leftHanded, $words);

            return;
        }
        $layout = CardLayout::of('double');
        // Sheets lie across: the card is as wide as they are long.
        [$wide, $high] = [$sheet->format->heightMm(), $sheet->format->widthMm()];
        $half = ($layout->heightMm + self::OVERLAP_MM) / 2;
        foreach ([0, 1] as $tile) {
            $sheet->blank($wide, $high);
            $left = ($wide - $layout->widthMm) / 2;
            $top = self::UNPRINTED_MM + ($high - 2 * self::UNPRINTED_MM - $half) / 2;
            $sheet->clipped($left, $top, $layout->widthMm, $half, fn () => self::card($sheet, $layout, $left, $top - $tile * ($half - self::OVERLAP_MM), $leftHanded, $words));
            // Cut along it, laid on the other one so that both lines are one.
            $join = $tile === 0 ? $top + $half - self::OVERLAP_MM / 2 : $top + self::OVERLAP_MM / 2;
            foreach ([[$left - 8, $left], [$left + $layout->widthMm, $left + $layout->widthMm + 8]] as [$from, $to]) {
                $sheet->line(max(1.0, $from), $join, min($wide - 1.0, $to), $join, 0.3);
            }
        }
    }

    private static function card(Sheet $sheet, CardLayout $layout, float $left, float $top, bool $leftHanded, Words $words): void
    {
        [$x, $y, $w, $h] = $layout->field();
        $sheet->rect($left + $x, $top + $y, $w, $h, 0.1, CardLayout::GREY, CardLayout::GREY);
        foreach ($layout->buttons() as $holes => [$bx, $by]) {
            $sheet->disc($left + $bx, $top + $by, CardLayout::BUTTON_MM / 2, self::BLACK);
            foreach (CardLayout::holes($holes) as [$u, $v]) {
                $sheet->disc($left + $bx + $u, $top + $by + $v, CardLayout::holeMm($holes) / 2, 255);
            }
        }
        foreach ($layout->pins() as [$px, $py]) {
            $sheet->disc($left + $px, $top + $py, CardLayout::PIN_MM / 2, self::BLACK);
        }
        self::foot($sheet, $left + $x, $top + $y + $h, $w, $leftHanded, $words);
    }

    private static function foot(Sheet $sheet, float $x, float $y, float $w, bool $leftHanded, Words $words): void
    {
        // The edge that a seam is measured from lies at the hand that steers it.
        $at = $leftHanded ? $x : $x + $w;
        $in = $leftHanded ? 1 : -1;
        $sheet->line($at, $y + 3, $at, $y + 11, 0.5, [], self::BLACK);
        $sheet->line($at + 14 * $in, $y + 7, $at + $in, $y + 7, 0.5, [], self::BLACK);
        $sheet->line($at + $in, $y + 7, $at + 4 * $in, $y + 5, 0.5, [], self::BLACK);
        $sheet->line($at + $in, $y + 7, $at + 4 * $in, $y + 9, 0.5, [], self::BLACK);
        $sheet->text($leftHanded ? $x + 17 : $x, $y + 4.7, $w - 17, $words->say('photo-card.edge'), 11, true, $leftHanded ? 'L' : 'R');
        $sheet->text($x, $y + 13, $w - CardLayout::BOX_MM - 4, $words->say('photo-card.how'), 9);
        [$bx, $by, $bw, $bh] = [$x + $w - CardLayout::BOX_MM, $y + CardLayout::FOOT_MM - CardLayout::BOX_MM - 1.0, CardLayout::BOX_MM, CardLayout::BOX_MM];
        $sheet->rect($bx, $by, $bw, $bh, 0.2);
        $sheet->text($bx + 2, $by + $bh / 2 - 4, $bw - 4, $words->say('photo-card.slip'), 8.5, false, 'C');
        $line = $y + 34;
        $sheet->line($x, $line, $x + CardLayout::LINE_MM, $line, 0.3, [], self::BLACK);
        for ($mm = 0; $mm <= 100; $mm += 5) {
            // The end marks stand inside: from outer edge to outer edge it is 100 mm.
            $sheet->line($x + max(0.1, min(99.9, $mm)), $line - ($mm % 50 === 0 ? 3.5 : ($mm % 10 === 0 ? 2.5 : 1.5)), $x + max(0.1, min(99.9, $mm)), $line, 0.2, [], self::BLACK);
        }
        $sheet->text($x, $line + 1.5, $w - CardLayout::BOX_MM - 4, $words->say('photo-card.line'), 9);
    }
}
