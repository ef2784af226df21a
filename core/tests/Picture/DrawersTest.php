<?php

declare(strict_types=1);

namespace OpenSeam\Core\Tests\Picture;

use OpenSeam\Core\Data;
use OpenSeam\Core\InputError;
use OpenSeam\Core\Picture\Bend;
use OpenSeam\Core\Picture\BobbinPicture;
use OpenSeam\Core\Picture\ClothLayer;
use OpenSeam\Core\Picture\HolePicture;
use OpenSeam\Core\Picture\Label;
use OpenSeam\Core\Picture\NeedlePicture;
use OpenSeam\Core\Picture\Pen;
use OpenSeam\Core\Picture\Picture;
use OpenSeam\Core\Picture\PictureBook;
use OpenSeam\Core\Picture\SeamPicture;
use OpenSeam\Core\Picture\Shape;
use OpenSeam\Core\Picture\Shown;
use OpenSeam\Core\Picture\Story;
use OpenSeam\Core\Sampler\Drawing;
use OpenSeam\Core\Tests\Support\Fixtures;
use OpenSeam\Core\Words;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/** Each kind of picture, by what must be true of it. */
final class DrawersTest extends TestCase
{
    /** @param  array<string, mixed>  $spec */
    private static function draw(array $spec, Shown $of = new Shown): Picture
    {
        return (new PictureBook)->draw(Data::of($spec), $of);
    }

    private static function of(string $lesson): Shown
    {
        $found = Fixtures::bundle()->lessons[$lesson];

        return new Shown($found->sampler, $found->folds);
    }

    /** @return list<Shape> */
    private static function role(Picture $picture, string $role): array
    {
        return array_values(array_filter($picture->shapes, fn (Shape $s): bool => $s->role === $role));
    }

    /**
     * @param  list<Shape>  $shapes
     * @return array{float, float, float, float} left, top, right, bottom
     */
    private static function around(array $shapes): array
    {
        $points = array_merge(...array_map(fn (Shape $s): array => $s->points, $shapes));

        return [min(array_column($points, 0) ?: [0.0]), min(array_column($points, 1) ?: [0.0]), max(array_column($points, 0) ?: [0.0]), max(array_column($points, 1) ?: [0.0])];
    }

    /** @return iterable<string, array{string}> */
    public static function parts(): iterable
    {
        foreach (['switch', 'plug', 'pedal', 'wheel', 'spool', 'guide', 'tension', 'takeup', 'needle', 'foot', 'lifter', 'bobbin', 'winder', 'dial', 'width', 'selector', 'reverse', 'speed', 'start', 'plate', 'feed', 'free-arm', 'hole-lever', 'stretch-lever'] as $part) {
            yield $part => [$part];
        }
    }

    #[DataProvider('parts')]
    public function test_a_part_that_is_spoken_of_is_ringed_and_named(string $part): void
    {
        $picture = self::draw(['kind' => 'machine', 'lit' => [$part]]);
        [$ring] = self::role($picture, 'lit');
        self::assertCount(1, $picture->labels);
        self::assertNotSame('', $picture->labels[0]->text(Words::in()));
        [$left, $top, $right, $bottom] = self::around([$ring]);
        $box = $picture->box();
        self::assertGreaterThanOrEqual($box['left'], $left);
        self::assertLessThanOrEqual($box['left'] + $box['width'], $right);
        self::assertLessThanOrEqual($box['top'] + $box['height'], $bottom);
        // Its name stands beside the ring, not in it.
        self::assertTrue($picture->labels[0]->y < $top || $picture->labels[0]->y > $bottom);
    }

    public function test_near_a_part_nothing_else_is_drawn(): void
    {
        foreach (['head', 'bed', 'top', 'right', 'bobbin'] as $near) {
            $picture = self::draw(['kind' => 'machine', 'near' => $near]);
            self::assertNotNull($picture->window);
            self::assertLessThan(count(self::draw(['kind' => 'machine'])->shapes), count($picture->shapes));
            self::assertNotSame([], $picture->shapes);
        }
    }

