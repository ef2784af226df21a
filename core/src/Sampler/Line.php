<?php

declare(strict_types=1);

namespace OpenSeam\Core\Sampler;

/** A line on a piece that is drawn but not sewn, in mm from the piece's top left corner. */
final readonly class Line
{
    public const KINDS = ['fold', 'cut', 'chalk'];

    /**
     * @param  array{float, float}  $from
     * @param  array{float, float}  $to
     */
    public function __construct(public string $kind, public string $piece, public array $from, public array $to) {}
}
