<?php

declare(strict_types=1);

namespace OpenSeam\Core\Picture;

use OpenSeam\Core\Data;
use OpenSeam\Core\InputError;
use OpenSeam\Core\Measure\Verdict;
use OpenSeam\Core\Near;
use OpenSeam\Core\Sampler\CheckSpec;
use OpenSeam\Core\Sampler\Field;
use OpenSeam\Core\Sampler\FieldKind;
use OpenSeam\Core\Sampler\Row;
use OpenSeam\Core\Words;

/**
 * What a row looks like when it is met, near and not yet: pictures of rows bent by
 * measured amounts, each with the readings that a ruler would give. Whoever has no
 * ruler taps the one that looks like theirs; it is taken as read by eye. The
 * amounts come from the row's own checks, so that picture and verdict agree.
 */
final class RowLooks
{
    private const STEP_MM = 0.25;

    private const FURTHEST_MM = 10.0;

    /** Read exactly: the picture is what it is. */
    private const EXACT_MM = 0.01;

    private const PICTURE_MM = 60.0;

    /** An edge's way is seen at so many marks. */
    private const LEAST_MARKS = 3;

    /** Stitches that are counted. */
    private const COUNTED = 10;

    /** An eye tells lengths this much less closely than what they are read with: 1.5 mm where a ruler tells half a millimetre. Ours to start from, nobody has measured it. */
    public const BY_EYE_TIMES = 3.0;

    /** What an eye tells of the length that ten stitches take, ± mm: ours to start from. */
    public const SPAN_BY_EYE_MM = 3.0;

    /** @var array<string, array{int, string}> pattern: its sign, and which bend it is */
    private const PATTERNS = ['wide' => [1, 'offset_mm'], 'narrow' => [-1, 'offset_mm'], 'drifts-out' => [1, 'drift_mm'], 'drifts-in' => [-1, 'drift_mm'], 'wanders' => [1, 'wobble_mm']];

    /**
     * @return list<RowLook> the good one first; none for a reading that is answered by looking anyway
     *
     * @throws InputError for a picture of the lesson's own that cannot be drawn
     */
    public static function of(Row $row, Field $field, Words $words, Shown $shown = new Shown): array
    {
        $checks = array_values(array_filter($row->checks, fn (CheckSpec $c): bool => $c->of === $field->id));
        if ($field->looks !== []) {
            return FieldLooks::of($field, $checks, $shown, $words);
        }
        if ($field->kind === FieldKind::Stitches && $checks !== [] && $row->stitch->kind->generator === 'pattern') {
            return self::lengths($row, $field, $checks, $words);
        }
        $base = $row->run?->allowanceMm();
        if ($field->kind !== FieldKind::Lengths || $field->size() < self::LEAST_MARKS || $base === null || $checks === []) {
            return [];
        }
        $looks = [new RowLook('even', Verdict::Met, self::values($field, $base, 'offset_mm', 0.0), self::picture($row, $base, []))];
        foreach (self::PATTERNS as $pattern => [$sign, $bend]) {
            foreach (self::amounts($field, $base, $bend, $sign, $checks, $words) as [$verdict, $amount]) {
                $looks[] = new RowLook($pattern, $verdict, self::values($field, $base, $bend, $sign * $amount), self::picture($row, $base, [$bend => $bend === 'wobble_mm' ? $amount : -$sign * $amount]));
            }
        }

        // What does not even meet its own checks when it is even has other ways of being read.
        return self::judged($field, $looks[0]->values, $checks, $words) === Verdict::Met ? $looks : [];
    }

    /** Whether a reading may have looks at all; whether it has is told by of(). */
    public static function mayBeSeen(Field $field): bool
    {
        return $field->looks !== [] || $field->kind === FieldKind::Stitches || ($field->kind === FieldKind::Lengths && $field->size() >= self::LEAST_MARKS);
    }

    /** @return float|null what an eye leaves open of a value of the reading, ± mm; null of what is counted or answered */
    public static function byEyeMm(Field $field, int $value): ?float
    {
        return match ($field->kind) {
            FieldKind::Stitches => $value === 0 ? null : self::SPAN_BY_EYE_MM,
            FieldKind::Length, FieldKind::Lengths => self::BY_EYE_TIMES * $field->limitMm,
            default => null,
        };
    }

