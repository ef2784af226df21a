<?php

declare(strict_types=1);

namespace OpenSeam\Core\Sampler;

use OpenSeam\Core\Measure\Reading;

/** One reading to take on a row: what to type, in which range, where the ruler lies. */
final readonly class Field
{
    /**
     * @param  list<array<string, mixed>>  $marks  for lengths: where each is read
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
    ) {}

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
