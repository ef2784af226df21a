<?php

declare(strict_types=1);

namespace OpenSeam\Core\Tests\Curriculum;

use OpenSeam\Core\Course\Lesson;
use OpenSeam\Core\Course\Way;
use OpenSeam\Core\Curriculum\BundleFiles;
use OpenSeam\Core\Curriculum\LessonWays;
use OpenSeam\Core\Grading\GradedCheck;
use OpenSeam\Core\Grading\Grader;
use OpenSeam\Core\Machine\OwnStitch;
use OpenSeam\Core\Measure\Unit;
use OpenSeam\Core\Measure\Verdict;
use OpenSeam\Core\Sampler\Field;
use OpenSeam\Core\Sampler\FieldKind;
use OpenSeam\Core\Sampler\Readings;
use OpenSeam\Core\Tests\Support\Fixtures;
use OpenSeam\Core\Words;
use PHPUnit\Framework\TestCase;

/** For every measured check of the shelf: what is taught is met, what lies past near is not, and each fix points the right way. */
final class TaughtIsMetTest extends TestCase
{
    /**
     * Of every lesson in every way that a class can choose, and of those made from a machine's own stitches.
     *
     * @return iterable<string, array{Lesson, string, array<string, mixed>, Field}> lesson, row, the check as its file has it, and its reading
     */
    private static function checks(): iterable
    {
        foreach ((array) BundleFiles::read(Fixtures::folder())['lessons'] as $json) {
            $usual = Fixtures::bundle()->lesson($json['id']);
            foreach (self::ways($usual) as $at => $way) {
                $lesson = $usual->in($way);
                foreach (LessonWays::lay($json, $way)['sampler']['rows'] as $row) {
                    foreach ($row['checks'] as $check) {
                        yield "$usual->id.{$row['id']}.{$check['id']} $at" => [$lesson, $row['id'], $check, $lesson->sampler->rows[$row['id']]->fields[$check['of']]];
                    }
                }
            }
        }
    }

    /** @return iterable<string, Way> */
    private static function ways(Lesson $lesson): iterable
    {
        yield 'as it is written' => new Way;
        foreach ($lesson->settings as $setting) {
            foreach ($setting->schools as $school) {
                yield $school->school => new Way([$school->id]);
            }
        }
        if ($lesson->each() !== '') {
            yield 'on a machine' => new Way([], OwnStitch::examples($lesson->each()));
        }
    }

    /** @param  list<float>  $values */
    private static function judged(Lesson $lesson, string $row, string $check, Field $field, array $values): GradedCheck
    {
        $typed = ["$row.$field->id" => array_map(fn (float $v): string => (string) $v, $values)];
        foreach ((new Grader(Fixtures::bundle()->skills, Fixtures::bundle()->faults, Words::in()))->grade($lesson, Readings::typed($lesson->sampler, $typed, Unit::Millimetre))->checks as $graded) {
            if ($graded->key() === "$row.$check") {
                return $graded;
            }
        }
        self::fail("There is no $row.$check in $lesson->id.");
    }

    /** To the nearest step of what is read. */
    private static function read(float $value, Field $field): float
    {
        return round(round($value / $field->step) * $field->step, 6);
    }

    public function test_what_is_taught_is_met(): void
    {
        $tried = 0;
        foreach (self::checks() as $at => [$lesson, $row, $check, $field]) {
            $values = match (true) {
                $check['kind'] === 'stitch-length' => [10.0, self::read(10 * $check['target_mm'], new Field('s', 's', FieldKind::Length, 0, 300, 0.5)) * ($field->oneSide ? 2 : 1)],
                in_array($check['kind'], ['mean', 'spread', 'each'], true) => array_fill(0, $field->size(), self::read((float) ($check['target_mm'] ?? 0), $field)),
                isset($check['taught']) => [self::read((float) $check['taught'], $field)],
                default => null,
            };
            if ($values !== null) {
                $graded = self::judged($lesson, $row, $check['id'], $field, $values);
                self::assertSame(Verdict::Met, $graded->verdict(), "$at read as ".implode(', ', $values).': '.$graded->result?->text);
                $tried++;
            }
        }
        self::assertGreaterThan(90, $tried);
    }

    /** One step of the ruler past near, to either side, is never met, and the change that is named leads back. */
    public function test_past_near_is_not_met_and_the_fix_points_back(): void
    {
        $tried = 0;
        foreach (self::checks() as $at => [$lesson, $row, $check, $field]) {
            [$low, $high] = match ($check['kind']) {
                'band' => [$check['near']['from'] ?? null, $check['near']['to'] ?? null],
                'each', 'mean' => [($check['target_mm'] ?? 0) - $check['near_mm'], ($check['target_mm'] ?? 0) + $check['near_mm']],
                default => [null, null],
            };
            foreach (['low' => $low === null ? null : $low - $field->step, 'high' => $high === null ? null : $high + $field->step] as $side => $value) {
                if ($value === null || $value < $field->min || $value > $field->max) {
                    continue;
                }
                $value = $side === 'low' ? floor(round($value / $field->step, 6)) * $field->step : ceil(round($value / $field->step, 6)) * $field->step;
                $graded = self::judged($lesson, $row, $check['id'], $field, array_fill(0, $field->size(), $value));
                self::assertNotSame(Verdict::Met, $graded->verdict(), "$at at $value");
                self::assertSame($side, $graded->result?->fix, "$at at $value");
                $tried++;
            }
        }
        self::assertGreaterThan(120, $tried);
    }

    /** A start of two millimetres was told to go nearer the edge. */
    public function test_a_start_too_near_the_edge_is_told_to_go_further_in(): void
    {
        $seam = Fixtures::bundle()->lesson('first-seam');
        $field = $seam->sampler->rows['seam']->fields['start-in'];
        self::assertSame('Set the needle down 3 to 5 mm from the edge.', self::judged($seam, 'seam', 'start', $field, [1.0])->change()?->text);
        self::assertSame('Set the needle down nearer: 3 to 5 mm from the edge.', self::judged($seam, 'seam', 'start', $field, [12.0])->change()?->text);
    }
}
