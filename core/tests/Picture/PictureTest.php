<?php

declare(strict_types=1);

namespace OpenSeam\Core\Tests\Picture;

use OpenSeam\Core\Data;
use OpenSeam\Core\InputError;
use OpenSeam\Core\Machine\Foot;
use OpenSeam\Core\Machine\FootBook;
use OpenSeam\Core\Measure\Unit;
use OpenSeam\Core\Picture\FoldDrawing;
use OpenSeam\Core\Picture\FootPicture;
use OpenSeam\Core\Picture\Label;
use OpenSeam\Core\Picture\LineArt;
use OpenSeam\Core\Picture\MachineLook;
use OpenSeam\Core\Picture\Picture;
use OpenSeam\Core\Picture\PictureBook;
use OpenSeam\Core\Picture\Shape;
use OpenSeam\Core\Picture\Shown;
use OpenSeam\Core\Stitch\NeedlePoints;
use OpenSeam\Core\Stitch\StitchBook;
use OpenSeam\Core\Stitch\StitchSettings;
use OpenSeam\Core\Tests\Support\Fixtures;
use OpenSeam\Core\Words;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/** Pictures are true to what they are drawn from: measures of feet, needle points, lengths of cloth. */
final class PictureTest extends TestCase
{
    /** @param  array<string, mixed>  $spec */
    private static function draw(array $spec, Shown $of = new Shown): Picture
    {
        return (new PictureBook)->draw(Data::of($spec), $of);
    }

    /** @return list<Shape> */
    private static function of(Picture $picture, string $role): array
    {
        return array_values(array_filter($picture->shapes, fn (Shape $s): bool => $s->role === $role));
    }

    /** @return array{float, float} from left to right */
    private static function wide(Shape $shape): array
    {
        return [min(array_column($shape->points, 0) ?: [0.0]), max(array_column($shape->points, 0) ?: [0.0])];
    }

    /** @return iterable<string, array{string}> */
    public static function golden(): iterable
    {
        foreach (glob(__DIR__.'/golden/*.json') ?: [] as $file) {
            yield basename($file, '.json') => [$file];
        }
    }

    /** Drawn once and looked at: what changes it is seen, and has to be meant. */
    #[DataProvider('golden')]
    public function test_as_it_was_drawn(string $file): void
    {
        /** @var array{spec: array<string, mixed>, shapes: list<array{string, list<array{float, float}>}>} $golden */
        $golden = json_decode((string) file_get_contents($file), true, 16, JSON_THROW_ON_ERROR);
        $drawn = array_map(fn (Shape $s): array => [$s->role, array_map(fn (array $p): array => [round($p[0], 2) + 0.0, round($p[1], 2) + 0.0], $s->points)], self::draw($golden['spec'])->shapes);
        self::assertEqualsWithDelta($golden['shapes'], $drawn, 0.011);
    }

    public function test_there_are_golden_pictures_of_most_kinds(): void
    {
        $kinds = [];
        foreach (self::golden() as [$file]) {
            /** @var array{spec: array{kind: string}} $golden */
            $golden = json_decode((string) file_get_contents($file), true, 16, JSON_THROW_ON_ERROR);
            $kinds[$golden['spec']['kind']] = true;
        }
        self::assertGreaterThanOrEqual(10, count($kinds));
    }

    /** @return iterable<string, array{string}> */
    public static function feet(): iterable
    {
        foreach (array_keys(FootBook::standard()->all()) as $id) {
            yield $id => [$id];
        }
    }

    #[DataProvider('feet')]
    public function test_a_foot_has_its_measures(string $id): void
    {
        $foot = Foot::read(Data::of(['kind' => $id]));
        foreach (['above', 'sole', 'side'] as $view) {
            self::assertTrue(FootPicture::of($foot, $view)->toScale);
        }
        $above = FootPicture::of($foot, 'above');
        if (in_array(FootBook::standard()->get($id)->look->text('toes'), ['one', 'ring'], true)) {
            return;
        }
        self::assertEqualsWithDelta([-$foot->openingLeftMm, $foot->openingRightMm], self::wide(self::of($above, 'dark')[0]), 1e-9);
        self::assertEqualsWithDelta([-$foot->edgeLeftMm, $foot->edgeRightMm], self::wide(self::of($above, 'metal')[0]), 1e-9);
    }

    public function test_the_sole_is_the_same_foot_turned_over(): void
    {
        $foot = Foot::read(Data::of(['kind' => 'straight']));
        [$left, $right] = self::wide(self::of(FootPicture::of($foot, 'above'), 'metal')[0]);
        self::assertEqualsWithDelta([-$right, -$left], self::wide(self::of(FootPicture::of($foot, 'sole'), 'metal')[0]), 1e-9);
    }

