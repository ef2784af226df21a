<?php

declare(strict_types=1);

namespace OpenSeam\Core\Tests\Buttonhole;

use OpenSeam\Core\Buttonhole\Button;
use OpenSeam\Core\Buttonhole\ButtonShape;
use OpenSeam\Core\Buttonhole\HoleField;
use OpenSeam\Core\Buttonhole\Job;
use OpenSeam\Core\Buttonhole\JobPlan;
use OpenSeam\Core\Buttonhole\Learned;
use OpenSeam\Core\Buttonhole\SetLength;
use OpenSeam\Core\Buttonhole\SewnHole;
use OpenSeam\Core\Buttonhole\SizeWay;
use OpenSeam\Core\Buttonhole\Sizing;
use OpenSeam\Core\Buttonhole\Strip;
use OpenSeam\Core\Data;
use OpenSeam\Core\InputError;
use OpenSeam\Core\Machine\ButtonholeWay;
use OpenSeam\Core\Machine\Foot;
use OpenSeam\Core\Machine\Machine;
use OpenSeam\Core\Measure\Unit;
use OpenSeam\Core\Tests\Support\RoomFixtures as Made;
use OpenSeam\Core\ValueRefused;
use OpenSeam\Core\Words;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/** From a job and a machine to what is sewn. Worked by hand; trade facts are common practice, no source. */
final class JobTest extends TestCase
{
    /** @param  array<string, mixed>  $more */
    private static function job(array $more = []): Job
    {
        return Job::read(Data::of($more + ['shape' => 'flat', 'diameter_mm' => 15.0, 'thickness_mm' => 3.0]));
    }

    /** @param  array<string, mixed>  $more */
    private static function plan(?Machine $machine, ?Foot $foot, array $more = [], ?Learned $learned = null, Unit $unit = Unit::Millimetre): JobPlan
    {
        return JobPlan::of(self::job($more), $machine, $foot, $learned ?? Learned::of([]), Words::in($unit));
    }

    /** @return iterable<string, array{array<string, mixed>, string|null, array<string, mixed>, string, string}> machine, foot, more of the foot, told by, in words */
    public static function told(): iterable
    {
        yield 'four steps under a slider' => [['buttonhole' => 'four-step'], 'buttonhole-four-step', [], 'slider', 'Slider to 6.5 lines (−0.4 mm).'];
        yield 'a slider in centimetres' => [['buttonhole' => 'four-step'], 'buttonhole-four-step', ['hole_line_mm' => 5], 'slider', 'Slider to 4 lines (−1.0 mm).'];
        yield 'four steps without lines' => [['buttonhole' => 'four-step'], 'buttonhole-four-step', ['hole_line_mm' => null], 'marks', 'End marks 21.0 mm apart.'];
        yield 'three positions' => [['buttonhole' => 'three-position'], null, [], 'marks', 'End marks 21.0 mm apart.'];
        yield 'a foot that tells' => [['buttonhole' => 'foot-tells'], null, [], 'marks', 'End marks 21.0 mm apart.'];
        yield 'the button in the foot' => [['buttonhole' => 'one-step'], 'buttonhole-one-step', [], 'button-in-foot', 'The button in the foot, and 6.0 mm more between the two halves of the holder.'];
        yield 'a foot that senses' => [['buttonhole' => 'one-step-sensing'], 'buttonhole-one-step', [], 'button-in-foot', 'The button in the foot, and 6.0 mm more between the two halves of the holder.'];
        yield 'typed, to half millimetres' => [['buttonhole' => 'typed', 'buttonhole_step_mm' => 0.5], 'buttonhole-one-step', [], 'typed', 'Type 21.0 mm.'];
        yield 'no buttonhole of its own' => [['buttonhole' => 'none'], 'satin', [], 'by-hand', 'End marks 21.0 mm apart.'];
    }

    /**
     * @param  array<string, mixed>  $machine
     * @param  array<string, mixed>  $more
     */
    #[DataProvider('told')]
    public function test_each_way_is_told_by_what_it_has(array $machine, ?string $foot, array $more, string $by, string $words): void
    {
        $plan = self::plan(Made::machine($machine), $foot === null ? null : Made::foot($foot, $more));
        self::assertSame([$by, $words], [$plan->told->value, $plan->toldText]);
        self::assertSame([18.0, 21.0], [$plan->size->openingMm, $plan->size->finishedMm]);
        self::assertContains($words, array_column($plan->run->acts, 'text'), 'the run says it too');
    }

