<?php

declare(strict_types=1);

namespace OpenSeam\Core\Scan;

/** A piece of cloth in a picture that lies flat: its four edges, each with its own scatter, and its corners where they meet. */
final readonly class FoundPiece
{
    private const SIDES = ['top', 'right', 'bottom', 'left'];

    /** A smaller piece has no sampler, mm. */
    private const LEAST_MM = 15.0;

    /** Coarser than that no thread is seen, mm a pixel. */
    private const COARSEST_MM = 0.26;

    /** Opposite edges part by so much at most, of a millimetre a millimetre. */
    private const SQUARE = 0.06;

    /**
     * @param  array<string, PieceEdge>  $edges  by side, each running clockwise
     * @param  list<array{float, float}>  $corners  mm, from the upper left clockwise
     * @param  float  $mm  of a pixel where they are coarsest
     */
    private function __construct(public LaidFlat $picture, public array $edges, public array $corners, public float $mm) {}

    public static function in(LaidFlat|CannotRead $picture): self|CannotRead
    {
        if ($picture instanceof CannotRead) {
            return $picture;
        }
        $piece = self::find($picture);

        return $piece instanceof CannotRead ? $picture->because($piece) : $piece;
    }

    private static function find(LaidFlat $picture): self|CannotRead
    {
        $small = $picture->small(PieceOutline::SMALL);
        $lid = Lid::of($small);
        $found = self::about($picture, PieceOutline::find($small, $lid));
        if ($found instanceof self) {
            return $found;
        }
        // Ends of thread that hang from it make it look larger than it is, or reach out of the picture.
        $bare = self::about($picture, PieceOutline::find($small, $lid, true));

        return $bare instanceof self ? $bare : $found;
    }

    private static function about(LaidFlat $picture, PieceOutline|CannotRead $outline): self|CannotRead
    {
        if (! $outline instanceof PieceOutline) {
            return $outline;
        }
        $about = self::fromUpperLeft(array_map(fn (array $c): array => [$c[0] * $picture->widthMm(), $c[1] * $picture->heightMm()], $outline->corners));
        $edges = [];
        $mm = max([0.0, ...array_map(fn (array $c): float => $picture->mm(...$c), $about)]);
        if ($mm > self::COARSEST_MM) {
            return CannotRead::TooSmall;
        }
        foreach (self::SIDES as $i => $side) {
            if (hypot($about[($i + 1) % 4][0] - $about[$i][0], $about[($i + 1) % 4][1] - $about[$i][1]) < self::LEAST_MM) {
                return CannotRead::TooSmall;
            }
            $edge = PieceEdge::find($picture, $about[$i], $about[($i + 1) % 4]);
            if ($edge === null) {
                return CannotRead::NoPiece;
            }
            $edges[$side] = $edge;
        }
        $corners = [];
        foreach (self::SIDES as $i => $side) {
            $before = $edges[self::SIDES[($i + 3) % 4]];
            $t = $edges[$side]->meets($before);
            if ($t === null) {
                return CannotRead::NoPiece;
            }
            $corners[] = $edges[$side]->place(0.0, $t, 0.0);
        }
        $piece = new self($picture, $edges, $corners, $mm);

        return $piece->isOne() ? $piece : CannotRead::NoPiece;
    }

    public function widthMm(): float
    {
        return (self::apart($this->corners[0], $this->corners[1]) + self::apart($this->corners[3], $this->corners[2])) / 2;
    }

    public function heightMm(): float
    {
        return (self::apart($this->corners[0], $this->corners[3]) + self::apart($this->corners[1], $this->corners[2])) / 2;
    }

    /** What an edge is long between its corners, mm. */
    public function long(string $side): float
    {
        $i = (int) array_search($side, self::SIDES, true);

        return self::apart($this->corners[$i], $this->corners[($i + 1) % 4]);
    }

    /** Across it, from that edge to the one opposite. */
    public function deep(string $side): float
    {
        return in_array($side, ['left', 'right'], true) ? $this->widthMm() : $this->heightMm();
    }

    /**
     * Where something lies in the picture that is so far from an edge and so far along it; along goes down the left and
     * right edges and from left to right on the others.
     *
     * @return array{float, float} mm
     */
    public function place(string $side, float $along, float $in): array
    {
        $edge = $this->edges[$side];
        $i = (int) array_search($side, self::SIDES, true);
        $start = $this->corners[$i];
        $begins = ($start[0] - $edge->from[0]) * $edge->along[0] + ($start[1] - $edge->from[1]) * $edge->along[1];

        return $edge->place($begins, self::isBackward($side) ? $this->long($side) - $along : $along, $in);
    }

    /** @return array{float, float} see PieceEdge::bendAt() */
    public function bendAt(string $side, float $along): array
    {
        $edge = $this->edges[$side];
        $start = $this->corners[(int) array_search($side, self::SIDES, true)];
        $begins = ($start[0] - $edge->from[0]) * $edge->along[0] + ($start[1] - $edge->from[1]) * $edge->along[1];

        return $edge->bendAt($begins + (self::isBackward($side) ? $this->long($side) - $along : $along));
    }

    /** Clockwise the lower edge runs to the left and the left one up. */
    private static function isBackward(string $side): bool
    {
        return $side === 'bottom' || $side === 'left';
    }

    private function isOne(): bool
    {
        [$a, $b, $c, $d] = [$this->long('top'), $this->long('right'), $this->long('bottom'), $this->long('left')];

        return min($a, $b, $c, $d) >= self::LEAST_MM && abs($a - $c) <= max(2.0, self::SQUARE * max($a, $c)) && abs($b - $d) <= max(2.0, self::SQUARE * max($b, $d));
    }

    /**
     * @param  array{float, float}  $a
     * @param  array{float, float}  $b
     */
    private static function apart(array $a, array $b): float
    {
        return hypot($b[0] - $a[0], $b[1] - $a[1]);
    }

    /**
     * @param  list<array{float, float}>  $corners  clockwise
     * @return list<array{float, float}> the same from the one whose edge lies uppermost
     */
    private static function fromUpperLeft(array $corners): array
    {
        $best = [INF, 0];
        foreach ($corners as $i => $a) {
            $b = $corners[($i + 1) % 4];
            // The upper edge runs from left to right: its direction is nearest to level.
            $turn = abs(atan2($b[1] - $a[1], $b[0] - $a[0]));
            $best = $turn < $best[0] ? [$turn, $i] : $best;
        }

        return [...array_slice($corners, $best[1]), ...array_slice($corners, 0, $best[1])];
    }
}
