<?php

declare(strict_types=1);

namespace OpenSeam\Core\Tests\Sampler;

use OpenSeam\Core\Curriculum\BundleFiles;
use OpenSeam\Core\Curriculum\BundleReader;
use OpenSeam\Core\Data;
use OpenSeam\Core\Sampler\SamplerLayout;
use OpenSeam\Core\Tests\Support\Fixtures;
use PHPUnit\Framework\TestCase;

final class SamplerLayoutTest extends TestCase
{
    /** First seam by hand: from 4 to 146 mm in stitches of 2.5 and three back at each end. */
    public function test_figures_of_a_row_by_hand(): void
    {
        $lesson = Fixtures::bundle()->lesson('first-seam');
        $path = $lesson->sampler->rows['seam']->path;
        self::assertNotNull($path);
        $row = SamplerLayout::of($lesson->sampler)->rows['seam'];
        $stitches = (int) round($path->lengthMm() / 2.5);
        self::assertSame($stitches + 6, $row['stitches']);
        // Each stroke takes its chord and once through two layers of 0.35 mm.
        self::assertEqualsWithDelta($path->lengthMm() + $stitches * 0.7 + 6 * (2.5 + 0.7), $row['thread_mm'], 1e-6);
        // A quarter of 800 strokes a minute, and half a minute to start.
        self::assertEqualsWithDelta($row['stitches'] / 200 + 0.5, $row['minutes'], 1e-9);
    }

    public function test_turns_take_time(): void
    {
        $spiral = SamplerLayout::of(Fixtures::bundle()->lesson('square-spiral')->sampler)->rows['spiral'];
        self::assertEqualsWithDelta(0.8, $spiral['minutes'] - 0.5 - $spiral['stitches'] / 200, 1e-9, 'eight corners of 0.1 min');
    }

    /** No row of the course is sewn into another unless the lesson wants it: thirds that join, a side that goes on. */
    public function test_rows_touch_only_where_they_should(): void
    {
        $meant = ['length-ladder', 'curve-and-corner'];
        foreach (Fixtures::bundle()->lessons as $id => $lesson) {
            if (! in_array($id, $meant, true)) {
                self::assertSame([], SamplerLayout::of($lesson->sampler)->touching(), (string) $id);
            }
        }
        self::assertContains(['side', 'corner'], SamplerLayout::of(Fixtures::bundle()->lesson('curve-and-corner')->sampler)->touching());
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
            $pairs = SamplerLayout::of(BundleReader::read($json)->lesson('zigzag-ladder')->sampler)->touching();
            self::assertSame($touches ? [['average', 'longer']] : [], $pairs);
        }
    }

    public function test_every_lesson_can_be_sewn_in_its_minutes(): void
    {
        foreach (Fixtures::bundle()->lessons as $id => $lesson) {
            $minutes = array_sum(array_column(SamplerLayout::of($lesson->sampler)->rows, 'minutes'));
            self::assertLessThanOrEqual($lesson->minutes->sew, $minutes, "$id: the rows alone take longer than the lesson's sewing");
        }
    }

    /** Looked for by squares of cloth, and found by comparing every stitch with every other: random lines, the same pairs. */
    public function test_rows_that_lie_on_each_other_are_found_wherever_they_run(): void
    {
        mt_srand(11);
        $at = fn (float $most): float => round(mt_rand() / mt_getrandmax() * $most, 1);
        $found = 0;
        for ($try = 0; $try < 40; $try++) {
            $lines = array_map(fn (): array => [[$at(100), $at(150)], [$at(100), $at(150)]], range(0, 2));
            $json = array_column((array) BundleFiles::read(Fixtures::folder())['lessons'], null, 'id')['first-seam'];
            $row = ['readings' => [['id' => 'a', 'label' => 'a', 'kind' => 'yes-no']], 'checks' => [['id' => 'a', 'title' => 'a', 'of' => 'a', 'kind' => 'yes', 'shows' => ['start-clean'], 'source' => 'none', 'changes' => []]]] + $json['sampler']['rows'][0];
            $json['sampler']['rows'] = array_map(fn (array $l, int $i): array => ['id' => "r$i", 'path' => ['run' => 'line', 'through' => $l], 'stitch_mm' => 2.0, 'back_stitches' => 0] + $row, $lines, array_keys($lines));
            $pairs = [];
            foreach ([[0, 1], [0, 2], [1, 2]] as [$a, $b]) {
                if (self::apart($lines[$a], $lines[$b]) < SamplerLayout::CLASH_MM) {
                    $pairs[] = ["r$a", "r$b"];
                }
            }
            self::assertSame($pairs, SamplerLayout::of(BundleReader::lesson(Data::of($json))->sampler)->touching());
            $found += count($pairs);
        }
        self::assertGreaterThan(10, $found);
    }

    /**
     * Least distance of two straight lines, by walking along both.
     *
     * @param  array{array{float, float}, array{float, float}}  $a
     * @param  array{array{float, float}, array{float, float}}  $b
     */
    private static function apart(array $a, array $b): float
    {
        $least = INF;
        for ($i = 0; $i <= 400; $i++) {
            [$x, $y] = [$a[0][0] + ($a[1][0] - $a[0][0]) * $i / 400, $a[0][1] + ($a[1][1] - $a[0][1]) * $i / 400];
            [$dx, $dy] = [$b[1][0] - $b[0][0], $b[1][1] - $b[0][1]];
            $share = max(0.0, min(1.0, (($x - $b[0][0]) * $dx + ($y - $b[0][1]) * $dy) / max(1e-12, $dx ** 2 + $dy ** 2)));
            $least = min($least, hypot($x - $b[0][0] - $share * $dx, $y - $b[0][1] - $share * $dy));
        }

        return $least;
    }
}
