<?php

declare(strict_types=1);

namespace OpenSeam\Core\Machine;

use OpenSeam\Core\Data;
use OpenSeam\Core\InputError;

/** How far a machine's needle swings and where it stands: mm from the centre needle, left negative. */
final readonly class Swing
{
    /** A dial is read to about so much, mm. */
    private const DIAL_MM = 0.1;

    /**
     * @param  list<array{width_mm: float, length_mm: float, name: string}>  $fixed  the only zigzags there are; empty: width is free
     * @param  list<float>  $positionsMm  needle positions, rising
     */
    private function __construct(
        public float $widestMm,
        public array $fixed,
        public array $positionsMm,
        /** Half of the plate's slot, on each side of the centre needle. */
        public float $slotHalfMm,
        /** Its dial gives zigzag length for the whole cycle, not for each stroke. */
        public bool $lengthPerCycle,
    ) {}

    /** @throws InputError naming what does not fit */
    public static function read(Data $d, Drive $drive): self
    {
        $straight = $drive === Drive::StraightOnly;
        $widest = $d->numberWithin('widest_swing_mm', $straight ? 0.0 : 5.0, 0, 12);
        $straight && $widest > 0 && throw InputError::at($d->path('widest_swing_mm'), $widest, 'A straight-only machine has no swing: 0 mm.');
        $positions = $d->has('needle_positions_mm') ? $d->numbers('needle_positions_mm') : [0.0];
        in_array(0.0, $positions, true) || throw InputError::at($d->path('needle_positions_mm'), $positions, 'The centre, 0, is always among the needle positions.');
        foreach ($positions as $i => $p) {
            abs($p) <= 4.5 || throw InputError::at($d->path("needle_positions_mm[$i]"), $p, 'A needle position is from -4.5 to 4.5 mm.');
        }
        sort($positions);
        $slot = $d->numberWithin('slot_mm', $straight ? 1.6 : $widest + 2.0, 1, 16);
        $fixed = array_map(fn (Data $z): array => [
            'width_mm' => $z->numberWithin('width_mm', null, 0, 12), 'length_mm' => $z->numberWithin('length_mm', null, 0.1, 12), 'name' => $z->text('name'),
        ], $d->parts('fixed_zigzags'));
        foreach ($fixed as $i => $z) {
            $z['width_mm'] <= $widest || throw InputError::at($d->path("fixed_zigzags[$i].width_mm"), $z['width_mm'], sprintf('It cannot be wider than the machine’s widest swing, %g mm.', $widest));
        }

        return new self($widest, $fixed, $positions, $slot / 2, $d->among('zigzag_length', ['per-stroke', 'per-cycle'], 'per-stroke') === 'per-cycle');
    }

    /** @return array<string, mixed> as read() takes it */
    public function facts(): array
    {
        return [
            'widest_swing_mm' => $this->widestMm, 'fixed_zigzags' => $this->fixed, 'needle_positions_mm' => $this->positionsMm, 'slot_mm' => $this->slotHalfMm * 2,
            'zigzag_length' => $this->lengthPerCycle ? 'per-cycle' : 'per-stroke',
        ];
    }

    /** The nearest position it has, mm. */
    public function nearestPosition(float $positionMm): float
    {
        $best = 0.0;
        foreach ($this->positionsMm as $p) {
            if (abs($p - $positionMm) < abs($best - $positionMm)) {
                $best = $p;
            }
        }

        return $best;
    }

    /** The finest step between two needle positions, mm; 0 where it has one only. */
    public function positionStepMm(): float
    {
        $steps = array_map(fn (float $a, float $b): float => $b - $a, array_slice($this->positionsMm, 0, -1), array_slice($this->positionsMm, 1));

        return $steps === [] ? 0.0 : round(min($steps), 3);
    }

    /** One of the only zigzags there are, as a dial is read. */
    public function hasFixed(float $widthMm, float $lengthMm): bool
    {
        foreach ($this->fixed as $z) {
            if (abs($z['width_mm'] - $widthMm) <= self::DIAL_MM && abs($z['length_mm'] - $lengthMm) <= self::DIAL_MM) {
                return true;
            }
        }

        return false;
    }
}
