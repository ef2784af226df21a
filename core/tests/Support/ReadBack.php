<?php

declare(strict_types=1);

namespace OpenSeam\Core\Tests\Support;

use OpenSeam\Core\Course\Lesson;
use OpenSeam\Core\Grading\Grader;
use OpenSeam\Core\InputError;
use OpenSeam\Core\Measure\Unit;
use OpenSeam\Core\Measure\Verdict;
use OpenSeam\Core\Sampler\Field;
use OpenSeam\Core\Sampler\FieldKind;
use OpenSeam\Core\Sampler\Readings;
use OpenSeam\Core\Sampler\Row;
use OpenSeam\Core\Tests\Support\Worlds\Dice;
use OpenSeam\Core\Words;

/**
 * Rows that are known to the hair, read with a ruler that is laid a little off and rounded to its marks, and
 * judged: how often what is not met is called met, and how often nothing can be said. Rows are sewn about the
 * target with a spread of nine tenths of what is met: a class that is learning it. Where a closer reading is
 * asked for, it is made.
 */
final class ReadBack
{
    /** How far the ruler is laid off at most, mm. */
    private const LAID = 0.25;

    private const LAID_MAGNIFIER = 0.05;

    /**
     * @param  float  $step  of the ruler, mm; a sixteenth of an inch where the unit is inches
     * @return array<string, array{n: int, false: int, unsure: int, still: int}> by "lesson row.check": rows, called met and not, too close to call, and after the closer reading
     */
    public static function all(Unit $unit, float $step, int $rows, int $seed = 1): array
    {
        $dice = new Dice($seed);
        $found = [];
        foreach (Fixtures::bundle()->lessons as $lesson) {
            foreach ($lesson->sampler->rows as $row) {
                foreach (self::checks($lesson->id, $row->id) as $check) {
                    $field = $row->fields[is_string($check['of'] ?? null) ? $check['of'] : ''] ?? null;
                    if ($field !== null && in_array($field->kind, [FieldKind::Length, FieldKind::Lengths], true) && $check['kind'] !== 'spread') {
                        $found["{$lesson->id} {$row->id}.{$check['id']}"] = self::one($lesson, $row, $field, $check, $unit, $step, $rows, $dice);
                    }
                }
            }
        }

        return $found;
    }

    /**
     * @param  array<string, mixed>  $check  as in the bundle's file
     * @return array{n: int, false: int, unsure: int, still: int}
     */
    private static function one(Lesson $lesson, Row $row, Field $field, array $check, Unit $unit, float $step, int $rows, Dice $dice): array
    {
        [$target, $met, $isMet] = self::wanted($check);
        $count = ['n' => 0, 'false' => 0, 'unsure' => 0, 'still' => 0];
        for ($i = 0; $i < $rows; $i++) {
            $base = $target + $dice->normal() * 0.9 * $met;
            $true = array_map(fn (): float => max($field->min, $field->size() > 1 ? $base + $dice->normal() * 0.25 * $met : $base), range(1, $field->size()));
            $key = "{$row->id}.{$check['id']}";
            $judge = fn (float $by, Unit $in, string $as): array => self::judge($lesson, "{$row->id}.{$field->id}", $key, array_map(fn (float $v): string => self::typed($v, $by, $in, $as, $dice), $true), $unit);
            $magnified = $field->limitMm < 0.5;
            $read = $magnified ? $judge(0.1, Unit::Millimetre, '%.1f mm') : $judge($step, $unit, $step < 1 ? '%.1f' : '%.0f');
            if ($read === []) {
                continue;
            }
            [$verdict, $again] = $read;
            $count['n']++;
            $count['unsure'] += $verdict === Verdict::Unsure ? 1 : 0;
            if ($verdict === Verdict::Unsure) {
                $closer = match (true) {
                    str_contains($again, 'magnifier') => $judge(0.1, Unit::Millimetre, '%.1f mm ±0.1'),
                    str_contains($again, 'half a millimetre'), str_contains($again, 'thirty-second') => $judge(0.5, Unit::Millimetre, '%.1f mm ±0.5'),
                    default => $read,
                };
                $verdict = $closer[0] ?? $verdict;
            }
            $count['still'] += $verdict === Verdict::Unsure ? 1 : 0;
            $is = match ($check['kind']) {
                'mean' => $isMet(array_sum($true) / count($true)),
                'each' => array_filter($true, fn (float $v): bool => ! $isMet($v)) === [],
                default => $isMet($true[0]),
            };
            $count['false'] += $verdict === Verdict::Met && ! $is ? 1 : 0;
        }

        return $count;
    }

    private static function typed(float $mm, float $step, Unit $unit, string $as, Dice $dice): string
    {
        $laid = $mm + ($dice->draw() - 0.5) * 2 * ($step < 0.5 ? self::LAID_MAGNIFIER : self::LAID);

        return $unit === Unit::Inch ? ($laid < 0 ? '-' : '').abs((int) round($laid / (25.4 / 16))).'/16' : sprintf($as, round($laid / $step) * $step);
    }

    /**
     * @param  list<string>  $typed
     * @return array{}|array{Verdict|null, string} nothing where it cannot be typed
     */
    private static function judge(Lesson $lesson, string $reading, string $check, array $typed, Unit $unit): array
    {
        try {
            $grade = (new Grader(Fixtures::bundle()->skills, Fixtures::bundle()->faults, Words::in($unit)))->grade($lesson, Readings::typed($lesson->sampler, [$reading => $typed], $unit));
        } catch (InputError) {
            return [];
        }
        foreach ($grade->checks as $graded) {
            if ($graded->key() === $check) {
                return [$graded->verdict(), (string) $graded->result?->again];
            }
        }

        return [];
    }

    /**
     * @param  array<string, mixed>  $check
     * @return array{float, float, callable(float): bool} the middle of what is met, half its width, and whether a length is
     */
    private static function wanted(array $check): array
    {
        if ($check['kind'] !== 'band') {
            [$target, $met] = [self::number($check['target_mm'] ?? 0.0), self::number($check['met_mm'] ?? 0.0)];

            return [$target, $met, fn (float $v): bool => abs($v - $target) <= $met + 1e-9];
        }
        $of = fn (string $band, string $side): ?float => is_array($check[$band] ?? null) && is_numeric($check[$band][$side] ?? null) ? (float) $check[$band][$side] : null;
        [$low, $high] = [$of('met', 'from'), $of('met', 'to')];
        $isMet = fn (float $v): bool => ($low === null || $v >= $low - 1e-9) && ($high === null || $v <= $high + 1e-9);
        if ($low !== null && $high !== null) {
            return [($low + $high) / 2, ($high - $low) / 2, $isMet];
        }
        // One side only: as far inside it as near lies outside.
        $half = max(0.5, abs(($high ?? $low ?? 0.0) - ($of('near', $high === null ? 'from' : 'to') ?? 0.0)));

        return [$high === null ? ($low ?? 0.0) + $half : $high - $half, $half, $isMet];
    }

    private static function number(mixed $of): float
    {
        return is_numeric($of) ? (float) $of : 0.0;
    }

    /** @return list<array<string, mixed>> */
    private static function checks(string $lesson, string $row): array
    {
        return Fixtures::raw($lesson, $row);
    }
}
