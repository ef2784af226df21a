<?php

declare(strict_types=1);

namespace OpenSeam\Core\Scan;

use OpenSeam\Core\Sampler\Field;
use OpenSeam\Core\Sampler\FieldKind;
use OpenSeam\Core\Sampler\Row;

/** What a picture tells of a row. */
enum PictureValue: string
{
    /** How far the row is from its edge, at each mark. */
    case Allowance = 'allowance';

    /** Of one stitch, or of one stroke of a zigzag. */
    case Length = 'length';

    /** Of a zigzag, from point to point across. */
    case Width = 'width';

    /** What of it a reading asks for; null: a picture does not tell that. */
    public static function askedBy(Row $row, Field $field): ?self
    {
        return match (true) {
            $field->kind === FieldKind::Stitches => self::Length,
            $field->kind === FieldKind::Lengths && $row->run?->allowanceMm() !== null && ($field->marks[0] ?? null)?->atMm !== null => self::Allowance,
            $field->kind === FieldKind::Length && $row->stitch->kind->plainZigzag && ! $row->stitch->kind->dense && self::isDrawnAsWide($field) => self::Width,
            default => null,
        };
    }

    /** Its picture is drawn as wide as what is read. */
    private static function isDrawnAsWide(Field $field): bool
    {
        foreach ($field->looks as $look) {
            foreach ($look->has('rows') ? $look->parts('rows') : [] as $drawn) {
                if (is_array($drawn->raw()['width_mm'] ?? null) && array_key_exists('reading', $drawn->raw()['width_mm'])) {
                    return true;
                }
            }
        }

        return false;
    }
}
