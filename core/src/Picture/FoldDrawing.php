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

    /** @return list<Shape> the section; the table is at y = 0 */
    public static function section(FoldStory $story, FoldStep $step): array
    {
        $apart = self::apart($story);
        $y = fn (FoldedPiece $p): float => -($p->level + 0.5) * $apart;
        $first = $step->strip->pieces[0];
        $pen = new Pen;
        ClothLayer::draw($pen, self::along($step->strip, $apart), $apart * self::FULL, ($step->strip->isRightUp($first) ? 1 : -1) * $first->way);
        $shapes = $pen->picture()->shapes;
        foreach ($step->seams as $seam) {
            foreach (self::held($step->strip, $seam) as [$x, $from, $to]) {
                $shapes[] = new Shape($seam->how, [[$x, $y($from) - $apart * 0.45], [$x, $y($to) + $apart * 0.45]]);
            }
        }
        if ($step->needle !== null) {
            $top = $step->strip->under($step->needle)[0] ?? $step->strip->pieces[0];
            $shapes[] = new Shape('needle', [[$step->needle, $y($top) - $apart * 3.4], [$step->needle, $apart * 0.3]]);
        }

        return $shapes;
    }

    /** @return list<Shape> what is seen from above; its far edge is at y = 0 */
    public static function above(FoldStory $story, FoldStep $step): array
    {
        $deep = $step->strip->length() * self::DEEP;
        $shapes = [];
        foreach ($step->strip->seen() as [$from, $to, $piece]) {
            $shapes[] = new Shape($step->strip->isRightUp($piece) ? 'above-right' : 'above-wrong', [[$from, 0.0], [$to, 0.0], [$to, $deep], [$from, $deep]]);
            foreach ([[$piece->left(), $piece->way === 1 ? $piece->from : $piece->to], [$piece->right(), $piece->way === 1 ? $piece->to : $piece->from]] as [$x, $place]) {
                // An edge of the cloth is cut, one between two pieces is folded.
                if ($place > FoldedStrip::NEAR_MM && $place < $step->strip->length() - FoldedStrip::NEAR_MM && $x >= $from - FoldedStrip::NEAR_MM && $x <= $to + FoldedStrip::NEAR_MM) {
                    $shapes[] = new Shape('crease', [[$x, 0.0], [$x, $deep]]);
                }
            }
        }
        foreach ($step->seams as $seam) {
            foreach ($seam->places as $place) {
                $x = $step->strip->x($place);
                $top = $step->strip->under($x)[0] ?? null;
                if ($top !== null && $step->strip->pieceAt($place) === $top) {
                    $shapes[] = new Shape("row-$seam->how", [[$x, 0.0], [$x, $deep]]);
                }
            }
        }

        return $shapes;
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
        $crease = $after->crease;
        if ($crease === null) {
            return [];
        }
        $box = self::box($story);
        $apart = self::apart($story);
        $deep = self::whole($story, $after)->window[3] ?? 0.0;
        $lies = self::lies($before->strip, $crease['at'], $apart);
        [$hx, $hy] = self::hinge($lies, $crease['at']);
        $moving = array_filter($lies, fn (array $p): bool => $crease['start'] ? $p[0] < $crease['at'] : $p[0] > $crease['at']);
        $reach = max([0.1, ...array_map(fn (array $p): float => abs($p[1] - $hx), $moving)]);
        $flat = min(1.0, ($box['top'] - $apart * 2) / $reach);
        $first = $before->strip->pieces[0];
        $up = (array_sum(array_map(fn (array $p): float => $p[1] - $hx, $moving)) < 0 ? -1 : 1) * ($crease['over'] ? 1 : -1);
        $moves = [];
        for ($i = 1; $i < self::MOVES; $i++) {
            $turn = M_PI * $i / self::MOVES;
            $points = array_map(function (array $p) use ($crease, $hx, $hy, $turn, $up, $flat): array {
                [$dx, $dy] = [$p[1] - $hx, $p[2] - $hy];
                $moves = $crease['start'] ? $p[0] < $crease['at'] : $p[0] > $crease['at'];

                return $moves ? [$hx + $dx * cos($turn) + $up * $dy * sin($turn), $hy - $up * $dx * sin($turn) * $flat + $dy * cos($turn)] : [$p[1], $p[2]];
            }, $lies);
            $pen = new Pen;
            ClothLayer::draw($pen, $points, $apart * self::FULL, ($before->strip->isRightUp($first) ? 1 : -1) * $first->way);
            $pen->line('thin', $box['left'], 0.0, $box['right'], 0.0);
            $moves[] = $pen->picture(false, [$box['left'], -$box['top'], $box['right'], $deep]);
        }

        return $moves;
    }

    /** @return list<array{float, float, float}> place along the cloth, x, y: ends of its pieces and the crease */
    private static function lies(FoldedStrip $strip, float $crease, float $apart): array
    {
        $lies = [];
        foreach ($strip->pieces as $p) {
            $y = -($p->level + 0.5) * $apart;
            foreach ([$p->from, ...($crease > $p->from && $crease < $p->to ? [$crease] : []), $p->to] as $place) {
                $lies[] = [$place, $p->at($place), $y];
            }
        }

        return $lies;
    }

    /**
     * @param  list<array{float, float, float}>  $lies
     * @return array{float, float}
     */
    private static function hinge(array $lies, float $crease): array
    {
        foreach ($lies as [$place, $x, $y]) {
            if (abs($place - $crease) < FoldedStrip::NEAR_MM) {
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
            foreach ($step->strip->pieces as $p) {
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

    /** @return list<array{float, float}> the middle of the cloth from its beginning to its end, round every crease */
    private static function along(FoldedStrip $strip, float $apart): array
    {
        $points = [];
        foreach ($strip->pieces as $i => $p) {
            $y = -($p->level + 0.5) * $apart;
            array_push($points, [$p->x, $y], [$p->at($p->to), $y]);
            $next = $strip->pieces[$i + 1] ?? null;
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
    private static function held(FoldedStrip $strip, Seam $seam): array
    {
        $held = [];
        foreach ($seam->places as $place) {
            $piece = $strip->pieceAt($place);
            $x = $piece->at($place);
            $last = count($held) - 1;
            if ($last >= 0 && abs($held[$last][0] - $x) < FoldedStrip::NEAR_MM) {
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
