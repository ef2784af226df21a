<?php

declare(strict_types=1);

namespace OpenSeam\Core\Picture;

use OpenSeam\Core\Data;
use OpenSeam\Core\InputError;

/** By how much a row is not what it should be, in the measures that a reading has. */
final readonly class Bend
{
    /** Waves of a wobbling row, mm from crest to crest; common practice, no source. */
    private const WAVE_MM = 14.0;

    private function __construct(
        /** All of it beside where it belongs, mm; right of the way is positive. */
        public float $offsetMm = 0.0,
        /** From beginning to end, mm. */
        public float $driftMm = 0.0,
        /** To each side, mm. */
        public float $wobbleMm = 0.0,
        /** Every so many stitches one is missing; 0: none. */
        public int $skipped = 0,
        /** How high loops stand on the face that is drawn, mm. */
        public float $loopsMm = 0.0,
        /** Dots of the other thread on the face that is drawn. */
        public bool $dots = false,
        /** Cloth between the stitches pulled up, mm. */
        public float $tunnelMm = 0.0,
        /** The cloth's edge up and down, mm. */
        public float $puckersMm = 0.0,
        /** Lengths up and down by this share. */
        public float $uneven = 0.0,
        /** A snarl where it begins. */
        public bool $nest = false,
        /** It ends in the open after this share of its length; 1: whole. */
        public float $whole = 1.0,
        /** Forward and back at its ends, so many stitches. */
        public int $secured = 0,
        /** To one side at half its way, mm. */
        public float $stepMm = 0.0,
        /** Every so many stitches the thread is gone for two; 0: whole. */
        public int $broken = 0,
        /** Which end is secured: start, end or both. */
        public string $securedAt = 'both',
    ) {}

    /** @throws InputError for an amount that no row has */
    public static function read(Data $d): self
    {
        return new self(
            $d->numberWithin('offset_mm', 0.0, -20, 20), $d->numberWithin('drift_mm', 0.0, -20, 20), $d->numberWithin('wobble_mm', 0.0, 0, 10),
            $d->whole('skipped', 0), $d->numberWithin('loops_mm', 0.0, 0, 10), $d->flag('dots'), $d->numberWithin('tunnel_mm', 0.0, 0, 10), $d->numberWithin('puckers_mm', 0.0, 0, 10),
            $d->numberWithin('uneven', 0.0, 0, 1, 'of the length'), $d->flag('nest'), $d->numberWithin('whole', 1.0, 0.1, 1, 'of the row'), $d->whole('secured', 0), $d->numberWithin('step_mm', 0.0, -20, 20), $d->whole('broken', 0),
            $d->among('secured_at', ['start', 'end', 'both'], 'both'),
        );
    }

    public function isShifted(): bool
    {
        return $this->offsetMm !== 0.0 || $this->driftMm !== 0.0 || $this->wobbleMm !== 0.0 || $this->stepMm !== 0.0;
    }

    /**
     * @param  list<array{float, float}>  $points  along, across, mm
     * @return list<array{float, float}>
     */
    public function of(array $points): array
    {
        $long = $points[count($points) - 1][0] ?: 1.0;
        $moved = [];
        foreach ($points as $i => [$along, $across]) {
            if ($along > $long * $this->whole + 1e-9) {
                break;
            }
            if ($this->skipped > 0 && $i > 0 && $i % $this->skipped === 0) {
                continue;
            }
            $step = ($points[1][0] ?? 1.0) ?: 1.0;
            $moved[] = [
                $along + $this->uneven * $step * 0.5 * sin($i * 2.4),
                $across + $this->offsetMm + $this->driftMm * $along / $long + $this->wobbleMm * sin(2 * M_PI * $along / self::WAVE_MM) + ($along > $long / 2 ? $this->stepMm : 0.0),
            ];
        }

        return $moved;
    }
}
