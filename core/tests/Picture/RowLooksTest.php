<?php

declare(strict_types=1);

namespace OpenSeam\Core\Tests\Picture;

use OpenSeam\Core\Measure\Verdict;
use OpenSeam\Core\Picture\RowLook;
use OpenSeam\Core\Picture\RowLooks;
use OpenSeam\Core\Picture\Shape;
use OpenSeam\Core\Sampler\CheckSpec;
use OpenSeam\Core\Sampler\Field;
use OpenSeam\Core\Sampler\FieldKind;
use OpenSeam\Core\Sampler\Row;
use OpenSeam\Core\Tests\Support\Fixtures;
use OpenSeam\Core\Words;
use PHPUnit\Framework\TestCase;

/** The picture that is tapped and the verdict that follows come from the same numbers. */
final class RowLooksTest extends TestCase
{
    /** @return iterable<array{Row, Field, list<RowLook>}> */
    private static function all(): iterable
    {
        foreach (Fixtures::bundle()->lessons as $lesson) {
            foreach ($lesson->sampler->rows as $row) {
                foreach ($row->fields as $field) {
                    $looks = $field->looks === [] ? RowLooks::of($row, $field, Words::in()) : [];
                    if ($looks !== []) {
                        yield [$row, $field, $looks];
                    }
                }
            }
        }
    }

    public function test_picture_and_verdict_agree(): void
    {
        $verdicts = [];
        foreach (self::all() as [$row, $field, $looks]) {
            $checks = array_values(array_filter($row->checks, fn (CheckSpec $c): bool => $c->of === $field->id));
            self::assertSame([Verdict::Met, 'even'], [$looks[0]->verdict, $looks[0]->pattern]);
            foreach ($looks as $look) {
                self::assertSame($look->verdict, RowLooks::judged($field, $look->values, $checks, Words::in()), "$row->title $look->pattern");
                $verdicts[$look->verdict->value] = ($verdicts[$look->verdict->value] ?? 0) + 1;
            }
        }
        self::assertGreaterThan(4, $verdicts['met'] ?? 0);
        self::assertGreaterThan(10, $verdicts['near'] ?? 0);
        self::assertGreaterThan(10, $verdicts['not-yet'] ?? 0);
    }

    /** What a ruler reads on the picture: from each end of the row to the cloth's edge. */
    public function test_the_picture_measures_what_it_says(): void
    {
        $measured = 0;
        foreach (self::all() as [$row, $field, $looks]) {
            foreach ($looks as $look) {
                if ($field->kind === FieldKind::Stitches || $look->pattern === 'wanders' || $row->stitch->kind->swings()) {
                    continue;
                }
                [$cloth] = array_values(array_filter($look->picture->shapes, fn (Shape $s): bool => $s->role === 'cloth-face'));
                $edge = max(array_column($cloth->points, 1) ?: [0.0]);
                $threads = array_values(array_filter($look->picture->shapes, fn (Shape $s): bool => $s->role === 'thread'));
                $first = $threads[0]->points[0];
                $last = $threads[count($threads) - 1]->points;
                $end = $last[count($last) - 1];
                // The first stitch begins a tenth into its hole.
                self::assertEqualsWithDelta($look->values[0], $edge - $first[1], 0.1, "$row->title $look->pattern");
                self::assertEqualsWithDelta($look->values[count($look->values) - 1], $edge - $end[1], 0.3, "$row->title $look->pattern");
                $measured++;
            }
        }
        self::assertGreaterThan(30, $measured);
    }

    /** Ten stitches on the picture are as long as the reading says. */
    public function test_counted_stitches_are_as_long_as_they_are_drawn(): void
    {
        $counted = 0;
        foreach (self::all() as [$row, $field, $looks]) {
            if ($field->kind !== FieldKind::Stitches || $row->stitch->kind->swings()) {
                continue;
            }
            foreach ($looks as $look) {
                $threads = array_values(array_filter($look->picture->shapes, fn (Shape $s): bool => $s->role === 'thread'));
                if (count($threads) > 7) {
                    // Each begins a tenth into its stitch: from one to the next is a stitch.
                    self::assertEqualsWithDelta($look->values[1] / $look->values[0] * 7, $threads[7]->points[0][0] - $threads[0]->points[0][0], 0.01);
                    $counted++;
                }
            }
        }
        self::assertGreaterThan(5, $counted);
    }

    public function test_what_nobody_judges_has_none(): void
    {
        $rows = Fixtures::bundle()->lessons['square-spiral']->sampler->rows;
        [$field] = array_values(array_filter($rows['spiral']->fields, fn (Field $f): bool => $f->id === 'foot-edge'));
        self::assertSame([], RowLooks::of($rows['spiral'], $field, Words::in()));
        self::assertFalse(RowLooks::mayBeSeen($field));
    }
}
