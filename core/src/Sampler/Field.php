<?php

declare(strict_types=1);

namespace OpenSeam\Core\Sampler;

use OpenSeam\Core\Measure\Reading;

/** One reading to take on a row: what to type, in which range, where the ruler lies. */
final readonly class Field
{
    /**
     * @param  list<Mark>  $marks  for lengths: where each is read
     * @param  list<string>  $options  for a choice: its described steps, best first
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
    ) {}

    /** The same, read as closely as it was typed. */
    public function within(?float $limitMm): self
    {
        return $limitMm === null || $limitMm === $this->limitMm ? $this
            : new self($this->id, $this->label, $this->kind, $this->min, $this->max, $this->step, $this->marks, $this->options, $this->hint, $limitMm, $this->oneSide);
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