    public function test_power_off_is_a_plug_that_is_out(): void
    {
        $reach = fn (bool $off): float => self::around(self::draw(['kind' => 'machine', 'off' => $off])->shapes)[2];
        self::assertSame($reach(false), $reach(true), 'the socket stays where it is');
        self::assertNotEquals(self::draw(['kind' => 'machine'])->shapes, self::draw(['kind' => 'machine', 'off' => true])->shapes);
    }

    public function test_the_foot_is_up_while_it_is_threaded(): void
    {
        $lowest = fn (bool $up): float => max(array_map(fn (Shape $s): float => self::around([$s])[3], array_filter(self::draw(['kind' => 'machine', 'near' => 'head', 'foot_up' => $up])->shapes, fn (Shape $s): bool => $s->role === 'metal' && self::around([$s])[1] > 190 && self::around([$s])[3] < 246)));
        self::assertLessThan($lowest(false), $lowest(true));
    }

    /** A blade of 100 is 1.0 mm: ten sevenths of one of 70, drawn five times as large. Sizes: from memory, as on the packet. */
    public function test_needles_are_as_thick_as_their_size(): void
    {
        $blade = function (float $size): float {
            $metal = self::role(self::draw(['kind' => 'needle', 'state' => 'out', 'size' => $size]), 'metal');
            $blade = $metal[count($metal) - 2]->points;

            return abs($blade[2][0] - $blade[count($blade) - 1][0]);
        };
        self::assertEqualsWithDelta(5.0, $blade(100), 1e-9);
        self::assertEqualsWithDelta(10 / 7, $blade(100) / $blade(70), 1e-9);
        $this->expectException(InputError::class);
        self::draw(['kind' => 'needle', 'size' => 300]);
    }

    /** @return iterable<string, array{string, string}> */
    public static function states(): iterable
    {
        foreach (['needle' => NeedlePicture::STATES, 'bobbin' => BobbinPicture::STATES, 'seam' => SeamPicture::STATES, 'buttonhole' => HolePicture::STATES] as $kind => $states) {
            foreach ($states as $state) {
                yield "$kind, $state" => [$kind, $state];
            }
        }
    }

    #[DataProvider('states')]
    public function test_no_two_states_look_alike(string $kind, string $state): void
    {
        $picture = self::draw(['kind' => $kind, 'state' => $state]);
        self::assertNotSame([], $picture->shapes);
        foreach ($picture->shapes as $shape) {
            self::assertContains($shape->role, [...Shape::AREAS, ...Shape::LINES]);
            foreach ($shape->points as [$x, $y]) {
                self::assertTrue(is_finite($x) && is_finite($y));
            }
        }
        $all = ['needle' => NeedlePicture::STATES, 'bobbin' => BobbinPicture::STATES, 'seam' => SeamPicture::STATES, 'buttonhole' => HolePicture::STATES][$kind];
        foreach (array_diff($all, [$state]) as $other) {
            self::assertNotEquals($picture, self::draw(['kind' => $kind, 'state' => $other]), $other);
        }
    }

    public function test_what_is_wrong_is_crossed_out(): void
    {
        foreach ([['bobbin', 'uneven'], ['bobbin', 'over-full'], ['bobbin', 'in-case-wrong'], ['bobbin', 'slit-out'], ['needle', 'not-home'], ['needle', 'backwards'], ['buttonhole', 'overcut']] as [$kind, $state]) {
            self::assertCount(2, self::role(self::draw(['kind' => $kind, 'state' => $state]), 'wrong'), $state);
        }
        foreach ([['bobbin', 'half'], ['bobbin', 'in-case'], ['needle', 'seated'], ['buttonhole', 'opened']] as [$kind, $state]) {
            self::assertCount(0, self::role(self::draw(['kind' => $kind, 'state' => $state]), 'wrong'), $state);
        }
    }

