<?php

declare(strict_types=1);

namespace OpenSeam\Core\Tests\Picture;

use OpenSeam\Core\Data;
use OpenSeam\Core\InputError;
use OpenSeam\Core\Picture\FoldDrawing;
use OpenSeam\Core\Picture\FoldedCloth;
use OpenSeam\Core\Picture\FoldedPiece;
use OpenSeam\Core\Picture\FoldStory;
use OpenSeam\Core\Picture\Shape;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/** Strips folded on a table: what lies above what, what a needle holds, and what cannot be. */
final class FoldTest extends TestCase
{
    /** @return list<int> levels of the pieces, along the cloth */
    private static function levels(FoldedCloth $strip): array
    {
        return array_map(fn (FoldedPiece $p): int => $p->level, $strip->pieces);
    }

    /** A hem folded twice: 10 and 20 mm; common practice, no source. */
    public function test_a_double_hem(): void
    {
        $once = FoldedCloth::flat(110, false)->fold(10, true, true);
        self::assertSame([1, 0], self::levels($once));
        self::assertSame([20.0, 10.0], [$once->x(0), $once->x(10)], 'the raw edge lies 10 mm in');
        self::assertTrue($once->isRightUp($once->pieces[0]), 'what is folded over shows its other side');
        $twice = $once->fold(30, true, true);
        self::assertSame([40.0, 50.0, 30.0], [$twice->x(0), $twice->x(10), $twice->x(30)]);
        // From the top: the hem, the raw edge turned in, the garment.
        self::assertSame([2, 1, 0], [$twice->under(48)[0]->level, $twice->under(48)[1]->level, $twice->under(48)[2]->level]);
        self::assertSame([10.0, 0.0, 30.0], array_map(fn (FoldedPiece $p): float => $p->from, $twice->under(48)));
        self::assertCount(2, $twice->under(35), 'nearer the edge there is no raw edge in it');
        self::assertFalse($twice->isRightUp($twice->pieces[1]) === $twice->isRightUp($twice->pieces[2]), 'the hem shows its right side');
    }

    /** The fold that nobody understands in words: the hem goes back under, and its edge lies beside the fold. Common practice, no source. */
    public function test_a_blind_hem_and_opened_again(): void
    {
        $hem = FoldedCloth::flat(140, false)->fold(30, true, true);
        $back = $hem->fold(55, true, false);
        self::assertSame(50.0, $back->x(0), 'five millimetres of the hem lie beside the fold at 55');
        self::assertSame([0.0], array_map(fn (FoldedPiece $p): float => $p->from, $back->under(52)), 'there the needle holds the hem alone');
        // The bite: fold of the garment, twice, and the hem below.
        self::assertSame([55.0, 30.0, 0.0], array_map(fn (FoldedPiece $p): float => $p->from, $back->under(55.6)));
        self::assertTrue($hem->fold(55, true, false)->fold(55, true, false) == $hem, 'opened, it is the hem it was');
    }

    public function test_what_cannot_be_folded_is_refused_with_its_place(): void
    {
        $strip = FoldedCloth::flat(100, true);
        foreach ([0.0, 100.0, -5.0, 140.0] as $place) {
            try {
                $strip->fold($place, true, true);
                self::fail('Folded.');
            } catch (InputError $e) {
                self::assertSame(['at_mm', $place], [$e->field, $e->got]);
            }
        }
        // The start lies under the rest: over it, it cannot go without going through.
        $under = $strip->fold(40, true, false);
        $this->expectExceptionObject(InputError::at('at_mm', 20.0, 'At 20 mm the strip cannot be folded over: it lies under itself there.'));
        $under->fold(20, true, true);
    }

    /** @return iterable<string, array{int}> */
    public static function seeds(): iterable
    {
        foreach (range(1, 40) as $seed) {
            yield "seed $seed" => [$seed];
        }
    }

