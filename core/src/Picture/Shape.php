<?php

declare(strict_types=1);

namespace OpenSeam\Core\Picture;

/**
 * A line or an area of a picture, in mm, x to the right and y down. What it
 * stands for says how it is drawn, on a screen and on paper alike.
 */
final readonly class Shape
{
    /** Areas; everything else is a line. */
    public const AREAS = [
        'cloth-face', 'cloth-back', 'cloth-other', 'paper', 'body', 'metal', 'wood', 'skin', 'dark', 'glass', 'thread-wound', 'zone', 'arrow-head', 'mark', 'above-right', 'above-wrong',
    ];

    /** Lines. */
    public const LINES = [
        'ink', 'heavy', 'thin', 'thread', 'thread-under', 'lit', 'arrow', 'chalk', 'cut-line', 'measure', 'wrong', 'ghost', 'pin', 'cord',
        'cloth', 'right-side', 'sewn', 'basted', 'pinned', 'needle', 'crease', 'row-sewn', 'row-basted', 'row-pinned',
    ];

    /** @param  list<array{float, float}>  $points */
    public function __construct(
        /** @var string one of AREAS or LINES */
        public string $role,
        public array $points,
    ) {}

    public function isArea(): bool
    {
        return in_array($this->role, self::AREAS, true);
    }

    /** The same, so much larger and then moved. */
    public function placed(float $scale, float $x, float $y): self
    {
        return new self($this->role, array_map(fn (array $p): array => [$p[0] * $scale + $x, $p[1] * $scale + $y], $this->points));
    }

    /** The same as in a mirror that stands at x = 0. */
    public function mirrored(): self
    {
        return new self($this->role, array_map(fn (array $p): array => [-$p[0], $p[1]], $this->points));
    }
}
