<?php

declare(strict_types=1);

namespace App\Printing;

use App\Models\Studio;
use App\Views\MaterialLineView;
use Carbon\CarbonImmutable;
use OpenSeam\Core\Material\CuttingLayout;
use OpenSeam\Core\Words;

/** Shopping list and cutting plans of a class. */
final class MaterialPages
{
    /**
     * @param  list<MaterialLineView>  $lines
     * @param  array<string, CuttingLayout>  $layouts  by material
     */
    public static function add(Sheet $sheet, array $lines, array $layouts, string $class, Studio $studio, Words $words): void
    {
        $amount = fn (MaterialLineView $l, float $n): string => $l->unit === 'm' ? $words->cloth($n) : rtrim(rtrim(number_format($n, 1, '.', ''), '0'), '.')." {$l->unit}";
        $sheet->page('shopping list');
        $y = $sheet->text(Sheet::MARGIN_MM, Sheet::MARGIN_MM, $sheet->innerWidth(), "Shopping list: $class", 18, true) + 2;
        $sheet->flow($y, array_merge([], ...array_map(fn (MaterialLineView $l): array => [
            [sprintf('%s %s: %s%s', $l->ticked ? '☑' : '□', $l->title, $amount($l, $l->buy), $l->have > 0 ? " (needed {$amount($l, $l->amount)}, in the cupboard {$amount($l, $l->have)})" : ''), 12.0, true],
            [($l->short_on === null ? '' : 'Needed from '.CarbonImmutable::parse($l->short_on)->setTimezone($studio->timezone)->format('D j M').'. ').$l->how, 9.0, false],
        ], $lines)), 'shopping list');
        foreach ($layouts as $material => $layout) {
            self::plan($sheet, (string) $material, $layout, $studio->cloth_width_mm, $studio->selvedge_mm, $words);
        }
    }

    /** The cloth in strips down the page, to scale, pieces numbered by kind. */
    private static function plan(Sheet $sheet, string $material, CuttingLayout $layout, float $clothWidthMm, float $selvedgeMm, Words $words): void
    {
        $numbers = [];
        foreach ($layout->placed as $p) {
            $numbers[$p->id] ??= count($numbers) + 1;
        }
        $scale = $sheet->innerWidth() / $clothWidthMm;
        $strip = ($sheet->innerHeight() - 60) / $scale;
        for ($from = 0.0, $part = 1; $from < $layout->lengthMm; $from += $strip, $part++) {
            $sheet->page("cutting plan, $material, part $part");
            $sheet->text(Sheet::MARGIN_MM, Sheet::MARGIN_MM, $sheet->innerWidth(), sprintf('Cutting plan: %s, %s of %s, from %s. Scale 1 : %.1f. The grain runs down the page.', $material, $words->cloth($layout->lengthMm / 1000), $words->wide($clothWidthMm), $words->wide($from), 1 / $scale), 10, true);
            $top = Sheet::MARGIN_MM + 12;
            $high = min($strip, $layout->lengthMm - $from) * $scale;
            $sheet->clipped(Sheet::MARGIN_MM, $top, $sheet->innerWidth(), $high, function () use ($sheet, $layout, $numbers, $scale, $from, $top, $selvedgeMm, $clothWidthMm, $high): void {
                foreach ([$selvedgeMm, $clothWidthMm - $selvedgeMm] as $x) {
                    $sheet->line(Sheet::MARGIN_MM + $x * $scale, $top, Sheet::MARGIN_MM + $x * $scale, $top + $high, 0.2, [1.0, 1.0]);
                }
                foreach ($layout->placed as $p) {
                    [$x, $y] = [Sheet::MARGIN_MM + ($p->xMm + $selvedgeMm) * $scale, $top + ($p->yMm - $from) * $scale];
                    if ($y + $p->lengthMm * $scale > $top && $y < $top + $high) {
                        $sheet->rect($x, $y, $p->widthMm * $scale, $p->lengthMm * $scale, 0.2, 0, 245);
                        $sheet->text($x, $y + $p->lengthMm * $scale / 2 - 1.6, $p->widthMm * $scale, (string) $numbers[$p->id], 9, false, 'C');
                    }
                }
            });
            $sheet->rect(Sheet::MARGIN_MM, $top, $sheet->innerWidth(), $high, 0.4);
            $part > 1 || $sheet->flow($top + $high + 3, array_map(fn (string $id, int $n): array => ["$n  $id", 8.0, false], array_keys($numbers), $numbers), "cutting plan, $material, pieces");
        }
    }
}
