<?php

declare(strict_types=1);

namespace OpenSeam\Core\Picture;

/**
 * A step of a fold story as shapes: the section across the creases, and below it
 * what is seen from above. Across the table everything is to scale; layers are
 * drawn further apart than they lie, or nobody could tell them from each other.
 */
final class FoldDrawing
{
    /** Between two layers in the drawing, for the length of the whole strip. */
    private const APART = 0.04;

    /** Of the room of a layer, how much of it is cloth. */
    private const FULL = 0.62;

    /** Points of half a turn. */
    private const TURN_POINTS = 8;

    /** Parts of a half turn that are drawn on the way. */
    private const MOVES = 4;

    /** Between the table and what is seen from above, in layers. */
    private const GAP = 1.6;

    /** Of what is seen from above, for the length of the strip. */
    private const DEEP = 0.3;

    /** Of that, how far a dart reaches. */
    private const DART = 0.8;

    /** @return list<Shape> the section; the table is at y = 0 */
    public static function section(FoldStory $story, FoldStep $step): array
    {
        $apart = self::apart($story);
        $y = fn (FoldedPiece $p): float => -($p->level + 0.5) * $apart;
        $pen = new Pen;
        for ($strip = 0; $strip < $step->cloth->strips(); $strip++) {
            self::layer($pen, $step->cloth, $strip, self::along($step->cloth->of($strip), $apart), $apart);
        }
        $shapes = $pen->picture()->shapes;
        foreach ($step->seams as $seam) {
            foreach (self::held($step->cloth, $seam) as [$x, $from, $to]) {
                $shapes[] = new Shape($seam->how, [[$x, $y($from) - $apart * 0.45], [$x, $y($to) + $apart * 0.45]]);
            }
        }
        if ($step->needle !== null) {
            $top = $step->cloth->under($step->needle)[0] ?? $step->cloth->pieces[0];
            $shapes[] = new Shape('needle', [[$step->needle, $y($top) - $apart * 3.4], [$step->needle, $apart * 0.3]]);
        }

        return $shapes;
    }

    /** @return list<Shape> what is seen from above; its far edge is at y = 0 */
    public static function above(FoldStory $story, FoldStep $step): array
    {
        $deep = $story->lengthMm * self::DEEP;
        $cloth = $step->cloth;
        $role = fn (FoldedPiece $p): string => $cloth->isRightUp($p) ? 'above-right' : 'above-wrong';
        // A dart narrows to nothing: what it takes in lies as a triangle on what is under it, which ends there.
        $darts = array_values(array_filter($step->seams, fn (Seam $s): bool => $s->isOpenDart($step->cloth)));
        foreach ($darts as $seam) {
            foreach ($seam->places as $place) {
                $cloth = $cloth->marked($place['at'], $place['strip']);
            }
        }
        $seen = $cloth->seen();
        $dart = fn (FoldedPiece $p): ?Seam => array_values(array_filter($darts, fn (Seam $s): bool => $s->takesIn($p)))[0] ?? null;
        $shapes = [];
        foreach ($seen as [$from, $to, $piece]) {
            $shapes[] = new Shape($role($dart($piece) === null ? $piece : self::beneath($cloth, $piece, $dart)), [[$from, 0.0], [$to, 0.0], [$to, $deep], [$from, $deep]]);
        }
        foreach ($seen as [$from, $to, $piece]) {
            $seam = $dart($piece);
            if ($seam !== null) {
                $x = $seam->xs($cloth)[0];
                $shapes[] = new Shape($role($piece), [[$from, 0.0], [$to, 0.0], [$x, $deep * self::DART]]);
                $shapes[] = new Shape('crease', [[abs($from - $x) > abs($to - $x) ? $from : $to, 0.0], [$x, $deep * self::DART]]);
            }
            foreach ($dart($piece) === null ? [[$piece->left(), $piece->way === 1 ? $piece->from : $piece->to], [$piece->right(), $piece->way === 1 ? $piece->to : $piece->from]] : [] as [$x, $place]) {
                // An edge of the cloth is cut, one between two pieces is folded.
                if ($place > FoldedCloth::NEAR_MM && $place < $cloth->length($piece->strip) - FoldedCloth::NEAR_MM && $x >= $from - FoldedCloth::NEAR_MM && $x <= $to + FoldedCloth::NEAR_MM) {
                    $taper = array_filter($darts, fn (Seam $s): bool => abs($s->xs($cloth)[0] - $x) < FoldedCloth::NEAR_MM) !== [];
                    $shapes[] = new Shape('crease', [[$x, 0.0], [$x, $taper ? $deep * self::DART : $deep]]);
                }
            }
        }
        foreach (array_filter($step->seams, fn (Seam $s): bool => ! in_array($s, $darts, true)) as $seam) {
            foreach ($seam->places as $place) {
                $x = $cloth->x($place['at'], $place['strip']);
                $top = $cloth->under($x)[0] ?? null;
                // Where cloth was opened about a seam, its fold lies on the stitches and hides them.
                $hidden = array_filter($cloth->pieces, fn (FoldedPiece $p): bool => $top !== null && $p->level > $top->level && min(abs($p->left() - $x), abs($p->right() - $x)) < FoldedCloth::NEAR_MM) !== [];
                if ($top !== null && ! $hidden && $cloth->pieceAt($place['at'], $place['strip']) === $top) {
                    $shapes[] = $seam->toNothing && count($seam->places) > 1
                        ? new Shape("row-$seam->how", [[$x, 0.0], [self::foldOf($cloth, $top), $deep * self::DART]])
                        : new Shape("row-$seam->how", [[$x, 0.0], [$x, $deep]]);
                }
            }
        }

        return $shapes;
    }

