<?php

declare(strict_types=1);

namespace OpenSeam\Core\Sampler;

use OpenSeam\Core\Stitch\Path;
use OpenSeam\Core\Stitch\RowStitches;
use OpenSeam\Core\Stitch\StitchSettings;
use OpenSeam\Core\Stitch\StraightStitches;

/**
 * A sampler to scale: pieces laid side by side, rows as needle points, the
 * places where the ruler goes, and over them the row as it was measured. All in
 * mm from the top left corner of the drawing. Screens and prints draw only this.
 *
 * @phpstan-type Point array{float, float}
 */
final readonly class Drawing
{
    private const GAP_MM = 12.0;

    /**
     * @param  array<string, Piece>  $pieces
     * @param  array<string, Row>  $rows
     * @param  list<Line>  $lines
     * @param  array<string, float>  $left  where each piece begins
     */
    private function __construct(private array $pieces, private array $rows, private array $lines, private array $left) {}

    public static function of(Sampler $sampler): self
    {
        $left = [];
        $x = 0.0;
        foreach ($sampler->pieces as $piece) {
            $left[$piece->id] = $x;
            $x += $piece->widthMm + self::GAP_MM;
        }

        return new self($sampler->pieces, $sampler->rows, $sampler->lines, $left);
    }

    public function widthMm(): float
    {
        $width = 0.0;
        foreach ($this->pieces as $piece) {
            $width = max($width, $this->left[$piece->id] + $piece->widthMm);
        }

        return $width;
    }

    public function heightMm(): float
    {
        return array_reduce($this->pieces, fn (float $h, Piece $p): float => max($h, $p->heightMm), 0.0);
    }

    /** @return list<array{id: string, x: float, y: float, width: float, height: float, layers: int, label: string, material: string}> */
    public function pieces(): array
    {
        return array_values(array_map(fn (Piece $p): array => [
            'id' => $p->id, 'x' => $this->left[$p->id], 'y' => 0.0, 'width' => $p->widthMm, 'height' => $p->heightMm,
            'layers' => $p->layers, 'label' => $p->label, 'material' => $p->material,
        ], $this->pieces));
    }

    /**
     * Rows as they are meant to be sewn.
     *
     * @return list<array{id: string, title: string, guide: string, points: list<Point>, back: list<list<Point>>}>
     */
    public function rows(): array
    {
        $rows = [];
        foreach ($this->rows as $row) {
            if ($row->path === null) {
                continue;
            }
            $points = RowStitches::on($row->path, $row->stitch);
            $rows[] = [
                'id' => $row->id, 'title' => $row->title, 'guide' => $row->guide,
                'points' => $this->shift($row, $points),
                'back' => $row->backStitches === 0 ? [] : [
                    $this->shift($row, StraightStitches::backStitches($points, $row->backStitches)),
                    $this->shift($row, StraightStitches::backStitches(array_reverse($points), $row->backStitches)),
                ],
            ];
        }

        return $rows;
    }

    /**
     * Lines that are drawn but not sewn: folds, cuts, chalk marks.
     *
     * @return list<array{kind: string, from: Point, to: Point}>
     */
    public function lines(): array
    {
        return array_map(fn (Line $l): array => [
            'kind' => $l->kind, 'from' => [$l->from[0] + $this->left[$l->piece], $l->from[1]], 'to' => [$l->to[0] + $this->left[$l->piece], $l->to[1]],
        ], $this->lines);
    }

    /**
     * Where each reading is taken: a short line the ruler lies along.
     *
     * @return list<array{row: string, reading: string, mark: int, from: Point, to: Point}>
     */
    public function marks(): array
    {
        $marks = [];
        foreach ($this->rows as $row) {
            foreach ($row->fields as $field) {
                foreach ($field->marks as $i => $mark) {
                    $line = $this->markLine($row, $mark);
                    if ($line !== null) {
                        $marks[] = ['row' => $row->id, 'reading' => $field->id, 'mark' => $i, 'from' => $line[0], 'to' => $line[1]];
                    }
                }
            }
        }

        return $marks;
    }

    /**
     * Rows as they were measured, as needle points; only rows with enough readings.
     *
     * @return list<array{row: string, points: list<Point>}>
     */
    public function measured(Readings $readings): array
    {
        $rows = [];
        foreach ($this->rows as $row) {
            $path = null;
            $stitch = $row->stitch;
            foreach ($row->fields as $field) {
                $values = $readings->of($row, $field);
                if ($field->kind === FieldKind::Lengths) {
                    $path ??= $this->measuredPath($row, $field, $values);
                }
                if ($field->kind === FieldKind::Stitches && $values[0] !== null && ($values[1] ?? null) !== null) {
                    $stitch = StitchSettings::of($stitch->kind, min($stitch->kind->length->max, max($stitch->kind->length->min, $values[1] / $values[0])), $stitch->widthMm);
                    $path ??= $row->path;
                }
            }
            if ($path !== null) {
                $rows[] = ['row' => $row->id, 'points' => $this->shift($row, RowStitches::on($path, $stitch))];
            }
        }

        return $rows;
    }

    /** @param  list<float|null>  $values */
    private function measuredPath(Row $row, Field $field, array $values): ?Path
    {
        return $row->path === null || $row->piece === null ? null : $row->run?->sewn($field, $values, $row->path, $this->pieces[$row->piece]);
    }

    /** @return array{Point, Point}|null */
    private function markLine(Row $row, Mark $mark): ?array
    {
        $piece = $row->piece === null ? null : $this->pieces[$row->piece];
        if ($piece === null) {
            return null;
        }
        $line = $mark->from !== null && $mark->to !== null ? [$mark->from, $mark->to] : ($row->path === null ? null : $row->run?->ruler($mark, $row->path, $piece));

        return $line === null ? null : [$this->shift($row, [$line[0]])[0], $this->shift($row, [$line[1]])[0]];
    }

    /**
     * @param  list<Point>  $points
     * @return list<Point>
     */
    private function shift(Row $row, array $points): array
    {
        $left = $row->piece === null ? 0.0 : $this->left[$row->piece];

        return array_map(fn (array $p): array => [round($p[0] + $left, 3), round($p[1], 3)], $points);
    }
}
