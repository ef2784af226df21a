<?php

declare(strict_types=1);

namespace OpenSeam\Core\Tests\Compute;

use OpenSeam\Core\Compute\Registry;
use OpenSeam\Core\InputError;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/** The room's and the workshop's calculations through the one door the command line and the API share. */
final class RoomComputeTest extends TestCase
{
    /**
     * @param  array<string, mixed>  $in
     * @return array<string, mixed>
     */
    private static function compute(string $name, array $in): array
    {
        return Registry::standard()->run($name, (string) json_encode($in));
    }

    private const MACHINE = ['name' => 'Window 1', 'drive' => 'mechanical', 'widest_swing_mm' => 5, 'needle_positions_mm' => [-2.5, 0, 2.5], 'plate_lines_mm' => [10, 13, 16], 'stitch_names' => ['straight' => 'A', 'zigzag' => 'B', 'satin' => 'B']];

    public function test_check_fit_names_every_rule_that_fires(): void
    {
        $out = self::compute('check-fit', ['machine' => self::MACHINE, 'foot' => ['kind' => 'straight', 'mount' => 'high'], 'stitch' => 'zigzag', 'length_mm' => 2, 'width_mm' => 6, 'needle_position_mm' => 0]);
        self::assertFalse($out['works']);
        self::assertEqualsCanonicalizing(['machine-swing', 'mount', 'wrong-foot', 'straight-only', 'strike'], array_column((array) $out['refusals'], 'rule'));
        self::assertSame('strike', $out['verdict']);
        self::assertSame([-3.0, 3.0], $out['swing_mm']);
        $fine = self::compute('check-fit', ['machine' => self::MACHINE, 'foot' => ['kind' => 'standard'], 'stitch' => 'zigzag', 'length_mm' => 2, 'width_mm' => 5]);
        self::assertSame([true, []], [$fine['works'], $fine['refusals']]);
        // Slot 7 mm: 3.5 − 2.5 − 0.4.
        self::assertEqualsWithDelta(0.6, $fine['plate_margin_mm'], 1e-9);
    }

    public function test_guides_of_a_room_in_inches(): void
    {
        $out = self::compute('find-room-guide', ['machine' => self::MACHINE, 'feet' => [['kind' => 'standard'], ['kind' => 'quarter-inch']], 'allowance' => '1/4', 'unit' => 'in']);
        self::assertEqualsWithDelta(6.35, $out['allowance_mm'], 1e-9);
        self::assertSame('1/4', $out['inches']);
        self::assertSame('Quarter-inch: right edge', ((array) $out['all'])[0]['id']);
        self::assertEqualsWithDelta(0.0, ((array) $out['all'])[0]['error_mm'], 1e-9);
    }

    public function test_a_stitch_picture_adds_up(): void
    {
        $out = self::compute('stitch-picture', ['stitch' => 'straight', 'length_mm' => 2.54, 'row_mm' => 254, 'stack_mm' => 0.5]);
        self::assertEqualsWithDelta(10.0, $out['per_inch'], 1e-9);
        self::assertSame(100, $out['stitches']);
        // 100 strokes of chord 2.54 and once through 0.5 mm.
        self::assertEqualsWithDelta(304.0, $out['top_mm'], 1e-6);
        self::assertSame($out['top_mm'], $out['bobbin_mm']);
        self::assertEqualsWithDelta(2 * 304 / 254, $out['ratio'], 1e-9);
        $zigzag = self::compute('stitch-picture', ['stitch' => 'zigzag', 'length_mm' => 2, 'width_mm' => 4, 'row_mm' => 20]);
        foreach ((array) $zigzag['right_side'] as $i => [$along, $across]) {
            self::assertSame([$along, $across === 0.0 ? 0.0 : -$across], ((array) $zigzag['underside'])[$i], 'turned over, left is right');
        }
        self::assertNull(self::compute('stitch-picture', ['stitch' => 'button', 'row_mm' => 5])['per_inch'], 'nothing is fed');
    }

    public function test_cloth_to_cut_by_hand(): void
    {
        // Thirteen 100 mm squares beside each other on 1,370 mm; the fourteenth begins a new row.
        $out = self::compute('cut-cloth', ['cloth_width_mm' => 1400, 'selvedge_mm' => 15, 'pieces' => [['id' => 'square', 'width_mm' => 100, 'length_mm' => 100, 'count' => 14]]]);
        self::assertSame(200.0, $out['length_mm']);
        self::assertEqualsWithDelta(14 * 10_000 / 1370, $out['lower_bound_mm'], 1e-9);
        self::assertCount(14, (array) $out['placed']);
        self::assertGreaterThan(0, ((array) $out['offcuts'])[0]['width_mm']);
        self::assertSame(0.0, self::compute('cut-cloth', ['cloth_width_mm' => 1400, 'selvedge_mm' => 15, 'pieces' => []])['length_mm']);
    }

