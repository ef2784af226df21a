<?php

declare(strict_types=1);

namespace OpenSeam\Core\Picture;

use OpenSeam\Core\InputError;

/**
 * Strips of cloth lying folded on the table, seen along their creases: pieces
 * between creases, with who lies above whom. Nothing of them is lost or stretched
 * by a fold, and no piece goes through another one.
 */
final readonly class FoldedCloth
{
    public const NEAR_MM = 1e-6;

    /**
     * @param  non-empty-list<FoldedPiece>  $pieces  strip after strip, along the cloth
     * @param  list<bool>  $rightUpWhereItRunsOn  a strip each
     */
    private function __construct(public array $pieces, private array $rightUpWhereItRunsOn) {}

    /** Lying flat, from left to right. */
    public static function flat(float $length, bool $rightUp): self
    {
        return new self([new FoldedPiece(0.0, $length, 0.0, 1)], [$rightUp]);
    }

    /**
     * Another strip, laid flat over or under all that lies there.
     *
     * @param  float  $x  where its beginning lies across the table, mm
     * @param  1|-1  $way  to which side it runs from there
     */
    public function laid(float $length, bool $rightUp, float $x, int $way, bool $over): self
    {
        $new = new FoldedPiece(0.0, $length, $x, $way, 0, count($this->rightUpWhereItRunsOn));
        $pieces = [...$this->pieces, $new];
        $above = [];
        foreach ($this->pieces as $i => $a) {
            foreach ($this->pieces as $k => $b) {
                $i !== $k && $a->over($b) !== null && $above[$i][$k] = $a->level > $b->level;
            }
            if ($a->over($new) !== null) {
                $above[$i][count($pieces) - 1] = ! $over;
                $above[count($pieces) - 1][$i] = $over;
            }
        }

        return new self(self::levelled($pieces, $above, 'lay', $x), [...$this->rightUpWhereItRunsOn, ($way === 1) === $rightUp]);
    }

    /** @return int how many strips there are */
    public function strips(): int
    {
        return count($this->rightUpWhereItRunsOn);
    }

    public function length(int $strip = 0): float
    {
        return max(array_map(fn (FoldedPiece $p): float => $p->to, $this->of($strip)));
    }

    /** @return non-empty-list<FoldedPiece> of one strip, along it */
    public function of(int $strip): array
    {
        return array_values(array_filter($this->pieces, fn (FoldedPiece $p): bool => $p->strip === $strip)) ?: throw InputError::at('strip', $strip, 'There is no such strip.');
    }

    /** The right side of a piece looks up. It changes with every crease. */
    public function isRightUp(FoldedPiece $piece): bool
    {
        return ($piece->way === 1) === $this->rightUpWhereItRunsOn[$piece->strip];
    }

    public function pieceAt(float $place, int $strip = 0): FoldedPiece
    {
        $pieces = $this->of($strip);
        foreach ($pieces as $piece) {
            if ($place <= $piece->to + self::NEAR_MM) {
                return $piece;
            }
        }

        return $pieces[count($pieces) - 1];
    }

    /** @return non-empty-list<FoldedPiece> the piece of a place, or both at a crease */
    public function touching(float $place, int $strip): array
    {
        return array_values(array_filter($this->of($strip), fn (FoldedPiece $p): bool => $place >= $p->from - self::NEAR_MM && $place <= $p->to + self::NEAR_MM)) ?: [$this->pieceAt($place, $strip)];
    }

    /** Where a place of the cloth lies across the table. */
    public function x(float $place, int $strip = 0): float
    {
        return $this->pieceAt($place, $strip)->at($place);
    }

    /**
     * Folds the first strip about a crease, or opens one that is there.
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
        return $this->folded([new Crease($place, $start)], $over, $field);
    }

    /**
     * Folds strips about one line, or opens them.
     *
     * @param  non-empty-list<Crease>  $creases  the first one says where the line lies; what else moves has its crease there too, or moves whole
     *
     * @throws InputError where there is no cloth to fold, or cloth lies in the way
     */
    public function folded(array $creases, bool $over, string $field = 'at_mm'): self
    {
        $first = $creases[0];
        $place = $first->place;
        $hinge = $this->x($place, $first->strip);
        $pieces = $this->pieces;
        foreach ($creases as $i => $crease) {
            $long = $this->length($crease->strip);
            $whole = $i > 0 && $crease->place === 0.0 && ! $crease->start;
            $whole || ($crease->place > self::NEAR_MM && $crease->place < $long - self::NEAR_MM)
                || throw InputError::at($field, $crease->place, sprintf('A crease lies on the strip: more than 0 and less than %g mm from its beginning.', $long));
            $there = $this->x($crease->place, $crease->strip);
            $whole || abs($there - $hinge) < self::NEAR_MM
                || throw InputError::at($field, $crease->place, sprintf('What is folded together has its crease on one line: this one lies %.1f mm beside it.', abs($there - $hinge)));
            $pieces = self::creased($pieces, $crease);
        }
        $moves = fn (FoldedPiece $p): bool => array_filter($creases, fn (Crease $c): bool => $c->moves($p)) !== [];
        $next = array_values(array_filter($pieces, fn (FoldedPiece $p): bool => $first->moves($p) && abs(($first->start ? $p->to : $p->from) - $place) < self::NEAR_MM))[0];
        // The side that swings over or under; what lies on the other side of the crease swings the other way.
        $side = $first->start ? -$next->way : $next->way;
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

    /** The same cloth with its pieces told apart at a place where it is not folded. */
    public function marked(float $place, int $strip): self
    {
        return new self(self::creased($this->pieces, new Crease($place, true, $strip)), $this->rightUpWhereItRunsOn);
    }

    /** All of it turned over, where it lies on the table. */
    public function turnedOver(): self
    {
        $top = max(array_map(fn (FoldedPiece $p): int => $p->level, $this->pieces));

        $middle = (min(array_map(fn (FoldedPiece $p): float => $p->left(), $this->pieces)) + max(array_map(fn (FoldedPiece $p): float => $p->right(), $this->pieces))) / 2;

        return new self(array_map(fn (FoldedPiece $p): FoldedPiece => $p->turned($middle)->on($top - $p->level), $this->pieces), $this->rightUpWhereItRunsOn);
    }

    /**
     * A tube of two strips that are sewn together at both ends, turned inside out:
     * what was outside is inside, and so are the allowances.
     *
     * @param  array{array{float, float}, array{float, float}}  $seams  of each strip the places of both seams
     * @param  string  $field  named where it cannot be
     *
     * @throws InputError where it is no flat tube of two strips
     */
    public function turnedOut(array $seams, string $field = 'turn_out'): self
    {
        count($this->pieces) === 2 && $this->strips() === 2
            || throw InputError::at($field, count($this->pieces), 'Two flat strips that lie over each other are turned out, no fold in them.');
        // From the table up: what lay on top, its allowances, those of the other one, the other one.
        $levels = fn (FoldedPiece $p): array => $p->level === max($this->pieces[0]->level, $this->pieces[1]->level) ? [0, 1] : [3, 2];
        $pieces = [];
        foreach ($this->pieces as $p) {
            [$a, $b] = $seams[$p->strip];
            $a > self::NEAR_MM && $b > $a + self::NEAR_MM && $b < $p->to - self::NEAR_MM
                || throw InputError::at($field, [$a, $b], sprintf('Two seams lie on the strip, one after the other: more than 0 and less than %g mm from its beginning.', $p->to));
            max($a, $p->to - $b) * 2 < $b - $a || throw InputError::at($field, [$a, $b], 'The allowances lie inside side by side: each is narrower than half of what is between the seams.');
            [$body, $allowance] = $levels($p);
            array_push(
                $pieces,
                (new FoldedPiece(0.0, $a, $p->x, $p->way, $allowance, $p->strip))->turned($p->at($a)),
                new FoldedPiece($a, $b, $p->at($a), $p->way, $body, $p->strip),
                (new FoldedPiece($b, $p->to, $p->at($b), $p->way, $allowance, $p->strip))->turned($p->at($b)),
            );
        }

        return new self($pieces, $this->rightUpWhereItRunsOn);
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

    /**
     * @param  non-empty-list<FoldedPiece>  $old
     * @return non-empty-list<FoldedPiece> with a crease more
     */
    private static function creased(array $old, Crease $crease): array
    {
        $pieces = [];
        foreach ($old as $p) {
            if ($p->strip === $crease->strip && $crease->place > $p->from + self::NEAR_MM && $crease->place < $p->to - self::NEAR_MM) {
                array_push($pieces, new FoldedPiece($p->from, $crease->place, $p->x, $p->way, $p->level, $p->strip), new FoldedPiece($crease->place, $p->to, $p->at($crease->place), $p->way, $p->level, $p->strip));
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
                throw InputError::at($field, $place, sprintf('At %g mm the strip cannot be folded %s: it lies %s %s there.', $place, $over ? 'over' : 'under', $up ? 'under' : 'on', $m->strip === $n->strip ? 'itself' : 'another strip'));
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
            $before = $pieces[count($pieces) - 1];
            if ($before->strip === $p->strip && $before->way === $p->way && $before->level === $p->level) {
                $p = new FoldedPiece($before->from, $p->to, $before->x, $p->way, $p->level, $p->strip);
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
                if ($a->strip === $b->strip && $a->way !== $b->way && $p->level > min($a->level, $b->level) && $p->level < max($a->level, $b->level) && $p->covers($b->x)) {
                    throw InputError::at($field, $place, sprintf('At %g mm the strip cannot be folded like this: a layer would go through the crease at %g mm.', $place, $b->from));
                }
            }
        }

        return $this;
    }
}
