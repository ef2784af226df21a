<?php

declare(strict_types=1);

namespace OpenSeam\Core\Tests\Picture;

use OpenSeam\Core\Data;
use OpenSeam\Core\InputError;
use OpenSeam\Core\Picture\Crease;
use OpenSeam\Core\Picture\FoldDrawing;
use OpenSeam\Core\Picture\FoldedCloth;
use OpenSeam\Core\Picture\FoldedPiece;
use OpenSeam\Core\Picture\FoldStep;
use OpenSeam\Core\Picture\FoldStory;
use OpenSeam\Core\Picture\Shape;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/** Pieces joined, opened, bound and turned out: what lies where, what holds, what cannot be. What is expected of each seam: common practice, no source. */
final class FoldStoryTest extends TestCase
{
    /** @return array<string, FoldStory> what the lessons tell, by id */
    private static function told(): array
    {
        $told = [];
        foreach (glob(__DIR__.'/../../../curriculum/beginner-machine/lessons/*.json') ?: [] as $file) {
            /** @var array{folds?: list<array<string, mixed>>} $lesson */
            $lesson = json_decode((string) file_get_contents($file), true);
            foreach ($lesson['folds'] ?? [] as $fold) {
                $told[(string) $fold['id']] = FoldStory::read(Data::of($fold));
            }
        }

        return $told;
    }

    private static function last(string $id, int $before = 0): FoldStep
    {
        $steps = self::told()[$id]->steps;

        return $steps[count($steps) - 1 - $before];
    }

    /** @return list<string> from the top: the part that lies there, and which side of it is up */
    private static function layers(FoldStory $story, FoldStep $step, float $x): array
    {
        return array_map(
            fn (FoldedPiece $p): string => $story->strips->partAt($p->strip, $p->from + $p->way * ($x - $p->x)).($step->cloth->isRightUp($p) ? ', right' : ', wrong'),
            $step->cloth->under($x),
        );
    }

    /** @return list<Shape> */
    private static function above(string $id, FoldStep $step, string $role): array
    {
        return array_values(array_filter(FoldDrawing::above(self::told()[$id], $step), fn (Shape $s): bool => $s->role === $role));
    }

    /** @return iterable<string, array{string}> */
    public static function stories(): iterable
    {
        foreach (array_keys(self::told()) as $id) {
            yield $id => [$id];
        }
    }

    public function test_the_folds_of_the_trade_are_told(): void
    {
        self::assertSame([], array_diff(
            ['double-hem', 'narrow-hem', 'blind-hem', 'seam-pressed', 'topstitched-seam', 'french-seam', 'edge-bound', 'zip-sewn', 'elastic-cased', 'facing', 'pouch', 'knife-pleat', 'dart'],
            array_keys(self::told()),
        ));
    }

    #[DataProvider('stories')]
    public function test_in_every_step_nothing_is_lost_and_every_seam_holds(string $id): void
    {
        $story = self::told()[$id];
        foreach ($story->steps as $n => $step) {
            for ($strip = 0; $strip < $step->cloth->strips(); $strip++) {
                $pieces = $step->cloth->of($strip);
                self::assertEqualsWithDelta($story->strips->lengthOf($strip), array_sum(array_map(fn (FoldedPiece $p): float => $p->right() - $p->left(), $pieces)), 1e-9, "step $n");
                foreach (array_slice($pieces, 1) as $i => $p) {
                    self::assertEqualsWithDelta($pieces[$i]->at($pieces[$i]->to), $p->x, 1e-9, "step $n: the strip hangs together");
                }
            }
            foreach ($step->cloth->pieces as $i => $a) {
                foreach ($step->cloth->pieces as $k => $b) {
                    $i === $k || $a->over($b) === null || self::assertNotSame($a->level, $b->level, "step $n: two layers in one place");
                }
            }
            foreach ($step->seams as $seam) {
                self::assertTrue($seam->holds($step->cloth), "step $n");
            }
            // What is drawn lies within the room that all steps share, over the table.
            $box = FoldDrawing::box($story);
            foreach (FoldDrawing::section($story, $step) as $shape) {
                $shape->role === 'needle' || self::assertLessThanOrEqual(1e-9, max(array_column($shape->points, 1)), "step $n");
                self::assertGreaterThanOrEqual($box['left'], min(array_column($shape->points, 0)) + FoldDrawing::apart($story));
                self::assertGreaterThanOrEqual(-$box['top'] - FoldDrawing::apart($story) * 3.4, min(array_column($shape->points, 1)));
            }
        }
    }

