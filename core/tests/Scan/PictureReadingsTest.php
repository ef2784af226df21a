<?php

declare(strict_types=1);

namespace OpenSeam\Core\Tests\Scan;

use OpenSeam\Core\Grading\Grader;
use OpenSeam\Core\InputError;
use OpenSeam\Core\Measure\Unit;
use OpenSeam\Core\Sampler\Readings;
use OpenSeam\Core\Scan\PictureReadings;
use OpenSeam\Core\Scan\ScanReader;
use OpenSeam\Core\Scan\SimulatedSample;
use OpenSeam\Core\Tests\Support\Fixtures;
use OpenSeam\Core\Words;
use PHPUnit\Framework\TestCase;

/** From the scanner's glass to the verdict, without a ruler. */
final class PictureReadingsTest extends TestCase
{
    /** A drawn scan of known truth, read by itself, gives the allowances that a ruler would. */
    public function test_a_scan_becomes_the_readings_of_the_seam(): void
    {
        $lesson = Fixtures::bundle()->lesson('first-seam');
        $truth = new SimulatedSample(widthMm: 60, heightMm: 150, allowanceMm: 15.9, lengthMm: 2.5, driftMm: 3.0);
        $scan = ScanReader::read($truth->draw(7));
        self::assertNull($scan->cannot);
        $readings = PictureReadings::of($lesson->sampler->rows['seam'], $scan->marks, $scan->length?->value, 140.0);
        self::assertSame(['allowance'], array_keys($readings));
        $marks = array_column($lesson->sampler->rows['seam']->fields['allowance']->marks, 'atMm');
        foreach ($readings['allowance'] as $i => $value) {
            self::assertIsNumeric($marks[$i]);
            // The drift is three millimetres over the piece, even on both sides of its middle.
            self::assertEqualsWithDelta(15.9 + 3.0 * ($marks[$i] / 150 - 0.5), $value, 0.35, "mark $i");
        }
        $grade = (new Grader(Fixtures::bundle()->skills, Fixtures::bundle()->faults, Words::in()))->grade($lesson, Readings::typed($lesson->sampler, ['seam.allowance' => PictureReadings::typed($lesson->sampler->rows['seam']->fields['allowance'], $readings['allowance'], Unit::Millimetre)], Unit::Millimetre));
        self::assertSame('drift', $grade->checks[1]->result->figures['pattern'] ?? null);
    }

    public function test_what_is_counted_is_typed_as_a_whole_number_in_any_unit(): void
    {
        $field = Fixtures::bundle()->lesson('first-seam')->sampler->rows['seam']->fields['back-start'];
        self::assertSame(['3'], PictureReadings::typedEach($field, [3.0], [0.0], Unit::Millimetre));
        self::assertSame(['3'], PictureReadings::typedEach($field, [3.0], [0.0], Unit::Inch));
    }

    public function test_a_stitch_becomes_a_count_over_a_span(): void
    {
        $lesson = Fixtures::bundle()->lesson('length-ladder');
        $row = array_values($lesson->sampler->rows)[0];
        self::assertTrue(PictureReadings::canRead($row));
        [$id, [$stitches, $span]] = [(string) array_key_first($r = PictureReadings::of($row, [], 2.46, 24.9)), array_values($r)[0]];
        self::assertSame([10.0, 24.6], [$stitches, $span]);
        self::assertSame(['10', '0.969'], PictureReadings::typed($row->fields[$id], [10.0, 24.6], Unit::Inch));
        // Its own limit goes with it: ten times as unsure over ten stitches, √3 of the standard uncertainty.
        self::assertSame(['10', '24.60 ±0.17'], PictureReadings::typed($row->fields[$id], [10.0, 24.6], Unit::Millimetre, 0.01, 0.5));
        $read = Readings::typed($lesson->sampler, ["$row->id.$id" => PictureReadings::typed($row->fields[$id], [10.0, 24.6], Unit::Inch, 0.01)], Unit::Inch);
        self::assertEqualsWithDelta(0.01 * 10 * sqrt(3), $read->limits["$row->id.$id"], 0.01);
        $seam = Fixtures::bundle()->lesson('first-seam')->sampler->rows['seam']->fields['allowance'];
        self::assertSame(['15.93 ±0.12', ''], PictureReadings::typed($seam, [15.93, null], Unit::Millimetre, 0.5, 0.07));
    }

    public function test_marks_beyond_the_picture_stay_empty_and_a_row_without_such_readings_is_named(): void
    {
        $seam = Fixtures::bundle()->lesson('first-seam')->sampler->rows['seam'];
        $readings = PictureReadings::of($seam, [[0.0, 16.0], [40.0, 14.0]], null, 40.0);
        self::assertNotNull($readings['allowance'][0]);
        self::assertNull($readings['allowance'][4]);
        $none = array_values(Fixtures::bundle()->lesson('safe-seat')->sampler->rows)[0];
        self::assertFalse(PictureReadings::canRead($none));
        $this->expectException(InputError::class);
        PictureReadings::of($none, [[0.0, 16.0]], 2.5, 100.0);
    }
}
