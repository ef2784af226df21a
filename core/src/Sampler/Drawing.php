<?php

declare(strict_types=1);

namespace OpenSeam\Core\Sampler;

use OpenSeam\Core\Course\Drill;
use OpenSeam\Core\Course\Lesson;
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

    /** Half the length of the ruler mark drawn at a corner. */
    private const CORNER_MARK_MM = 4.0;

    /**
     * @param  array<string, Piece>  $pieces
     * @param  array<string, Row>  $rows
     * @param  list<Line>  $lines
     * @param  array<string, float>  $left  where each piece begins
     */
    private function __construct(private array $pieces, private array $rows, private array $lines, private array $left) {}

    /** Of a lesson, or of the short rows of a drill. */
    public static function of(Lesson|Drill $drawn): self
    {
        $left = [];
        $x = 0.0;
        foreach ($drawn->pieces as $piece) {
            $left[$piece->id] = $x;
            $x += $piece->widthMm + self::GAP_MM;
        }

        return new self($drawn->pieces, $drawn->rows, $drawn->lines, $left);
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
        if ($row->path === null) {
            return null;
        }
        if ($row->run === 'edge') {
            return $this->measuredSeam($row, $field, $values);
        }
        if ($row->run === 'square-spiral' && isset($field->marks[0]['corner'])) {
            return $this->measuredSpiral($row, $field, $values);
        }

        return null;
    }

    /** @param  list<float|null>  $values */
    private function measuredSeam(Row $row, Field $field, array $values): ?Path
    {
        $corners = [];
        foreach ($values as $i => $allowance) {
            if ($allowance !== null && is_numeric($field->marks[$i]['at_mm'] ?? null)) {
                $corners[] = [$this->across($row, $allowance), (float) $field->marks[$i]['at_mm']];
            }
        }
        if (count($corners) < 2 || $row->path === null) {
            return null;
        }
        // Beyond the outer marks the row runs on as it ran there.
        $planned = $row->path->corners;
        $first = [$corners[0][0], min($planned[0][1], $corners[0][1])];
        $end = $corners[count($corners) - 1];
        $last = [$end[0], max($planned[count($planned) - 1][1], $end[1])];

        return Path::through([$first, ...$corners, $last]);
    }

    /**
     * A corner error is how far past the corner (+) or short of it (−) the row turned.
     *
     * @param  list<float|null>  $values
     */
    private function measuredSpiral(Row $row, Field $field, array $values): ?Path
    {
        if ($row->path === null || array_filter($values, fn (?float $v): bool => $v !== null) === []) {
            return null;
        }
        $planned = $row->path->corners;
        $sewn = $planned;
        foreach ($values as $i => $error) {
            $corner = $field->marks[$i]['corner'] ?? null;
            if ($error === null || ! is_int($corner) || ! isset($planned[$corner + 1])) {
                continue;
            }
            [$before, $here] = [$planned[$corner - 1], $planned[$corner]];
            $length = Path::distance($before, $here);
            $dx = ($here[0] - $before[0]) / $length * $error;
            $dy = ($here[1] - $before[1]) / $length * $error;
            // The turn moves along the side it ends, and takes the next side with it.
            $sewn[$corner] = [$sewn[$corner][0] + $dx, $sewn[$corner][1] + $dy];
            $sewn[$corner + 1] = [$sewn[$corner + 1][0] + $dx, $sewn[$corner + 1][1] + $dy];
        }

        return Path::through($sewn);
    }

    /**
     * @param  array<string, mixed>  $mark
     * @return array{Point, Point}|null
     */
    private function markLine(Row $row, array $mark): ?array
    {
        $piece = $row->piece === null ? null : $this->pieces[$row->piece];
        if ($piece === null) {
            return null;
        }
        $line = null;
        if (is_array($mark['from'] ?? null) && is_array($mark['to'] ?? null)) {
            $line = [self::point($mark['from']), self::point($mark['to'])];
        } elseif ($row->path === null) {
            return null;
        } elseif (is_numeric($mark['at_mm'] ?? null) && $row->run === 'edge') {
            $y = (float) $mark['at_mm'];
            $line = [[$this->across($row, $row->distanceMm), $y], [$row->edge === 'left' ? 0.0 : $piece->widthMm, $y]];
        } elseif (is_numeric($mark['at_mm'] ?? null)) {
            // Along any other path: the ruler lies across the row.
            [[[$x, $y], [$dx, $dy]]] = $row->path->places([(float) $mark['at_mm']]);
            $line = [[$x + $dy * self::CORNER_MARK_MM, $y - $dx * self::CORNER_MARK_MM], [$x - $dy * self::CORNER_MARK_MM, $y + $dx * self::CORNER_MARK_MM]];
        } elseif (is_int($mark['corner'] ?? null) && isset($row->path->corners[$mark['corner']])) {
            [$x, $y] = $row->path->corners[$mark['corner']];
            $line = [[$x - self::CORNER_MARK_MM, $y], [$x + self::CORNER_MARK_MM, $y]];
        }

        return $line === null ? null : [$this->shift($row, [$line[0]])[0], $this->shift($row, [$line[1]])[0]];
    }

    /** @param  array<array-key, mixed>  $pair
     * @return Point */
    private static function point(array $pair): array
    {
        return [is_numeric($pair[0] ?? null) ? (float) $pair[0] : 0.0, is_numeric($pair[1] ?? null) ? (float) $pair[1] : 0.0];
    }

    /** The place an allowance reaches to, from the left of the row's own piece. */
    private function across(Row $row, float $allowance): float
    {
        $width = $row->piece === null ? 0.0 : $this->pieces[$row->piece]->widthMm;

        return $row->edge === 'left' ? $allowance : $width - $allowance;
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
