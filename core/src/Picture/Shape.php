<?php

declare(strict_types=1);

namespace OpenSeam\Core\Picture;

/** A line of a picture, in mm, x to the right and y down. What it stands for says how it is drawn, on a screen and on paper alike. */
final readonly class Shape
{
    /** @param  list<array{float, float}>  $points */
    public function __construct(
        /** @var 'cloth'|'right-side'|'sewn'|'basted'|'pinned'|'needle'|'above-right'|'above-wrong'|'crease'|'row-sewn'|'row-basted'|'row-pinned' */
        public string $role,
        public array $points,
    ) {}
}
