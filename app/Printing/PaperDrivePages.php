<?php

declare(strict_types=1);

namespace App\Printing;

use OpenSeam\Core\Sampler\PaperSheet;

/** The sheets to sew on without thread. */
final class PaperDrivePages
{
    public static function add(Sheet $sheet, bool $leftHanded): void
    {
        foreach (PaperSheet::all($sheet->format->widthMm(), $sheet->format->heightMm(), $leftHanded) as $paper) {
            $sheet->page($paper->title.($leftHanded ? ' · left-handed' : ''));
            $sheet->text(Sheet::MARGIN_MM, Sheet::MARGIN_MM, $sheet->innerWidth(), $paper->title, 14, true);
            $sheet->text(Sheet::MARGIN_MM, Sheet::MARGIN_MM + 7, $sheet->innerWidth(), $paper->task.' No thread, stitch length 3. Fingers outside the foot.', 9);
            foreach ($paper->lines as $line) {
                $sheet->path($line);
                [[$x, $y]] = $line->corners;
                $sheet->dot($x, $y, 1.2, false);
            }
            foreach ($paper->dots as [$x, $y]) {
                $sheet->dot($x, $y, 1.5);
            }
        }
    }
}
