<?php

declare(strict_types=1);

namespace OpenSeam\Core\Tests\Machine;

use OpenSeam\Core\Data;
use OpenSeam\Core\InputError;
use OpenSeam\Core\Machine\DialTranslator;
use OpenSeam\Core\Machine\Foot;
use OpenSeam\Core\Machine\FootBook;
use OpenSeam\Core\Machine\Guide;
use OpenSeam\Core\Machine\GuideFinder;
use OpenSeam\Core\Machine\Machine;
use OpenSeam\Core\Stitch\StitchBook;
use OpenSeam\Core\Stitch\StitchSettings;
use OpenSeam\Core\Tests\Support\RoomFixtures as Made;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

final class MachineTest extends TestCase
{
    /** @return iterable<string, array{array<string, mixed>, string, string}> */
    public static function wrong(): iterable
    {
        yield 'something it cannot have' => [['also' => ['wings']], 'also[0]', 'free-arm'];
        yield 'drive' => [['drive' => 'steam'], 'drive', 'mechanical'];
        yield 'swing' => [['widest_swing_mm' => 13], 'widest_swing_mm', 'from 0 to 12'];
        yield 'negative' => [['longest_stitch_mm' => -4], 'longest_stitch_mm', 'from 1 to 12'];
        yield 'a thousand million' => [['strokes_per_minute' => 1e9], 'strokes_per_minute', '6000'];
        yield 'not a number' => [['slot_mm' => NAN], 'slot_mm', 'from 1 to 16'];
        yield 'no centre' => [['needle_positions_mm' => [-2, 2]], 'needle_positions_mm', 'centre'];
        yield 'position' => [['needle_positions_mm' => [0, 9]], 'needle_positions_mm[1]', '4.5'];
        yield 'straight with swing' => [['drive' => 'straight-only', 'widest_swing_mm' => 5], 'widest_swing_mm', '0 mm'];
        yield 'unknown stitch' => [['stitch_names' => ['knit' => '1']], 'stitch_names.knit', 'Known'];
        yield 'wider than itself' => [['widest_swing_mm' => 4, 'fixed_zigzags' => [['width_mm' => 5, 'length_mm' => 2, 'name' => 'C']]], 'fixed_zigzags[0].width_mm', '4 mm'];
        yield 'mount' => [['mount' => 'magnet'], 'mount', 'snap-low'];
        yield 'plate line' => [['plate_lines_mm' => [16, 0]], 'plate_lines_mm[1]', '100 mm'];
    }

    /** @param  array<string, mixed>  $but */
    #[DataProvider('wrong')]
    public function test_a_wrong_machine_is_refused_by_name(array $but, string $field, string $said): void
    {
        try {
            Made::machine($but);
            self::fail('It was made.');
        } catch (InputError $e) {
            self::assertSame($field, $e->field);
            self::assertStringContainsString($said, $e->getMessage());
        }
    }

    /** @return iterable<string, array{string, array<string, mixed>, string}> */
    public static function wrongFeet(): iterable
    {
        yield 'kind' => ['clog', [], 'kind'];
        yield 'opening' => ['standard', ['opening_left_mm' => 16], 'opening_left_mm'];
        yield 'a zip foot that swings' => ['zip', ['largest_swing_mm' => 5], 'largest_swing_mm'];
        yield 'guide backwards' => ['guide', ['guide' => ['min_mm' => 25, 'max_mm' => 5, 'step_mm' => 1]], 'guide'];
        yield 'count' => ['standard', ['count' => -1], 'count'];
        yield 'sole' => ['standard', ['sole' => 'leather'], 'sole'];
    }

    /** @param  array<string, mixed>  $but */
    #[DataProvider('wrongFeet')]
    public function test_a_wrong_foot_is_refused_by_name(string $kind, array $but, string $field): void
    {
        try {
            Made::foot($kind, $but);
            self::fail('It was made.');
        } catch (InputError $e) {
            self::assertSame($field, $e->field);
        }
    }

    public function test_every_kind_of_foot_has_measures_to_start_from(): void
    {
        $kinds = array_keys(FootBook::standard()->all());
        $feet = array_map(fn (string $kind): Foot => Made::foot($kind), $kinds);
        self::assertSame($kinds, array_map(fn (Foot $f): string => $f->kind->id, $feet));
        foreach ($feet as $foot) {
            // What is straight-only by kind is refused any swing; dense stitching wants a groove.
            self::assertSame($foot->kind->straightOnly, $foot->largestSwingMm === 0.0, $foot->name);
        }
        foreach (StitchBook::standard()->all() as $stitch) {
            foreach ($stitch->feet as $kind) {
                self::assertTrue(! $stitch->dense || Made::foot($kind)->grooved, "{$stitch->id} under $kind");
            }
        }
    }

    /** Per cycle is twice per stroke: a zigzag's cycle is two strokes, out and back. */
    public function test_dials_that_mean_different_things(): void
    {
        $asked = StitchSettings::of(StitchBook::standard()->get('zigzag'), 2.0, 3.5);
        $cycle = Made::machine(['zigzag_length' => 'per-cycle', 'stitch_names' => ['zigzag' => '05', 'straight' => '01']]);
        $to = DialTranslator::to($cycle, $asked);
        self::assertSame(['05', 3.5, 4.0, 0.0, 0.0], [$to->stitch, $to->widthDial, $to->lengthDial, $to->widthOffMm, $to->lengthOffMm]);
        self::assertSame(2.0, DialTranslator::strokeLength($cycle, 4.0, StitchBook::standard()->get('zigzag')));
        // A straight stitch is one stroke on every machine.
        self::assertSame(2.5, DialTranslator::to($cycle, StitchSettings::of(StitchBook::standard()->get('straight'), 2.5))->lengthDial);
        self::assertFalse(DialTranslator::to(Made::machine(['stitch_names' => ['straight' => 'A']]), $asked)->possible);
    }

