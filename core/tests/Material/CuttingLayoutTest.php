<?php

declare(strict_types=1);

namespace OpenSeam\Core\Tests\Material;

use OpenSeam\Core\InputError;
use OpenSeam\Core\Material\ClothPiece;
use OpenSeam\Core\Material\CuttingLayout;
use OpenSeam\Core\Tests\Support\Fixtures;
use PHPUnit\Framework\TestCase;

final class CuttingLayoutTest extends TestCase
{
    /** @return list<ClothPiece> */
    private static function random(int $count, float $widest, bool $turn): array
    {
        return array_map(fn (int $i): ClothPiece => new ClothPiece("p$i", mt_rand(20, (int) $widest), mt_rand(20, 600), $turn && mt_rand(0, 1) === 1), range(1, $count));
    }

    /** @param  list<ClothPiece>  $pieces */
    private static function assertSound(CuttingLayout $layout, array $pieces, float $width): void
    {
        self::assertCount(count($pieces), $layout->placed);
        $given = array_column(array_map(fn (ClothPiece $p): array => ['id' => $p->id, 'p' => $p], $pieces), 'p', 'id');
        foreach ($layout->placed as $i => $a) {
            self::assertGreaterThanOrEqual(0, min($a->xMm, $a->yMm));
            self::assertLessThanOrEqual($width + 1e-6, $a->xMm + $a->widthMm, 'into the selvedge');
            self::assertLessThanOrEqual($layout->lengthMm + 1e-6, $a->yMm + $a->lengthMm);
            // The grain: turned only where that is allowed.
            $p = $given[$a->id];
            $same = abs($a->widthMm - $p->widthMm) < 1e-9 && abs($a->lengthMm - $p->lengthMm) < 1e-9;
            self::assertTrue($same || $p->turn && abs($a->widthMm - $p->lengthMm) < 1e-9, $a->id);
            for ($j = $i + 1; $j < count($layout->placed); $j++) {
                $b = $layout->placed[$j];
                $apart = $a->xMm + $a->widthMm <= $b->xMm + 1e-6 || $b->xMm + $b->widthMm <= $a->xMm + 1e-6 || $a->yMm + $a->lengthMm <= $b->yMm + 1e-6 || $b->yMm + $b->lengthMm <= $a->yMm + 1e-6;
                self::assertTrue($apart, "{$a->id} lies on {$b->id}");
            }
        }
        self::assertGreaterThanOrEqual($layout->lowerBoundMm - 1e-6, $layout->lengthMm);
    }

    /**
     * Never overlaps, keeps grain and selvedge, never below the bound, and
     * within the shelf bound of Coffman, Garey, Johnson & Tarjan 1980:
     * FFDH ≤ 1.7·OPT + h_max, here against the lower bound, which OPT is never below.
     */
    public function test_random_layouts_are_sound_and_within_the_published_bound(): void
    {
        mt_srand(11);
        for ($n = 1; $n <= 60; $n++) {
            $pieces = self::random($n, 900.0, $n % 2 === 0);
            $layout = CuttingLayout::of(1400, 20, $pieces);
            self::assertSound($layout, $pieces, 1360.0);
            $tallest = max(array_map(fn (ClothPiece $p): float => max($p->lengthMm, $p->turn ? $p->widthMm : 0), $pieces));
            self::assertLessThanOrEqual(1.7 * $layout->lowerBoundMm + $tallest + 1e-6, $layout->lengthMm);
        }
    }

    /** All orders of all turns tried by hand for four pieces: never more than the best shelf layout. */
    public function test_never_longer_than_shelves_in_any_order(): void
    {
        mt_srand(5);
        for ($round = 0; $round < 40; $round++) {
            $pieces = self::random(5, 500.0, false);
            $best = INF;
            foreach (self::orders($pieces) as $order) {
                $best = min($best, self::nextFit($order, 800.0));
            }
            // First fit in any order is at most as long as the best next fit here, by a tenth.
            self::assertLessThanOrEqual($best * 1.1 + 1e-6, CuttingLayout::of(800, 0, $pieces)->lengthMm);
        }
    }

    /** What may be turned, and more width, never cost cloth; against a plain skyline with orders drawn anew for a while, nearly never longer. */
    public function test_freedom_never_costs_cloth(): void
    {
        mt_srand(23);
        $longer = 0;
        for ($round = 0; $round < 10; $round++) {
            $sizes = array_map(fn (): array => [mt_rand(30, 600), mt_rand(30, 600)], range(1, mt_rand(4, 28)));
            $lay = fn (bool $turn, float $width): CuttingLayout => CuttingLayout::of($width, 15, array_map(fn (array $s, int $i): ClothPiece => new ClothPiece("p$i", $s[0], $s[1], $turn), $sizes, array_keys($sizes)), [], true);
            $still = $lay(false, 1400);
            self::assertLessThanOrEqual($still->lengthMm + 1e-6, $lay(true, 1400)->lengthMm, "turned, round $round");
            self::assertLessThanOrEqual($still->lengthMm + 1e-6, $lay(false, 1400 + mt_rand(1, 150))->lengthMm, "wider, round $round");
            self::assertSound($still, array_map(fn (array $s, int $i): ClothPiece => new ClothPiece("p$i", $s[0], $s[1], false), $sizes, array_keys($sizes)), 1370.0);
            $longer += $still->lengthMm > 1.04 * self::drawnSkyline($sizes, 1370.0, 120) ? 1 : 0;
        }
        self::assertLessThanOrEqual(1, $longer);
    }

