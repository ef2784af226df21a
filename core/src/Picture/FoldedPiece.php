<?php

declare(strict_types=1);

namespace OpenSeam\Core\Picture;

/** A flat piece of a folded strip, between two creases. Places along the cloth and across the table in mm. */
final readonly class FoldedPiece
{
    public function __construct(
        public float $from,
        public float $to,
        /** Where "from" lies. */
        public float $x,
        /** @var 1|-1 to which side it runs from there */
        public int $way,
        /** From the table up; of two that lie over each other the higher one is above. */
        public int $level = 0,
        /** Which strip it is of, in the order in which they were laid. */
        public int $strip = 0,
    ) {}

    public function at(float $place): float
    {
        return $this->x + $this->way * ($place - $this->from);
    }

    public function left(): float
    {
        return min($this->x, $this->at($this->to));
    }

    public function right(): float
    {
        return max($this->x, $this->at($this->to));
    }

    public function covers(float $x): bool
    {
        return $x > $this->left() + FoldedCloth::NEAR_MM && $x < $this->right() - FoldedCloth::NEAR_MM;
    }

    /** @return array{float, float}|null where both lie over each other */
    public function over(self $other): ?array
    {
        $both = [max($this->left(), $other->left()), min($this->right(), $other->right())];

        return $both[1] - $both[0] > FoldedCloth::NEAR_MM ? $both : null;
    }

    public function on(int $level): self
    {
        return new self($this->from, $this->to, $this->x, $this->way, $level, $this->strip);
    }

    /** Turned about a crease. */
    public function turned(float $about): self
    {
        return new self($this->from, $this->to, 2 * $about - $this->x, $this->way === 1 ? -1 : 1, $this->level, $this->strip);
    }
}
