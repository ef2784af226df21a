<?php

declare(strict_types=1);

namespace OpenSeam\Core\Tests\Scan;

use OpenSeam\Core\Scan\CannotRead;
use OpenSeam\Core\Scan\RowStrip;
use OpenSeam\Core\Scan\RowTrace;
use OpenSeam\Core\Scan\ZigzagTrace;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/** Rows followed through strips that are made of numbers alone: where the thread is is known to the step. */
final class RowTraceTest extends TestCase
{
    /**
     * @param  list<callable(int): ?float>  $lines  where each lies across, by step along; null: no thread there
     * @param  float  $noise  beside 1 for the thread
     */
    private static function strip(array $lines, int $along = 700, int $across = 100, float $noise = 0.15): RowStrip
    {
        $thread = [];
        for ($i = 0; $i < $along; $i++) {
            $row = [];
            for ($j = 0; $j < $across; $j++) {
                $row[] = $noise * (mt_rand() / mt_getrandmax() + mt_rand() / mt_getrandmax() - 1) * 2.4;
            }
            foreach ($lines as $line) {
                $at = $line($i);
                for ($j = (int) floor(($at ?? -99.0) - 4); $at !== null && $j <= $at + 4; $j++) {
                    if (isset($row[$j])) {
                        $row[$j] += exp(-(($j - $at) / 1.8) ** 2);
                    }
                }
            }
            $thread[] = $row;
        }

        return \Closure::bind(fn (): RowStrip => new RowStrip($thread, 5.0, $noise, array_fill(0, count($thread), 0.0), 0.0, true), null, RowStrip::class)();
    }

    public function test_it_follows_a_row_that_wanders_and_has_gaps(): void
    {
        mt_srand(1);
        for ($time = 0; $time < 12; $time++) {
            [$drift, $swing, $wave] = [mt_rand(-20, 20), mt_rand(0, 6), mt_rand(150, 500)];
            $at = fn (int $i): float => 50 + $drift * ($i / 700 - 0.5) + $swing * sin(2 * M_PI * $i / $wave);
            // Stitches of 2.5 mm with gaps between them.
            $trace = RowTrace::find(self::strip([fn (int $i): ?float => $i % 25 < 19 ? $at($i) : null]), 50.0);
            self::assertInstanceOf(RowTrace::class, $trace, "$drift, $swing, $wave");
            foreach ([40, 200, 350, 520, 660] as $i) {
                self::assertEqualsWithDelta($at($i), $trace->at($i + 0.5), 1.2, "$drift, $swing, $wave at $i");
            }
        }
    }

    public function test_a_row_that_begins_late_and_ends_early_is_told_where_it_is(): void
    {
        mt_srand(2);
        $trace = RowTrace::find(self::strip([fn (int $i): ?float => $i >= 150 && $i < 560 ? 48.0 : null]), 50.0);
        self::assertInstanceOf(RowTrace::class, $trace);
        self::assertGreaterThanOrEqual(6, array_key_first($trace->away));
        self::assertLessThanOrEqual(28, array_key_last($trace->away));
        self::assertEqualsWithDelta(48.0, array_sum($trace->away) / count($trace->away), 0.5);
    }

    public function test_two_lines_that_could_be_it_are_told_apart_by_their_place_or_not_at_all(): void
    {
        mt_srand(3);
        $two = fn (float $a, float $b): RowStrip => self::strip([fn (): float => $a, fn (): float => $b]);
        self::assertSame(CannotRead::WhichLine, RowTrace::find($two(40.0, 62.0), 50.0));
        $near = RowTrace::find($two(48.0, 85.0), 50.0);
        self::assertInstanceOf(RowTrace::class, $near);
        self::assertEqualsWithDelta(48.0, $near->at(350.0), 0.6);
        $weak = RowTrace::find(self::strip([fn (): float => 80.0, fn (int $i): ?float => $i % 10 < 2 ? 30.0 : null]), 50.0);
        self::assertInstanceOf(RowTrace::class, $weak, 'a line so much weaker is no other row');
        self::assertEqualsWithDelta(80.0, $weak->at(350.0), 0.6);
    }

    public function test_where_there_is_nothing_nothing_is_found(): void
    {
        mt_srand(4);
        for ($time = 0; $time < 15; $time++) {
            self::assertSame(CannotRead::NoRow, RowTrace::find(self::strip([], noise: 0.1 + 0.1 * $time), 50.0));
        }
        // A short scratch is no row.
        self::assertSame(CannotRead::NoRow, RowTrace::find(self::strip([fn (int $i): ?float => $i > 300 && $i < 420 ? 50.0 : null]), 50.0));
    }

    /** @return iterable<string, array{float, float}> stroke and width, mm */
    public static function zigzags(): iterable
    {
        foreach ([[1.0, 2.5], [2.0, 5.0], [1.5, 1.6], [1.5, 4.0], [2.0, 3.0], [2.5, 5.5], [3.5, 2.0]] as [$stroke, $width]) {
            yield "strokes of $stroke, $width wide" => [$stroke, $width];
        }
    }

    #[DataProvider('zigzags')]
    public function test_a_zigzag_by_its_strokes(float $stroke, float $width): void
    {
        mt_srand((int) ($stroke * 10 + $width));
        $at = function (int $i) use ($stroke, $width): float {
            $turn = $i * RowStrip::STEP_MM / $stroke / 2;
            $share = $turn - floor($turn);

            return 50 + 0.01 * $i + $width / RowStrip::STEP_MM * (abs(2 * $share - 1) - 0.5);
        };
        $found = ZigzagTrace::find(self::strip([$at], 600));
        self::assertInstanceOf(ZigzagTrace::class, $found);
        self::assertEqualsWithDelta($stroke, $found->length->value, max(0.01 * $stroke, 3 * $found->length->u));
        self::assertEqualsWithDelta($width, $found->width->value, 3 * $found->width->u);
        self::assertLessThan(0.15, $found->width->u);
        self::assertEqualsWithDelta(53.0, $found->middle->at(300.0), 1.0, 'its middle drifts with it');
    }

    public function test_what_goes_to_and_fro_otherwise_is_no_zigzag(): void
    {
        mt_srand(6);
        // By lot to either side; a straight line; two lines.
        $side = array_map(fn (): int => mt_rand(0, 1), range(0, 99));
        foreach ([[fn (int $i): float => 50 + 20 * ($side[intdiv($i, 12)] - 0.5)], [fn (): float => 50.0], []] as $lines) {
            self::assertInstanceOf(CannotRead::class, ZigzagTrace::find(self::strip($lines, 600)));
        }
    }
}
