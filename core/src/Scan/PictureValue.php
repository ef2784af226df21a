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

    /** By how much a row strays from the fold it is sewn beside: the largest distance less the smallest. */
    case Straying = 'straying';

    /** From the edge that a row begins at to its first stitch. */
    case Start = 'start';

    /** Of a buttonhole’s two sides over both bars. */
    case Sides = 'sides';

    /** Between the two sides of a buttonhole. */
    case Gap = 'gap';

    /** Whether cloth is seen between the stitches of satin: yes it is closed, no. */
    case Closed = 'closed';

    /** Whether it is seen between those of a buttonhole’s sides: not at all, a little, clearly. */
    case Shows = 'shows';

    /** Whether both bars of a buttonhole span both sides. */
    case Bars = 'bars';

    /** Points in 10 mm on each side of a buttonhole. */
    case Points = 'points';

    /** How many stitches were sewn back over its first ones. */
    case BackAtStart = 'back-at-start';

    /** How many were sewn back over its last ones. */
    case BackAtEnd = 'back-at-end';

    /** Lengths have an uncertainty, and a ruler reads them too; the others are seen or not, or counted. */
    public function isMeasured(): bool
    {
        return ! in_array($this, [self::Closed, self::Shows, self::Bars, self::Points, self::BackAtStart, self::BackAtEnd], true);
    }

    /** @return list<self> */
    public static function measured(): array
    {
        return array_values(array_filter(self::cases(), fn (self $v): bool => $v->isMeasured()));
    }

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
            $kind->generator === 'buttonhole' && $field->kind === FieldKind::Counts && count($field->marks) === 2 && self::draws($field, 'points_in_10_mm') && self::draws($field, 'second_points_in_10_mm') => self::Points,
            $kind->generator === 'buttonhole' && $field->kind === FieldKind::Length && self::draws($field, 'gap_mm') => self::Gap,
            $field->kind === FieldKind::Length && ! $kind->swings() && self::bendsBy($field, 'drift_mm') => self::Straying,
            ($zigzag && $field->kind === FieldKind::Length || $kind->dense && $kind->generator === 'pattern' && $at) && self::drawsAsWide($field) => self::Width,
            $field->kind === FieldKind::YesNo && $kind->plainZigzag && $kind->dense && self::opens($field) => self::Closed,
            $field->kind === FieldKind::Choice && $kind->generator === 'buttonhole' && self::thins($field) => self::Shows,
            $field->kind === FieldKind::YesNo && $kind->generator === 'buttonhole' && self::opensBars($field) => self::Bars,
            $field->kind === FieldKind::Count && $row->run?->allowanceMm() !== null && ! $kind->swings() && ($end = self::securedAt($field)) !== null => $end === 'start' ? self::BackAtStart : self::BackAtEnd,
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

    /** The row of its picture is bent by what is read. */
    private static function bendsBy(Field $field, string $bend): bool
    {
        foreach ($field->looks as $look) {
            foreach ($look->has('rows') ? $look->parts('rows') : [] as $drawn) {
                $by = $drawn->has('bend') ? $drawn->part('bend')->raw()[$bend] ?? null : null;
                if (is_array($by) && array_key_exists('reading', $by)) {
                    return true;
                }
            }
        }

        return false;
    }

    /** The one end that its picture secures with as many stitches as are read. */
    private static function securedAt(Field $field): ?string
    {
        foreach ($field->looks as $look) {
            foreach ($look->has('rows') ? $look->parts('rows') : [] as $drawn) {
                $bend = $drawn->has('bend') ? $drawn->part('bend') : null;
                if ($bend !== null && is_array($bend->raw()['secured'] ?? null) && in_array($bend->raw()['secured_at'] ?? '', ['start', 'end'], true)) {
                    return $bend->text('secured_at');
                }
            }
        }

        return null;
    }

    /** The stitches of its second picture lie further apart than those of its first. */
    private static function opens(Field $field): bool
    {
        $apart = array_map(fn ($look): float => $look->has('rows') ? ($look->parts('rows')[0] ?? null)?->number('length_mm', 0.0) ?? 0.0 : 0.0, $field->looks);

        return count($apart) === 2 && $apart[0] > 0.0 && $apart[1] > $apart[0];
    }

    /** The stitches of each of its three pictures lie further apart than those of the one before. */
    private static function thins(Field $field): bool
    {
        $apart = array_map(fn ($look): float => $look->number('stitch_mm', 0.0), $field->looks);

        return count($apart) === 3 && $apart[0] < $apart[1] && $apart[1] < $apart[2];
    }

    /** One of its pictures shows open bars; of a hole with another end its end is meant. */
    private static function opensBars(Field $field): bool
    {
        return array_filter($field->looks, fn ($look): bool => $look->flag('open_bars')) !== [] && array_filter($field->looks, fn ($look): bool => $look->has('stitch')) === [];
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