    /**
     * Stitches that are too long or too short: as many as are counted, over the length that so many take.
     *
     * @param  non-empty-list<CheckSpec>  $checks
     * @return list<RowLook>
     */
    private static function lengths(Row $row, Field $field, array $checks, Words $words): array
    {
        $set = $row->stitch->lengthMm;
        // Points on one side of a zigzag are two strokes apart.
        $values = fn (float $length): array => [(float) self::COUNTED, round(self::COUNTED * $length * ($field->oneSide ? 2 : 1), 2)];
        $looks = [new RowLook('even', Verdict::Met, $values($set), self::picture($row, null, []))];
        foreach (['longer' => 1, 'shorter' => -1] as $pattern => $sign) {
            $found = ['near' => [], 'not-yet' => []];
            for ($by = 0.05; $by <= 1.0; $by += 0.05) {
                $length = $set * (1 + $sign * $by);
                $verdict = $row->stitch->kind->length->holds($length) ? self::judged($field, $values($length), $checks, $words) : null;
                $verdict === null || ! isset($found[$verdict->value]) || $found[$verdict->value][] = $length;
            }
            foreach ([[Verdict::Near, $found['near'][intdiv(count($found['near']), 2)] ?? null], [Verdict::NotYet, $found['not-yet'][min(2, max(0, count($found['not-yet']) - 1))] ?? null]] as [$verdict, $length]) {
                $length === null || $looks[] = new RowLook($pattern, $verdict, $values($length), self::picture($row, null, [], $length));
            }
        }

        return self::judged($field, $looks[0]->values, $checks, $words) === Verdict::Met ? $looks : [];
    }

    /**
     * Amounts in the middle of near, and a little into not yet.
     *
     * @param  list<CheckSpec>  $checks
     * @return list<array{Verdict, float}>
     */
    private static function amounts(Field $field, float $base, string $bend, int $sign, array $checks, Words $words): array
    {
        $found = ['near' => [], 'not-yet' => []];
        for ($amount = self::STEP_MM; $amount <= self::FURTHEST_MM + Near::DUST; $amount += self::STEP_MM) {
            $values = self::values($field, $base, $bend, $sign * $amount);
            $verdict = min($values) <= 0.0 ? null : self::judged($field, $values, $checks, $words);
            $verdict === null || ! isset($found[$verdict->value]) || $found[$verdict->value][] = $amount;
        }
        $amounts = [];
        $found['near'] === [] || $amounts[] = [Verdict::Near, $found['near'][intdiv(count($found['near']), 2)]];
        // A little further than the limit, where it is plain to the eye.
        $found['not-yet'] === [] || $amounts[] = [Verdict::NotYet, $found['not-yet'][min(3, count($found['not-yet']) - 1)]];

        return $amounts;
    }

    /**
     * @param  non-empty-list<float>  $values
     * @param  list<CheckSpec>  $checks
     */
    public static function judged(Field $field, array $values, array $checks, Words $words): ?Verdict
    {
        $worst = null;
        foreach ($checks as $spec) {
            $verdict = $spec->check->judge($field->within(self::EXACT_MM), $values, $words)?->judgement->verdict;
            $worst = $verdict === null ? $worst : ($worst?->worse($verdict) ?? $verdict);
        }

        return $worst;
    }

    /** @return non-empty-list<float> at each mark, mm */
    private static function values(Field $field, float $base, string $bend, float $amount): array
    {
        $last = max(1, $field->size() - 1);
        $values = array_map(fn (int $i): float => round($base + match ($bend) {
            'drift_mm' => $amount * ($i / $last),
            'wobble_mm' => $amount * ($i % 2 === 0 ? 1 : -1),
            default => $amount,
        }, 2), range(0, $last));

        return $values;
    }

    /** @param  array<string, float>  $bend */
    private static function picture(Row $row, ?float $base, array $bend, ?float $length = null): Picture
    {
        $stitch = $row->stitch;

        return (new PictureBook)->draw(Data::of(['kind' => 'stitches', 'long_mm' => $base === null ? self::PICTURE_MM / 2 : self::PICTURE_MM, ...($base === null ? [] : ['edge_mm' => min(60.0, $base)]), 'bare' => true, 'rows' => [[
            'stitch' => $stitch->kind->generator === 'pattern' ? $stitch->kind->id : 'straight', 'length_mm' => $length ?? $stitch->lengthMm, ...($stitch->kind->swings() ? ['width_mm' => $stitch->widthMm] : []), 'bend' => $bend,
        ]]]), new Shown);
    }
}
