<?php

declare(strict_types=1);

namespace OpenSeam\Core\Scan;

use OpenSeam\Core\Sampler\Field;
use OpenSeam\Core\Sampler\FieldKind;
use OpenSeam\Core\Sampler\Mark;
use OpenSeam\Core\Sampler\Row;

/** What a picture tells of a row. */
enum PictureValue: string
{
    /** How far the row is from its edge, at each mark. */
    case Allowance = 'allowance';

    /** Of one stitch, or of one stroke of a zigzag. */
    case Length = 'length';

    /** Of a zigzag, from point to point across; of satin, of all of it. */
    case Width = 'width';

    /** From one row to the next, and how far a corner is past its mark. */
    case Spacing = 'spacing';

    /** From the edge that a row begins at to its first stitch. */
    case Start = 'start';

    /** Of a buttonhole’s two sides over both bars. */
    case Sides = 'sides';

    /** Between the two sides of a buttonhole. */
    case Gap = 'gap';

    /** What of it a reading asks for, by what is read and by what its own picture shows of it; null: a picture does not tell that. */
    public static function askedBy(Row $row, Field $field): ?self
    {
        $kind = $row->stitch->kind;
        $zigzag = $kind->plainZigzag && ! $kind->dense;
        $lengths = $field->kind === FieldKind::Lengths;
        $at = $lengths && ($field->marks[0] ?? null)?->atMm !== null;

        return match (true) {
            $field->kind === FieldKind::Stitches => self::Length,
            $field->kind === FieldKind::Length && $row->run?->allowanceMm() !== null && ! $kind->swings() && self::draws($field, 'start_mm') => self::Start,
            $kind->generator === 'buttonhole' && $at && count($field->marks) === 2 && self::draws($field, 'sewn_mm') && self::draws($field, 'overrun_mm') => self::Sides,
            $kind->generator === 'buttonhole' && $field->kind === FieldKind::Length && self::draws($field, 'gap_mm') => self::Gap,
            ($zigzag && $field->kind === FieldKind::Length || $kind->dense && $kind->generator === 'pattern' && $at) && self::drawsAsWide($field) => self::Width,
            // One with a picture of its own is of something else: a ribbon, a tuck. Of what swings nobody says whether its middle or its points are meant.
            $at && $field->looks === [] && $row->run?->allowanceMm() !== null && ! $kind->swings() => self::Allowance,
            $lengths && $field->marks !== [] && array_filter($field->marks, fn (Mark $m): bool => $m->corner === null && ($m->from === null || $m->to === null)) === [] => self::Spacing,
            default => null,
        };
    }

    /** Its picture is drawn with what is read in that place. */
    private static function draws(Field $field, string $place): bool
    {
        return array_filter($field->looks, fn ($look): bool => is_array($look->raw()[$place] ?? null) && array_key_exists('reading', $look->raw()[$place])) !== [];
    }

    /** Its picture is drawn as wide as what is read. */
    private static function drawsAsWide(Field $field): bool
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