    /** The pin stands inside the far bar, and the cut ends before both bars: common practice, no source. */
    public function test_a_buttonhole_is_cut_between_its_bars(): void
    {
        foreach ([15.0, 21.0, 30.0] as $long) {
            $picture = self::draw(['kind' => 'buttonhole', 'state' => 'opened', 'long_mm' => $long]);
            [$left, , $right] = self::around(self::role($picture, 'thread'));
            self::assertEqualsWithDelta($long, $right - $left, 1e-9);
            [$from, , $to] = self::around(self::role($picture, 'cut-line'));
            self::assertEqualsWithDelta(1.5, $from - $left, 1e-9);
            self::assertEqualsWithDelta(1.5, $right - $to, 1e-9);
            [$pin] = self::around(self::role($picture, 'pin'));
            self::assertLessThan($to, $pin);
            [, , $over] = self::around(self::role(self::draw(['kind' => 'buttonhole', 'state' => 'overcut', 'long_mm' => $long]), 'cut-line'));
            self::assertGreaterThan($right, $over);
        }
    }

    public function test_a_buttonhole_is_moved_by_what_went_wrong(): void
    {
        $at = fn (array $bend): array => self::around(self::role(self::draw(['kind' => 'buttonhole'] + $bend), 'thread'));
        [$left, $top, $right, $bottom] = $at([]);
        self::assertEqualsWithDelta([$left - 21, $right - 21], [$at(['along_mm' => -21])[0], $at(['along_mm' => -21])[2]], 1e-9);
        self::assertEqualsWithDelta($top + 3, $at(['beside_mm' => 3])[1], 1e-9);
        self::assertGreaterThan($bottom, $at(['leans_mm' => 5])[3]);
        self::assertEqualsWithDelta(15.0, $at(['sewn_mm' => 15])[2] - $at(['sewn_mm' => 15])[0], 1e-9);
    }

    /** Three alike, 40 mm apart: from the first of each to the next. */
    public function test_three_stand_as_far_apart_as_they_say(): void
    {
        $threads = self::role(self::draw(['kind' => 'buttonhole', 'state' => 'three']), 'thread');
        self::assertCount(3, $threads);
        $starts = array_map(fn (Shape $s): float => self::around([$s])[0], $threads);
        self::assertEqualsWithDelta([40.0, 40.0], [$starts[1] - $starts[0], $starts[2] - $starts[1]], 1e-9);
    }

    /** Where both threads lock: in the middle, on the underside, on top; and never outside the cloth. */
    public function test_threads_lock_between_the_faces(): void
    {
        $deep = fn (float $notches): float => self::around([self::role(self::draw(['kind' => 'tension', 'notches' => $notches]), 'thread')[0]])[3];
        self::assertEqualsWithDelta(6.8, $deep(0.0), 1e-9, 'half of 12 mm and half of what hooks');
        self::assertGreaterThan($deep(0.0), $deep(-1.0));
        self::assertLessThan($deep(0.0), $deep(1.0));
        self::assertEqualsWithDelta($deep(-2.0), $deep(-4.0), 1e-9, 'further it cannot be pulled');
    }

