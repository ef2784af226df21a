<?php

declare(strict_types=1);

namespace OpenSeam\Core\Tests\Course;

use OpenSeam\Core\Course\RepeatMinutes;
use OpenSeam\Core\Course\SampleRoom;
use PHPUnit\Framework\TestCase;

/** The plan and the forecast reckon alike: what the plan keeps for repeats is what the forecast finds room for. */
final class RepeatMinutesTest extends TestCase
{
    public function test_what_is_kept_is_the_room_the_forecast_finds(): void
    {
        mt_srand(11);
        for ($round = 0; $round < 200; $round++) {
            $minutes = $more = $expected = [];
            for ($i = 0, $n = mt_rand(1, 12); $i < $n; $i++) {
                $minutes["l$i"] = (float) mt_rand(20, 100);
                $more["l$i"] = $minutes["l$i"] - mt_rand(0, 15);
                $expected["l$i"] = 1 + mt_rand(0, 40) / 10;
            }
            $samples = count($minutes) + mt_rand(0, 40);
            $again = RepeatMinutes::of($minutes, $more, $expected, (float) $samples, 105.0);
            foreach ($again->beside as $id => $beside) {
                self::assertGreaterThanOrEqual(0.0, $beside);
                self::assertLessThanOrEqual(105.0 + 1e-6, $minutes[$id] + $beside, 'it still fits into a session');
            }
            // One session with all of it, and the free minutes that were kept: so many samples.
            $used = array_sum($minutes);
            $room = SampleRoom::by([['lessons' => count($minutes), 'used' => $used, 'usable' => $used + array_sum($again->beside) + $again->over + 1e-6, 'left' => 1.0]], array_values($more));
            self::assertSame($samples, $room[0]);
        }
    }

    public function test_who_needs_no_repeats_keeps_none_and_what_takes_longest_gets_most(): void
    {
        $minutes = ['easy' => 30.0, 'hard' => 30.0];
        self::assertSame(0.0, array_sum(RepeatMinutes::of($minutes, $minutes, ['easy' => 1.0, 'hard' => 1.0], 2.0, 105.0)->beside));
        $again = RepeatMinutes::of($minutes, $minutes, ['easy' => 1.2, 'hard' => 2.0], 4.0, 105.0);
        self::assertEqualsWithDelta(60.0, array_sum($again->beside), 1e-9);
        self::assertEqualsWithDelta(5.0, $again->beside['hard'] / $again->beside['easy'], 1e-3);
        // More than fits beside them: sessions of their own.
        self::assertEqualsWithDelta(10 * 30.0 - 2 * 75.0, RepeatMinutes::of($minutes, $minutes, ['easy' => 1.0, 'hard' => 3.0], 12.0, 105.0)->over, 1e-6);
        self::assertSame(2, RepeatMinutes::of($minutes, $minutes, ['easy' => 1.0, 'hard' => 3.0], 12.0, 105.0)->sessions(105.0));
        self::assertSame([0.0, 0], [($none = RepeatMinutes::of([], [], [], 0.0, 105.0))->over, $none->sessions(105.0)]);
    }
}
