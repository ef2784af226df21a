<?php

declare(strict_types=1);

namespace OpenSeam\Core\Machine;

use OpenSeam\Core\Data;
use OpenSeam\Core\InputError;
use OpenSeam\Core\Near;

/**
 * How deep the swing of a blind hem bites into the fold, from width, needle
 * position and blade; and the one move that puts it right. All from the centre
 * needle in mm, left negative, as the needle points are: the straight stitches
 * run at the right end of the swing on the allowance, the fold lies against the
 * left of the blade, the swing bites it with its left end. Mirrored it is the
 * other way round.
 *
 * Opened, a bite of b mm shows as 2 b: the needle went through both layers of the
 * fold, as far from its edge on either side.
 */
final readonly class BlindHem
{
    /** A pick that hardly shows, and how much on each side is as good: craft, right-side pick at most 1 mm. */
    public const PICK_MM = 0.8;

    public const LARGEST_PICK_MM = 1.0;

    /** Nearer to the edge the needle splits it: about two threads of cloth. Common practice, no source. */
    public const SPLIT_MM = 0.2;

    /** A narrower swing leaves no room between the straight row and the fold; ours to start from. */
    private const NARROWEST_MM = 2.0;

    /** What a test shows that nobody measured, as the pick in mm: a miss by about half a millimetre, a bite that just splits the edge. Ours to start from. */
    public const SEEN = ['misses' => -1.0, 'split' => self::SPLIT_MM];

    private function __construct(
        public float $widthMm,
        public float $positionMm,
        public float $bladeMm,
        public bool $mirrored,
        /** How deep it bites; below 0 it misses by so much. */
        public float $biteMm,
        /** Between the row of straight stitches and the fold. */
        public float $straightMm,
        /** @var 'good'|'picks'|'misses'|'split'|'on-blade' */
        public string $verdict,
    ) {}

    /** @throws InputError naming what does not fit */
    public static function read(Data $d): self
    {
        return self::of(
            $d->numberWithin('width_mm', null, 0.5, 12), $d->numberWithin('position_mm', 0.0, -4.5, 4.5), $d->numberWithin('blade_mm', null, -12, 12), $d->flag('mirrored'),
        );
    }

    public static function of(float $width, float $position, float $blade, bool $mirrored = false): self
    {
        $way = $mirrored ? -1 : 1;
        $bite = $way * ($blade - $position) + $width / 2;
        $straight = $width / 2 - $way * ($blade - $position);

        return new self($width, $position, $blade, $mirrored, round($bite, 6), round($straight, 6), match (true) {
            $straight <= Near::DUST => 'on-blade',
            $bite <= Near::DUST => 'misses',
            $bite < self::SPLIT_MM => 'split',
            2 * $bite > self::LARGEST_PICK_MM + Near::DUST => 'picks',
            default => 'good',
        });
    }

    /** How large a bite shows on the right side, mm. */
    public function pickMm(): float
    {
        return max(0.0, 2 * $this->biteMm);
    }

    /**
     * The one move that comes nearest to a pick that hardly shows. Of several that
     * do, the one with the finer step, which is said too.
     *
     * @param  array{width: float, position: float, blade: float}  $steps  of each control, mm; 0: it cannot be moved
     * @param  float|null  $pick  seen on a test, mm; below 0: it missed the fold by about so much. What was worked out is wrong by what is seen
     * @return array{control: 'width'|'position'|'blade', from: float, to: float, pick_mm: float}|null null: nothing to move, or nothing that helps
     */
    public function move(array $steps, ?float $pick = null): ?array
    {
        $off = $pick === null ? 0.0 : $pick / 2 - $this->biteMm;
        $now = abs(2 * ($this->biteMm + $off) - self::PICK_MM);
        $best = null;
        // What a millimetre of each does to the bite.
        $does = ['width' => 0.5, 'position' => $this->mirrored ? 1.0 : -1.0, 'blade' => $this->mirrored ? -1.0 : 1.0];
        foreach ($does as $control => $share) {
            $step = $steps[$control];
            if ($step <= 0) {
                continue;
            }
            $count = round((self::PICK_MM / 2 - $this->biteMm - $off) / $share / $step);
            $from = ['width' => $this->widthMm, 'position' => $this->positionMm, 'blade' => $this->bladeMm][$control];
            $to = $from + $count * $step;
            $left = abs(2 * ($this->biteMm + $off + $share * $count * $step) - self::PICK_MM);
            $fine = abs($share) * $step;
            if ($count !== 0.0 && $left < $now - Near::DUST && $to >= ($control === 'width' ? self::NARROWEST_MM : -12) && ($best === null || $left < $best[0] - 0.05 || (abs($left - $best[0]) <= 0.05 && $fine < $best[1]))) {
                $best = [$left, $fine, ['control' => $control, 'from' => $from, 'to' => round($to, 4), 'pick_mm' => round(2 * ($this->biteMm + $off + $share * $count * $step), 4)]];
            }
        }

        return $best[2] ?? null;
    }

    /**
     * Which control changes the bite in the finest steps; null where none can be moved.
     *
     * @param  array{width: float, position: float, blade: float}  $steps
     * @return 'width'|'position'|'blade'|null
     */
    public static function finest(array $steps): ?string
    {
        $fine = array_filter(['width' => $steps['width'] / 2, 'position' => $steps['position'], 'blade' => $steps['blade']], fn (float $s): bool => $s > 0);
        asort($fine);

        return array_key_first($fine);
    }
}
