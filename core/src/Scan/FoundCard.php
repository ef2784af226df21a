<?php

declare(strict_types=1);

namespace OpenSeam\Core\Scan;

/**
 * The printed card in a photograph: its buttons by their holes, its pins between them, and the map from the card to the
 * picture that fits all of them. One button may be covered, and some of the pins.
 *
 * @phpstan-import-type Spot from CardSpots
 */
final readonly class FoundCard
{
    /** So many spots are looked at as buttons: they are among the largest. */
    private const LOOKED_AT = 60;

    /** Of the spots there are, the largest: printed cloth may have thousands. */
    private const MOST = 300;

    /** Buttons with the same holes that are tried each. */
    private const EACH = 3;

    /** A pin is looked for so far from where it should be, as parts of their distance, each time nearer. */
    private const NEAR = [0.42, 0.28, 0.16, 0.12];

    /** Of all pins: fewer that are where they should be are no card. */
    private const ENOUGH = 0.62;

    /** What is left between the card and the picture, mm: more is no card, or no flat one. */
    private const MOST_OFF_MM = 0.6;

    /** Further off than so many times the others: something covers part of it. */
    private const OUTLIER = 4.0;

    /** Shorter against longer: steeper than some 41 degrees. */
    private const STEEPEST = 0.75;

    /** Softer than that no stitch is seen, mm. */
    private const SOFTEST_MM = 0.9;

    /**
     * @param  float  $offMm  what is left between the card’s marks and where they are seen
     * @param  float  $evenly  light at its darkest mark, of that at the lightest
     */
    private function __construct(public CardLayout $layout, public CardMap $map, public float $offMm, public float $evenly) {}

    public static function in(Raster $picture): self|CannotRead
    {
        $spots = array_slice(CardSpots::in($picture), 0, self::MOST);
        $buttons = [1 => [], 2 => [], 3 => [], 4 => []];
        foreach (array_slice($spots, 0, self::LOOKED_AT) as $i => $spot) {
            $holes = SeenSpot::at($picture, $spot)->holes ?? 0;
            isset($buttons[$holes]) && count($buttons[$holes]) < self::EACH && $buttons[$holes][] = $i;
        }
        $best = null;
        foreach (self::choices($buttons) as $choice) {
            foreach (CardLayout::all() as $layout) {
                $fit = self::fit($layout, $choice, $spots, $picture);
                if ($fit !== null && ($best === null || $fit['share'] > $best['share'])) {
                    $best = $fit + ['layout' => $layout, 'choice' => $choice];
                }
            }
            // With all four it is this card or none; what is left are guesses with three.
            if ($best !== null && count($choice) === 4) {
                break;
            }
        }
        if ($best === null) {
            return CannotRead::NoCard;
        }
        $others = array_diff(array_merge(...array_values($buttons)), $best['choice']);
        $size = max([0.0, ...array_map(fn (int $i): float => $spots[$i]['a'], array_values($best['choice']))]);
        // A button sewn to the piece is no card, nor is one alone.
        $others = array_filter($others, fn (int $i): bool => $spots[$i]['a'] > $size / 2 && ! self::lies($best['map'], $best['layout'], $spots[$i]));

        return count($others) >= 2 ? CannotRead::SeveralCards : self::exact($best['layout'], $best['map'], $best['pairs'], $spots, $picture);
    }

    /**
     * One of each at most, all four first.
     *
     * @param  array<int, list<int>>  $buttons  spots by holes
     * @return list<array<int, int>> spot by holes
     */
    private static function choices(array $buttons): array
    {
        $choices = [[]];
        foreach ($buttons as $holes => $spots) {
            $next = [];
            foreach ($choices as $choice) {
                foreach ($spots as $spot) {
                    $next[] = $choice + [$holes => $spot];
                }
                $next[] = $choice;
            }
            $choices = $next;
        }
        $choices = array_values(array_filter($choices, fn (array $c): bool => count($c) >= 3));
        usort($choices, fn (array $a, array $b): int => count($b) <=> count($a));

        return $choices;
    }

    /**
     * @param  array<int, int>  $choice
     * @param  list<Spot>  $spots
     * @return array{share: float, map: CardMap, pairs: list<array{array{float, float}, float, int}>}|null pairs: place, radius, spot
     */
    private static function fit(CardLayout $layout, array $choice, array $spots, Raster $picture): ?array
    {
        $sizes = array_map(fn (int $i): float => $spots[$i]['a'], array_values($choice));
        [$least, $most] = [min([INF, ...$sizes]), max([0.0, ...$sizes])];
        if ($most > 2.2 * $least) {
            return null;
        }
        $pairs = array_map(fn (int $holes, int $i): array => [$layout->buttons()[$holes], CardLayout::BUTTON_MM / 2, $i], array_keys($choice), $choice);
        $map = self::map($pairs, $spots, $picture);
        if ($map === null) {
            return null;
        }
        // As large as a pin may be beside these buttons, however steeply it is seen.
        $pin = CardLayout::PIN_MM / CardLayout::BUTTON_MM;
        $small = array_filter(array_diff_key($spots, array_flip($choice)), fn (array $s): bool => $s['a'] > $pin * $least / 2 && $s['a'] < $pin * $most * 2);
        $found = [];
        foreach (self::NEAR as $round => $near) {
            // Three buttons tell nothing of how steeply it is seen: the pins between those go first.
            $pins = $layout->pins($round === 0 ? array_keys($choice) : null);
            $found = [];
            $free = $small;
            foreach ($pins as $place) {
                [$x, $y] = $map->pixel(...$place);
                $fine = $map->fineness(...$place)[1];
                $closest = [$near * $layout->apartMm() * $fine, null];
                foreach ($free as $i => $spot) {
                    $away = hypot($spot['x'] - $x, $spot['y'] - $y);
                    // As large as a pin, and none of the buttons.
                    if ($away < $closest[0] && $spot['a'] < CardLayout::PIN_MM * $fine && $spot['a'] > CardLayout::PIN_MM * $fine / 4) {
                        $closest = [$away, $i];
                    }
                }
                if ($closest[1] !== null) {
                    $found[] = [$place, CardLayout::PIN_MM / 2, $closest[1]];
                    unset($free[$closest[1]]);
                }
            }
            if (count($found) < 4) {
                return null;
            }
            $map = self::map([...$pairs, ...$found], $spots, $picture);
            if ($map === null) {
                return null;
            }
        }
        $share = count($found) / count($layout->pins());
        $off = self::off($map, [...$pairs, ...$found], $spots);

        return $share < self::ENOUGH || self::middle($off) > 3 * self::MOST_OFF_MM ? null : ['share' => $share, 'map' => $map, 'pairs' => [...$pairs, ...$found]];
    }

    /**
     * With the middles of the spots as exact as the picture has them.
     *
     * @param  list<array{array{float, float}, float, int}>  $pairs
     * @param  list<Spot>  $spots
     */
    private static function exact(CardLayout $layout, CardMap $map, array $pairs, array $spots, Raster $picture): self|CannotRead
    {
        [$seen, $soft, $light] = [[], [], []];
        foreach ($pairs as [$place, $radius, $i]) {
            $spot = SeenSpot::at($picture, $spots[$i]);
            if ($spot !== null) {
                $seen[] = [$place, $radius, $spot];
                $soft[] = $spot->soft / $map->fineness(...$place)[0];
                $light[] = $spot->light;
            }
        }
        if (count($seen) < 8) {
            return CannotRead::NoCard;
        }
        $off = [];
        for ($round = 0; $round < 3; $round++) {
            $places = array_map(fn (array $s): array => $s[0], $seen);
            $pixels = array_map(function (array $s) use ($map): array {
                [$dx, $dy] = $map->shift($s[0][0], $s[0][1], $s[1]);

                return [$s[2]->x - $dx, $s[2]->y - $dy];
            }, $seen);
            $map = (CardMap::through($places, $pixels, $picture->width, $picture->height) ?? $map)->bent($places, $pixels);
            $off = array_map(function (array $place, array $pixel) use ($map): float {
                [$x, $y] = $map->pixel(...$place);

                return hypot($x - $pixel[0], $y - $pixel[1]) / $map->fineness(...$place)[1];
            }, $places, $pixels);
            $limit = max(0.1, self::OUTLIER * self::middle($off));
            $kept = array_filter($seen, fn (int $i): bool => $off[$i] <= $limit, ARRAY_FILTER_USE_KEY);
            $off = array_intersect_key($off, $kept);
            if (count($kept) < 8) {
                return CannotRead::NoCard;
            }
            $seen = array_values($kept);
        }
        $middle = [$layout->widthMm / 2, $layout->heightMm / 2];
        [$most, $least] = $map->fineness(...$middle);
        // Nine numbers were fitted to two of each pair.
        $rest = sqrt(array_sum(array_map(fn (float $o): float => $o * $o, $off)) / max(1, 2 * count($off) - 9));

        return match (true) {
            $map->isMirrored(...$middle) => CannotRead::Mirrored,
            $rest > self::MOST_OFF_MM => CannotRead::NotFlat,
            $least < self::STEEPEST * $most => CannotRead::TooSteep,
            self::middle($soft) > self::SOFTEST_MM => CannotRead::Blurred,
            default => new self($layout, $map, $rest, min([INF, ...$light]) / max([1.0, ...$light])),
        };
    }

    /**
     * @param  list<array{array{float, float}, float, int}>  $pairs
     * @param  list<Spot>  $spots
     */
    private static function map(array $pairs, array $spots, Raster $picture): ?CardMap
    {
        return CardMap::through(array_column($pairs, 0), array_map(fn (array $p): array => [$spots[$p[2]]['x'], $spots[$p[2]]['y']], $pairs), $picture->width, $picture->height);
    }

    /**
     * @param  list<array{array{float, float}, float, int}>  $pairs
     * @param  list<Spot>  $spots
     * @return list<float> mm
     */
    private static function off(CardMap $map, array $pairs, array $spots): array
    {
        return array_map(function (array $p) use ($map, $spots): float {
            [$x, $y] = $map->pixel(...$p[0]);

            return hypot($spots[$p[2]]['x'] - $x, $spots[$p[2]]['y'] - $y) / max(1e-6, $map->fineness(...$p[0])[1]);
        }, $pairs);
    }

    /** @param  array<int, float>  $of */
    private static function middle(array $of): float
    {
        sort($of);

        return $of[intdiv(count($of), 2)] ?? INF;
    }

    /** @param  Spot  $spot */
    private static function lies(CardMap $map, CardLayout $layout, array $spot): bool
    {
        $corners = array_values(array_map(fn (array $b): array => $map->pixel(...$b), $layout->buttons()));
        $sides = array_map(function (int $i) use ($corners, $spot): bool {
            [[$ax, $ay], [$bx, $by]] = [$corners[$i], $corners[($i + 1) % 4]];

            return ($bx - $ax) * ($spot['y'] - $ay) - ($by - $ay) * ($spot['x'] - $ax) >= 0;
        }, [0, 1, 2, 3]);

        return count(array_unique($sides)) === 1;
    }
}
