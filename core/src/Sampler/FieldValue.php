<?php

declare(strict_types=1);

namespace OpenSeam\Core\Sampler;

/** One value of a reading as it is typed and stepped. */
final readonly class FieldValue
{
    /**
     * @param  bool  $length  in mm, and typed in the reader's unit; otherwise a number
     * @param  float  $step  what ↑ and ↓ change it by
     */
    public function __construct(public bool $length, public float $min, public float $max, public float $step) {}
}