    public function test_the_sampler_is_drawn_to_scale_as_far_as_it_is_sewn(): void
    {
        $of = self::of('first-seam');
        self::assertNotNull($of->sampler);
        $planned = Drawing::of($of->sampler)->rows()[0]['points'];
        $sewn = fn (float $upTo): Shape => self::role(self::draw(['kind' => 'row', 'rows' => ['seam'], 'up_to' => $upTo], $of), 'sewn')[0];
        self::assertSame($planned[0], $sewn(1.0)->points[0]);
        self::assertSame($planned[count($planned) - 1], $sewn(1.0)->points[count($sewn(1.0)->points) - 1]);
        self::assertLessThan(count($sewn(1.0)->points), count($sewn(0.4)->points));
        // The ruler lies where the reading is taken.
        $marks = Drawing::of($of->sampler)->marks();
        $rulers = array_filter(self::role(self::draw(['kind' => 'row', 'rows' => ['seam'], 'with' => ['ruler']], $of), 'measure'), fn (Shape $s): bool => $s->points === [$marks[0]['from'], $marks[0]['to']]);
        self::assertCount(1, $rulers);
        // A row that is not spoken of is faint.
        self::assertCount(3, self::role(self::draw(['kind' => 'row', 'rows' => ['half']], self::of('guides')), 'ghost'));
        self::assertCount(0, self::role(self::draw(['kind' => 'row', 'bare' => true], self::of('guides')), 'sewn'));
    }

    public function test_pins_lie_across_the_line(): void
    {
        [$pin] = self::role(self::draw(['kind' => 'row', 'rows' => ['seam'], 'with' => ['pins']], self::of('first-seam')), 'pin');
        self::assertEqualsWithDelta($pin->points[0][1], $pin->points[1][1], 1e-6, 'the seam runs down, a pin across');
        $this->expectException(InputError::class);
        self::draw(['kind' => 'row', 'with' => ['crown']], self::of('first-seam'));
    }

    public function test_a_long_row_stays_light(): void
    {
        foreach (self::role(self::draw(['kind' => 'row'], self::of('square-spiral')), 'sewn') as $row) {
            self::assertLessThanOrEqual(101, count($row->points));
        }
    }

    public function test_pictures_beside_each_other_are_of_one_height(): void
    {
        $parts = [['kind' => 'tool', 'tool' => 'ripper'], ['kind' => 'tool', 'tool' => 'zip']];
        $crossed = self::role(self::draw(['kind' => 'beside', 'wrong' => 2, 'of' => $parts]), 'wrong');
        self::assertCount(2, $crossed);
        self::assertNotSame([], self::role(self::draw(['kind' => 'beside', 'of' => $parts]), 'arrow'), 'first this, then that');
        self::assertSame([], self::role(self::draw(['kind' => 'beside', 'plain' => true, 'of' => $parts]), 'arrow'));
        $compared = self::draw(['kind' => 'beside', 'compare' => true, 'of' => [['kind' => 'stitches', 'rows' => [['length_mm' => 2.5]]], ['kind' => 'stitches', 'rows' => [['length_mm' => 2.5, 'bend' => ['skipped' => 4]]]]]]);
        [, $first] = self::around([self::role($compared, 'cloth-face')[0]]);
        [, $second] = self::around([self::role($compared, 'cloth-face')[1]]);
        self::assertGreaterThan($first, $second, 'what is long lies under each other');
        self::assertCount(2, self::role($compared, 'wrong'), 'one cross, at the second');
    }

    /** Area is length times thickness as long as it does not bend; a half turn adds its own arc. */
    public function test_cloth_is_as_thick_everywhere(): void
    {
        foreach ([0.3, 1.0, 2.5] as $thick) {
            $pen = new Pen;
            ClothLayer::draw($pen, [[0.0, 0.0], [40.0, 0.0]], $thick, 1);
            [$left, $top, $right, $bottom] = self::around([$pen->picture()->shapes[0]]);
            self::assertEqualsWithDelta(40.0 * $thick, ($right - $left) * ($bottom - $top), 1e-9);
        }
        foreach (ClothLayer::turn(5.0, 0.0, -4.0, 1) as [$x, $y]) {
            self::assertEqualsWithDelta(2.0, hypot($x - 5.0, $y + 2.0), 1e-9, 'a half circle');
        }
        self::assertEqualsWithDelta([[0.0, -1.0], [10.0, -1.0]], ClothLayer::beside([[0.0, 0.0], [10.0, 0.0]], 1.0), 1e-9);
    }

