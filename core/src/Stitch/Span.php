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

    public function holds(float $value): bool
    {
        // Sums of tenths must not miss a limit by rounding dust.
        return is_finite($value) && $value >= $this->min - Near::DUST && $value <= $this->max + Near::DUST;
    }

    /** @throws InputError naming the field and the range when the value is outside */
    public function check(string $field, float $value, string $what): void
    {
        if (! $this->holds($value)) {
            throw InputError::at($field, is_finite($value) ? $value : null, $this->max <= 0.0 ? "$what is 0." : sprintf('%s is from %g to %g mm.', $what, $this->min, $this->max));
        }
    }
}
