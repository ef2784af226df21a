<?php

declare(strict_types=1);

namespace OpenSeam\Core\Compute\Calculators;

use OpenSeam\Core\Compute\Calculator;
use OpenSeam\Core\Compute\Schema;
use OpenSeam\Core\Data;
use OpenSeam\Core\InputError;
use OpenSeam\Core\Measure\Reading;
use OpenSeam\Core\Scan\CannotRead;
use OpenSeam\Core\Scan\CardView;
use OpenSeam\Core\Scan\FoundPiece;
use OpenSeam\Core\Scan\GreyImage;
use OpenSeam\Core\Scan\GreyPng;
use OpenSeam\Core\Scan\Raster;
use OpenSeam\Core\Scan\ReadRow;
use OpenSeam\Core\Scan\Sampled;
use OpenSeam\Core\ValueRefused;

/** A whole piece of cloth in a picture: its size, and what its rows of stitching measure. */
final class ReadPicture implements Calculator
{
    private const SIDES = ['left', 'right', 'top', 'bottom'];

    private const STITCHES = ['straight', 'zigzag'];

    private const INCH_MM = 25.4;

    /** Of the picture in base64: twelve million pixels of three bytes, and to spare. */
    private const LONGEST = 52_000_000;

    public function name(): string
    {
        return 'read-picture';
    }

    public function summary(): string
    {
        return 'A sewn piece in a scan: its size, and of each row the allowance at its marks, stitch length and zigzag width; or why it cannot be told.';
    }

    public function schema(): array
    {
        return Schema::object([
            'picture' => Schema::text('base64 of a PNG, a JPEG, or a binary PGM or PPM; the whole piece lies in it, on a lid or card that differs from it', self::LONGEST),
            'scale' => Schema::object(['kind' => Schema::oneOf('dpi: a flat scan; card: the printed card lies in the picture', ['dpi', 'card']), 'dpi' => Schema::number('pixels an inch', 50, 2400), 'line_mm' => Schema::number('what the printed card’s line of 100 mm measures by a ruler', 90, 110)], ['dpi', 'line_mm']),
            'rows' => Schema::list('to be read', Schema::object([
                'id' => Schema::text('told with what was read', 60), 'stitch' => Schema::oneOf('as it was sewn', self::STITCHES), 'edge' => Schema::oneOf('as the picture lies, or the card is read', self::SIDES),
                'about_mm' => Schema::number('from that edge', 1, 1000),
                'marks_mm' => Schema::list('along the row, from above or from the left; five, evenly, where left out', Schema::number('mm', 0, 2000), 1, 50),
            ], ['marks_mm']), 0, 20),
        ]);
    }

    public function answer(): array
    {
        $none = fn (array $schema): array => ['anyOf' => [['type' => 'null'], $schema]];
        $reading = $none(Schema::object(['mm' => Schema::number('value'), 'u_mm' => Schema::number('standard uncertainty')]));
        $why = $none(Schema::oneOf('why it cannot be told', array_column(CannotRead::cases(), 'value')));

        return Schema::object([
            'piece' => $none(Schema::object([
                'width_mm' => Schema::number('upper and lower edge, their mean'), 'height_mm' => Schema::number('left and right edge, their mean'),
                'corners' => Schema::list('mm from the upper left corner of the picture, or of the card’s field; the piece’s own from the upper left clockwise', ['type' => 'array', 'items' => ['type' => 'number'], 'minItems' => 2, 'maxItems' => 2], 4, 4),
            ])),
            'rows' => Schema::list('as they were asked for', Schema::object([
                'id' => Schema::text('as given'),
                'allowance' => Schema::list('at each mark where it can be told', Schema::object(['at_mm' => Schema::number('along the row'), 'mm' => Schema::number('to the edge'), 'u_mm' => Schema::number('standard uncertainty')])),
                'length' => $reading + ['description' => 'of a stitch; of a zigzag, along the row for each stroke'], 'width' => $reading + ['description' => 'of a zigzag'], 'cannot' => $why,
            ])),
            'cannot' => $why,
        ]);
    }

