<?php

declare(strict_types=1);

namespace OpenSeam\Core\Tests\Picture;

use OpenSeam\Core\Data;
use OpenSeam\Core\InputError;
use OpenSeam\Core\Measure\Tolerance;
use OpenSeam\Core\Measure\Verdict;
use OpenSeam\Core\Picture\FieldLooks;
use OpenSeam\Core\Picture\Picture;
use OpenSeam\Core\Picture\RowLook;
use OpenSeam\Core\Picture\RowLooks;
use OpenSeam\Core\Picture\Shape;
use OpenSeam\Core\Picture\Shown;
use OpenSeam\Core\Sampler\Check\AlikeCheck;
use OpenSeam\Core\Sampler\Check\BandCheck;
use OpenSeam\Core\Sampler\Check\Check;
use OpenSeam\Core\Sampler\Check\EachCheck;
use OpenSeam\Core\Sampler\CheckSpec;
use OpenSeam\Core\Sampler\Field;
use OpenSeam\Core\Sampler\FieldKind;
use OpenSeam\Core\Sampler\Row;
use OpenSeam\Core\Tests\Support\Fixtures;
use OpenSeam\Core\Words;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/** What a lesson says a reading looks like is drawn at what its own checks call met, near and not yet. */
final class FieldLooksTest extends TestCase
{
    /** @return iterable<string, array{string, string, string}> lesson, row and reading */
    public static function seen(): iterable
    {
        foreach (Fixtures::bundle()->lessons as $lesson) {
            foreach ($lesson->sampler->rows as $row) {
                foreach ($row->fields as $field) {
                    if ($field->looks !== []) {
                        yield "$lesson->id $row->id $field->id" => [$lesson->id, $row->id, $field->id];
                    }
                }
            }
        }
    }

    /** @return array{Row, Field, list<RowLook>} */
    private static function looks(string $lesson, string $row, string $field): array
    {
        $of = Fixtures::bundle()->lessons[$lesson];
        $at = $of->sampler->rows[$row];
        $found = array_values(array_filter($at->fields, fn (Field $f): bool => $f->id === $field))[0];

        return [$at, $found, RowLooks::of($at, $found, Words::in(), new Shown($of->sampler, $of->folds))];
    }

    #[DataProvider('seen')]
    public function test_picture_and_verdict_agree(string $lesson, string $row, string $reading): void
    {
        [$at, $field, $looks] = self::looks($lesson, $row, $reading);
        $checks = array_values(array_filter($at->checks, fn (CheckSpec $c): bool => $c->of === $field->id));
        self::assertGreaterThan(1, count($looks), 'there is something to choose');
        self::assertSame(Verdict::Met, $looks[0]->verdict, 'the good one first');
        foreach ($looks as $look) {
            self::assertSame($look->verdict, RowLooks::judged($field, $look->values, $checks, Words::in()));
            self::assertCount($field->size(), $look->values);
            foreach ($look->values as $value) {
                self::assertGreaterThanOrEqual($field->min, $value);
                self::assertLessThanOrEqual($field->max, $value);
            }
            self::assertNotSame([], $look->picture->shapes);
        }
        // No two look the same: nobody could choose between them.
        self::assertCount(count($looks), array_unique(array_map(fn (RowLook $l): string => serialize($l->picture), $looks)));
    }

    public function test_everything_that_is_judged_can_be_tapped(): void
    {
        $all = 0;
        foreach (Fixtures::bundle()->lessons as $lesson) {
            foreach ($lesson->sampler->rows as $row) {
                foreach ($row->checks as $check) {
                    $field = array_values(array_filter($row->fields, fn (Field $f): bool => $f->id === $check->of))[0];
                    self::assertNotSame([], RowLooks::of($row, $field, Words::in(), new Shown($lesson->sampler, $lesson->folds)), "$lesson->id $row->id $field->id");
                    $all++;
                }
            }
        }
        self::assertGreaterThan(250, $all);
    }

    /** @return list<Shape> */
    private static function of(Picture $picture, string $role): array
    {
        return array_values(array_filter($picture->shapes, fn (Shape $s): bool => $s->role === $role));
    }

    public function test_a_distance_between_rows_is_as_wide_as_it_is_read(): void
    {
        foreach ([['square-spiral', 'spiral', 'lanes'], ['piping-and-tucks', 'tuck', 'apart']] as $of) {
            foreach (self::looks(...$of)[2] as $look) {
                $heights = array_values(array_unique(array_map(fn (Shape $s): string => sprintf('%.3f', $s->points[0][1]), self::of($look->picture, 'thread'))));
                self::assertCount(2, $heights);
                self::assertEqualsWithDelta($look->values[0], (float) $heights[1] - (float) $heights[0], 1e-3);
            }
        }
    }

