<?php

declare(strict_types=1);

namespace OpenSeam\Core\Buttonhole;

use OpenSeam\Core\Data;
use OpenSeam\Core\InputError;

/** What ruler and eye say of a sewn buttonhole, each only where it was looked at. Lengths in mm. */
final readonly class HoleReading
{
    public const SHOWS = ['none', 'little', 'clear'];

    public const BUTTON = ['tight', 'snug', 'loose'];

    public function __construct(
        /** Over both bars, each side. */
        public ?float $leftMm = null,
        public ?float $rightMm = null,
        public ?float $barFrontMm = null,
        public ?float $barBackMm = null,
        /** Of both ends from their marks, beyond the mark positive. */
        public ?float $frontFromMarkMm = null,
        public ?float $backFromMarkMm = null,
        /** Between the sides. */
        public ?float $gapMm = null,
        /** Needle points in 10 mm. */
        public ?float $pointsLeft = null,
        public ?float $pointsRight = null,
        /** Of the cloth through the stitches, of SHOWS. */
        public ?string $showsLeft = null,
        public ?string $showsRight = null,
        /** Of both ends from the edge of the band. */
        public ?float $edgeFrontMm = null,
        public ?float $edgeBackMm = null,
        public ?bool $puckered = null,
        public ?bool $threadCaught = null,
        public ?bool $nest = null,
        public ?bool $tied = null,
        /** It stuck, or thread heaped up. */
        public ?bool $ridge = null,
        /** Where it began. */
        public ?bool $startGap = null,
        public ?float $openingMm = null,
        /** In the opening, of BUTTON. */
        public ?string $button = null,
        public ?bool $barCut = null,
        public ?bool $sideCut = null,
    ) {}

    /** @throws InputError when a value is none of those there are */
    public static function read(Data $d): self
    {
        $flag = fn (string $name): ?bool => $d->has($name) ? $d->flag($name) : null;
        $word = fn (string $name): ?string => $d->has($name) ? $d->text($name) : null;

        return new self(
            $d->numberOrNull('left_mm'), $d->numberOrNull('right_mm'), $d->numberOrNull('bar_front_mm'), $d->numberOrNull('bar_back_mm'),
            $d->numberOrNull('front_from_mark_mm'), $d->numberOrNull('back_from_mark_mm'), $d->numberOrNull('gap_mm'),
            $d->numberOrNull('points_left'), $d->numberOrNull('points_right'), $word('cloth_shows_left'), $word('cloth_shows_right'),
            $d->numberOrNull('edge_front_mm'), $d->numberOrNull('edge_back_mm'), $flag('puckered'), $flag('thread_caught'), $flag('nest'), $flag('tied'), $flag('ridge'), $flag('start_gap'),
            $d->numberOrNull('opening_mm'), $word('button'), $flag('bar_cut'), $flag('side_cut'),
        );
    }

    /** Over both bars: of both sides, or the one that was measured; else from the marks. */
    public function finishedMm(float $plannedMm): ?float
    {
        $sides = array_filter([$this->leftMm, $this->rightMm], fn (?float $s): bool => $s !== null);
        if ($sides !== []) {
            return array_sum($sides) / count($sides);
        }

        return $this->frontFromMarkMm === null || $this->backFromMarkMm === null ? null : $plannedMm + $this->frontFromMarkMm + $this->backFromMarkMm;
    }

    /** How far the whole of it lies from its place, towards the front positive. */
    public function displacedMm(): ?float
    {
        return $this->frontFromMarkMm === null || $this->backFromMarkMm === null ? null : ($this->frontFromMarkMm - $this->backFromMarkMm) / 2;
    }

    /** @return float|null difference of the points on both sides, of their mean; the left denser positive */
    public function lopsided(): ?float
    {
        return $this->pointsLeft === null || $this->pointsRight === null || $this->pointsLeft + $this->pointsRight <= 0 ? null : 2 * ($this->pointsLeft - $this->pointsRight) / ($this->pointsLeft + $this->pointsRight);
    }

    /** Which side is denser, by its points or by the cloth that shows; null where neither is. */
    public function denser(): ?string
    {
        $by = $this->lopsided();
        if ($by !== null && abs($by) > HoleChecks::POINTS[0]) {
            return $by > 0 ? 'left' : 'right';
        }
        $left = array_search($this->showsLeft, self::SHOWS, true);
        $right = array_search($this->showsRight, self::SHOWS, true);
        if ($left === false || $right === false || $left === $right || min($left, $right) > 0) {
            return null;
        }

        return $left < $right ? 'left' : 'right';
    }

    /** On both sides. */
    public function clothShows(): bool
    {
        return in_array($this->showsLeft, ['little', 'clear'], true) && in_array($this->showsRight, ['little', 'clear'], true);
    }
}