    #[DataProvider('stories')]
    public function test_what_moves_keeps_its_length_until_it_lies(string $id): void
    {
        $story = self::told()[$id];
        $moved = 0;
        foreach (array_slice($story->steps, 1) as $i => $step) {
            $moves = FoldDrawing::moves($story, $story->steps[$i], $step);
            self::assertCount($step->creases === null ? 0 : 3, $moves);
            foreach ($moves as $picture) {
                $moved++;
                $faces = array_filter($picture->shapes, fn (Shape $s): bool => in_array($s->role, ['cloth-face', 'cloth-other'], true));
                self::assertCount($story->steps[$i]->cloth->strips(), $faces, 'every strip is in sight on the way');
            }
        }
        self::assertGreaterThan(0, $moved + (int) ($id === 'pouch'));
    }

    public function test_a_seam_opened_lies_to_one_side_then_open(): void
    {
        $story = self::told()['seam-pressed'];
        self::assertSame(['back, right', 'allowance of the back, wrong', 'allowance of the front, right'], self::layers($story, $story->steps[3], 50), 'both allowances under the back');
        $open = self::last('seam-pressed');
        $seam = $open->cloth->x(45);
        // From behind: a garment on each side, its own allowance on it, which shows its right side as every fold does.
        self::assertSame(['allowance of the front, right', 'front, wrong'], self::layers($story, $open, $seam + 6));
        self::assertSame(['allowance of the back, right', 'back, wrong'], self::layers($story, $open, $seam - 6));
        self::assertSame(['back, wrong'], self::layers($story, $open, $seam - 13), 'the allowance is 12 mm wide');
    }

    public function test_a_row_that_lies_in_a_fold_is_not_seen_and_a_topstitch_is(): void
    {
        $story = self::told()['topstitched-seam'];
        self::assertSame([], self::above('topstitched-seam', $story->steps[3], 'row-sewn'));
        $row = self::above('topstitched-seam', $story->steps[4], 'row-sewn');
        self::assertCount(1, $row);
        self::assertSame(51.0, $row[0]->points[0][0], '6 mm from the seam at 45');
    }

    public function test_a_french_seam_has_every_raw_edge_inside(): void
    {
        $story = self::told()['french-seam'];
        $sewn = $story->steps[6];
        self::assertSame(['front, wrong', 'edge of the front, right', 'edge of the back, wrong', 'back, right'], self::layers($story, $sewn, 43), 'both edges between front and back');
        self::assertSame(['front, wrong', 'back, right'], self::layers($story, $sewn, 39.5), 'and none as far as the second row');
        $open = self::last('french-seam');
        self::assertCount(1, self::above('french-seam', $open, 'row-sewn'));
    }

    public function test_a_binding_goes_round_the_edge_and_is_held_on_both_sides(): void
    {
        $story = self::told()['edge-bound'];
        $bound = self::last('edge-bound');
        self::assertSame(['over the edge, right', 'edge of the binding, wrong', 'edge, right', 'turned in, right', 'behind, wrong'], self::layers($story, $bound, 53));
        // The cloth's edge lies inside the binding's fold.
        self::assertLessThan($bound->cloth->x(16.5, 1), $bound->cloth->x(58));
        self::assertSame([0, 1, 1], array_column($bound->seams[1]->places, 'strip'), 'cloth, turned in, behind');
    }

    public function test_an_understitched_facing_is_not_seen_from_the_right_side(): void
    {
        $done = self::last('facing');
        $seen = $done->cloth->seen();
        self::assertCount(1, $seen);
        self::assertSame(0, $seen[0][2]->strip);
        self::assertSame([], self::above('facing', $done, 'row-sewn'), 'neither the seam nor the row through the facing shows');
        // It does hold facing and allowances, and not the garment.
        self::assertSame([1, 1, 0], array_column($done->seams[1]->places, 'strip'));
        self::assertGreaterThan(50, $done->seams[1]->places[2]['at'], 'the allowance');
    }

    public function test_a_zip_lies_under_two_folds(): void
    {
        $story = self::told()['zip-sewn'];
        $done = self::last('zip-sewn');
        $rows = self::above('zip-sewn', $done, 'row-sewn');
        self::assertCount(2, $rows);
        $seam = $done->cloth->x(45);
        self::assertEqualsWithDelta([6.0, 6.0], array_map(fn (Shape $s): float => abs($s->points[0][0] - $seam), $rows), 1e-9, 'even from the folds');
        self::assertSame('teeth', explode(',', array_reverse(self::layers($story, $done, $seam + 1))[0])[0]);
        self::assertSame(['sewn', 'sewn'], array_map(fn ($s): string => $s->how, $done->seams), 'the basting is out');
    }