    public function test_a_swing_that_strikes_is_crossed_out(): void
    {
        self::assertCount(0, self::of(self::draw(['kind' => 'foot', 'foot' => 'standard', 'swing_mm' => 5]), 'wrong'));
        self::assertCount(4, self::of(self::draw(['kind' => 'foot', 'foot' => 'straight', 'swing_mm' => 5]), 'wrong'), 'both ends, a cross each');
    }

    public function test_stitches_are_the_needle_points(): void
    {
        $settings = StitchSettings::of(StitchBook::standard()->get('zigzag'), 1.5, 4.0);
        [$row] = self::of(self::draw(['kind' => 'stitches', 'long_mm' => 30, 'rows' => [['stitch' => 'zigzag', 'length_mm' => 1.5, 'width_mm' => 4]]]), 'thread');
        $points = NeedlePoints::along($settings, 30.0);
        self::assertSame(array_column($points, 0), array_column($row->points, 0));
        self::assertEqualsWithDelta(4.0, max(array_column($row->points, 1) ?: [0.0]) - min(array_column($row->points, 1) ?: [0.0]), 1e-9);
    }

    public function test_a_row_is_bent_by_what_was_measured(): void
    {
        $at = fn (array $bend): array => array_map(fn (Shape $s): array => $s->points[0], self::of(self::draw(['kind' => 'stitches', 'long_mm' => 50, 'rows' => [['length_mm' => 2.5, 'bend' => $bend]]]), 'thread'));
        $straight = $at([]);
        foreach ($at(['offset_mm' => 2.0]) as $i => [, $y]) {
            self::assertEqualsWithDelta($straight[$i][1] + 2.0, $y, 1e-9);
        }
        $drifted = $at(['drift_mm' => 5.0]);
        self::assertEqualsWithDelta(0.1 * $drifted[19][0], $drifted[19][1] - $straight[19][1], 1e-9, '5 mm over 50');
        self::assertLessThan(count($straight), count($at(['skipped' => 4])));
        self::assertLessThanOrEqual(25.0, max(array_column($at(['whole' => 0.5]), 0)));
    }

    /** Cloth in section is as long as it was cut and as thick everywhere: its area is the one times the other. */
    public function test_no_cloth_is_lost_in_a_seam(): void
    {
        foreach (['open', 'side'] as $state) {
            $layers = [...self::of(self::draw(['kind' => 'seam', 'state' => $state, 'thickness_mm' => 0.2]), 'cloth-face'), ...self::of(self::draw(['kind' => 'seam', 'state' => $state, 'thickness_mm' => 0.2]), 'cloth-other')];
            self::assertCount(2, $layers);
            foreach ($layers as $layer) {
                // 24 mm of the piece and 15.9 of its allowance, a millimetre thick as drawn; the turn takes a little more.
                self::assertEqualsWithDelta(39.9, self::area($layer), 3.5, $state);
            }
        }
    }

    private static function area(Shape $shape): float
    {
        $sum = 0.0;
        $n = count($shape->points);
        foreach ($shape->points as $i => [$x, $y]) {
            [$nx, $ny] = $shape->points[($i + 1) % $n];
            $sum += $x * $ny - $nx * $y;
        }

        return abs($sum) / 2;
    }

    public function test_a_fold_moves_about_its_crease(): void
    {
        $story = Fixtures::bundle()->lessons['double-hem']->folds[0];
        $moves = FoldDrawing::moves($story, $story->steps[0], $story->steps[1]);
        self::assertCount(3, $moves);
        $highest = array_map(fn (Picture $p): float => -min(array_column(self::of($p, 'cloth-face')[0]->points, 1) ?: [0.0]), $moves);
        self::assertGreaterThan($highest[0], $highest[1], 'it stands up half way');
        self::assertGreaterThan($highest[2], $highest[1]);
        self::assertSame([], FoldDrawing::moves($story, $story->steps[1], $story->steps[1]->creases === null ? $story->steps[0] : $story->steps[3]), 'sewing moves nothing');
    }

    public function test_stations_of_the_thread_are_numbered(): void
    {
        foreach ([1, 4, 6] as $n) {
            $numbers = array_map(fn (Label $l): string => $l->number, self::draw(['kind' => 'machine', 'threaded' => $n])->labels);
            self::assertSame(array_map(strval(...), range(1, $n)), $numbers);
        }
        $this->expectException(InputError::class);
        self::draw(['kind' => 'machine', 'threaded' => 7]);
    }

