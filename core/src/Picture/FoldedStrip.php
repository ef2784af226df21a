<?php

declare(strict_types=1);

namespace OpenSeam\Core\Picture;

use OpenSeam\Core\InputError;

/**
 * A strip of cloth lying folded on the table, seen along its creases: pieces
 * between creases, with who lies above whom. Nothing of it is lost or stretched
 * by a fold, and no piece goes through another one.
 */
final readonly class FoldedStrip
{
    public const NEAR_MM = 1e-6;

    /** @param  non-empty-list<FoldedPiece>  $pieces  along the cloth */
    private function __construct(public array $pieces, private bool $rightUpWhereItRunsOn) {}

    /** Lying flat, from left to right. */
    public static function flat(float $length, bool $rightUp): self
    {
        return new self([new FoldedPiece(0.0, $length, 0.0, 1)], $rightUp);
    }

    public function length(): float
    {
        return $this->pieces[count($this->pieces) - 1]->to;
    }

    /** The right side of a piece looks up. It changes with every crease. */
    public function isRightUp(FoldedPiece $piece): bool
    {
        return ($piece->way === 1) === $this->rightUpWhereItRunsOn;
    }

    public function pieceAt(float $place): FoldedPiece
    {
        foreach ($this->pieces as $piece) {
            if ($place <= $piece->to + self::NEAR_MM) {
                return $piece;
            }
        }

        return $this->pieces[count($this->pieces) - 1];
    }

    /** Where a place of the cloth lies across the table. */
    public function x(float $place): float
    {
        return $this->pieceAt($place)->at($place);
    }

    /**
     * Folds about a crease, or opens one that is there.
     *
     * @param  float  $place  of the crease along the cloth
     * @param  bool  $start  the beginning of the strip is moved, else its rest
     * @param  bool  $over  it goes over, else under
     * @param  string  $field  named where it cannot be
     *
     * @throws InputError where there is no cloth to fold, or cloth lies in the way
     */
    public function fold(float $place, bool $start, bool $over, string $field = 'at_mm'): self
    {
        $place > self::NEAR_MM && $place < $this->length() - self::NEAR_MM
            || throw InputError::at($field, $place, sprintf('A crease lies on the strip: more than 0 and less than %g mm from its beginning.', $this->length()));
        $hinge = $this->x($place);
        $pieces = $this->creased($place);
        $moves = fn (FoldedPiece $p): bool => $start ? $p->to <= $place + self::NEAR_MM : $p->from >= $place - self::NEAR_MM;
        $next = array_values(array_filter($pieces, fn (FoldedPiece $p): bool => abs(($start ? $p->to : $p->from) - $place) < self::NEAR_MM))[0];
        // The side that swings over or under; what lies on the other side of the crease swings the other way.
        $side = $start ? -$next->way : $next->way;
        foreach ($pieces as $m) {
            foreach ($pieces as $n) {
                $moves($m) && ! $moves($n) && self::mustBeFree($m, $n, $hinge, $side, $over, $field, $place);
            }
        }
        $turned = array_map(fn (FoldedPiece $p): FoldedPiece => $moves($p) ? $p->turned($hinge) : $p, $pieces);
        $above = [];
        foreach ($turned as $i => $a) {
            foreach ($turned as $k => $b) {
                $both = $i === $k ? null : $a->over($b);
                if ($both === null) {
                    continue;
                }
                $above[$i][$k] = match (true) {
                    $moves($pieces[$i]) && $moves($pieces[$k]) => $a->level < $b->level,
                    ! $moves($pieces[$i]) && ! $moves($pieces[$k]) => $a->level > $b->level,
                    // What swung over to the other side lies above what is there; what came back the other way lies below.
                    default => $moves($pieces[$i]) === ((($both[0] + $both[1]) / 2 - $hinge) * $side < 0 ? $over : ! $over),
                };
            }
        }

        return (new self(self::levelled($turned, $above, $field, $place), $this->rightUpWhereItRunsOn))->joined()->checked($field, $place);
    }

    /** All of it turned over, where it lies on the table. */
    public function turnedOver(): self
    {
        $top = max(array_map(fn (FoldedPiece $p): int => $p->level, $this->pieces));

        $middle = (min(array_map(fn (FoldedPiece $p): float => $p->left(), $this->pieces)) + max(array_map(fn (FoldedPiece $p): float => $p->right(), $this->pieces))) / 2;

        return new self(array_map(fn (FoldedPiece $p): FoldedPiece => $p->turned($middle)->on($top - $p->level), $this->pieces), $this->rightUpWhereItRunsOn);
    }

    /** @return list<FoldedPiece> that a needle goes through, the top one first */
    public function under(float $x): array
    {
        $hit = array_values(array_filter($this->pieces, fn (FoldedPiece $p): bool => $p->covers($x)));
        usort($hit, fn (FoldedPiece $a, FoldedPiece $b): int => $b->level <=> $a->level);

        return $hit;
    }

    /** @return list<array{float, float, FoldedPiece}> what is seen from above, from left to right */
    public function seen(): array
    {
        $edges = array_merge(array_map(fn (FoldedPiece $p): float => $p->left(), $this->pieces), array_map(fn (FoldedPiece $p): float => $p->right(), $this->pieces));
        sort($edges);
        $seen = [];
        foreach (array_slice($edges, 1) as $i => $to) {
            $top = $to - $edges[$i] > self::NEAR_MM ? $this->under(($edges[$i] + $to) / 2)[0] ?? null : null;
            if ($top === null) {
                continue;
            }
            $last = count($seen) - 1;
            if ($last >= 0 && $seen[$last][2] === $top) {
                $seen[$last][1] = $to;
            } else {
                $seen[] = [$edges[$i], $to, $top];
            }
        }

        return $seen;
    }

    /** @return non-empty-list<FoldedPiece> with a crease more */
    private function creased(float $place): array
    {
        $pieces = [];
        foreach ($this->pieces as $p) {
            if ($place > $p->from + self::NEAR_MM && $place < $p->to - self::NEAR_MM) {
                array_push($pieces, new FoldedPiece($p->from, $place, $p->x, $p->way, $p->level), new FoldedPiece($place, $p->to, $p->at($place), $p->way, $p->level));
            } else {
                $pieces[] = $p;
            }
        }

        return $pieces;
    }

    /** @throws InputError where a piece that stays lies in the way of one that moves */
    private static function mustBeFree(FoldedPiece $m, FoldedPiece $n, float $hinge, int $side, bool $over, string $field, float $place): void
    {
        $both = $m->over($n);
        foreach ($both === null ? [] : [[$both[0], min($both[1], $hinge), -1], [max($both[0], $hinge), $both[1], 1]] as [$from, $to, $here]) {
            $up = ($here === $side) === $over;
            if ($to - $from > self::NEAR_MM && ($n->level > $m->level) === $up) {
                throw InputError::at($field, $place, sprintf('At %g mm the strip cannot be folded %s: it lies %s itself there.', $place, $over ? 'over' : 'under', $up ? 'under' : 'on'));
            }
        }
    }

    /**
     * The lowest levels that keep who lies above whom.
     *
     * @param  non-empty-list<FoldedPiece>  $pieces
     * @param  array<int, array<int, bool>>  $above
     * @return non-empty-list<FoldedPiece>
     */
    private static function levelled(array $pieces, array $above, string $field, float $place): array
    {
        $levels = array_fill(0, count($pieces), 0);
        for ($round = 0; $round <= count($pieces); $round++) {
            $changed = false;
            foreach ($above as $i => $others) {
                foreach ($others as $k => $isAbove) {
                    if ($isAbove && $levels[$i] <= $levels[$k]) {
                        $levels[$i] = $levels[$k] + 1;
                        $changed = true;
                    }
                }
            }
            if (! $changed) {
                return array_map(fn (FoldedPiece $p, int $level): FoldedPiece => $p->on($level), $pieces, $levels);
            }
        }
        throw InputError::at($field, $place, sprintf('At %g mm the strip cannot be folded like this: it would go through itself.', $place));
    }

    /** Where a crease was opened there is one piece again. */
    private function joined(): self
    {
        $pieces = [$this->pieces[0]];
        foreach (array_slice($this->pieces, 1) as $p) {
            $last = count($pieces) - 1;
            if ($pieces[$last]->way === $p->way && $pieces[$last]->level === $p->level) {
                $p = new FoldedPiece($pieces[$last]->from, $p->to, $pieces[$last]->x, $p->way, $p->level);
                array_pop($pieces);
            }
            $pieces[] = $p;
        }

        return new self($pieces, $this->rightUpWhereItRunsOn);
    }

    /** @throws InputError where a piece would go through a crease */
    private function checked(string $field, float $place): self
    {
        foreach (array_slice($this->pieces, 1) as $i => $b) {
            $a = $this->pieces[$i];
            foreach ($this->pieces as $p) {
                if ($a->way !== $b->way && $p->level > min($a->level, $b->level) && $p->level < max($a->level, $b->level) && $p->covers($b->x)) {
                    throw InputError::at($field, $place, sprintf('At %g mm the strip cannot be folded like this: a layer would go through the crease at %g mm.', $place, $b->from));
                }
            }
        }

        return $this;
    }
}