    public function test_a_pouch_turned_out_has_its_right_sides_outside_and_its_edges_inside(): void
    {
        $story = self::told()['pouch'];
        $out = self::last('pouch');
        self::assertSame(['front, right', 'left edge, wrong', 'left edge of the back, right', 'back, wrong'], self::layers($story, $out, 15));
        self::assertSame(['front, right', 'back, wrong'], self::layers($story, $out, 40));
        self::assertSame(60.0, max(array_map(fn (FoldedPiece $p): float => $p->right(), $out->cloth->pieces)) - min(array_map(fn (FoldedPiece $p): float => $p->left(), $out->cloth->pieces)));
    }

    public function test_a_dart_takes_in_twice_its_depth_and_narrows_to_nothing(): void
    {
        $story = self::told()['dart'];
        $wide = fn (FoldStep $s): float => max(array_map(fn (FoldedPiece $p): float => $p->right(), $s->cloth->pieces)) - min(array_map(fn (FoldedPiece $p): float => $p->left(), $s->cloth->pieces));
        self::assertSame(104.0, $wide($story->steps[0]));
        self::assertSame(104.0 - 24.0, $wide($story->steps[3]), 'two halves of 12 mm');
        // Sewn, the row slants from the leg to the fold.
        $row = self::above('dart', $story->steps[2], 'row-sewn')[0]->points;
        self::assertSame([40.0, 52.0], [$row[0][0], $row[1][0]]);
        // From behind it is a triangle that ends on its seam.
        $triangles = array_values(array_filter(FoldDrawing::above($story, self::last('dart')), fn (Shape $s): bool => count($s->points) === 3));
        self::assertCount(1, $triangles);
        [$a, $b, $tip] = $triangles[0]->points;
        self::assertEqualsWithDelta(12.0, abs($b[0] - $a[0]), 1e-9);
        self::assertContains($tip[0], [$a[0], $b[0]]);
        self::assertSame([], self::above('dart', $story->steps[3], 'row-sewn'), 'from the right side only the fold is seen');
    }

    /**
     * @param  list<array<string, mixed>>  $acts
     * @return array<string, mixed>
     */
    private static function two(array $acts): array
    {
        return ['id' => 'two', 'title' => 'Two', 'say' => 'The front.', 'right_side_up' => true, 'name' => 'front', 'parts' => [['name' => 'front', 'mm' => 50], ['name' => 'allowance', 'mm' => 10]], 'acts' => [
            ['say' => 'The back on it.', 'lay' => ['name' => 'back', 'parts' => [['name' => 'back', 'mm' => 60]], 'at_mm' => 0]], ...$acts,
        ]];
    }

    /** @return iterable<string, array{list<array<string, mixed>>, string, string}> */
    public static function refused(): iterable
    {
        $sew = fn (float $at, string ...$through): array => ['say' => 'Sew.', 'stitch' => ['at_mm' => $at, 'through' => $through]];
        yield 'a seam pulled apart' => [[$sew(50, 'back', 'front'), ['say' => 'Fold.', 'fold' => ['strip' => 'back', 'at_mm' => 30, 'moves' => 'rest']]], 'acts[2].fold', 'What is sewn at 50 mm would be pulled apart'];
        yield 'a strip that is not there' => [[['say' => 'Fold.', 'fold' => ['strip' => 'lining', 'at_mm' => 20]]], 'acts[1].fold.strip', 'Strips that are laid by then: front, back.'];
        yield 'a strip twice' => [[['say' => 'Lay.', 'lay' => ['name' => 'back', 'parts' => [['name' => 'other', 'mm' => 10]], 'at_mm' => 0]]], 'acts[1].lay.name', 'Each strip has a name of its own.'];
        yield 'a part twice' => [[['say' => 'Lay.', 'lay' => ['name' => 'lining', 'parts' => [['name' => 'back', 'mm' => 10]], 'at_mm' => 0]]], 'acts[1].lay.parts[0].name', 'Each part has a name of its own.'];
        yield 'creases on two lines' => [[['say' => 'Fold.', 'fold' => ['at_mm' => 50, 'moves' => 'rest', 'also' => [['strip' => 'back', 'at_mm' => 40, 'moves' => 'rest']]]]], 'acts[1].fold.at_mm', 'this one lies 10.0 mm beside it'];
        yield 'a fold with a strip in the way' => [[['say' => 'Fold.', 'fold' => ['at_mm' => 50, 'moves' => 'rest']]], 'acts[1].fold.at_mm', 'it lies under another strip there'];
        yield 'a crease off the strip' => [[['say' => 'Fold.', 'fold' => ['strip' => 'back', 'at_mm' => 60]]], 'acts[1].fold.at_mm', 'more than 0 and less than 60 mm'];
        yield 'a needle beside the strip' => [[$sew(60, 'back', 'front')], 'acts[1].stitch.at_mm', 'less than 60 mm'];
        yield 'a needle that holds one layer only' => [[['say' => 'Open.', 'fold' => ['strip' => 'back', 'at_mm' => 50]], $sew(20, 'back', 'front')], 'acts[2].stitch.through', 'From the top the needle goes through: front.'];
        yield 'a tube with one seam' => [[$sew(50, 'back', 'front'), ['say' => 'Turn out.', 'turn_out' => true]], 'acts[2].turn_out', 'two strips sewn together by two seams'];
        yield 'a tube with allowances that meet' => [[$sew(25, 'back', 'front'), $sew(35, 'back', 'front'), ['say' => 'Turn out.', 'turn_out' => true]], 'acts[3].turn_out', 'narrower than half'];
    }