    public function test_feet_and_needles_as_asked(): void
    {
        $feet = self::compute('advise-feet', ['wants' => ['zips'], 'have' => ['zip' => 2]]);
        self::assertSame([['zip', 2]], array_map(fn (array $f): array => [$f['kind'], $f['have']], (array) $feet['need']));
        $needle = self::compute('advise-needle', ['weight' => 'heavy', 'cloth' => 'denim', 'thread' => 100, 'thread_unit' => 'ticket']);
        self::assertSame([90, 14], [$needle['metric'], $needle['number']]);
        self::assertEqualsWithDelta(30.0, ((array) $needle['thread'])['tex'], 1e-9);
        self::assertNull(self::compute('advise-needle', ['weight' => 'light', 'cloth' => 'woven'])['thread']);
    }

    /** @return iterable<string, array{string, array<string, mixed>, string, string}> */
    public static function nonsense(): iterable
    {
        yield 'no allowance' => ['find-room-guide', ['machine' => self::MACHINE, 'feet' => [], 'allowance' => 'wide', 'unit' => 'mm'], 'allowance', 'not a length'];
        yield 'foot deep inside' => ['find-room-guide', ['machine' => self::MACHINE, 'feet' => [['kind' => 'standard'], ['kind' => 'zip', 'largest_swing_mm' => 3]], 'allowance' => '16', 'unit' => 'mm'], 'feet[1].largest_swing_mm', 'straight'];
        yield 'price of a foot that is none' => ['advise-feet', ['wants' => ['zips'], 'prices' => ['clog' => 3]], 'prices.clog', 'Known'];
        yield 'price below nothing' => ['advise-feet', ['wants' => ['zips'], 'prices' => ['zip' => -3]], 'prices.zip', '0'];
        yield 'times of a wish that is none' => ['advise-feet', ['wants' => ['zips'], 'times_a_year' => ['sails' => 3]], 'times_a_year.sails', 'zips'];
        yield 'two wishes alike' => ['advise-feet', ['wants' => ['zips', 'zips']], 'wants[1]', 'once'];
        yield 'thread of nothing' => ['advise-needle', ['weight' => 'light', 'cloth' => 'woven', 'thread' => 0], 'thread', 'above 0'];
        yield 'rope' => ['advise-needle', ['weight' => 'light', 'cloth' => 'woven', 'thread' => 900], 'thread', '5 to 400 tex'];
        yield 'tension of a hundred' => ['tension-picture', ['top_notches' => 100], 'top_notches', 'from -9 to 9'];
        yield 'piece wider than the cloth' => ['cut-cloth', ['cloth_width_mm' => 900, 'selvedge_mm' => 10, 'pieces' => [['id' => 'a', 'width_mm' => 100, 'length_mm' => 100, 'count' => 1], ['id' => 'b', 'width_mm' => 890, 'length_mm' => 100, 'count' => 1]]], 'pieces[1].width_mm', '880 mm'];
        yield 'half a piece' => ['cut-cloth', ['cloth_width_mm' => 900, 'selvedge_mm' => 10, 'pieces' => [['id' => 'a', 'width_mm' => 100, 'length_mm' => 100, 'count' => 1.5]]], 'pieces[0].count', 'whole number'];
        yield 'swing beyond every machine' => ['needle-clearance', ['opening_left_mm' => 3, 'opening_right_mm' => 3, 'stitch_width_mm' => 25, 'needle_position_mm' => 0, 'needle_size' => 80], 'stitch_width_mm', 'from 0 to 20'];
        yield 'gap wider than the buttonhole' => ['stitch-points', ['stitch' => 'buttonhole', 'length_mm' => 0.5, 'width_mm' => 4, 'row_mm' => 20, 'gap_mm' => 3.5], 'gap_mm', 'from 0.2 to 3'];
        yield 'one stitch of a button' => ['stitch-points', ['stitch' => 'button', 'row_mm' => 5, 'stitches' => 1], 'stitches', 'from 2 to 40'];
    }

    /** @param  array<string, mixed>  $in */
    #[DataProvider('nonsense')]
    public function test_nonsense_is_named(string $name, array $in, string $field, string $said): void
    {
        try {
            self::compute($name, $in);
            self::fail('It was worked out.');
        } catch (InputError $e) {
            self::assertSame($field, $e->field);
            self::assertStringContainsString($said, $e->getMessage());
        }
    }
}
