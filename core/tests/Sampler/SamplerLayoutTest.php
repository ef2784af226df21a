<?php

declare(strict_types=1);

namespace OpenSeam\Core\Tests\Sampler;

use OpenSeam\Core\Curriculum\BundleFiles;
use OpenSeam\Core\Curriculum\BundleReader;
use OpenSeam\Core\Sampler\SamplerLayout;
use OpenSeam\Core\Tests\Support\Fixtures;
use PHPUnit\Framework\TestCase;

final class SamplerLayoutTest extends TestCase
{
    /** First seam by hand: from 4 to 146 mm in stitches of 2.5 and three back at each end. */
    public function test_figures_of_a_row_by_hand(): void
    {
        $lesson = Fixtures::bundle()->lesson('first-seam');
        $path = $lesson->rows['seam']->path;
        self::assertNotNull($path);
        $row = SamplerLayout::of($lesson)->rows['seam'];
        $stitches = (int) round($path->lengthMm() / 2.5);
        self::assertSame($stitches + 6, $row['stitches']);
        // Each stroke takes its chord and once through two layers of 0.35 mm.
        self::assertEqualsWithDelta($path->lengthMm() + $stitches * 0.7 + 6 * (2.5 + 0.7), $row['thread_mm'], 1e-6);
        // A quarter of 800 strokes a minute, and half a minute to start.
        self::assertEqualsWithDelta($row['stitches'] / 200 + 0.5, $row['minutes'], 1e-9);
    }

    public function test_turns_take_time(): void
    {
        $spiral = SamplerLayout::of(Fixtures::bundle()->lesson('square-spiral'))->rows['spiral'];
        self::assertEqualsWithDelta(0.8, $spiral['minutes'] - 0.5 - $spiral['stitches'] / 200, 1e-9, 'eight corners of 0.1 min');
    }

    /** No row of the course is sewn into another unless the lesson wants it: thirds that join, a side that goes on. */
    public function test_rows_touch_only_where_they_should(): void
    {
        $meant = ['length-ladder', 'curve-and-corner'];
        foreach (Fixtures::bundle()->lessons as $id => $lesson) {
            if (! in_array($id, $meant, true)) {
                self::assertSame([], SamplerLayout::of($lesson)->touching, (string) $id);
            }
        }
        self::assertContains(['side', 'corner'], SamplerLayout::of(Fixtures::bundle()->lesson('curve-and-corner'))->touching);
    }

    public function test_a_row_moved_onto_the_next_is_found(): void
    {
        foreach ([[13.5, true], [18.0, false]] as [$distance, $touches]) {
            $json = BundleFiles::read(Fixtures::folder());
            foreach ($json['lessons'] as &$lesson) {
                if ($lesson['id'] === 'zigzag-ladder') {
                    $lesson['sampler']['rows'][1]['path']['distance_mm'] = $distance;
                }
            }
            unset($lesson);
            $pairs = SamplerLayout::of(BundleReader::read($json)->lesson('zigzag-ladder'))->touching;
            self::assertSame($touches ? [['average', 'longer']] : [], $pairs);
        }
    }

    public function test_every_lesson_can_be_sewn_in_its_minutes(): void
    {
        foreach (Fixtures::bundle()->lessons as $id => $lesson) {
            $minutes = array_sum(array_column(SamplerLayout::of($lesson)->rows, 'minutes'));
            self::assertLessThanOrEqual($lesson->minutes->sew, $minutes, "$id: the rows alone take longer than the lesson's sewing");
        }
    }
}