    public function test_what_a_machine_taught_goes_into_what_it_is_told(): void
    {
        $hole = new SewnHole(21, 21, 22.2, 2.0, true, true);
        $plan = self::plan(Made::machine(), null, [], Learned::of([$hole, $hole]));
        // Opening 18, bars of 2: 22 finished; it comes out 1.2 longer than it is told.
        self::assertEqualsWithDelta([22.0, 20.8], [$plan->size->finishedMm, $plan->set->mm], 1e-9);
        self::assertSame('End marks 20.8 mm apart.', $plan->toldText);
        self::assertSame('End marks 22.8 mm apart.', $plan->toldFor(20.0, Words::in()));
        self::assertSame('End marks 13/16 in apart.', self::plan(Made::machine(), null, [], Learned::of([$hole, $hole]), Unit::Inch)->toldText);
    }

    public function test_longer_than_foot_or_machine_is_said(): void
    {
        self::assertFalse(self::plan(Made::machine(['longest_buttonhole_mm' => 20]), null)->fits);
        self::assertTrue(self::plan(Made::machine(['longest_buttonhole_mm' => 21]), null)->fits);
        self::assertFalse(self::plan(Made::machine(['longest_buttonhole_mm' => 40]), Made::foot('buttonhole-four-step', ['hole_longest_mm' => 20]))->fits, 'the shorter of both counts');
        self::assertNull(self::plan(Made::machine(['buttonhole' => 'none']), null)->fits, 'by hand there is no longest');
    }

    public function test_the_side_that_is_sewn_first_lies_where_the_machine_sews_it(): void
    {
        foreach (['front', 'back', ''] as $starts) {
            foreach (['left', 'right', ''] as $side) {
                $plan = self::plan(Made::machine(['buttonhole_starts' => $starts, 'buttonhole_first_side' => $side]), null);
                $across = array_sum(array_column($plan->points['side-1'], 1));
                self::assertSame($side === 'right' ? 1 : -1, $across <=> 0.0, "$starts $side");
                $along = array_column($plan->points['side-1'], 0);
                self::assertSame($starts === 'back', $along[0] > $along[count($along) - 1], 'from the end it starts');
            }
        }
    }

    /** A button of half wrap h passes exactly when the opening is at least h: for any button there is, on any machine, no bar in the way. */
    public function test_bars_span_both_sides_and_leave_the_opening_between_them(): void
    {
        mt_srand(16);
        for ($i = 0; $i < 200; $i++) {
            $across = mt_rand(80, 400) / 10;
            $through = mt_rand(10, 80) / 10;
            $bar = mt_rand(5, 40) / 10;
            $hole = new SewnHole(20, 20, 20, $bar, true, true);
            $way = ['four-step', 'three-position', 'one-step', 'none'][mt_rand(0, 3)];
            $plan = self::plan(Made::machine(['buttonhole' => $way, 'buttonhole_starts' => ['front', 'back'][mt_rand(0, 1)], 'longest_buttonhole_mm' => 60]), null, ['diameter_mm' => $across, 'thickness_mm' => $through], Learned::of([$hole, $hole]));
            $all = array_merge(...array_values($plan->points));
            $along = array_column($all, 0);
            self::assertEqualsWithDelta($plan->size->finishedMm, max($along) - min($along), 1e-6);
            // What both bars leave free along the middle is the opening, and the button passes through it.
            $bars = [array_column($plan->points['bar-1'], 0), array_column($plan->points['bar-2'], 0)];
            [$low, $high] = min($bars[0]) > min($bars[1]) ? [max($bars[1]), min($bars[0])] : [max($bars[0]), min($bars[1])];
            self::assertEqualsWithDelta($across + $through, $high - $low, 1e-6);
            foreach (['bar-1', 'bar-2'] as $name) {
                $reach = array_column($plan->points[$name], 1);
                self::assertEqualsWithDelta($plan->stitch->widthMm, max($reach) - min($reach), 1e-6, 'a bar spans both sides');
            }
        }
    }