    public function test_the_nearest_of_fixed_zigzags_and_how_far_off(): void
    {
        $fixed = Made::machine(['fixed_zigzags' => [['width_mm' => 2, 'length_mm' => 1.5, 'name' => 'B'], ['width_mm' => 4, 'length_mm' => 2, 'name' => 'C'], ['width_mm' => 5, 'length_mm' => 3, 'name' => 'D']]]);
        $to = DialTranslator::to($fixed, StitchSettings::of(StitchBook::standard()->get('zigzag'), 2.0, 3.5));
        self::assertSame(['C', 0.5, 0.0], [$to->fixed, $to->widthOffMm, $to->lengthOffMm]);
        $wide = DialTranslator::to(Made::machine(), StitchSettings::of(StitchBook::standard()->get('zigzag'), 2.0, 7.0));
        self::assertSame([5.0, -2.0], [$wide->widthDial, $wide->widthOffMm]);
    }

    public function test_the_needle_moves_to_meet_the_allowance(): void
    {
        $guides = [Guide::fixed('foot edge', 6.5, 0), Guide::fixed('line', 10, 0)];
        $found = GuideFinder::find(9.0, $guides, [-2.5, 0, 2.5]);
        // Needle 2.5 to the left of the centre: 6.5 − (−2.5) = 9.
        self::assertSame(['foot edge', -2.5, 0.0], [$found[0]['id'], $found[0]['needle_position_mm'], $found[0]['error_mm']]);
        self::assertEqualsWithDelta(1.0, $found[1]['error_mm'], 1e-9);
        self::assertEqualsWithDelta(1.0, $found[1]['over_mm'], 1e-9);
    }

    public function test_least_set_up_breaks_a_tie_and_ranges_end(): void
    {
        $found = GuideFinder::find(15.9, [Guide::adjustable('guide foot', 5, 25, 0.1, 2), Guide::fixed('plate line', 15.9, 0), Guide::adjustable('magnet', 30, 100, 0.5, 3), Guide::adjustable('free', 1, 12, 0, 1)], []);
        self::assertSame(['plate line', 'guide foot', 'free', 'magnet'], array_column($found, 'id'));
        self::assertSame([15.9, 12.0, 30.0], [$found[0]['setting_mm'], $found[2]['setting_mm'], $found[3]['setting_mm']]);
        self::assertEqualsWithDelta(14.1, $found[3]['error_mm'], 1e-9);
    }

    /** All kinds of guide the craft names; common practice, no source. */
    public function test_guides_of_a_machine_with_its_feet(): void
    {
        $feet = [Made::foot('standard'), Made::foot('quarter-inch'), Made::foot('blind-hem'), Made::foot('guide'), Made::foot('satin', ['mount' => 'high'])];
        $ids = array_map(fn (Guide $g): string => $g->id, GuideFinder::guidesOf(Made::machine(), $feet));
        foreach (['plate line 16', 'Standard: right edge', 'Standard: inside of the toe', 'Quarter-inch: right edge', 'Blind hem: its guide', 'Guide, adjustable: its guide', 'magnetic guide, set with a ruler'] as $id) {
            self::assertContains($id, $ids);
        }
        self::assertSame([], array_filter($ids, fn (string $id): bool => str_contains($id, 'Satin')), 'another mount does not fit');
        $computerised = GuideFinder::guidesOf(Made::machine(['drive' => 'computerised']), $feet);
        self::assertNotContains('magnetic guide, set with a ruler', array_map(fn (Guide $g): string => $g->id, $computerised), 'no magnets unless the manual allows');
        self::assertSame('tape on the bed, measured from the needle', GuideFinder::find(38.1, $computerised, [0.0])[0]['id'], 'tape does the same');
        // A row beside the row before: the left edge, and a needle moved right is further from it.
        $left = GuideFinder::find(7.5, [Guide::left('left edge', 6.5, 0)], [-1.0, 0.0, 1.0])[0];
        self::assertSame([1.0, 0.0], [$left['needle_position_mm'], $left['error_mm']]);
        // 38.1 mm lies beyond every plate line: the magnet, set with a ruler.
        self::assertSame('magnetic guide, set with a ruler', GuideFinder::find(38.1, GuideFinder::guidesOf(Made::machine(), $feet), [0.0])[0]['id']);
        self::assertSame('Quarter-inch: right edge', GuideFinder::find(6.35, GuideFinder::guidesOf(Made::machine(), $feet), [0.0])[0]['id']);
    }

    public function test_what_else_it_has_is_kept(): void
    {
        $machine = Machine::read(Data::of(['drive' => 'mechanical', 'also' => ['free-arm', 'needle-threader', 'free-arm']]));
        self::assertSame(['free-arm', 'needle-threader'], $machine->also);
        self::assertSame($machine->also, Machine::read(Data::of($machine->facts()))->also);
        self::assertSame([], Machine::read(Data::of(['drive' => 'mechanical']))->also);
    }
}
