<?php

declare(strict_types=1);

namespace App\Printing;

/** What has to be done again for the same buttonhole, on a card for the box of scraps. */
final class RecipePage
{
    /** @param  array<string, string>  $lines  by their name */
    public static function add(Sheet $sheet, string $title, array $lines): void
    {
        $sheet->page('recipe');
        $y = $sheet->text(Sheet::MARGIN_MM, Sheet::MARGIN_MM, $sheet->innerWidth(), "Buttonhole: $title", 16, true) + 3;
        foreach ($lines as $name => $value) {
            $sheet->text(Sheet::MARGIN_MM, $y, 38, ucfirst($name), 11, true);
            $y = $sheet->text(Sheet::MARGIN_MM + 40, $y, $sheet->innerWidth() - 40, $value, 11) + 1.5;
        }
        $sheet->text(Sheet::MARGIN_MM, $y + 4, $sheet->innerWidth(), 'It holds for this stack on this machine. Any change makes it a new test. Sew the test beside it and staple it here.', 9);
        $sheet->rect(Sheet::MARGIN_MM, $y + 14, 90, 60);
    }
}
