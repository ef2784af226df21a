<?php

declare(strict_types=1);

namespace OpenSeam\Core\Material;

/** What one buttonhole job takes beside the lessons: its own buttons, and the same stack for its tests. */
final readonly class ButtonStock
{
    /** A test lies on a piece so large, mm: a hole of 30 and room to hold it; common practice, no source. */
    public const TEST_MM = [60.0, 80.0];

    public function __construct(
        public string $title,
        public int $buttons,
        /** That have to be met in a row before it is sewn on the garment. */
        public int $tests,
        /** Of cloth, and of interfacing, in each test. */
        public int $layers,
        public int $interfacing,
    ) {}

    public function item(): string
    {
        return 'buttons-'.trim((string) preg_replace('/[^a-z0-9]+/', '-', strtolower($this->title)), '-');
    }
}