    /**
     * What lies under what a dart takes in: the cloth that is seen where the dart has ended.
     *
     * @param  callable(FoldedPiece): ?Seam  $dart
     */
    private static function beneath(FoldedCloth $cloth, FoldedPiece $piece, callable $dart): FoldedPiece
    {
        foreach ($cloth->under(($piece->left() + $piece->right()) / 2) as $below) {
            if ($dart($below) === null) {
                return $below;
            }
        }

        return $piece;
    }

    /** Where the piece is folded: the end of it that the next piece begins at. */
    private static function foldOf(FoldedCloth $cloth, FoldedPiece $piece): float
    {
        return $piece->to < $cloth->length($piece->strip) - FoldedCloth::NEAR_MM ? $piece->at($piece->to) : $piece->x;
    }

    /** @param  list<array{float, float}>  $middle */
    private static function layer(Pen $pen, FoldedCloth $cloth, int $strip, array $middle, float $apart): void
    {
        $first = $cloth->of($strip)[0];
        ClothLayer::draw($pen, $middle, $apart * self::FULL, ($cloth->isRightUp($first) ? 1 : -1) * $first->way, $strip === 0 ? 'cloth-face' : 'cloth-other');
    }

    /** The section, and below it what is seen from above, as one picture; every step of a story has the same room. */
    public static function whole(FoldStory $story, FoldStep $step): Picture
    {
        $box = self::box($story);
        $down = self::apart($story) * self::GAP;
        $pen = new Pen;
        $pen->add(new Picture(self::section($story, $step)))->line('thin', $box['left'], 0.0, $box['right'], 0.0)->add(new Picture(self::above($story, $step)), 1.0, 0.0, $down);

        return $pen->picture(false, [$box['left'], -$box['top'], $box['right'], $down + $box['deep']]);
    }

    /**
     * On the way from one step to the next: the part that moves goes about its crease.
     * What stands higher than the picture is drawn flatter.
     *
     * @return list<Picture>
     */
    public static function moves(FoldStory $story, FoldStep $before, FoldStep $after): array
    {
        $creases = $after->creases;
        if ($creases === null) {
            return [];
        }
        $box = self::box($story);
        $apart = self::apart($story);
        $deep = self::whole($story, $after)->window[3] ?? 0.0;
        $strips = range(0, $before->cloth->strips() - 1);
        $lies = array_map(fn (int $strip): array => self::lies($before->cloth->of($strip), $creases, $apart), $strips);
        [$hx, $hy] = self::hinge($lies[$creases[0]->strip], $creases[0]->place);
        $moving = array_filter(array_merge(...$lies), fn (array $p): bool => $p[3]);
        $reach = max([0.1, ...array_map(fn (array $p): float => abs($p[1] - $hx), $moving)]);
        $flat = min(1.0, ($box['top'] - $apart * 2) / $reach);
        $up = (array_sum(array_map(fn (array $p): float => $p[1] - $hx, $moving)) < 0 ? -1 : 1) * ($after->over ? 1 : -1);
        $moves = [];
        for ($i = 1; $i < self::MOVES; $i++) {
            $turn = M_PI * $i / self::MOVES;
            $pen = new Pen;
            foreach ($strips as $strip) {
                $points = array_map(function (array $p) use ($hx, $hy, $turn, $up, $flat): array {
                    [$dx, $dy] = [$p[1] - $hx, $p[2] - $hy];

                    return $p[3] ? [$hx + $dx * cos($turn) + $up * $dy * sin($turn), $hy - $up * $dx * sin($turn) * $flat + $dy * cos($turn)] : [$p[1], $p[2]];
                }, $lies[$strip]);
                self::layer($pen, $before->cloth, $strip, $points, $apart);
            }
            $pen->line('thin', $box['left'], 0.0, $box['right'], 0.0);
            $moves[] = $pen->picture(false, [$box['left'], -$box['top'], $box['right'], $deep]);
        }

        return $moves;
    }