    /** @return iterable<string, array{array<string, mixed>, float, float}> bend, along from 0 to 100, where it lies then */
    public static function bends(): iterable
    {
        yield 'none' => [[], 60.0, 0.0];
        yield 'offset' => [['offset_mm' => -2], 60.0, -2.0];
        yield 'drift' => [['drift_mm' => 5], 60.0, 3.0];
        yield 'a step before the middle' => [['step_mm' => 4], 40.0, 0.0];
        yield 'a step after it' => [['step_mm' => 4], 60.0, 4.0];
        // A quarter of its wave of 14 mm.
        yield 'wobble at its crest' => [['wobble_mm' => 1.5], 3.5, 1.5];
        yield 'all at once' => [['offset_mm' => 1, 'drift_mm' => 10, 'step_mm' => 2], 80.0, 11.0];
    }

    /** @param  array<string, mixed>  $bend */
    #[DataProvider('bends')]
    public function test_a_bend_by_hand(array $bend, float $along, float $across): void
    {
        $moved = Bend::read(Data::of($bend))->of([[0.0, 0.0], [$along, 0.0], [100.0, 0.0]]);
        self::assertEqualsWithDelta([$along, $across], $moved[1], 1e-9);
    }

    public function test_a_row_that_ends_early_or_skips(): void
    {
        $row = array_map(fn (int $i): array => [2.5 * $i, 0.0], range(0, 40));
        self::assertCount(21, Bend::read(Data::of(['whole' => 0.5]))->of($row));
        self::assertCount(31, Bend::read(Data::of(['skipped' => 4]))->of($row));
        self::assertFalse(Bend::read(Data::of(['skipped' => 4]))->isShifted());
        self::assertTrue(Bend::read(Data::of(['drift_mm' => 0.1]))->isShifted());
    }

    public function test_a_picture_has_room_for_its_words_and_window(): void
    {
        $bare = new Picture([new Shape('ink', [[0.0, 0.0], [100.0, 50.0]])]);
        $worded = new Picture($bare->shapes, [new Label('right-side', 100.0, 50.0, 'start')]);
        self::assertGreaterThan($bare->box()['width'], $worded->box()['width']);
        $window = new Picture($bare->shapes, [], false, [10.0, 10.0, 30.0, 30.0]);
        self::assertLessThan(25.0, $window->box()['width']);
        self::assertEqualsWithDelta($worded->box()['width'], $worded->mirrored()->box()['width'], 1e-9);
        self::assertEquals($worded, $worded->mirrored()->mirrored());
        self::assertCount(0, (new Picture([new Shape('ink', [[50.0, 50.0], [60.0, 60.0]])], [], false, [0.0, 0.0, 10.0, 10.0]))->trimmed()->shapes);
    }

    public function test_an_arrow_points_where_it_goes(): void
    {
        [$line, $head] = (new Pen)->arrow(3, 0, 0, 10, 0)->picture()->shapes;
        self::assertSame([[0.0, 0.0], [10.0, 0.0]], array_map(fn (array $p): array => [(float) $p[0], (float) $p[1]], $line->points));
        self::assertEqualsWithDelta([10.0, 0.0], $head->points[0], 1e-9);
        self::assertEqualsWithDelta([7.0, 7.0], array_column(array_slice($head->points, 1), 0), 1e-9);
    }

    /** @return iterable<string, array{int}> */
    public static function lengths(): iterable
    {
        yield 'one' => [1];
        yield 'thirteen' => [13];
    }

    #[DataProvider('lengths')]
    public function test_a_story_can_be_followed(int $steps): void
    {
        $this->expectException(InputError::class);
        $this->expectExceptionMessage('2 to 12');
        Story::read(Data::of(['id' => 'x', 'title' => 'X', 'steps' => array_fill(0, $steps, ['say' => 'This.', 'picture' => ['kind' => 'discs']])]));
    }
}
