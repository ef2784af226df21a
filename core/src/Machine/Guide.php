<?php

declare(strict_types=1);

namespace OpenSeam\Core\Machine;

use OpenSeam\Core\Near;

/** Something the cloth's edge, or the row before, rides along: at a fixed distance beside the centre needle, or adjustable. */
final readonly class Guide
{
    private function __construct(
        public string $id,
        public bool $adjustable,
        public float $minMm,
        public float $maxMm,
        /** 0: it can be set anywhere. */
        public float $stepMm,
        /** Set-up it takes, 0 none; only compared. */
        public float $effort,
        /** It lies to the left of the needle: a needle moved right is further from it. */
        public bool $left = false,
    ) {}

    public static function fixed(string $id, float $distanceMm, float $effort): self
    {
        return new self($id, false, $distanceMm, $distanceMm, 0.0, $effort);
    }

    public static function left(string $id, float $distanceMm, float $effort): self
    {
        return new self($id, false, $distanceMm, $distanceMm, 0.0, $effort, true);
    }

    public static function adjustable(string $id, float $minMm, float $maxMm, float $stepMm, float $effort): self
    {
        return new self($id, true, $minMm, $maxMm, $stepMm, $effort);
    }

    /** The setting nearest to a distance, mm from the centre needle. */
    public function nearest(float $distanceMm): float
    {
        if (! $this->adjustable) {
            return $this->minMm;
        }
        if ($this->stepMm <= 0.0) {
            return min($this->maxMm, max($this->minMm, $distanceMm));
        }
        $last = floor(($this->maxMm - $this->minMm) / $this->stepMm + Near::DUST);
        $step = min($last, max(0.0, round(($distanceMm - $this->minMm) / $this->stepMm)));

        return $this->minMm + $step * $this->stepMm;
    }
}
