<?php

declare(strict_types=1);

namespace OpenSeam\Core\Sampler;

use OpenSeam\Core\Data;
use OpenSeam\Core\Near;
use OpenSeam\Core\Stitch\Path;

/** The part of a page that is drawn on, and the lines that can be laid into it; mm from the page's top left corner. */
final readonly class PaperArea
{
    /** Lines with dots to stop on. */
    private const STOP_LINES = 4;

    private function __construct(private float $left, private float $top, private float $right, private float $bottom) {}

    /** @param  Data  $margins  the foot of the page holds the check bar */
    public static function of(Data $margins, float $widthMm, float $heightMm): self
    {
        $side = $margins->number('margin_mm');

        return new self($side, $margins->number('top_mm'), $widthMm - $side, $heightMm - $margins->number('bottom_mm'));
    }

    /** @return list<Path> from top to bottom, from left to right */
    public function lanes(float $everyMm): array
    {
        $lines = [];
        for ($x = $this->left; $x <= $this->right + Near::DUST; $x += $everyMm) {
            $lines[] = Path::through([[$x, $this->top], [$x, $this->bottom]]);
        }

        return $lines;
    }

    /**
     * Half circles below each other, as many as there is room for.
     *
     * @param  array<array-key, float>  $radii
     * @return list<Path>
     */
    public function bends(array $radii, float $betweenMm): array
    {
        $lines = [];
        $y = $this->top;
        foreach ($radii as $radius) {
            $radius = min($radius, ($this->right - $this->left) / 2);
            if ($y + $radius > $this->bottom) {
                break;
            }
            $lines[] = Path::arc($this->middle(), $y + $radius, $radius, 180, 360);
            $y += $radius + $betweenMm;
        }

        return $lines;
    }

    public function squareSpiral(float $laneMm, int $corners): Path
    {
        $spiral = Path::squareSpiral($this->right - $this->left, 0.0, $laneMm, $corners);

        return Path::through(array_map(fn (array $p): array => [$p[0] + $this->left, $p[1] + $this->top], $spiral->corners));
    }

    public function roundSpiral(float $laneMm, float $turns): Path
    {
        return Path::roundSpiral($this->middle(), ($this->top + $this->bottom) / 2, ($this->right - $this->left) / 2, $laneMm, $turns);
    }

    /** @return array{list<Path>, list<array{float, float}>} lines, and dots along them */
    public function stops(float $everyMm): array
    {
        $lines = $this->lanes(($this->right - $this->left) / (self::STOP_LINES - 1));
        $dots = [];
        foreach ($lines as $line) {
            for ($y = $this->top + $everyMm; $y < $this->bottom; $y += $everyMm) {
                $dots[] = [$line->corners[0][0], $y];
            }
        }

        return [$lines, $dots];
    }

    private function middle(): float
    {
        return ($this->left + $this->right) / 2;
    }
}
