<?php

declare(strict_types=1);

namespace OpenSeam\Core\Sampler;

use OpenSeam\Core\Data;
use OpenSeam\Core\Measure\Reading;

/** One reading to take on a row: what to type, in which range, where the ruler lies. */
final readonly class Field
{
    /** Stitches are counted along a ruler: over less than this they tell nothing, and the usual one ends there. */
    private const SHORTEST_COUNTED_MM = 5.0;

    private const LONGEST_COUNTED_MM = 300.0;

    /**
     * @param  list<Mark>  $marks  for lengths: where each is read
     * @param  list<string>  $options  for a choice: its described steps, best first
     * @param  list<Data>  $looks  pictures: one for each answer, or one with the reading in it
     */
    public function __construct(
        public string $id,
        public string $label,
        public FieldKind $kind,
        public float $min,
        public float $max,
        public float $step,
        public array $marks = [],
        public array $options = [],
        public string $hint = '',
        /** How closely a length is read, ± mm; below 0.5 with a magnifier. */
        public float $limitMm = Reading::RULER_LIMIT_MM,
        /** Of a zigzag's count: points on one side, two strokes each. */
        public bool $oneSide = false,
        public array $looks = [],
    ) {}

    /** The same, read as closely as it was typed. */
    public function within(?float $limitMm): self
    {
        return $limitMm === null || $limitMm === $this->limitMm ? $this
            : new self($this->id, $this->label, $this->kind, $this->min, $this->max, $this->step, $this->marks, $this->options, $this->hint, $limitMm, $this->oneSide, $this->looks);
    }

    /**
     * The values it takes, each with what it is and how it steps: of stitches first how many, then the length they were counted
     * over, in whole mm up to the longest row there is.
     *
     * @return list<FieldValue>
     */
    public function values(): array
    {
        $length = $this->kind === FieldKind::Length || $this->kind === FieldKind::Lengths;

        return $this->kind === FieldKind::Stitches
            ? [new FieldValue(false, 1.0, $this->max, $this->step), new FieldValue(true, self::SHORTEST_COUNTED_MM, self::LONGEST_COUNTED_MM, 1.0)]
            : array_fill(0, $this->size(), new FieldValue($length, $this->min, $this->max, $this->step));
    }

    /** How many values it takes. */
    public function size(): int
    {
        return match ($this->kind) {
            FieldKind::Lengths, FieldKind::Counts => count($this->marks),
            FieldKind::Stitches => 2,
            default => 1,
        };
    }
}
