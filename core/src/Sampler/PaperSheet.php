<?php

declare(strict_types=1);

namespace OpenSeam\Core\Sampler;

use OpenSeam\Core\Stitch\Path;

/**
 * A printed sheet to sew on without thread: lines to follow and dots to stop
 * on, for a page of a given size. Mirrored for left-handed people, whose lines
 * begin on the other side. Lengths in mm from the page's top left corner.
 */
final readonly class PaperSheet
{
    /** Free on all sides of the page; nothing is drawn there. */
    private const MARGIN_MM = 18.0;

    private const LANE_MM = 20.0;

    private const DOT_EVERY_MM = 30.0;

    /**
     * @param  list<Path>  $lines
     * @param  list<array{float, float}>  $dots  stop here
     */
    private function __construct(public string $id, public string $title, public string $task, public array $lines, public array $dots) {}

    /**
     * @param  float  $widthMm  of the page
     * @param  float  $heightMm  of the page
     * @return list<self>
     */
    public static function all(float $widthMm, float $heightMm, bool $leftHanded = false): array
    {
        // The foot of the page holds the check bar.
        [$left, $top, $right, $bottom] = [self::MARGIN_MM, 32.0, $widthMm - self::MARGIN_MM, $heightMm - 34.0];
        $middle = $widthMm / 2;
        $sheets = [
            self::lanes($left, $top, $right, $bottom),
            self::curves($left, $top, $right, $bottom),
            new self('square-spiral', 'Square spiral', 'Needle down in each corner, foot up, turn, foot down. Lanes of 20 mm.', [self::square($left, $top, $right - $left)], []),
            new self('round-spiral', 'Round spiral', 'From the outside in; turn the paper with both hands, slower where it tightens.', [Path::roundSpiral($middle, ($top + $bottom) / 2, ($right - $left) / 2, self::LANE_MM, 3.5)], []),
            self::stops($left, $top, $right, $bottom),
        ];

        return $leftHanded ? array_map(fn (self $s): self => $s->mirrored($widthMm), $sheets) : $sheets;
    }

    private static function lanes(float $left, float $top, float $right, float $bottom): self
    {
        $lines = [];
        for ($x = $left; $x <= $right + 1e-9; $x += self::LANE_MM) {
            $lines[] = Path::through([[$x, $top], [$x, $bottom]]);
        }

        return new self('straight-lanes', 'Straight lanes', 'One lane after the other, eyes on the line ahead of the foot, even speed.', $lines, []);
    }

    /** Half circles of falling radius, from wide to tight. */
    private static function curves(float $left, float $top, float $right, float $bottom): self
    {
        $lines = [];
        $y = $top;
        foreach ([70.0, 50.0, 35.0, 25.0, 15.0, 10.0] as $radius) {
            $radius = min($radius, ($right - $left) / 2);
            if ($y + $radius > $bottom) {
                break;
            }
            $lines[] = Path::arc(($left + $right) / 2, $y + $radius, $radius, 180, 360);
            $y += $radius + 12;
        }

        return new self('curves', 'Curves, wide to tight', 'On a tight bend: needle down, foot up, turn a little, foot down.', $lines, []);
    }

    private static function square(float $left, float $top, float $side): Path
    {
        $spiral = Path::squareSpiral($side, 0.0, self::LANE_MM, 12);

        return Path::through(array_map(fn (array $p): array => [$p[0] + $left, $p[1] + $top], $spiral->corners));
    }

    private static function stops(float $left, float $top, float $right, float $bottom): self
    {
        $lines = [];
        $dots = [];
        $step = ($right - $left) / 3;
        for ($x = $left; $x <= $right + 1e-9; $x += $step) {
            $lines[] = Path::through([[$x, $top], [$x, $bottom]]);
            for ($y = $top + self::DOT_EVERY_MM; $y < $bottom; $y += self::DOT_EVERY_MM) {
                $dots[] = [$x, $y];
            }
        }

        return new self('stop-dots', 'Stop on the dot', 'Foot off the pedal two stitches before each dot, the rest by hand wheel.', $lines, $dots);
    }

    private function mirrored(float $width): self
    {
        $dots = [];
        foreach ($this->dots as [$x, $y]) {
            $dots[] = [$width - $x, $y];
        }

        return new self($this->id, $this->title, $this->task, array_map(fn (Path $p): Path => $p->mirrored($width), $this->lines), $dots);
    }
}