    /** In cloth that stretches both ways the bars give as the sides do: open, and still as long as a bar and as wide as both sides. */
    public function test_bars_are_open_where_cloth_stretches_both_ways_and_nowhere_else(): void
    {
        $of = fn (string $kind, string $stretch): JobPlan => self::plan(Made::machine(), null, ['kind' => $kind, 'stretch' => $stretch]);
        $open = $of('stretch', 'two-way');
        $dense = $of('stretch', 'one-way');
        foreach (['bar-1', 'bar-2'] as $bar) {
            self::assertSame([3, 7], [count($open->points[$bar]), count($dense->points[$bar])]);
            [$along, $across] = [array_column($open->points[$bar], 0), array_column($open->points[$bar], 1)];
            self::assertEqualsWithDelta([1.5, $open->stitch->widthMm], [max($along) - min($along), max($across) - min($across)], 1e-9);
            // From swing to swing about a stitch of the sides.
            self::assertEqualsWithDelta($open->stitch->lengthMm, 1.5 / 2, 0.3);
        }
        self::assertCount(7, $of('rectangular', 'two-way')->points['bar-1'], 'only the kind that gives');
        $said = array_column($open->run->acts, 'text', 'id');
        self::assertSame('The bar: 2 wide swings, each a little further on, so that it gives with the cloth.', $said['bar-1']);
        self::assertArrayHasKey('stretch-on', $said);
        self::assertSame('The bar: 6 swings on the spot.', array_column($dense->run->acts, 'text', 'id')['bar-1']);
    }

    /** Its loop lies beyond the end that is sewn first, both its halves under the sides, its ends out at the other end. */
    public function test_a_cord_lies_under_both_sides_from_its_loop_to_its_ends(): void
    {
        self::assertSame([], self::plan(Made::machine(), null)->cord);
        foreach (['front' => [-3.0, 24.0], 'back' => [24.0, -3.0]] as $starts => [$loop, $out]) {
            $plan = self::plan(Made::machine(['buttonhole_starts' => $starts]), Made::foot('buttonhole-four-step', ['hole_spur' => true]), ['kind' => 'corded']);
            [$a, $b, $c, $d] = $plan->cord;
            self::assertEqualsWithDelta([$out, $loop, $loop, $out], [$a[0], $b[0], $c[0], $d[0]], 1e-9);
            $side = array_column($plan->points['side-1'], 1);
            $under = array_filter([$a[1], $c[1]], fn (float $y): bool => $y > min($side) && $y < max($side));
            self::assertCount(1, $under, 'one half lies in the middle of the first side');
            self::assertEqualsWithDelta([$a[1], -$a[1]], [$b[1], $c[1]], 1e-9);
        }
    }

    public function test_set_lengths_by_way(): void
    {
        // The worked values of the contract: flat 15 × 3, lines of an eighth.
        $slider = SetLength::of(SizeWay::Slider, 21, 15, 0, 3.175);
        self::assertSame(6.5, $slider->lines);
        self::assertEqualsWithDelta([20.6375, -0.3625], [$slider->comesOutMm, $slider->errorMm], 1e-9);
        self::assertSame(6.0, SetLength::of(SizeWay::ButtonInFoot, 21, 15)->addMm);
        self::assertSame(-2.0, SetLength::of(SizeWay::ButtonInFoot, 21, 15, 8)->addMm);
        self::assertSame(['mm' => 20.5, 'comes_out_mm' => 20.5, 'error_mm' => -0.5], SetLength::of(SizeWay::Typed, 21, 15, 0, null, 4.1)->said());
        foreach ([fn () => SetLength::of(SizeWay::Marks, 5, 4, 5), fn () => SetLength::of(SizeWay::Slider, 21, 15)] as $wrong) {
            try {
                $wrong();
                self::fail('taken');
            } catch (ValueRefused $e) {
                self::assertNotSame('', $e->getMessage());
            }
        }
    }

    /** @return iterable<string, array{array<string, mixed>, string}> */
    public static function wrong(): iterable
    {
        yield 'no width' => [['diameter_mm' => null], 'diameter_mm'];
        yield 'no thickness' => [['thickness_mm' => null], 'thickness_mm'];
        yield 'no button is so wide' => [['diameter_mm' => 201], 'diameter_mm'];
        yield 'a wrap under twice the width' => [['wrap_mm' => 29], 'wrap_mm'];
        yield 'a wrap of another button' => [['wrap_mm' => 91], 'wrap_mm'];
        yield 'no buttons' => [['count' => 0], 'count'];
        yield 'a part there is not' => [['part' => 'hood'], 'part'];
        yield 'a kind there is not' => [['kind' => 'bound'], 'kind'];
        yield 'a direction there is not' => [['direction' => 'askew'], 'direction'];
        yield 'more ease than cloth' => [['ease_mm' => 11], 'ease_mm'];
    }

