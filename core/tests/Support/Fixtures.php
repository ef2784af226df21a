<?php

declare(strict_types=1);

namespace OpenSeam\Core\Tests\Support;

use DateTimeImmutable;
use OpenSeam\Core\Course\Lesson;
use OpenSeam\Core\Curriculum\Bundle;
use OpenSeam\Core\Curriculum\BundleFiles;
use OpenSeam\Core\Curriculum\BundleReader;
use OpenSeam\Core\Grading\Grader;
use OpenSeam\Core\NextLesson\Ladder;
use OpenSeam\Core\NextLesson\Option;
use OpenSeam\Core\NextLesson\PastSample;
use OpenSeam\Core\NextLesson\Policy;
use OpenSeam\Core\Sampler\Field;
use OpenSeam\Core\Sampler\FieldKind;
use OpenSeam\Core\Sampler\Readings;
use OpenSeam\Core\Sampler\Row;
use OpenSeam\Core\Skill\School;
use OpenSeam\Core\Words;

/** The shipped bundle and samples sewn for it. */
final class Fixtures
{
    private static ?Bundle $bundle = null;

    public static function folder(): string
    {
        return dirname(__DIR__, 3).'/curriculum/beginner-machine';
    }

    public static function bundle(): Bundle
    {
        return self::$bundle ??= BundleReader::read(BundleFiles::read(self::folder()));
    }

    /** @return list<string> */
    public static function order(): array
    {
        return self::bundle()->courses['first-steps']['lessons'];
    }

    public static function ladder(Policy $policy = Policy::Gate, School $school = School::Tracing): Ladder
    {
        return new Ladder(self::bundle()->skills, Option::all(self::bundle()->lessons), self::order(), Words::in(), $policy, $school);
    }

    /**
     * Readings that meet every check.
     *
     * @return array<string, list<float|null>>
     */
    public static function good(Lesson $lesson): array
    {
        $values = [];
        foreach ($lesson->sampler->rows as $row) {
            foreach ($row->fields as $field) {
                $values["{$row->id}.{$field->id}"] = self::goodValues($lesson, $row, $field);
            }
        }

        return $values;
    }

    /** @return list<float|null> the middle of what the reading's own check calls met */
    private static function goodValues(Lesson $lesson, Row $row, Field $field): array
    {
        if ($field->kind === FieldKind::Stitches) {
            return [20.0, ($field->oneSide ? 40 : 20) * $row->stitch->lengthMm];
        }
        if ($field->kind === FieldKind::YesNo || $field->kind === FieldKind::Choice) {
            return [$field->kind === FieldKind::YesNo ? 1.0 : 0.0];
        }
        if ($field->kind === FieldKind::Counts) {
            return array_fill(0, $field->size(), 20.0);
        }
        $good = null;
        foreach (self::raw($lesson->id, $row->id) as $check) {
            if (($check['target_of'] ?? null) === $field->id) {
                $good ??= $check['target_mm'] ?? 0.0;
            }
            if ($check['of'] === $field->id) {
                $met = is_array($check['met'] ?? null) ? $check['met'] : [];
                $low = $met['from'] ?? null;
                $high = $met['to'] ?? null;
                $good ??= match (true) {
                    $check['kind'] === 'band' => $low === null ? max($field->min, $high - ($field->kind === FieldKind::Count ? 0 : 1)) : ($high === null ? min($field->max, $low + ($field->kind === FieldKind::Count ? 0 : 1)) : floor(($low + $high) / 2 * 10) / 10),
                    default => $check['target_mm'] ?? 0.0,
                };
            }
        }
        // A few readings carry two bands, nearest and furthest: the first decides here.
        $value = (float) ($field->kind === FieldKind::Count ? round((float) ($good ?? 0)) : ($good ?? 0));

        return array_fill(0, $field->size(), $value);
    }

    /** @return list<array<string, mixed>> the checks of a row as the bundle's file has them */
    public static function raw(string $lesson, string $row): array
    {
        static $checks = null;
        if ($checks === null) {
            $checks = [];
            foreach ((array) BundleFiles::read(self::folder())['lessons'] as $l) {
                foreach ($l['sampler']['rows'] as $r) {
                    $checks[$l['id']][$r['id']] = $r['checks'];
                }
            }
        }

        return $checks[$lesson][$row];
    }

    /**
     * A kept sample of a lesson: good, but for what is given.
     *
     * @param  array<string, list<float|null>>  $but
     * @param  list<string>  $faults
     */
    public static function sample(string $lesson, array $but = [], array $faults = [], string $at = '2030-05-02 19:00', ?string $id = null, ?string $drill = null): PastSample
    {
        static $count = 0;
        $found = self::bundle()->lesson($lesson);
        $grade = (new Grader(self::bundle()->skills, self::bundle()->faults, Words::in()))->grade($found, Readings::kept(array_merge(self::good($found), $but)), $faults, [], $drill);

        return PastSample::graded($id ?? 'sample-'.++$count, $lesson, new DateTimeImmutable($at.' UTC'), $grade, Words::in());
    }

    /**
     * Good samples of all lessons of the course before this one.
     *
     * @return list<PastSample>
     */
    public static function upTo(string $lesson, string $at = '2030-05-02 19:00'): array
    {
        $before = array_slice(self::order(), 0, (int) array_search($lesson, self::order(), true));

        return array_map(fn (string $id): PastSample => self::sample($id, at: $at), $before);
    }
}
