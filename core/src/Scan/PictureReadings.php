<?php

declare(strict_types=1);

namespace OpenSeam\Core\Scan;

use OpenSeam\Core\InputError;
use OpenSeam\Core\Measure\Length;
use OpenSeam\Core\Measure\Unit;
use OpenSeam\Core\Sampler\Field;
use OpenSeam\Core\Sampler\FieldKind;
use OpenSeam\Core\Sampler\Mark;
use OpenSeam\Core\Sampler\Row;

/** What was measured on a picture, as the readings that a row asks for. */
final readonly class PictureReadings
{
    /** Readings within this of a mark, along the row, are taken together, mm. */
    private const ROUND_A_MARK_MM = 2.0;

    /**
     * @param  list<array{float, float}>  $marks  place along the row and distance to the edge there, mm, in order; the first is where the row starts
     * @param  float|null  $stitchMm  length of a stitch; null where it is not known
     * @param  float  $rowMm  how much of the row was measured, mm
     * @return array<string, list<float|null>> by reading; null at marks beyond the picture
     *
     * @throws InputError when the row asks for nothing that a picture can give, or too little was measured
     */
    public static function of(Row $row, array $marks, ?float $stitchMm, float $rowMm): array
    {
        $start = $row->path === null ? 0.0 : $row->path->corners[0][1];
        $from = $marks[0][0] ?? 0.0;
        $seam = array_map(fn (array $m): array => [$m[0] - $from + $start, $m[1]], $marks);
        [$readings, $asked] = [[], []];
        foreach ($row->fields as $field) {
            if (self::isAllowance($row, $field)) {
                $asked[] = $field->label;
                $values = array_map(fn (Mark $mark): ?float => self::at($seam, $mark->atMm ?? 0.0), $field->marks);
                array_filter($values, fn (?float $v): bool => $v !== null) === [] || $readings[$field->id] = $values;
            }
            if ($field->kind === FieldKind::Stitches) {
                $asked[] = $field->label;
                $stitches = $stitchMm === null ? 0 : (int) round($rowMm / $stitchMm);
                $stitches < 1 || $readings[$field->id] = [(float) $stitches, round($stitches * (float) $stitchMm, 2)];
            }
        }
        if (! self::canRead($row)) {
            throw InputError::at('row', $row->id, "“{$row->title}” asks for no distance to an edge and no counted stitches, so a picture gives it nothing.");
        }

        return $readings === [] ? throw InputError::at('marks', count($marks), 'Too little was measured for: '.implode(', ', $asked).'.') : $readings;
    }

    /** Whether the row has a reading that a picture can give. */
    public static function canRead(Row $row): bool
    {
        return array_filter($row->fields, fn (Field $f): bool => self::isAllowance($row, $f) || $f->kind === FieldKind::Stitches) !== [];
    }

    private static function isAllowance(Row $row, Field $field): bool
    {
        return PictureValue::askedBy($row, $field) === PictureValue::Allowance;
    }

    /** @param  list<array{float, float}>  $seam */
    private static function at(array $seam, float $place): ?float
    {
        $near = array_column(array_filter($seam, fn (array $m): bool => abs($m[0] - $place) <= self::ROUND_A_MARK_MM), 1);
        if ($near !== []) {
            return array_sum($near) / count($near);
        }
        foreach (array_slice($seam, 1) as $i => [$to, $far]) {
            [$from, $value] = $seam[$i];
            if ($from <= $place && $to >= $place) {
                return $value + ($far - $value) * ($place - $from) / ($to - $from);
            }
        }

        return null;
    }

    /**
     * As it is typed: lengths to a hundredth of a millimetre, or to a thousandth of an inch, each with the limit
     * of the picture beside it; a length without one as a ruler would read it.
     *
     * @param  list<float|null>  $values
     * @param  float|null  $stitchU  standard uncertainty of the length of a stitch, mm
     * @param  float|null  $edgeU  standard uncertainty of a distance to the edge, mm
     * @return list<string>
     */
    public static function typed(Field $field, array $values, Unit $unit, ?float $stitchU = null, ?float $edgeU = null): array
    {
        // A stretch of n stitches is n times as unsure as one of them.
        $u = $field->kind === FieldKind::Stitches ? ($stitchU === null ? null : $stitchU * ($values[0] ?? 1.0)) : $edgeU;

        return self::typedEach($field, $values, array_map(fn (?float $v): ?float => $u, $values), $unit);
    }

    /**
     * Each value with an uncertainty of its own.
     *
     * @param  list<float|null>  $values
     * @param  list<float|null>  $u  standard uncertainty of each, mm; of stitches that of the length they were counted over
     * @return list<string>
     */
    public static function typedEach(Field $field, array $values, array $u, Unit $unit): array
    {
        return array_map(fn (int $i, ?float $v): string => match (true) {
            $v === null => '',
            ($field->kind === FieldKind::Stitches && $i === 0) || in_array($field->kind, [FieldKind::YesNo, FieldKind::Choice, FieldKind::Count, FieldKind::Counts], true) => (string) (int) $v,
            default => self::length($v, $u[$i] ?? null, $unit),
        }, array_keys($values), $values);
    }

    private static function length(float $mm, ?float $u, Unit $unit): string
    {
        if ($u === null || $u <= 0.0) {
            return $unit === Unit::Inch ? sprintf('%.3f', Length::mm($mm)->inInches()) : sprintf('%.1f', $mm);
        }
        // Readings are kept with the half-width of a rectangular distribution: √3 of its standard uncertainty (JCGM 100:2008, 4.3.7).
        $limit = $u * sqrt(3.0);

        return $unit === Unit::Inch
            ? sprintf('%.4f ±%.4f', Length::mm($mm)->inInches(), max(0.0005, Length::mm($limit)->inInches()))
            : sprintf('%.2f ±%.2f', $mm, max(0.01, $limit));
    }
}
