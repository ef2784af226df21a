<?php

declare(strict_types=1);

namespace OpenSeam\Core\Curriculum;

use OpenSeam\Core\Data;
use OpenSeam\Core\InputError;
use OpenSeam\Core\Stitch\StitchBook;
use OpenSeam\Core\Stitch\StitchKind;
use OpenSeam\Core\Tables;

/**
 * A new row for a sampler, one foot edge from the last, with the readings and
 * checks that its kind of stitch is usually looked at for. Table:
 * resources/row-starters.json.
 */
final class RowStarter
{
    /** The edge of a standard foot from its needle; common practice, no source. */
    public const FOOT_EDGE_MM = 7.0;

    /** A first row, and the ends of every row, keep off the cloth's edge. */
    private const MARGIN_MM = 8.0;

    /**
     * @param  array<string, mixed>  $lesson  as in a bundle
     * @return array<string, mixed> the row, as in a bundle
     *
     * @throws InputError when the piece or stitch is not known, or there is no room left
     */
    public static function row(array $lesson, string $piece, string $stitch): array
    {
        $data = Data::of($lesson);
        $pieces = BundleReader::pieces($data->part('sampler'));
        $on = $pieces[$piece] ?? throw InputError::at('piece', $piece, 'This must be the id of a piece of the sampler: '.implode(', ', array_keys($pieces)).'.');
        $kind = StitchBook::standard()->get($stitch);
        $starter = self::starter($kind);
        $long = $starter->numberOrNull('long_mm');
        $path = $long === null ? self::alongEdge($data, $piece, $on->widthMm, $on->heightMm) : self::inTheMiddle($on->widthMm, $on->heightMm, $long);
        $shows = $data->texts('teaches');
        $about = ['distance' => is_numeric($path['distance_mm'] ?? null) ? (float) $path['distance_mm'] : 0.0, 'width' => $kind->width->usual, 'length' => $kind->length->usual, 'nothing' => 0.0];
        $title = $kind->title.($long === null ? sprintf(' at %g mm', $about['distance']) : '');

        return [
            'id' => self::freeId($data, $kind->id), 'title' => $title, 'piece' => $piece, 'path' => $path,
            'stitch' => $kind->id, 'stitch_mm' => $kind->length->usual, ...($kind->swings() ? ['width_mm' => $kind->width->usual] : []),
            'guide' => $long === null ? sprintf('%g', $about['distance']) : '',
            'readings' => array_map(fn (Data $r): array => self::reading($r, $starter->whole('marks', 0), $path), $starter->parts('readings')),
            'checks' => array_map(fn (Data $c): array => self::check($c, $about, $shows), $starter->parts('checks')),
        ];
    }

    private static function starter(StitchKind $kind): Data
    {
        $id = match (true) {
            $kind->generator !== 'pattern' => $kind->generator,
            $kind->dense => 'dense',
            $kind->swings() => 'swing',
            default => 'straight',
        };
        foreach (Tables::read('row-starters')->parts('starters') as $starter) {
            if ($starter->text('id') === $id) {
                return $starter;
            }
        }
        throw InputError::at('stitch', $kind->id, 'There is no start for this kind of stitch.');
    }

    /** @return array<string, mixed> */
    private static function alongEdge(Data $lesson, string $piece, float $width, float $height): array
    {
        $edge = 'left';
        $furthest = null;
        foreach ($lesson->part('sampler')->parts('rows') as $row) {
            $path = $row->part('path');
            if ($row->has('piece') && $row->text('piece') === $piece && $path->has('run') && $path->text('run') === 'edge') {
                $edge = $path->text('edge', 'left');
                $furthest = max($furthest ?? 0.0, $path->number('distance_mm'));
            }
        }
        $distance = $furthest === null ? min(15.0, $width / 2) : $furthest + self::FOOT_EDGE_MM;
        if ($distance > $width - self::MARGIN_MM / 2) {
            throw InputError::at('piece', $piece, sprintf('There is no room for another row one foot edge (%g mm) further in: the piece is %g mm wide. Make it wider, or move a row.', self::FOOT_EDGE_MM, $width));
        }
        $margin = min(self::MARGIN_MM, $height / 4);

        return ['run' => 'edge', 'edge' => $edge, 'distance_mm' => round($distance, 2), 'from_mm' => $margin, 'to_mm' => $height - $margin];
    }

    /** @return array<string, mixed> */
    private static function inTheMiddle(float $width, float $height, float $long): array
    {
        $long = min($long, $height - 2);

        return ['run' => 'line', 'through' => [[$width / 2, ($height - $long) / 2], [$width / 2, ($height + $long) / 2]]];
    }

    /**
     * @param  array<string, mixed>  $path
     * @return array<string, mixed>
     */
    private static function reading(Data $reading, int $marks, array $path): array
    {
        $raw = $reading->raw();
        if ($raw['kind'] === 'lengths') {
            [$from, $to] = [is_numeric($path['from_mm'] ?? null) ? (float) $path['from_mm'] : 0.0, is_numeric($path['to_mm'] ?? null) ? (float) $path['to_mm'] : 0.0];
            $raw['marks'] = self::marks($from, $to, $marks);
        }

        /** @var array<string, mixed> $raw */
        return $raw;
    }

    /**
     * Evenly along a row, the outer ones a little in from its ends.
     *
     * @return list<array{at_mm: float}>
     */
    public static function marks(float $from, float $to, int $count): array
    {
        return array_map(fn (int $i): array => ['at_mm' => round($from + ($to - $from) * ($i + 0.5) / $count, 1)], range(0, $count - 1));
    }

    /**
     * @param  array<string, float>  $about
     * @param  list<string>  $shows
     * @return array<string, mixed>
     */
    private static function check(Data $check, array $about, array $shows): array
    {
        $raw = $check->raw();
        $target = $about[$check->text('about', 'nothing')] ?? 0.0;
        if ($check->has('met_by')) {
            $raw['met'] = ['from' => round($target - $check->number('met_by'), 3), 'to' => round($target + $check->number('met_by'), 3)];
            $raw['near'] = ['from' => round($target - $check->number('near_by'), 3), 'to' => round($target + $check->number('near_by'), 3)];
        } elseif ($check->has('about')) {
            $raw['target_mm'] = $target;
        }
        unset($raw['about'], $raw['met_by'], $raw['near_by']);

        /** @var array<string, mixed> $raw */
        return $raw + ['shows' => $shows, 'source' => 'common practice, no source'];
    }

    private static function freeId(Data $lesson, string $stitch): string
    {
        $taken = array_map(fn (Data $r): string => $r->text('id'), $lesson->part('sampler')->parts('rows'));
        for ($n = 1, $id = $stitch; in_array($id, $taken, true); $id = "$stitch-$n") {
            $n++;
        }

        return $id;
    }
}