    /** @param  array<string, mixed>  $more */
    #[DataProvider('wrong')]
    public function test_what_is_lacking_or_cannot_be_is_asked_for_by_name(array $more, string $field): void
    {
        try {
            self::job($more);
            self::fail('taken');
        } catch (InputError $e) {
            self::assertSame($field, $e->field);
        }
    }

    public function test_a_ball_needs_one_measure_and_a_dome_is_estimated(): void
    {
        $ball = Job::read(Data::of(['shape' => 'ball', 'diameter_mm' => 12.0]));
        self::assertEqualsWithDelta(M_PI * 6, $ball->button->halfWrapMm(), 1e-9, 'half round a circle');
        self::assertTrue(self::plan(null, null, ['shape' => 'domed'])->size->estimated);
        self::assertFalse(self::plan(null, null, ['shape' => 'domed', 'wrap_mm' => 40.0])->size->estimated);
    }

    public function test_only_what_makes_a_stack_makes_another_test(): void
    {
        $before = ['layers' => 2, 'machine' => 'm', 'weight' => 'medium', 'diameter_mm' => 15];
        $differ = fn (array $now): array => Job::differences(Data::of($now), Data::of($before));
        self::assertSame([], $differ(['diameter_mm' => 15.0, 'positions_mm' => [20, 100], 'count' => 9, 'opened_by' => 'knife'] + $before), 'how many, where and how it is opened is no stack');
        self::assertSame(['layers', 'machine'], $differ(['layers' => 3, 'machine' => 'n'] + $before));
        self::assertSame(['thread'], $differ(['thread' => 'polyester 120'] + $before));
        self::assertSame([], $differ(['thread' => '', 'delicate' => false] + $before), 'said to be nothing is nothing');
    }

    public function test_no_field_that_this_machine_cannot_have(): void
    {
        foreach (ButtonholeWay::cases() as $way) {
            foreach ([true, false] as $ties) {
                $ids = array_map(fn (HoleField $f): string => $f->id, HoleField::of($way, $ties));
                self::assertSame(! $way->isOneStep(), in_array('start_gap', $ids, true), 'a gap is left where steps are turned by hand');
                self::assertSame(! $ties, in_array('tied', $ids, true), 'what ties off by itself has no ends to tie');
                self::assertContains('left_mm', $ids);
                self::assertContains('button', $ids);
            }
        }
    }

    public function test_a_strip_lies_on_the_centre_line_and_a_hole_across_begins_beyond_it(): void
    {
        $along = Strip::of(self::plan(Made::machine(), null), 15, [100, 20, 60], 'back');
        self::assertSame([20.0, 60.0, 100.0], array_column($along->holes, 'at_mm'));
        self::assertSame([-10.5, 10.5, -9.0, 9.0], [$along->holes[0]['from_mm'], $along->holes[0]['to_mm'], $along->holes[0]['cut_from_mm'], $along->holes[0]['cut_to_mm']], '21 finished, 18 to cut, about its middle');
        self::assertSame([10.5, -10.5], [$along->holes[0]['start_mm'], $along->holes[0]['towards_mm']], 'begun at the back');
        self::assertEqualsWithDelta(80 + 21 + 30, $along->lengthMm, 1e-9);
        $across = Strip::of(self::plan(Made::machine(), null, ['part' => 'waistband']), 15, [0], 'front');
        self::assertSame([-3.0, 15.0], [$across->holes[0]['cut_from_mm'], $across->holes[0]['cut_to_mm']], 'three beyond the centre line, where the button pulls');
        $other = Strip::of(self::plan(Made::machine(), null, ['part' => 'waistband']), 15, [0], 'front', null, true);
        self::assertSame([3.0, -15.0], [$other->holes[0]['cut_from_mm'], $other->holes[0]['cut_to_mm']], 'the other band over');
        $unknown = Strip::of(self::plan(Made::machine(), null), 15, [0], '');
        self::assertSame($unknown->holes[0]['start_mm'], $unknown->holes[0]['towards_mm'], 'where nobody looked no way is shown');
    }

    public function test_schools_answer_for_what_passes(): void
    {
        $half = self::plan(null, null, ['school' => 'half-wrap']);
        self::assertSame([18.0, 15.0], [$half->size->finishedMm, $half->size->openingMm]);
        self::assertGreaterThan($half->size->openingMm, Button::of(ButtonShape::Flat, 15, 3)->halfWrapMm());
        self::assertSame(Sizing::BAR_MM, $half->size->barMm);
    }
}
