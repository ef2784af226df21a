<?php

declare(strict_types=1);

namespace OpenSeam\Core\Scan;

use OpenSeam\Core\Measure\Reading;
use OpenSeam\Core\Sampler\Field;
use OpenSeam\Core\Sampler\Mark;
use OpenSeam\Core\Sampler\Piece;
use OpenSeam\Core\Sampler\Row;
use OpenSeam\Core\Sampler\Sampler;
use OpenSeam\Core\Stitch\StitchKind;

/**
 * A lesson's sampler laid over a piece in a picture: it knows where each row should be and what is read of it. Straight rows
 * and zigzags that run along an edge, or level with one, are read; others are left to the ruler.
 */
final readonly class SamplerScan
{
    /** A piece is cut, sewn and pressed: so much smaller or larger than it was planned, mm, or as a part of it. */
    private const OFF_MM = 8.0;

    private const OFF = 0.1;

    /** Rows side by side are looked for so far apart at most: as a part of the way to the next one. */
    private const HALF = 0.5;

    /** A row may be sewn so far beside where it should be, mm, where nothing lies near it. */
    private const ASTRAY_MM = 6.0;

    /** At its ends it is started, turned back and tied: not read, mm. */
    private const ENDS_MM = 1.0;

    /** @param  list<ScannedRow>  $rows */
    private function __construct(public ?FoundPiece $piece, public array $rows, public ?CannotRead $cannot) {}

    /** @param  string  $pieceId  of the sampler: the one in the picture */
    public static function read(LaidFlat|CannotRead $picture, Sampler $sampler, string $pieceId, CameraTrust $trust = new CameraTrust): self
    {
        $planned = $sampler->pieces[$pieceId];
        $piece = FoundPiece::in($picture);
        if ($piece instanceof CannotRead) {
            return new self(null, [], $piece);
        }
        if (! self::isAsPlanned($piece, $planned)) {
            return new self($piece, [], CannotRead::OtherPiece);
        }
        $asked = array_values(array_filter($sampler->rows, fn (Row $r): bool => $r->piece === $pieceId && self::canRead($r, $planned)));
        $found = array_map(fn (Row $r): ScannedRow => self::row($piece, $r, $planned, $sampler, false, $trust), $asked);
        $isRead = fn (ScannedRow $r): bool => $r->cannot === null;
        if ($found !== [] && array_filter($found, $isRead) === []) {
            $turned = array_map(fn (Row $r): ScannedRow => self::row($piece, $r, $planned, $sampler, true, $trust), $asked);
            if (count(array_filter($turned, $isRead)) === count($turned)) {
                return new self($piece, [], CannotRead::UpsideDown);
            }
        }

        return new self($piece, $found, null);
    }

    /** @return list<string> pieces of it that a picture tells something of */
    public static function pieces(Sampler $sampler): array
    {
        return array_values(array_filter(array_keys($sampler->pieces), fn (string $id): bool => array_filter($sampler->rows, fn (Row $r): bool => $r->piece === $id && self::canRead($r, $sampler->pieces[$id])) !== []));
    }

    private static function canRead(Row $row, Piece $piece): bool
    {
        return (self::isZigzag($row) || self::isStraight($row->stitch->kind)) && self::lies($row, $piece) !== null
            && array_filter($row->fields, fn (Field $f): bool => PictureValue::askedBy($row, $f) !== null) !== [];
    }

    private static function isZigzag(Row $row): bool
    {
        return $row->stitch->kind->plainZigzag && ! $row->stitch->kind->dense;
    }

    /** Stitch after stitch forward and nothing else. */
    private static function isStraight(StitchKind $kind): bool
    {
        return $kind->generator === 'pattern' && array_filter($kind->strokes, fn (array $stroke): bool => $stroke[0] <= 0.0 || $stroke[1] !== 0.0) === [];
    }

    /**
     * The edge it is measured from, how far from it, and from where to where along it.
     *
     * @return array{string, float, float, float}|null null: it runs otherwise
     */
    private static function lies(Row $row, Piece $piece): ?array
    {
        $corners = $row->path === null || $row->path->smooth ? [] : $row->path->corners;
        if (count($corners) !== 2) {
            return null;
        }
        [[$ax, $ay], [$bx, $by]] = $corners;
        $edge = $row->run?->allowanceMm();

        return match (true) {
            abs($ax - $bx) < 0.5 => [($edge !== null ? abs($piece->widthMm - $ax - $edge) < 0.01 : $ax > $piece->widthMm / 2) ? 'right' : 'left', $ax, min($ay, $by), max($ay, $by)],
            abs($ay - $by) < 0.5 => [$ay > $piece->heightMm / 2 ? 'bottom' : 'top', $ay, min($ax, $bx), max($ax, $bx)],
            default => null,
        };
    }

    private static function row(FoundPiece $found, Row $row, Piece $piece, Sampler $sampler, bool $turned, CameraTrust $trust): ScannedRow
    {
        $lies = self::lies($row, $piece);
        if ($lies === null) {
            return new ScannedRow($row->id, $row->title, [], CannotRead::NoRow, []);
        }
        [$side, $at, $from, $to] = $lies;
        $about = match ($side) {
            'right' => $piece->widthMm - $at, 'bottom' => $piece->heightMm - $at, default => $at
        };
        $marks = self::marks($row);
        $long = $found->long($side);
        if ($turned) {
            $side = ['left' => 'right', 'right' => 'left', 'top' => 'bottom', 'bottom' => 'top'][$side];
            [$from, $to, $marks] = [$long - $to, $long - $from, array_map(fn (float $m): float => $long - $m, $marks)];
        }
        $read = ReadRow::find($found, $side, $about, self::isZigzag($row), $marks, self::reach($row, $at, $side, $piece, $sampler), [$from + self::ENDS_MM, $to - self::ENDS_MM]);
        // Turned round it is only told that it lies so.
        if ($turned) {
            return new ScannedRow($row->id, $row->title, [], $read->cannot, []);
        }
        $readings = [];
        foreach ($row->fields as $field) {
            $what = PictureValue::askedBy($row, $field);
            $values = $read->cannot !== null ? [] : match ($what) {
                PictureValue::Allowance => self::atMarks($field, $read),
                PictureValue::Width => [$read->width],
                PictureValue::Length => self::counted($field, $read->length, $to - $from - 2 * self::ENDS_MM),
                default => [],
            };
            // The studio’s own word on its camera.
            array_filter($values) === [] || $readings[$field->id] = array_map(fn (?Reading $r): ?Reading => $r === null || $what === null ? $r : $trust->of($r, $what), $values);
        }

        return new ScannedRow($row->id, $row->title, $readings, $read->cannot ?? ($readings === [] ? CannotRead::NoRow : null), array_map(fn (array $a): array => $found->place($side, $a[0], $a[1]->value), $read->allowance));
    }

    /** @return list<float> along the edge, mm; without any of its own a row is drawn by five */
    private static function marks(Row $row): array
    {
        $marks = [];
        foreach ($row->fields as $field) {
            if (PictureValue::askedBy($row, $field) === PictureValue::Allowance) {
                array_push($marks, ...array_map(fn (Mark $m): float => $m->atMm ?? 0.0, $field->marks));
            }
        }

        return $marks;
    }

    /** @return list<Reading|null> */
    private static function atMarks(Field $field, ReadRow $read): array
    {
        return array_map(function (Mark $mark) use ($read): ?Reading {
            foreach ($read->allowance as [$at, $mm]) {
                if (abs($at - ($mark->atMm ?? -1.0)) < 0.01) {
                    return $mm;
                }
            }

            return null;
        }, $field->marks);
    }

    /** @return list<Reading|null> as many as there are over the row, and how long they are together */
    private static function counted(Field $field, ?Reading $length, float $rowMm): array
    {
        $each = $length === null ? 0.0 : $length->value * ($field->oneSide ? 2 : 1);
        $n = $each <= 0.0 ? 0 : (int) min($field->max, floor($rowMm / $each));

        return $length === null || $n < 1 ? [] : [Reading::exact((float) $n), Reading::of($n * $each, $n * $length->u * ($field->oneSide ? 2 : 1))];
    }

    /** So far that it does not meet the row beside it. */
    private static function reach(Row $row, float $at, string $side, Piece $piece, Sampler $sampler): float
    {
        $reach = self::ASTRAY_MM + $row->stitch->widthMm / 2;
        foreach ($sampler->rows as $other) {
            $lies = $other->id === $row->id || $other->piece !== $piece->id ? null : self::lies($other, $piece);
            $isUpright = fn (string $s): bool => $s === 'left' || $s === 'right';
            if ($lies !== null && $isUpright($lies[0]) === $isUpright($side) && abs($lies[1] - $at) > 1.0) {
                // Between the outer sides of both.
                $reach = min($reach, $row->stitch->widthMm / 2 + self::HALF * (abs($lies[1] - $at) - ($row->stitch->widthMm + $other->stitch->widthMm) / 2));
            }
        }

        return max(1.6, $reach);
    }

    private static function isAsPlanned(FoundPiece $found, Piece $planned): bool
    {
        $near = fn (float $is, float $should): bool => abs($is - $should) <= max(self::OFF_MM, self::OFF * $should);

        return $near($found->widthMm(), $planned->widthMm) && $near($found->heightMm(), $planned->heightMm);
    }
}