    public function test_a_machine_is_drawn_as_it_is(): void
    {
        $parts = fn (MachineLook $look): int => count(self::draw(['kind' => 'machine'], new Shown(machine: $look))->shapes);
        self::assertNotSame($parts(new MachineLook), $parts(new MachineLook(crank: true)), 'a crank, and neither lead nor pedal');
        $says = fn (MachineLook $look): string => self::draw(['kind' => 'bobbin', 'state' => 'in-case'], new Shown(machine: $look))->labels[1]->key;
        self::assertSame(['from-the-front', 'from-above'], [$says(new MachineLook), $says(new MachineLook('drop-in'))]);
        $way = fn (MachineLook $look): float => self::of(self::draw(['kind' => 'bobbin', 'state' => 'in-case'], new Shown(machine: $look)), 'arrow')[0]->points[0][0];
        self::assertLessThan(0, $way(new MachineLook) * $way(new MachineLook('drop-in')), 'a bobbin turns the other way where one looks from the other side');
    }

    public function test_for_a_left_hand_it_stands_as_in_a_mirror(): void
    {
        $right = self::draw(['kind' => 'hands', 'scene' => 'pin', 'zone' => true]);
        $left = self::draw(['kind' => 'hands', 'scene' => 'pin', 'zone' => true], new Shown(leftHanded: true));
        self::assertEquals($right->mirrored()->shapes, $left->shapes);
        self::assertEquals(self::draw(['kind' => 'machine', 'threaded' => 6]), self::draw(['kind' => 'machine', 'threaded' => 6], new Shown(leftHanded: true)), 'a machine has no left hand');
    }

    /** Where fingers never are is a round about the needle, whatever else is drawn. */
    public function test_the_zone_is_about_the_needle(): void
    {
        foreach (LineArt::standard()->ids('hands') as $scene) {
            [$zone] = self::of(self::draw(['kind' => 'hands', 'scene' => $scene]), 'zone');
            foreach ($zone->points as [$x, $y]) {
                self::assertEqualsWithDelta(25.0, hypot($x, $y), 1e-9);
            }
        }
    }

    public function test_words_are_the_readers(): void
    {
        $label = self::draw(['kind' => 'foot', 'foot' => 'guide', 'guide_mm' => 15.875])->labels[0];
        self::assertSame(['15.9 mm', '5/8 in'], [$label->text(Words::in()), $label->text(Words::in(Unit::Inch))]);
    }

    /** @return iterable<string, array{array<string, mixed>, string}> */
    public static function refused(): iterable
    {
        yield 'no kind' => [['kind' => 'dance'], 'kind'];
        yield 'no such tool' => [['kind' => 'tool', 'tool' => 'laser'], 'tool'];
        yield 'no such part' => [['kind' => 'machine', 'lit' => ['engine']], 'lit[0]'];
        yield 'no such foot' => [['kind' => 'foot', 'foot' => 'flipper'], 'foot'];
        yield 'a guide it has not' => [['kind' => 'foot', 'foot' => 'standard', 'guide_mm' => 5], 'guide_mm'];
        yield 'a fold not told' => [['kind' => 'fold', 'fold' => 'origami', 'step' => 1], 'fold'];
        yield 'a row without a sampler' => [['kind' => 'row'], 'kind'];
        yield 'one beside itself' => [['kind' => 'beside', 'of' => [['kind' => 'tool', 'tool' => 'pins']]], 'of'];
        yield 'a stitch too long' => [['kind' => 'stitches', 'rows' => [['length_mm' => 99]]], 'length_mm'];
        yield 'a bend without end' => [['kind' => 'stitches', 'rows' => [['bend' => ['drift_mm' => 900]]]], 'rows[0].bend.drift_mm'];
    }

    /** @param  array<string, mixed>  $spec */
    #[DataProvider('refused')]
    public function test_what_cannot_be_drawn_names_its_field(array $spec, string $field): void
    {
        try {
            self::draw($spec);
            self::fail('it was drawn');
        } catch (InputError $e) {
            self::assertSame($field, $e->field);
        }
    }

    /** All art is drawn in roles that screen and paper know, and has something in it. */
    public function test_line_art_is_whole(): void
    {
        $art = LineArt::standard();
        foreach (['machine', 'tools', 'hands'] as $group) {
            foreach ($art->ids($group) as $id) {
                $picture = $art->of($group, $id, 'id');
                self::assertNotSame([], $picture->shapes, "$group $id");
                foreach ($picture->shapes as $shape) {
                    self::assertContains($shape->role, [...Shape::AREAS, ...Shape::LINES]);
                    self::assertGreaterThanOrEqual(2, count($shape->points), "$group $id");
                }
            }
        }
    }
}