    /**
     * Written apart: pieces in drawn orders, each as low as it goes, on a grid of half-centimetres.
     *
     * @param  list<array{int, int}>  $sizes
     */
    private static function drawnSkyline(array $sizes, float $width, int $rounds): float
    {
        $best = INF;
        for ($round = 0; $round < $rounds; $round++) {
            shuffle($sizes);
            $round % 2 === 0 && usort($sizes, fn (array $a, array $b): int => $b[1] * mt_rand(70, 130) <=> $a[1] * mt_rand(70, 130));
            $sky = array_fill(0, (int) ($width / 5), 0.0);
            foreach ($sizes as [$wide, $long]) {
                $cells = (int) ceil($wide / 5);
                [$at, $low] = [0, INF];
                for ($x = 0; $x + $cells <= count($sky); $x++) {
                    $y = max(array_slice($sky, $x, $cells));
                    if ($y < $low) {
                        [$at, $low] = [$x, $y];
                    }
                }
                array_splice($sky, $at, $cells, array_fill(0, $cells, $low + $long));
            }
            $best = min($best, max($sky));
        }

        return $best;
    }

    public function test_worked_layouts(): void
    {
        $squares = array_fill(0, 8, new ClothPiece('s', 100, 100, false));
        $layout = CuttingLayout::of(430, 15, $squares);
        self::assertSame([200.0, 200.0], [$layout->lengthMm, $layout->lowerBoundMm]);
        self::assertEqualsWithDelta(1 - 80_000 / (430 * 200), $layout->wasteShare, 1e-12);
        // Turned, the strip lies across and takes 60 mm; with the grain it takes 300.
        self::assertSame(60.0, CuttingLayout::of(400, 0, [new ClothPiece('strip', 60, 300, true)])->lengthMm);
        self::assertSame(300.0, CuttingLayout::of(400, 0, [new ClothPiece('strip', 60, 300, false)])->lengthMm);
        // Two pieces wider than half the cloth cannot lie beside each other: the bound knows.
        self::assertSame(500.0, CuttingLayout::of(400, 0, [new ClothPiece('a', 250, 200, false), new ClothPiece('b', 250, 300, false)])->lowerBoundMm);
        // What is left beside a lone piece has a name.
        $left = CuttingLayout::of(1000, 0, [new ClothPiece('a', 400, 500, false)])->offcuts;
        self::assertSame([['x_mm' => 400.0, 'y_mm' => 0.0, 'width_mm' => 600.0, 'length_mm' => 500.0]], $left);
        self::assertSame([0.0, 0.0], [CuttingLayout::of(1000, 0, [])->lengthMm, CuttingLayout::of(1000, 0, [])->wasteShare]);
    }

    /** The course's own materials for a class of ten: within 1.15 times the area. */
    public function test_the_courses_own_pieces_waste_little(): void
    {
        $pieces = [];
        foreach (Fixtures::bundle()->courses['stitches-first']['lessons'] as $id) {
            foreach (Fixtures::bundle()->lesson($id)->sampler->pieces as $p) {
                if ($p->material === 'cloth') {
                    array_push($pieces, ...array_fill(0, 10 * $p->layers, new ClothPiece("$id {$p->id}", $p->widthMm, $p->heightMm, false)));
                }
            }
        }
        self::assertGreaterThan(300, count($pieces));
        $layout = CuttingLayout::of(1400, 15, $pieces);
        $area = array_sum(array_map(fn (ClothPiece $p): float => $p->area(), $pieces)) / 1370;
        self::assertLessThanOrEqual(1.15 * $area, $layout->lengthMm);
    }

    public function test_what_does_not_fit_is_named(): void
    {
        foreach ([
            'pieces[1].width_mm' => fn () => CuttingLayout::of(500, 0, [new ClothPiece('a', 100, 100, false), new ClothPiece('wide', 600, 100, false)]),
            'selvedge_mm' => fn () => CuttingLayout::of(100, 50, []),
        ] as $field => $act) {
            try {
                $act();
                self::fail('It was laid.');
            } catch (InputError $e) {
                self::assertSame($field, $e->field);
            }
        }
        self::assertSame(600.0, CuttingLayout::of(500, 0, [new ClothPiece('wide', 600, 100, true)])->lengthMm, 'turned it fits');
    }

    /**
     * @param  list<ClothPiece>  $pieces
     * @return iterable<list<ClothPiece>>
     */
    private static function orders(array $pieces): iterable
    {
        if (count($pieces) <= 1) {
            yield $pieces;

            return;
        }
        foreach ($pieces as $i => $first) {
            $rest = $pieces;
            unset($rest[$i]);
            foreach (self::orders(array_values($rest)) as $order) {
                yield [$first, ...$order];
            }
        }
    }

    /** @param  list<ClothPiece>  $order */
    private static function nextFit(array $order, float $width): float
    {
        [$x, $y, $high] = [0.0, 0.0, 0.0];
        foreach ($order as $p) {
            if ($x + $p->widthMm > $width) {
                [$x, $y, $high] = [0.0, $y + $high, 0.0];
            }
            $x += $p->widthMm;
            $high = max($high, $p->lengthMm);
        }

        return $y + $high;
    }
}
