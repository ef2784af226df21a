<?php

declare(strict_types=1);

namespace OpenSeam\Core\Scan;

use OpenSeam\Core\Measure\Reading;
use OpenSeam\Core\Sampler\Field;
use OpenSeam\Core\Sampler\Piece;
use OpenSeam\Core\Sampler\Row;
use OpenSeam\Core\Sampler\Sampler;

/**
 * A lesson's sampler laid over a piece in a picture: it knows where each row should be and what is read of it. Straight rows
 * and zigzags that run along an edge or level with one, from one row to the next, corners of a spiral, satin, and the sides
 * of a buttonhole are read; everything else is left to the ruler.
 */
final readonly class SamplerScan
{
    /** A piece is cut, sewn and pressed: so much smaller or larger than it was planned, mm, or as a part of it. */
    private const OFF_MM = 8.0;

    private const OFF = 0.1;

    /** @param  list<ScannedRow>  $rows */
    private function __construct(public ?FoundPiece $piece, public array $rows, public ?CannotRead $cannot) {}

    /** @param  string  $pieceId  of the sampler: the one in the picture */
    public static function read(LaidFlat|CannotRead $picture, Sampler $sampler, string $pieceId, CameraTrust $trust = new CameraTrust): self
    {
        $planned = $sampler->asItLies($pieceId);
        $piece = FoundPiece::in($picture);
        if ($piece instanceof CannotRead) {
            return new self(null, [], $piece);
        }
        if (! self::isAsPlanned($piece, $planned)) {
            return new self($piece, [], CannotRead::OtherPiece);
        }
        $stretches = ReadStretches::of($piece, $sampler, $planned);
        $found = array_map(fn (Row $r): ScannedRow => self::row($stretches, $sampler, $planned, $r, $trust), self::asked($sampler, $planned));
        if (self::noneIsRead($stretches) && array_filter($found, fn (ScannedRow $r): bool => $r->cannot === null) === []) {
            $turned = ReadStretches::of($piece, $sampler, $planned, true)->read;
            if ($turned !== [] && array_filter($turned, fn (ReadRow $r): bool => $r->cannot !== null) === []) {
                return new self($piece, [], CannotRead::UpsideDown);
            }
        }

        return new self($piece, $found, null);
    }

    /** @return list<string> pieces of it that a picture tells something of */
    public static function pieces(Sampler $sampler): array
    {
        return array_values(array_filter(array_keys($sampler->pieces), fn (string $id): bool => self::asked($sampler, $sampler->asItLies((string) $id)) !== []));
    }

    /** @return list<Row> of a piece, those that a picture tells something of */
    private static function asked(Sampler $sampler, Piece $piece): array
    {
        return array_values(array_filter($sampler->rows, fn (Row $r): bool => $r->piece === $piece->id && array_filter($r->fields, fn (Field $f): bool => ReadStretches::tells($sampler, $piece, $r, $f)) !== []));
    }

    private static function noneIsRead(ReadStretches $stretches): bool
    {
        return $stretches->read !== [] && array_filter($stretches->read, fn (ReadRow $r): bool => $r->cannot === null) === [];
    }

    private static function row(ReadStretches $stretches, Sampler $sampler, Piece $piece, Row $row, CameraTrust $trust): ScannedRow
    {
        $readings = [];
        foreach ($row->fields as $field) {
            $what = PictureValue::askedBy($row, $field);
            $values = $what !== null && ReadStretches::tells($sampler, $piece, $row, $field) ? $stretches->field($row, $field) : [];
            // The studio’s own word on its camera.
            array_filter($values) === [] || $readings[$field->id] = array_map(fn (?Reading $r): ?Reading => $r === null || $what === null ? $r : $trust->of($r, $what), $values);
        }

        return new ScannedRow($row->id, $row->title, $readings, $readings === [] ? $stretches->cannot($row) : null, $stretches->seen($row), $stretches->skipped($row), $stretches->uneven($row));
    }

    private static function isAsPlanned(FoundPiece $found, Piece $planned): bool
    {
        $near = fn (float $is, float $should): bool => abs($is - $should) <= max(self::OFF_MM, self::OFF * $should);

        return $near($found->widthMm(), $planned->widthMm) && $near($found->heightMm(), $planned->heightMm);
    }
}
