<?php

declare(strict_types=1);

namespace OpenSeam\Core\Tests\Curriculum;

use OpenSeam\Core\Measure\Unit;
use OpenSeam\Core\Sampler\Grader;
use OpenSeam\Core\Sampler\Readings;
use OpenSeam\Core\Tests\Support\Fixtures;
use OpenSeam\Core\Words;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/**
 * The tolerances of the lessons as the trade states them, a case for each side
 * of each limit. All of them common practice, no source.
 */
final class TolerancesTest extends TestCase
{
    /** @return iterable<string, array{string, string, list<int|float|string>, string, string}> lesson, reading, values, check, verdict */
    public static function cases(): iterable
    {
        $cases = [
            // Every habit must be seen.
            ['safe-seat', 'habits.fingers', [1], 'habits.fingers', 'met'],
            ['safe-seat', 'habits.fingers', [0], 'habits.fingers', 'not-yet'],
            ['safe-seat', 'habits.cords', [0], 'habits.cords', 'not-yet'],
            // Unaided trials out of three: two met, one near.
            ['wind-and-thread', 'trials.top', [3], 'trials.top', 'met'],
            ['wind-and-thread', 'trials.top', [2], 'trials.top', 'met'],
            ['wind-and-thread', 'trials.top', [1], 'trials.top', 'near'],
            ['wind-and-thread', 'trials.top', [0], 'trials.top', 'not-yet'],
            // Tails of 50 mm.
            ['wind-and-thread', 'habits.tail', [55], 'habits.tail', 'met'],
            ['wind-and-thread', 'habits.tail', [45], 'habits.tail', 'near'],
            ['wind-and-thread', 'habits.tail', [20], 'habits.tail', 'not-yet'],
            ['needle-and-foot', 'needle.flat-back', [0], 'needle.flat-back', 'not-yet'],
            ['needle-and-foot', 'foot.wheel', [1], 'foot.wheel', 'met'],
            // Largest distance from the line: 1.5, 3 mm; stops 4 of 5, 3 of 5.
            ['paper-drive', 'straight.off', [1], 'straight.off', 'met'],
            ['paper-drive', 'straight.off', [1.5], 'straight.off', 'unsure'],
            ['paper-drive', 'straight.off', [2.2], 'straight.off', 'near'],
            ['paper-drive', 'curve.off', [4], 'curve.off', 'not-yet'],
            ['paper-drive', 'straight.stops', [4], 'straight.stops', 'met'],
            ['paper-drive', 'straight.stops', [3], 'straight.stops', 'near'],
            ['paper-drive', 'straight.stops', [2], 'straight.stops', 'not-yet'],
            // 15.9 mm: mean ±1, ±2; spread 2, 4.
            ['first-seam', 'seam.allowance', [16, 16, 16, 16, 16], 'seam.width', 'met'],
            ['first-seam', 'seam.allowance', [15.2, 15.2, 15.2, 15.2, 15.2], 'seam.width', 'met'],
            ['first-seam', 'seam.allowance', [17.4, 17.4, 17.4, 17.4, 17.4], 'seam.width', 'near'],
            ['first-seam', 'seam.allowance', [18.4, 18.4, 18.4, 18.4, 18.4], 'seam.width', 'not-yet'],
            ['first-seam', 'seam.allowance', [13.4, 13.4, 13.4, 13.4, 13.4], 'seam.width', 'not-yet'],
            ['first-seam', 'seam.allowance', ['5/8 in', '5/8 in', '5/8 in', '5/8 in', '5/8 in'], 'seam.width', 'met'],
            ['first-seam', 'seam.allowance', [15.5, 16, 16, 16, 16.5], 'seam.steering', 'met'],
            ['first-seam', 'seam.allowance', [14.5, 15, 16, 17, 17.5], 'seam.steering', 'near'],
            ['first-seam', 'seam.allowance', [13, 14, 16, 17, 18.5], 'seam.steering', 'not-yet'],
            // Starts 2 to 5 mm in.
            ['first-seam', 'seam.start-in', [3.5], 'seam.start', 'met'],
            ['first-seam', 'seam.start-in', [6.5], 'seam.start', 'near'],
            ['first-seam', 'seam.start-in', [0], 'seam.start', 'not-yet'],
            ['first-seam', 'seam.start-in', [12], 'seam.start', 'not-yet'],
            ['first-seam', 'seam.back-end', [1], 'seam.back-end', 'near'],
            ['first-seam', 'seam.back-end', [8], 'seam.back-end', 'not-yet'],
            ['first-seam', 'seam.pull', [0], 'seam.pull', 'not-yet'],
            ['first-seam', 'seam.tail', [50], 'seam.tail', 'met'],
            // Lengths over 25 mm: ±0.2 (±0.3 at 4 mm), twice that.
            ['length-ladder', 'first.count', [10, 25], 'first.length', 'met'],
            ['length-ladder', 'first.count', [20, 56], 'first.length', 'near'],
            ['length-ladder', 'first.count', [20, 62], 'first.length', 'not-yet'],
            ['length-ladder', 'second.count', [10, 40], 'second.length', 'met'],
            ['length-ladder', 'second.count', [6, 25], 'second.length', 'unsure'],
            ['length-ladder', 'second.count', [20, 98], 'second.length', 'not-yet'],
            ['length-ladder', 'last.count', [25, 25], 'last.length', 'met'],
            ['length-ladder', 'last.count', [25, 32], 'last.length', 'near'],
            ['length-ladder', 'last.count', [25, 40], 'last.length', 'not-yet'],
            // Four seams: each mean ±0.8, ±1.5; spread 1.6, 3.
            ['guides', 'quarter.allowance', ['1/4 in', 6.5, 6], 'quarter.width', 'met'],
            ['guides', 'quarter.allowance', [7.5, 7.5, 7.5], 'quarter.width', 'near'],
            ['guides', 'quarter.allowance', [9, 9, 9], 'quarter.width', 'not-yet'],
            ['guides', 'half.allowance', ['1/2 in', '1/2 in', '1/2 in'], 'half.width', 'met'],
            ['guides', 'five-eighths.allowance', [16, 16, 16], 'five-eighths.width', 'met'],
            ['guides', 'wide.allowance', ['1 1/2 in', '1 1/2 in', '1 1/2 in'], 'wide.width', 'met'],
            ['guides', 'wide.allowance', [36, 36, 36], 'wide.width', 'not-yet'],
            ['guides', 'wide.allowance', [38, 38, 38.5], 'wide.steering', 'met'],
            ['guides', 'wide.allowance', [37, 38, 39.2], 'wide.steering', 'near'],
            ['guides', 'wide.allowance', [36, 38, 40], 'wide.steering', 'not-yet'],
            // Corners ±1, ±2; lanes of one foot edge ±1, ±2: the furthest decides.
            ['square-spiral', 'spiral.corners', [0, 0.5, 0, 0, -0.5, 0, 0, 0], 'spiral.corners', 'met'],
            ['square-spiral', 'spiral.corners', [0, 0, 0, 0, 0, 0, 0, 1.5], 'spiral.corners', 'near'],
            ['square-spiral', 'spiral.corners', [0, 0, 0, -3, 0, 0, 0, 0], 'spiral.corners', 'not-yet'],
            ['square-spiral', 'spiral.lanes', [7, 7, 7, 7], 'spiral.lanes', 'met'],
            ['square-spiral', 'spiral.lanes', [7, 8.5, 7, 7], 'spiral.lanes', 'near'],
            ['square-spiral', 'spiral.lanes', [7, 7, 4, 7], 'spiral.lanes', 'not-yet'],
            ['square-spiral', 'spiral.needle-down', [0], 'spiral.needle-down', 'not-yet'],
        ];
        foreach ($cases as $case) {
            yield "{$case[0]} {$case[3]} ".implode(' ', $case[2]) => $case;
        }
    }

    /** @param  list<int|float|string>  $values */
    #[DataProvider('cases')]
    public function test_verdict(string $lesson, string $reading, array $values, string $check, string $verdict): void
    {
        $found = Fixtures::bundle()->lesson($lesson);
        $grade = (new Grader(Fixtures::bundle(), Words::in()))->grade($found, Readings::typed($found, [$reading => $values], Unit::Millimetre));
        foreach ($grade->checks as $graded) {
            if ($graded->key() === $check) {
                self::assertSame($verdict, $graded->verdict()?->value);
                // What is not met comes with the one thing to change; unsure with what to measure.
                if ($verdict === 'near' || $verdict === 'not-yet') {
                    self::assertNotSame('', $graded->change()->text ?? '');
                }
                if ($verdict === 'unsure') {
                    self::assertNotNull($graded->result?->again);
                }

                return;
            }
        }
        self::fail("No check $check.");
    }
}
