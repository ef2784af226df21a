<?php

declare(strict_types=1);

namespace OpenSeam\Core\Stitch;

use OpenSeam\Core\Data;
use OpenSeam\Core\InputError;
use OpenSeam\Core\Near;

/** From so much to so much, in mm, with the value people start from. */
final readonly class Span
{
    public function __construct(public float $min, public float $max, public float $usual) {}

    public static function read(Data $data): self
    {
        return new self($data->number('min'), $data->number('max'), $data->number('usual'));
    }

    /** @throws InputError naming the field and the range when the value is outside */
    public function check(string $field, float $value, string $what): void
    {
        // Sums of tenths must not miss a limit by rounding dust.
        if (! is_finite($value) || $value < $this->min - Near::DUST || $value > $this->max + Near::DUST) {
            throw InputError::at($field, is_finite($value) ? $value : null, $this->max <= 0.0 ? "$what is 0." : sprintf('%s is from %g to %g mm.', $what, $this->min, $this->max));
        }
    }
}