    public function test_a_zigzag_is_as_wide_as_it_is_read(): void
    {
        $verdicts = [];
        foreach (self::looks('zigzag-ladder', 'average', 'width')[2] as $look) {
            $across = array_column(array_merge(...array_map(fn (Shape $s): array => $s->points, self::of($look->picture, 'thread'))), 1);
            self::assertEqualsWithDelta($look->values[0], max($across) - min($across), 1e-6);
            $verdicts[] = [$look->pattern, $look->verdict->value];
        }
        self::assertSame([['right', 'met'], ['less', 'not-yet'], ['less', 'near'], ['more', 'near'], ['more', 'not-yet']], $verdicts);
    }

    public function test_a_corner_is_as_far_past_its_mark_as_it_is_read(): void
    {
        foreach (self::looks('square-spiral', 'spiral', 'corners')[2] as $look) {
            $turns = self::of($look->picture, 'dark');
            $middle = fn (Shape $s): float => (max(array_column($s->points, 0)) + min(array_column($s->points, 0))) / 2;
            self::assertEqualsWithDelta($look->values[0], $middle($turns[0]), 1e-6);
        }
    }

    public function test_a_hem_row_lies_as_far_from_its_fold_as_it_is_read(): void
    {
        foreach (self::looks('double-hem', 'hem', 'distance')[2] as $look) {
            $edge = max(array_column(self::of($look->picture, 'cloth-face')[0]->points, 1) ?: [0.0]);
            self::assertEqualsWithDelta($look->values[0], $edge - self::of($look->picture, 'thread')[0]->points[0][1], 1e-6);
        }
    }

    /** The two sides of a hole, and how close their stitches lie. */
    public function test_a_buttonhole_is_as_long_and_as_close_as_it_is_read(): void
    {
        [, , $looks] = self::looks('buttonhole', 'first', 'sides');
        self::assertContains('unlike', array_map(fn (RowLook $l): string => $l->pattern, $looks));
        foreach ($looks as $look) {
            $thread = self::of($look->picture, 'thread')[0]->points;
            self::assertEqualsWithDelta(max($look->values), max(array_column($thread, 0)) - min(array_column($thread, 0)), 0.6, $look->pattern);
        }
        [, , $looks] = self::looks('buttonhole', 'sewn', 'density');
        $points = array_map(fn (RowLook $l): int => count(self::of($l->picture, 'thread')[0]->points), $looks);
        foreach (array_slice($points, 1) as $many) {
            self::assertLessThan($points[0], $many, 'a side with fewer points has fewer needle points');
        }
        foreach (self::looks('buttonhole', 'opened', 'opening')[2] as $look) {
            $cut = self::of($look->picture, 'cut-line')[0]->points;
            self::assertEqualsWithDelta($look->values[0], $cut[1][0] - $cut[0][0], 1e-6);
        }
    }

    public function test_what_is_measured_on_the_table_is_laid_to_scale_beside_its_marks(): void
    {
        foreach ([['gathers', 'row', 'quarters', 37.5], ['elastic', 'row', 'quarters', 50.0], ['three-alike', 'row', 'apart', 40.0]] as [$lesson, $row, $field, $aim]) {
            [, , $looks] = self::looks($lesson, $row, $field);
            self::assertContains('unlike', array_map(fn (RowLook $l): string => $l->pattern, $looks));
            foreach ($looks as $look) {
                $wide = array_map(fn (Shape $s): float => max(array_column($s->points, 0) ?: [0.0]) - min(array_column($s->points, 0) ?: [0.0]), self::of($look->picture, 'cloth-face'));
                self::assertEqualsWithDelta($look->values, $wide, 1e-6);
                $marks = array_map(fn (Shape $s): float => $s->points[0][0], self::of($look->picture, 'chalk'));
                self::assertEqualsWithDelta(array_map(fn (int $i): float => $i * $aim, range(0, count($wide))), $marks, 1e-6);
            }
        }
    }

    public function test_what_is_counted_is_drawn_so_often(): void
    {
        foreach (self::looks('blind-hem', 'hem', 'caught')[2] as $look) {
            self::assertCount((int) $look->values[0], self::of($look->picture, 'thread'));
            self::assertCount(10, self::of($look->picture, 'paper'), 'of ten');
        }
        foreach (self::looks('sew-a-button', 'two', 'stitches')[2] as $look) {
            self::assertCount((int) $look->values[0], self::of($look->picture, 'thread'));
        }
    }