    /** However it is folded: no cloth lost, every piece where its neighbour ends, no two layers in one place, both sides in turn. */
    #[DataProvider('seeds')]
    public function test_nothing_is_lost_and_no_layer_goes_through_another(int $seed): void
    {
        mt_srand($seed);
        $strip = FoldedCloth::flat(200, $seed % 2 === 0);
        $done = 0;
        for ($n = 0; $n < 12; $n++) {
            try {
                $strip = $strip->fold(mt_rand(1, 199), mt_rand(0, 1) === 1, mt_rand(0, 1) === 1);
                $done++;
            } catch (InputError) {
                continue;
            }
            self::assertEqualsWithDelta(200.0, array_sum(array_map(fn (FoldedPiece $p): float => $p->to - $p->from, $strip->pieces)), 1e-9);
            foreach ($strip->pieces as $i => $p) {
                self::assertEqualsWithDelta($p->to - $p->from, $p->right() - $p->left(), 1e-9, 'nothing is stretched');
                $next = $strip->pieces[$i + 1] ?? null;
                $next === null || self::assertEqualsWithDelta($p->at($p->to), $next->x, 1e-9, 'they hang together');
                $next === null || self::assertSame($p->way !== $next->way, $strip->isRightUp($p) !== $strip->isRightUp($next));
                foreach ($strip->pieces as $k => $q) {
                    $i === $k || $p->over($q) === null || self::assertNotSame($p->level, $q->level, 'two layers in one place');
                }
            }
            $over = $strip->turnedOver();
            self::assertSame(count($strip->under($strip->x(100.0001))), count($over->under($over->x(100.0001))));
            self::assertEqualsWithDelta($strip->pieces, $over->turnedOver()->pieces, 1e-9, 'turned over twice it lies as it lay');
        }
        self::assertGreaterThan(0, $done);
    }

    /** @return array<string, mixed> */
    private static function story(): array
    {
        return ['id' => 'double-hem', 'title' => 'Double hem', 'say' => 'Wrong side up.', 'thickness_mm' => 0.3,
            'parts' => [['name' => 'raw edge', 'mm' => 10], ['name' => 'hem', 'mm' => 20], ['name' => 'garment', 'mm' => 80]],
            'acts' => [
                ['say' => 'Fold 10.', 'fold' => ['at_mm' => 10]], ['say' => 'Fold 20.', 'fold' => ['at_mm' => 30]],
                ['say' => 'Sew.', 'stitch' => ['at_mm' => 12, 'through' => ['hem', 'raw edge', 'garment']]], ['say' => 'Turn.', 'turn' => true],
            ]];
    }

    public function test_a_story_holds_what_it_says_or_is_refused(): void
    {
        $story = FoldStory::read(Data::of(self::story()));
        self::assertCount(5, $story->steps);
        self::assertSame([12.0, 8.0, 48.0], array_column($story->steps[3]->seams[0]->places, 'at'), 'the hem, the raw edge in it, the garment below');
        self::assertSame(48.0, $story->steps[3]->needle);
        // On the right side one row shows, on the garment.
        $roles = array_map(fn (Shape $s): string => $s->role, FoldDrawing::above($story, $story->steps[4]));
        self::assertSame(['above-right', 'crease', 'row-sewn'], $roles);
        $wrong = self::story();
        $wrong['acts'][2]['stitch'] = ['at_mm' => 25, 'through' => ['hem', 'raw edge', 'garment']];
        $this->expectExceptionObject(InputError::at('acts[2].stitch.through', ['hem', 'raw edge', 'garment'], 'From the top the needle goes through: hem, garment.'));
        FoldStory::read(Data::of($wrong));
    }

    public function test_the_section_is_to_scale_across_the_table_and_knows_its_right_side(): void
    {
        $story = FoldStory::read(Data::of(self::story()));
        foreach ($story->steps as $step) {
            $shapes = FoldDrawing::section($story, $step);
            // The cloth is as thick as it is drawn: its middle runs between its two sides.
            $sides = array_values(array_filter($shapes, fn (Shape $s): bool => $s->role === 'cloth-face'))[0]->points;
            $half = intdiv(count($sides), 2);
            $cloth = array_map(fn (int $i): array => [($sides[$i][0] + $sides[2 * $half - 1 - $i][0]) / 2, ($sides[$i][1] + $sides[2 * $half - 1 - $i][1]) / 2], range(0, $half - 1));
            self::assertEqualsWithDelta([$step->cloth->x(0), $step->cloth->x(110)], [$cloth[0][0], $cloth[count($cloth) - 1][0]], 1e-9);
            // At its end the garment's right side lies below while it is wrong side up, above when it is turned.
            $right = array_values(array_filter($shapes, fn (Shape $s): bool => $s->role === 'right-side'))[0]->points;
            self::assertSame($step->cloth->isRightUp($step->cloth->pieceAt(110)), $right[count($right) - 1][1] < $cloth[count($cloth) - 1][1]);
            // Nothing lies below the table.
            self::assertLessThanOrEqual(0.0, max(array_column($sides, 1)));
        }
        $seam = array_values(array_filter(FoldDrawing::section($story, $story->steps[3]), fn (Shape $s): bool => $s->role === 'sewn'));
        self::assertCount(1, $seam, 'one stitch through all three');
        self::assertGreaterThan(2 * FoldDrawing::apart($story), $seam[0]->points[1][1] - $seam[0]->points[0][1]);
    }
}
