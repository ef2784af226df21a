<?php

declare(strict_types=1);

namespace OpenSeam\Core\Machine;

use OpenSeam\Core\Stitch\StitchSettings;

/** What is about to be sewn: stitch and settings, needle, cloth. */
final readonly class Setup
{
    public function __construct(
        public StitchSettings $stitch,
        /** Metric size, hundredths of a mm. */
        public float $needleSize = 80.0,
        /** Leather, suede, vinyl, coated: a smooth metal sole drags on it. */
        public bool $stickyCloth = false,
        /** Length of the row, mm; of a buttonhole its finished length; null: not asked. */
        public ?float $rowMm = null,
    ) {}
}