    public function test_both_faces_of_a_row_are_shown(): void
    {
        [, $field, $looks] = self::looks('two-faces', 'corrected', 'faces');
        self::assertSame($field->options, array_map(fn (RowLook $l): string => $l->answer, $looks));
        foreach ($looks as $look) {
            self::assertNotSame([], self::of($look->picture, 'thread'), 'from above');
            self::assertNotSame([], self::of($look->picture, 'thread-under'), 'and from below');
        }
    }

    /** @param  list<array<string, mixed>>  $looks */
    private static function field(FieldKind $kind, array $looks, float $min = 0.0, float $max = 20.0, int $marks = 1): Field
    {
        return new Field('x', 'X', $kind, $min, $max, 0.5, array_fill(0, $marks, Fixtures::bundle()->lessons['guides']->sampler->rows['quarter']->fields[array_key_first(Fixtures::bundle()->lessons['guides']->sampler->rows['quarter']->fields)]->marks[0]), $kind === FieldKind::Choice ? ['good', 'fair', 'poor'] : [], looks: array_map(fn (array $l): Data => Data::of($l, 'looks[0]'), $looks));
    }

    /** @return list<CheckSpec> */
    private static function judgedBy(Check $check): array
    {
        $any = array_values(Fixtures::bundle()->lessons['guides']->sampler->rows['quarter']->checks)[0];

        return [new CheckSpec(...['check' => $check, 'of' => 'x'] + get_object_vars($any))];
    }

    /** @return iterable<string, array{Field, Check, list<array{string, string}>}> */
    public static function bands(): iterable
    {
        $row = fn (string $as): array => ['kind' => 'stitches', 'rows' => [['length_mm' => 2.5, 'bend' => [$as => ['reading' => [1]]]]]];
        yield 'the less the better' => [self::field(FieldKind::Length, [$row('wobble_mm')], 0, 8), new BandCheck(Tolerance::atMost(2, 4)), [['right', 'met'], ['more', 'near'], ['more', 'not-yet']]];
        yield 'enough, and never too much' => [self::field(FieldKind::Length, [['kind' => 'stitches', 'rows' => [['tail_mm' => ['reading' => [1]]]]]], 0, 200), new BandCheck(Tolerance::atLeast(40, 20)), [['right', 'met'], ['less', 'not-yet'], ['less', 'near']]];
        yield 'about a target, both ways' => [self::field(FieldKind::Lengths, [$row('offset_mm')], -20, 20, 3), new EachCheck(0, 1, 3), [['right', 'met'], ['less', 'not-yet'], ['less', 'near'], ['more', 'near'], ['more', 'not-yet']]];
        yield 'alike' => [self::field(FieldKind::Counts, [['kind' => 'buttonhole', 'points_in_10_mm' => ['reading' => [1, 0]], 'second_points_in_10_mm' => ['reading' => [0, 1]], 'usual' => 20]], 1, 50, 2), new AlikeCheck(15, 30), [['right', 'met'], ['unlike', 'near'], ['unlike', 'not-yet']]];
    }

    /** @param  list<array{string, string}>  $expected */
    #[DataProvider('bands')]
    public function test_a_look_on_every_side_where_it_can_be_wrong(Field $field, Check $check, array $expected): void
    {
        $looks = FieldLooks::of($field, self::judgedBy($check), new Shown, Words::in());
        self::assertSame($expected, array_map(fn (RowLook $l): array => [$l->pattern, $l->verdict->value], $looks));
    }

    public function test_far_more_than_can_be_drawn_is_left_out_and_what_is_right_never(): void
    {
        $gap = ['kind' => 'buttonhole', 'gap_mm' => ['reading' => [1]]];
        $looks = FieldLooks::of(self::field(FieldKind::Length, [$gap], 0, 10), self::judgedBy(new BandCheck(Tolerance::atMost(2, 3.5))), new Shown, Words::in());
        self::assertSame(['met', 'near'], array_map(fn (RowLook $l): string => $l->verdict->value, $looks));
        $this->expectExceptionObject(InputError::at('looks[0].gap_mm', 14, 'It must be from 0.2 to 3.8 mm.'));
        FieldLooks::of(self::field(FieldKind::Length, [$gap]), self::judgedBy(new BandCheck(Tolerance::atLeast(12, 9))), new Shown, Words::in());
    }

    public function test_as_many_pictures_as_answers(): void
    {
        $one = ['kind' => 'discs'];
        $looks = FieldLooks::of(self::field(FieldKind::YesNo, [$one], 0, 1), [], new Shown, Words::in());
        self::assertSame([], $looks, 'what nobody judges is not looked at');
        $this->expectException(InputError::class);
        $this->expectExceptionMessage('There are 3 answers: a picture for each.');
        FieldLooks::of(self::field(FieldKind::Choice, [$one, $one]), self::judgedBy(new BandCheck(Tolerance::atMost(1, 2))), new Shown, Words::in());
    }
}