    /** @param  list<array<string, mixed>>  $acts */
    #[DataProvider('refused')]
    public function test_what_cannot_be_is_refused_with_its_place(array $acts, string $field, string $why): void
    {
        try {
            FoldStory::read(Data::of(self::two($acts)));
            self::fail('It was told.');
        } catch (InputError $e) {
            self::assertSame($field, $e->field);
            self::assertStringContainsString($why, $e->getMessage());
        }
    }

    public function test_a_seam_taken_out_lets_go(): void
    {
        $acts = [['say' => 'Pin.', 'stitch' => ['at_mm' => 20, 'how' => 'pinned', 'through' => ['back', 'front']]], ['say' => 'Away.', 'fold' => ['strip' => 'back', 'at_mm' => 50]]];
        try {
            FoldStory::read(Data::of(self::two($acts)));
            self::fail('The pin let go by itself.');
        } catch (InputError $e) {
            self::assertStringContainsString('What is pinned at 20 mm', $e->getMessage());
        }
        $story = FoldStory::read(Data::of(self::two([$acts[0], ['say' => 'Pins out.', 'take_out' => 'pinned'], $acts[1]])));
        self::assertSame([], $story->steps[4]->seams);
        self::assertSame(80.0, $story->steps[4]->cloth->x(20, 1), 'turned about 50');
    }

    /** @return iterable<string, array{int}> */
    public static function seeds(): iterable
    {
        foreach (range(1, 30) as $seed) {
            yield "seed $seed" => [$seed];
        }
    }

    /** Strips laid and folded by lot, alone and together. */
    #[DataProvider('seeds')]
    public function test_strips_by_lot_lie_in_layers(int $seed): void
    {
        mt_srand($seed);
        $lengths = [120.0, 80.0, 50.0];
        $cloth = FoldedCloth::flat(120, true)->laid(80, false, mt_rand(-20, 60), 1, true)->laid(50, true, mt_rand(40, 100), -1, mt_rand(0, 1) === 1);
        $done = 0;
        for ($n = 0; $n < 14; $n++) {
            $strip = mt_rand(0, 2);
            $creases = [new Crease(mt_rand(1, (int) $lengths[$strip] - 1), mt_rand(0, 1) === 1, $strip)];
            $with = ($strip + 1) % 3;
            mt_rand(0, 2) === 0 && $creases[] = new Crease(0.0, false, $with);
            try {
                $cloth = $cloth->folded($creases, mt_rand(0, 1) === 1);
                $done++;
            } catch (InputError) {
                continue;
            }
            foreach ($lengths as $i => $long) {
                self::assertEqualsWithDelta($long, array_sum(array_map(fn (FoldedPiece $p): float => $p->to - $p->from, $cloth->of($i))), 1e-9);
                foreach (array_slice($cloth->of($i), 1) as $k => $p) {
                    self::assertEqualsWithDelta($cloth->of($i)[$k]->at($cloth->of($i)[$k]->to), $p->x, 1e-9);
                }
            }
            foreach ($cloth->pieces as $i => $a) {
                foreach ($cloth->pieces as $k => $b) {
                    $i === $k || $a->over($b) === null || self::assertNotSame($a->level, $b->level);
                }
            }
            self::assertEqualsWithDelta($cloth->pieces, $cloth->turnedOver()->turnedOver()->pieces, 1e-9);
        }
        self::assertGreaterThan(0, $done);
    }
}
