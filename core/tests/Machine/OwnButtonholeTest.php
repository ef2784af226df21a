<?php

declare(strict_types=1);

namespace OpenSeam\Core\Tests\Machine;

use OpenSeam\Core\Data;
use OpenSeam\Core\InputError;
use OpenSeam\Core\Machine\ButtonholeWay;
use OpenSeam\Core\Machine\FootBook;
use OpenSeam\Core\Machine\Machine;
use OpenSeam\Core\Machine\OwnButtonhole;
use OpenSeam\Core\Tests\Support\RoomFixtures as Made;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/** What a machine does in a buttonhole, as far as somebody has looked. */
final class OwnButtonholeTest extends TestCase
{
    public function test_what_nobody_saw_is_unknown_and_asked_for(): void
    {
        self::assertSame(['starts', 'first_side', 'ties_off'], Made::machine()->buttonhole->unknown(), 'a four-step one is never asked for straight rows or a stop');
        self::assertSame(OwnButtonhole::LOOKED_AT, Made::machine(['buttonhole' => 'one-step'])->buttonhole->unknown());
        self::assertSame([], Made::machine(['buttonhole' => 'one-step', 'buttonhole_starts' => 'front', 'buttonhole_first_side' => 'left', 'buttonhole_straight_first' => false, 'buttonhole_ties_off' => true, 'buttonhole_stops' => true])->buttonhole->unknown());
        self::assertSame([], Made::machine(['buttonhole' => 'none'])->buttonhole->unknown(), 'what it has not got needs no looking');
    }

    public function test_facts_are_read_as_they_were_written(): void
    {
        foreach (ButtonholeWay::ofMachines() as $way) {
            foreach ([null, true, false] as $seen) {
                $facts = Made::machine(['buttonhole' => $way->value, 'buttonhole_starts' => 'back', 'buttonhole_ties_off' => $seen, 'buttonhole_balance' => $seen, 'buttonhole_zone' => '0 to 1', 'buttonhole_dense_end' => 'low', 'buttonhole_marks' => ['a', 'b'], 'buttonhole_step_mm' => 0.5])->facts();
                self::assertSame($facts, Machine::read(Data::of($facts))->facts());
                self::assertSame($seen, $facts['buttonhole_ties_off']);
            }
        }
    }

    public function test_old_facts_mean_what_they_meant(): void
    {
        // As a machine was kept before anybody asked: way, start and longest.
        $old = Made::machine(['buttonhole' => 'one-step', 'buttonhole_starts' => 'front', 'longest_buttonhole_mm' => 26.0])->buttonhole;
        self::assertSame([ButtonholeWay::OneStep, 'front', 26.0], [$old->way, $old->starts, $old->longestMm]);
        self::assertTrue($old->lever, 'one step told by a lever');
        self::assertNull($old->tiesOff);
    }

    public function test_its_kinds_are_the_stitches_it_has(): void
    {
        $names = ['straight' => '1', 'zigzag' => '2', 'buttonhole' => '9', 'buttonhole-keyhole' => '10', 'buttonhole-stretch' => '11'];
        self::assertSame(['rectangular', 'keyhole', 'stretch'], Made::machine(['stitch_names' => $names])->holeKinds());
        self::assertSame([], Made::machine(['buttonhole' => 'none', 'stitch_names' => ['zigzag' => '2']])->holeKinds());
    }

    /** @return iterable<string, array{array<string, mixed>, string, string}> */
    public static function wrong(): iterable
    {
        yield 'a way there is not' => [['buttonhole' => 'two-step'], 'buttonhole', 'one-step'];
        yield 'by hand is no way of a machine' => [['buttonhole' => 'by-hand'], 'buttonhole', 'none'];
        yield 'an end there is not' => [['buttonhole_starts' => 'middle'], 'buttonhole_starts', 'front, back'];
        yield 'a side there is not' => [['buttonhole_first_side' => 'top'], 'buttonhole_first_side', 'left, right'];
        yield 'neither yes nor no' => [['buttonhole_ties_off' => 'perhaps'], 'buttonhole_ties_off', 'true or false'];
        yield 'seven steps' => [['buttonhole_marks' => ['1', '2', '3', '4', '5', '6', '7']], 'buttonhole_marks', 'At most 6'];
        yield 'a long word' => [['buttonhole_marks' => [str_repeat('x', 21)]], 'buttonhole_marks[0]', '20 letters'];
        yield 'too long' => [['longest_buttonhole_mm' => 61], 'longest_buttonhole_mm', '0 to 60'];
        yield 'steps of too much' => [['buttonhole_step_mm' => 11], 'buttonhole_step_mm', '0 to 10'];
    }

    /** @param  array<string, mixed>  $facts */
    #[DataProvider('wrong')]
    public function test_what_cannot_be_is_refused_by_name(array $facts, string $field, string $says): void
    {
        try {
            Made::machine($facts);
            self::fail('taken');
        } catch (InputError $e) {
            self::assertSame($field, $e->field);
            self::assertStringContainsString($says, $e->getMessage());
        }
    }

    public function test_a_foot_says_what_it_has_for_buttonholes(): void
    {
        $slider = Made::foot('buttonhole-four-step')->hole;
        self::assertEqualsWithDelta(25.4 / 8, $slider->lineMm, 1e-9, 'an eighth of an inch, common practice, no source');
        self::assertFalse($slider->holder);
        self::assertTrue(Made::foot('buttonhole-one-step')->hole->holder);
        self::assertNull(Made::foot('buttonhole-four-step', ['hole_line_mm' => null])->hole->lineMm, 'said to have none');
        self::assertSame([false, null, null, false, false], array_values(Made::foot('standard')->hole->facts()));
        try {
            Made::foot('buttonhole-four-step', ['hole_line_mm' => 0.2]);
            self::fail('taken');
        } catch (InputError $e) {
            self::assertSame('hole_line_mm', $e->field);
        }
    }

    public function test_every_way_has_a_foot_there_is(): void
    {
        foreach (ButtonholeWay::cases() as $way) {
            self::assertSame($way->foot(), FootBook::standard()->get($way->foot(), 'foot')->id);
        }
    }
}
