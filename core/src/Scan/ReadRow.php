<?php

declare(strict_types=1);

namespace OpenSeam\Core\Scan;

use OpenSeam\Core\Measure\Reading;

/** What one row of a piece says, each value with its standard uncertainty; and what of it cannot be told, and why. */
final readonly class ReadRow
{
    /** A row is looked for so far on both sides of where it should be, mm; one that goes to and fro needs room for that. */
    private const REACH_MM = 5.0;

    private const ZIGZAG_REACH_MM = 7.5;

    /** Where a zigzag turns is rounded by the picture: of a pixel. */
    private const TURNS = 0.55;

    /** A mark is read over so much of the row on both sides, mm. */
    private const MARK_MM = 4.0;

    /** Where no marks are named: so many, evenly. */
    private const MARKS = 5;

    /** A place that is seen no better than that is not told, mm. */
    private const MOST_UNSURE_MM = 0.25;

    private const SHORTEST_MM = 0.8;

    private const LONGEST_MM = 6.5;

    private const QUICK_MM = 1.75;

    private const SLOW_MM = 4.0;

    /** As near to a repeat of the cloth as that it may be one. */
    private const SAME = 0.03;

    /** How alike the row must be to itself a stitch on. */
    private const ALIKE_SHORT = 0.3;

    private const ALIKE_LONG = 0.22;

    /** How much more the shade changes along the row than beside it, in squares. */
    private const STRONGER = 2.5;

    private const BESIDE = 12;

    /** Stripes that explain what is seen along a row are at least so strong beside it, in squares; their shade is a sum of three. */
    private const FAINT = 0.03;

    /** Of so many bands those at both ends can be spared. */
    private const SPARED = 8;

    /**
     * @param  list<array{float, Reading}>  $allowance  place along the row, mm, and how far it is from the edge there
     */
    private function __construct(public array $allowance, public ?Reading $length, public ?Reading $width, public ?CannotRead $cannot, public ?SingleStitches $stitches = null, public ?FollowedRow $followed = null) {}

    public static function cannot(CannotRead $why): self
    {
        return new self([], null, null, $why);
    }

    /**
     * @param  string  $side  left, right, top or bottom: the edge it is measured from
     * @param  float  $aboutMm  from it
     * @param  list<float>  $marks  along it, mm; empty: five, evenly
     * @param  float|null  $reachMm  it is looked for so far on both sides of that
     * @param  array{float, float}|null  $between  along the edge, mm: where it begins and ends; null: from corner to corner
     */
    public static function find(FoundPiece $piece, string $side, float $aboutMm, bool $zigzag, array $marks, ?float $reachMm = null, ?array $between = null): self
    {
        if ($aboutMm > $piece->deep($side) - 1.0) {
            return self::cannot(CannotRead::OffPiece);
        }
        $strip = RowStrip::of($piece, $side, $aboutMm, $reachMm ?? ($zigzag ? self::ZIGZAG_REACH_MM : self::REACH_MM), ! $zigzag, $between);
        if ($strip === null) {
            return self::cannot(CannotRead::OffPiece);
        }
        $stroke = $zigzag ? ZigzagTrace::find($strip) : null;
        if ($stroke instanceof CannotRead) {
            return self::cannot($stroke);
        }
        $trace = $stroke === null ? RowTrace::find($strip, ($aboutMm - $strip->from) / RowStrip::STEP_MM) : $stroke->middle;
        if (! $trace instanceof RowTrace) {
            return self::cannot($trace);
        }
        $length = $stroke === null ? self::length($strip, $trace) : $stroke->length;
        // A line without stitches is a stripe, a fold or a pencil line.
        if ($length === null) {
            return self::cannot(CannotRead::NoStitches);
        }
        $allowance = self::marks($piece, $side, $strip, $trace, $marks);
        $scaled = fn (?Reading $r, float $more = 0.0): ?Reading => $r === null ? null : Reading::combined($r->value, $r->u, $piece->picture->scaleU() * $r->value, $more);

        return $allowance === [] ? self::cannot(CannotRead::NoRow) : new self($allowance, $scaled($length), $scaled($stroke?->width, self::TURNS * $piece->mm), null, $stroke === null ? SingleStitches::of($strip, $trace, $length->value) : null, FollowedRow::of($strip, $trace));
    }

    /**
     * @param  list<float>  $marks
     * @return list<array{float, Reading}>
     */
    private static function marks(FoundPiece $piece, string $side, RowStrip $strip, RowTrace $trace, array $marks): array
    {
        $long = $piece->long($side);
        $marks = $marks === [] ? array_map(fn (int $i): float => $long * ($i + 0.5) / self::MARKS, range(0, self::MARKS - 1)) : $marks;
        $found = [];
        foreach ($marks as $at) {
            $about = $trace->about(($at - $strip->start) / RowStrip::STEP_MM, self::MARK_MM / RowStrip::STEP_MM);
            if ($at < 0 || $at > $long || $about === null) {
                continue;
            }
            [$mean, $u] = $about;
            [$bend, $unsure] = $piece->bendAt($side, $at);
            $away = $strip->from + $mean * RowStrip::STEP_MM - $bend;
            $seen = Reading::combined($away, $piece->picture->placeU(), $piece->mm / sqrt(12), $unsure, $u * RowStrip::STEP_MM);
            // A print that nobody checked makes far places unsure, not unseen.
            $seen->u > self::MOST_UNSURE_MM || $found[] = [$at, Reading::combined($away, $seen->u, $piece->picture->scaleU() * $away)];
        }

        return $found;
    }

    private static function length(RowStrip $strip, RowTrace $trace): ?Reading
    {
        // Short ones first, by what changes quickly alone: stripes that the row crosses come and go more slowly.
        // Long stitches with little between them stand out by that alone too, if nothing else does.
        foreach ([[self::QUICK_MM, 2 * self::QUICK_MM, self::ALIKE_SHORT], [self::SLOW_MM, self::LONGEST_MM, self::ALIKE_LONG], [self::QUICK_MM, self::LONGEST_MM, self::ALIKE_SHORT]] as [$slow, $longest, $alike]) {
            $signal = self::along($strip, $trace, 0, $slow);
            // Beside the row the cloth has a weave too: what repeats no more strongly than that is no stitch.
            if (Signal::power($signal) < self::STRONGER * max(Signal::power(self::along($strip, $trace, self::BESIDE, $slow)), Signal::power(self::along($strip, $trace, -self::BESIDE, $slow)))) {
                continue;
            }
            [$from, $to] = [(int) round(self::SHORTEST_MM / RowStrip::STEP_MM), (int) round($longest / RowStrip::STEP_MM)];
            $ground = self::ground($strip, $trace, $slow);
            // A weave that is fainter than that in what the row shows is not what repeats in it, and nothing of it is to be taken away.
            $faint = Signal::power($ground) / 3 < self::FAINT * Signal::power($signal);
            $found = Repeats::find($faint ? $signal : self::without($signal, $ground), $from, $to, $alike);
            $stripes = $faint ? null : Repeats::find($ground, $from, 2 * $to);
            if ($found !== null && ($stripes === null || ! self::isOf($found[0], $stripes[0]))) {
                return Reading::combined($found[0] * RowStrip::STEP_MM, $found[1] * RowStrip::STEP_MM, 0.004 * $found[0] * RowStrip::STEP_MM);
            }
        }

        return null;
    }

    /**
     * The stripes of the cloth that the row crosses, less what changes slowly.
     *
     * @return list<float>
     */
    private static function ground(RowStrip $strip, RowTrace $trace, float $slowMm): array
    {
        [$from, $to] = self::inner($trace);
        $ground = array_slice($strip->ground, $from, $to - $from);

        return array_map(fn (float $s, float $m): float => $s - $m, Signal::smoothed($ground, 1), Signal::smoothed($ground, (int) round($slowMm / RowStrip::STEP_MM)));
    }

    /**
     * What of it is not told by the stripes: on one of another shade the same thread stands out otherwise.
     *
     * @param  list<float>  $signal
     * @param  list<float>  $ground
     * @return list<float>
     */
    private static function without(array $signal, array $ground): array
    {
        $both = array_sum(array_map(fn (float $s, float $g): float => $s * $g, $signal, $ground));
        $share = $both / max(1e-9, array_sum(array_map(fn (float $g): float => $g * $g, $ground)));

        return array_map(fn (float $s, float $g): float => $s - $share * $g, $signal, $ground);
    }

    /** It is what the stripes repeat by, or a small part of it: then it says nothing of the stitches. */
    private static function isOf(float $length, float $stripes): bool
    {
        foreach ([1, 2, 3] as $part) {
            if (abs($length * $part / $stripes - 1) < self::SAME) {
                return true;
            }
        }

        return false;
    }

    /** @return array{int, int} steps along between which it is sewn all the way: in the first and the last band it begins and ends */
    private static function inner(RowTrace $trace): array
    {
        [$first, $last] = [(int) array_key_first($trace->away), (int) array_key_last($trace->away)];
        $less = $last - $first >= self::SPARED ? 1 : 0;

        return [($first + $less) * RowTrace::BAND, ($last + 1 - $less) * RowTrace::BAND];
    }

    /**
     * Thread along the row, less what changes slowly.
     *
     * @param  int  $aside  steps beside it
     * @param  float  $slowMm  what changes over more than twice that is taken away
     * @return list<float>
     */
    private static function along(RowStrip $strip, RowTrace $trace, int $aside, float $slowMm): array
    {
        [$from, $to] = self::inner($trace);
        $signal = [];
        for ($i = $from; $i < $to; $i++) {
            $j = (int) round($trace->at($i + 0.5)) + $aside;
            $sum = 0.0;
            for ($k = $j - 2; $k <= $j + 2; $k++) {
                $sum += $strip->thread[$i][$k] ?? 0.0;
            }
            $signal[] = $sum / 5;
        }
        $slow = Signal::smoothed($signal, (int) round($slowMm / RowStrip::STEP_MM));

        return array_map(fn (float $s, float $m): float => $s - $m, Signal::smoothed($signal, 1), $slow);
    }
}
