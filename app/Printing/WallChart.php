<?php

declare(strict_types=1);

namespace App\Printing;

use OpenSeam\Core\Picture\Picture;
use OpenSeam\Core\Words;

/** A chart for the wall: on one sheet of twice the size, or as two sheets that are put together. */
final readonly class WallChart
{
    private const GAP_MM = 5.0;

    /** By the number of columns: read from as far as there is room. */
    private const SAY_PT = [2 => 18.0, 3 => 15.0, 4 => 12.0, 5 => 10.0];

    /**
     * @param  list<array{picture: Picture, say: string}>  $cells
     * @param  bool  $trueSize  what is drawn to scale is as large as it is
     */
    public function __construct(private Sheet $sheet, private Words $words, private string $title, private array $cells, private bool $trueSize) {}

    public function whole(): void
    {
        $format = $this->sheet->format;
        $this->sheet->blank($format->heightMm(), 2 * $format->widthMm());
        $this->rows($this->lines(), $this->title());
    }

    /** Two sheets laid across, one below the other: each has half of its rows. */
    public function tiles(): void
    {
        $format = $this->sheet->format;
        $lines = $this->lines();
        foreach (array_chunk($lines, max(1, (int) ceil(count($lines) / 2))) as $i => $half) {
            $this->sheet->blank($format->heightMm(), $format->widthMm());
            $this->rows($half, $i === 0 ? $this->title() : Sheet::MARGIN_MM);
        }
    }

    /** @return float where it ends */
    private function title(): float
    {
        return $this->sheet->text(Sheet::MARGIN_MM, Sheet::MARGIN_MM, $this->sheet->innerWidth(), $this->title, 34, true) + 2;
    }

    /** @return list<list<array{picture: Picture, say: string}>> */
    private function lines(): array
    {
        return array_chunk($this->cells, $this->columns());
    }

    /** @param  list<list<array{picture: Picture, say: string}>>  $lines */
    private function rows(array $lines, float $y): void
    {
        $columns = $this->columns();
        $cell = ($this->sheet->innerWidth() - ($columns - 1) * self::GAP_MM) / $columns;
        $size = self::SAY_PT[$columns];
        $says = array_map(fn (array $row): float => max([0.0, ...array_map(fn (array $c): float => $this->sheet->highOf($c['say'], $cell, $size), $row)]), $lines);
        $each = max(8.0, ($this->sheet->height() - Sheet::MARGIN_MM - $y - array_sum($says)) / max(1, count($lines)) - self::GAP_MM);
        foreach ($lines as $r => $row) {
            foreach ($row as $c => $of) {
                $x = Sheet::MARGIN_MM + $c * ($cell + self::GAP_MM);
                $this->sheet->drawing($of['picture'], $this->words, $x, $y, $cell, $each, $this->trueSize);
                $this->sheet->text($x, $y + $each + 0.5, $cell, $of['say'], $size);
            }
            $y += $each + $says[$r] + self::GAP_MM;
        }
    }

    /** @return int<2, 5> */
    private function columns(): int
    {
        return match (true) {
            count($this->cells) > 24 => 5,
            count($this->cells) > 12 => 4,
            count($this->cells) > 8 => 3,
            default => 2,
        };
    }
}
