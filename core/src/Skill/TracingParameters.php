<?php

declare(strict_types=1);

namespace OpenSeam\Core\Skill;

use InvalidArgumentException;

/** The four numbers of knowledge tracing; all are chances from 0 to 1. */
final readonly class TracingParameters
{
    private function __construct(
        /** Known before the first lesson. */
        public float $start,
        /** Shown wrong although known. */
        public float $slip,
        /** Shown right although not known. */
        public float $guess,
        /** Learned from one sample. */
        public float $transit,
    ) {}

    /** @throws InvalidArgumentException when a chance is outside 0 to 1, or slip + guess is 1 or more */
    public static function of(float $start, float $slip, float $guess, float $transit): self
    {
        foreach (compact('start', 'slip', 'guess', 'transit') as $name => $value) {
            if (! is_finite($value) || $value < 0 || $value > 1) {
                throw new InvalidArgumentException(sprintf('%s must be from 0 to 1, not %g.', $name, $value));
            }
        }
        if ($slip + $guess >= 1) {
            throw new InvalidArgumentException('slip and guess together must stay below 1, or a right showing would count against the student.');
        }

        return new self($start, $slip, $guess, $transit);
    }

    /**
     * The course's starting values until a studio has enough samples of its own.
     * Chosen so that two good checks in one sample make a skill sure, as a
     * teacher would say; common practice, no source.
     */
    public static function usual(): self
    {
        return new self(0.3, 0.1, 0.1, 0.2);
    }
}