    /**
     * @param  non-empty-list<FoldedPiece>  $pieces  of one strip
     * @param  non-empty-list<Crease>  $creases
     * @return list<array{float, float, float, bool}> place along the strip, x, y, and whether it moves: ends of its pieces and the crease
     */
    private static function lies(array $pieces, array $creases, float $apart): array
    {
        $crease = array_values(array_filter($creases, fn (Crease $c): bool => $c->strip === $pieces[0]->strip))[0] ?? null;
        $at = $crease->place ?? -1.0;
        $lies = [];
        foreach ($pieces as $p) {
            $y = -($p->level + 0.5) * $apart;
            foreach ([$p->from, ...($at > $p->from && $at < $p->to ? [$at] : []), $p->to] as $place) {
                $lies[] = [$place, $p->at($place), $y, $crease !== null && ($crease->start ? $place < $at : ($place > $at || $at === 0.0))];
            }
        }

        return $lies;
    }

    /**
     * @param  list<array{float, float, float, bool}>  $lies
     * @return array{float, float}
     */
    private static function hinge(array $lies, float $crease): array
    {
        foreach ($lies as [$place, $x, $y]) {
            if (abs($place - $crease) < FoldedCloth::NEAR_MM) {
                return [$x, $y];
            }
        }

        return [0.0, 0.0];
    }

    /**
     * Room for every step of the story, so that nothing jumps from one to the next.
     *
     * @return array{left: float, right: float, top: float, deep: float} mm; top: above the table, deep: of what is seen from above
     */
    public static function box(FoldStory $story): array
    {
        $x = [];
        $top = 1;
        foreach ($story->steps as $step) {
            foreach ($step->cloth->pieces as $p) {
                array_push($x, $p->left(), $p->right());
                $top = max($top, $p->level + 1);
            }
        }
        $apart = self::apart($story);

        return ['left' => min($x ?: [0.0]) - $apart, 'right' => max($x ?: [0.0]) + $apart, 'top' => ($top + 3) * $apart, 'deep' => $story->lengthMm * self::DEEP];
    }

    public static function apart(FoldStory $story): float
    {
        return max($story->thicknessMm, $story->lengthMm * self::APART);
    }

    /**
     * @param  non-empty-list<FoldedPiece>  $pieces  of one strip
     * @return list<array{float, float}> the middle of the cloth from its beginning to its end, round every crease
     */
    private static function along(array $pieces, float $apart): array
    {
        $points = [];
        foreach ($pieces as $i => $p) {
            $y = -($p->level + 0.5) * $apart;
            array_push($points, [$p->x, $y], [$p->at($p->to), $y]);
            $next = $pieces[$i + 1] ?? null;
            if ($next === null || $next->way === $p->way) {
                continue;
            }
            $to = -($next->level + 0.5) * $apart;
            for ($k = 1; $k < self::TURN_POINTS; $k++) {
                $turn = M_PI * $k / self::TURN_POINTS;
                $points[] = [$p->at($p->to) + $p->way * sin($turn) * min(abs($to - $y) / 2, $apart), $y + ($to - $y) * (1 - cos($turn)) / 2];
            }
        }

        return $points;
    }

    /**
     * Where a seam goes through now: layers that still lie over each other in one go.
     *
     * @return list<array{float, FoldedPiece, FoldedPiece}>
     */
    private static function held(FoldedCloth $cloth, Seam $seam): array
    {
        // At a fold two pieces meet: the seam is in those that lie nearest to what else it holds.
        $touched = array_map(fn (array $p): array => $cloth->touching($p['at'], $p['strip']), $seam->places);
        $levels = array_map(fn (FoldedPiece $p): int => $p->level, array_merge(...$touched));
        $middle = array_sum($levels) / max(1, count($levels));
        $held = [];
        foreach ($seam->places as $i => $place) {
            usort($touched[$i], fn (FoldedPiece $a, FoldedPiece $b): int => abs($a->level - $middle) <=> abs($b->level - $middle));
            $piece = $touched[$i][0];
            $x = $piece->at($place['at']);
            $last = count($held) - 1;
            if ($last >= 0 && abs($held[$last][0] - $x) < FoldedCloth::NEAR_MM) {
                $both = [$held[$last][1], $held[$last][2], $piece];
                usort($both, fn (FoldedPiece $a, FoldedPiece $b): int => $b->level <=> $a->level);
                $held[$last] = [$x, $both[0], $both[2]];
            } else {
                $held[] = [$x, $piece, $piece];
            }
        }

        return $held;
    }
}