    public function example(): array
    {
        return ['picture' => self::drawn(), 'scale' => ['kind' => 'dpi', 'dpi' => 150], 'rows' => [['id' => 'seam', 'stitch' => 'straight', 'edge' => 'right', 'about_mm' => 10, 'marks_mm' => [10, 20, 30]]]];
    }

    public function run(Data $in): array
    {
        $scale = $in->part('scale');
        $card = $scale->text('kind') === 'card';
        $card || $scale->has('dpi') || throw InputError::at('scale.dpi', null, 'This must be given with the kind “dpi”: pixels an inch, 50 to 2400.');
        $file = base64_decode($in->text('picture'), true);
        $file !== false || throw InputError::at('picture', null, 'This must be base64.');
        try {
            $raster = Raster::read($file);
        } catch (ValueRefused $e) {
            throw InputError::at('picture', null, $e->getMessage());
        }
        unset($file);
        $flat = $card ? CardView::of($raster, $scale->numberOrNull('line_mm')) : new Sampled($raster, self::INCH_MM / $scale->number('dpi'));
        $piece = FoundPiece::in($flat);
        if ($piece instanceof CannotRead) {
            return ['piece' => null, 'rows' => array_map(fn (Data $r): array => self::row($r, ReadRow::cannot($piece)), $in->parts('rows')), 'cannot' => $piece->value];
        }

        return [
            'piece' => ['width_mm' => $piece->widthMm(), 'height_mm' => $piece->heightMm(), 'corners' => $piece->corners],
            'rows' => array_map(fn (Data $r): array => self::row($r, ReadRow::find($piece, $r->text('edge'), $r->number('about_mm'), $r->text('stitch') === 'zigzag', $r->has('marks_mm') ? array_map(floatval(...), $r->numbers('marks_mm')) : [])), $in->parts('rows')),
            'cannot' => null,
        ];
    }

    /** @return array{id: string, allowance: list<array{at_mm: float, mm: float, u_mm: float}>, length: array{mm: float, u_mm: float}|null, width: array{mm: float, u_mm: float}|null, cannot: string|null} */
    private static function row(Data $asked, ReadRow $row): array
    {
        $said = fn (?Reading $r): ?array => $r === null ? null : ['mm' => $r->value, 'u_mm' => $r->u];

        return [
            'id' => $asked->text('id'), 'allowance' => array_map(fn (array $a): array => ['at_mm' => $a[0], 'mm' => $a[1]->value, 'u_mm' => $a[1]->u], $row->allowance),
            'length' => $said($row->length), 'width' => $said($row->width), 'cannot' => $row->cannot?->value,
        ];
    }

    /** A small scan, drawn as plainly as can be: 30 × 40 mm of pale cloth on a dark lid, stitches of 2.5 mm 10 mm from its right edge. */
    private static function drawn(): string
    {
        $px = fn (float $mm): int => (int) round($mm * 150 / self::INCH_MM);
        $rows = [];
        for ($y = 0; $y < $px(52); $y++) {
            $on = $y >= $px(6) && $y < $px(46);
            $row = str_repeat(chr(40 + ($y * 7) % 3), $px(6)).str_repeat(chr($on ? 222 + ($y * 5) % 3 : 40), $px(30)).str_repeat(chr(41), $px(6));
            $along = fmod(($y - $px(6)) / 150 * self::INCH_MM, 2.5);
            $rows[] = $on && $along > 0.4 && $along < 2.1 ? substr_replace($row, str_repeat(chr(60), 2), $px(26), 2) : $row;
        }

        return base64_encode(GreyPng::of(new GreyImage(strlen($rows[0]), count($rows), 150.0, implode('', $rows))));
    }
}
