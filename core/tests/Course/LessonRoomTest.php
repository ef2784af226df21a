<?php

declare(strict_types=1);

namespace OpenSeam\Core\Tests\Course;

use OpenSeam\Core\Course\LessonRoom;
use OpenSeam\Core\Machine\Room;
use OpenSeam\Core\Tests\Support\Fixtures;
use OpenSeam\Core\Tests\Support\RoomFixtures as Made;
use PHPUnit\Framework\TestCase;

/** What a room means for a lesson; common practice, no source. */
final class LessonRoomTest extends TestCase
{
    public function test_places_are_machines_or_feet_whichever_are_fewer(): void
    {
        $machines = ['a' => Made::machine(), 'b' => Made::machine(), 'c' => Made::machine()];
        $lesson = Fixtures::bundle()->lesson('first-seam');
        self::assertSame(3, LessonRoom::of($lesson, new Room($machines, ['s' => Made::foot('standard', ['count' => 5])]))->places);
        self::assertSame(2, LessonRoom::of($lesson, new Room($machines, ['s' => Made::foot('standard', ['count' => 2])]))->places);
        $none = LessonRoom::of($lesson, new Room($machines, []));
        self::assertSame(0, $none->places);
        self::assertSame(['This room has no foot for it: Standard or Straight, narrow hole.'], $none->reasons);
    }

    public function test_three_buttonhole_feet_for_ten_make_four_rounds(): void
    {
        $machines = array_fill_keys(range('a', 'h'), Made::machine(['stitch_names' => ['straight' => 'A', 'buttonhole' => '1-4']]));
        $fit = LessonRoom::of(Fixtures::bundle()->lesson('buttonhole'), new Room($machines, ['b' => Made::foot('buttonhole-four-step', ['count' => 3])]));
        self::assertSame(3, $fit->places);
        self::assertSame([], $fit->shortages(3));
        // The one-step foot is named first by the lesson; here the other kind does it.
        self::assertSame(8, count($fit->machines));
    }

    /** The lesson's own buttonhole is 21 mm long. */
    public function test_a_machine_too_short_for_the_lessons_buttonhole_does_not_count(): void
    {
        $made = fn (float $longest): Room => new Room(['m' => Made::machine(['longest_buttonhole_mm' => $longest])], ['b' => Made::foot('buttonhole-four-step')]);
        $lesson = Fixtures::bundle()->lesson('buttonhole');
        self::assertSame(1, LessonRoom::of($lesson, $made(21))->places);
        $short = LessonRoom::of($lesson, $made(20));
        self::assertSame(0, $short->places);
        self::assertSame(['Window 1 sews buttonholes of at most 20 mm; 21 mm is asked.'], $short->reasons);
    }

    public function test_a_machine_without_the_stitch_does_not_count(): void
    {
        $fit = LessonRoom::of(Fixtures::bundle()->lesson('zigzag-ladder'), new Room(
            ['z' => Made::machine(), 's' => Made::machine(['drive' => 'straight-only', 'widest_swing_mm' => 0, 'stitch_names' => ['straight' => 'A']])],
            ['f' => Made::foot('standard', ['count' => 2])],
        ));
        self::assertSame([['z'], 1], [$fit->machines, $fit->places]);
    }

    public function test_a_shared_foot_is_short_but_makes_no_rounds(): void
    {
        $fit = LessonRoom::of(Fixtures::bundle()->lesson('guides'), new Room(
            array_fill_keys(range('a', 'h'), Made::machine()), ['f' => Made::foot('standard', ['count' => 8]), 'q' => Made::foot('quarter-inch', ['count' => 2])],
        ));
        self::assertSame(8, $fit->places);
        self::assertSame([['foot' => 'Quarter-inch', 'feet' => 2, 'rounds' => 5]], $fit->shortages(10));
    }

    public function test_what_needs_no_machine_needs_no_room(): void
    {
        self::assertSame(PHP_INT_MAX, LessonRoom::of(Fixtures::bundle()->lesson('safe-seat'), new Room([], []))->places);
        self::assertSame(['No machine of this room is in use.'], LessonRoom::of(Fixtures::bundle()->lesson('mend'), new Room([], []))->reasons);
    }
}
