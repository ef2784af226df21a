<?php

declare(strict_types=1);

namespace OpenSeam\Core\Skill;

use OpenSeam\Core\Data;
use OpenSeam\Core\ValueRefused;

/**
 * The numbers of knowledge tracing; all are chances from 0 to 1. A showing is a
 * sample's required checks of a skill together: the weakest of them.
 */
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
        /** Learned from the demonstration, before the first sample. */
        public float $demo,
    ) {}

    /** @throws ValueRefused when a chance is outside 0 to 1, or slip + guess is 1 or more */
    public static function of(float $start, float $slip, float $guess, float $transit, float $demo = 0.0): self
    {
        foreach (compact('start', 'slip', 'guess', 'transit', 'demo') as $name => $value) {
            if (! is_finite($value) || $value < 0 || $value > 1) {
                throw new ValueRefused(sprintf('%s must be from 0 to 1, not %g.', $name, $value));
            }
        }
        if ($slip + $guess >= 1) {
            throw new ValueRefused('slip and guess together must stay below 1, or a right showing would count against the student.');
        }

        return new self($start, $slip, $guess, $transit, $demo);
    }

    /** From a part of resources/tracing.json. */
    public static function read(Data $of): self
    {
        return self::of($of->number('start'), $of->number('slip'), $of->number('guess'), $of->number('transit'), $of->number('demo'));
    }

    /** Known once it has been demonstrated: what the first sample begins with. */
    public function afterDemo(): float
    {
        return $this->start + (1 - $this->start) * $this->demo;
    }

    /** The starting values of a skill of the hand, until a studio has enough samples of its own: resources/tracing.json. */
    public static function usual(): self
    {
        return TracingTable::defaults()[TracingTable::USUAL];
    }
}
