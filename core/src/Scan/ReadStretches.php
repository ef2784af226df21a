<?php

declare(strict_types=1);

namespace OpenSeam\Core\Scan;

use OpenSeam\Core\Measure\Reading;
use OpenSeam\Core\Sampler\Field;
use OpenSeam\Core\Sampler\Mark;
use OpenSeam\Core\Sampler\Piece;
use OpenSeam\Core\Sampler\Row;
use OpenSeam\Core\Sampler\Sampler;

/** The rows of a piece as a picture has them, stretch by stretch: each is read once, at every place that some reading asks for. */
final readonly class ReadStretches
{
    /** At its ends it is started, turned back and tied: not read, mm. */
    private const ENDS_MM = 1.0;

    /** Of a corner it is told so far along the next stretch, mm. */
    private const AFTER_CORNER_MM = 6.0;

    /** A buttonhole and satin are looked at so far beyond their planned ends, mm. */
    private const BEYOND_MM = 6.0;

    /**
     * @param  list<Stretch>  $all
     * @param  array<int, ReadRow>  $read  by stretch
     * @param  array<int, DenseBand|null>  $bands  by stretch, where single stitches are not told apart
     * @param  array<int, RowEnds|null>  $ends  by stretch, where it is asked how it begins or ends
     * @param  array<int, FoldBeside|null>  $folds  by stretch, where one lies beside it
     */
    private function __construct(private FoundPiece $piece, private Sampler $sampler, private Piece $planned, private array $all, public array $read, private array $bands, private array $ends, private array $folds, private bool $turned) {}

    /** @param  bool  $turned  as if it lay upside down */
    public static function of(FoundPiece $found, Sampler $sampler, Piece $piece, bool $turned = false): self
    {
        $all = Stretch::of($sampler, $piece);
        $read = [];
        foreach (self::marks($sampler, $piece, $all) as $k => $marks) {
            $stretch = $all[$k];
            [$side, $from, $to] = [$stretch->side, $stretch->from, $stretch->to];
            if ($turned) {
                $long = $found->long($side);
                $side = ['left' => 'right', 'right' => 'left', 'top' => 'bottom', 'bottom' => 'top'][$side];
                [$from, $to, $marks] = [$long - $to, $long - $from, array_map(fn (float $m): float => $long - $m, $marks)];
            }
            $read[$k] = ReadRow::find($found, $side, $stretch->about, $stretch->isZigzag(), $marks, $stretch->reach($all), [$from + self::ENDS_MM, $to - self::ENDS_MM]);
        }

        // Laid the other way round a piece is told by its rows.
        $bands = array_map(fn (Stretch $s): ?DenseBand => DenseBand::in($found, $s->side, $s->about, $s->reach($all), [$s->from - self::BEYOND_MM, $s->to + self::BEYOND_MM]), $turned ? [] : self::thatAsk($all, self::isDense(...)));
        $ends = [];
        foreach ($turned ? [] : self::thatAsk($all, self::isOfAnEnd(...)) as $k => $stretch) {
            $away = array_map(fn (array $a): float => $a[1]->value, $read[$k]->allowance ?? []);
            $ends[$k] = $away === [] ? null : RowEnds::in($found, $stretch->side, array_sum($away) / count($away));
        }

        $folds = [];
        foreach ($turned ? [] : PlannedFold::of($sampler, $piece, $all) as $fold) {
            $row = $read[$fold->beside]->followed ?? null;
            $folds[$fold->beside] = $row === null ? null : FoldBeside::find($found, $all[$fold->beside]->side, $row, $fold->isInwards);
        }

        return new self($found, $sampler, $piece, $all, $read, $bands, $ends, $folds, $turned);
    }

    /**
     * @param  list<Stretch>  $all
     * @param  callable(Row, PictureValue|null): bool  $of
     * @return array<int, Stretch> those of a row that has such a reading
     */
    private static function thatAsk(array $all, callable $of): array
    {
        return array_filter($all, fn (Stretch $s): bool => array_filter($s->row->fields, fn (Field $f): bool => $of($s->row, PictureValue::askedBy($s->row, $f))) !== []);
    }

    /** Whether it is read of where a row begins or ends. */
    private static function isOfAnEnd(Row $row, ?PictureValue $what): bool
    {
        return in_array($what, [PictureValue::Start, PictureValue::BackAtStart, PictureValue::BackAtEnd], true);
    }

    /** Whether it is read of thread that lies so close that no single stitch is told apart. */
    private static function isDense(Row $row, ?PictureValue $what): bool
    {
        return in_array($what, [PictureValue::Sides, PictureValue::Gap, PictureValue::Closed, PictureValue::Shows, PictureValue::Bars, PictureValue::Points], true) || ($what === PictureValue::Width && $row->stitch->kind->dense);
    }

    /** Whether a picture of this piece tells a reading. */
    public static function tells(Sampler $sampler, Piece $piece, Row $row, Field $field): bool
    {
        $what = PictureValue::askedBy($row, $field);
        $all = Stretch::of($sampler, $piece);

        return match ($what) {
            null => false,
            PictureValue::Straying => self::fromItsFold($sampler, $piece, $row) !== null,
            PictureValue::Spacing => array_filter($field->marks, fn (Mark $m): bool => self::ends($all, $sampler, $piece, $row, $m) === []) === [],
            PictureValue::Sides, PictureValue::Gap, PictureValue::Width, PictureValue::Closed, PictureValue::Shows, PictureValue::Bars, PictureValue::Points => self::only($all, $row) !== null,
            default => self::only($all, $row) !== null && $all[self::only($all, $row)]->isPlain(),
        };
    }

    /** @return list<Reading|null> as many as the reading takes; none where nothing of it is told */
    public function field(Row $row, Field $field): array
    {
        $what = PictureValue::askedBy($row, $field);
        $k = self::only($this->all, $row);
        if ($what === PictureValue::Spacing) {
            return array_map(fn (Mark $m): ?Reading => $m->corner === null ? $this->between(...self::ends($this->all, $this->sampler, $this->planned, $row, $m)) : $this->corner(self::ends($this->all, $this->sampler, $this->planned, $row, $m)[0] ?? null, $row, $m->corner), $field->marks);
        }
        if ($what === PictureValue::Straying) {
            return $this->straying($row);
        }
        $dense = self::isDense($row, $what);
        if ($k === null || (! $dense && ($this->read[$k]->cannot ?? null) !== null)) {
            return [];
        }

        return match ($what) {
            PictureValue::Allowance => array_map(fn (Mark $m): ?Reading => $this->at($k, $m->atMm ?? -1.0), $field->marks),
            PictureValue::Length => self::counted($field, $this->read[$k]->length ?? null, $this->all[$k]->to - $this->all[$k]->from - 2 * self::ENDS_MM),
            PictureValue::Width => $dense ? $this->widths($k, $field) : [$this->read[$k]->width ?? null],
            PictureValue::Start => [($this->ends[$k] ?? null)?->free($this->isBackward($k, $row))],
            PictureValue::BackAtStart => $this->back($k, $row, false),
            PictureValue::BackAtEnd => $this->back($k, $row, true),
            PictureValue::Sides => array_slice($this->hole($k) ?? [], 0, 2),
            PictureValue::Points => $this->points($k),
            PictureValue::Gap => array_slice($this->hole($k) ?? [], 2),
            PictureValue::Closed => self::step(($this->bands[$k] ?? null)?->isClosed(), 1.0, 0.0),
            // Whether it is a little or clearly nobody tells by a picture: only where none shows.
            PictureValue::Shows => self::step(($this->bands[$k] ?? null)?->areSidesClosed(), 0.0, null),
            PictureValue::Bars => self::step(($this->bands[$k] ?? null)?->doBarsSpan(), 1.0, 0.0),
            default => [],
        };
    }

    /** Why nothing of a row is told. */
    public function cannot(Row $row): CannotRead
    {
        foreach ($this->read as $k => $read) {
            if ($read->cannot !== null && ($this->all[$k]->row->id === $row->id || self::only($this->all, $row) === null)) {
                return $read->cannot;
            }
        }

        $folds = array_filter(array_keys($this->folds), fn (int $k): bool => $this->all[$k]->row->id === $row->id);

        return $folds === [] ? CannotRead::NoRow : CannotRead::NoFold;
    }

    /** @return list<list<array{float, float}>> where each stretch of a row runs, mm of the picture laid flat */
    public function seen(Row $row): array
    {
        $seen = [];
        foreach ($this->read as $k => $read) {
            if ($this->all[$k]->row->id === $row->id) {
                $seen[] = array_map(fn (array $a): array => $this->piece->place($this->all[$k]->side, $a[0], $a[1]->value), $read->allowance);
            }
        }

        return $seen;
    }

    /**
     * Places along each stretch that something is asked of; without any of its own a row is drawn by five.
     *
     * @param  list<Stretch>  $all
     * @return array<int, list<float>> by stretch, only those that a picture is asked of
     */
    private static function marks(Sampler $sampler, Piece $piece, array $all): array
    {
        $marks = [];
        foreach ($sampler->rows as $row) {
            foreach ($row->piece === $piece->id ? $row->fields : [] as $field) {
                if (! self::tells($sampler, $piece, $row, $field)) {
                    continue;
                }
                $what = PictureValue::askedBy($row, $field);
                $k = self::only($all, $row);
                if ($k !== null && $all[$k]->isPlain() && $what !== PictureValue::Spacing) {
                    $marks[$k] = [...$marks[$k] ?? [], ...($what === PictureValue::Allowance ? array_map(fn (Mark $m): float => $m->atMm ?? 0.0, $field->marks) : [])];
                }
                foreach ($what === PictureValue::Spacing ? $field->marks : [] as $mark) {
                    foreach (self::ends($all, $sampler, $piece, $row, $mark) as [$of, $along]) {
                        $all[$of]->isHole() || $marks[$of][] = $along;
                    }
                }
            }
        }

        return array_map(fn (array $m): array => array_values(array_unique($m)), $marks);
    }

    /**
     * The stretches that a mark is between, or the one behind its corner, each with the place along it; none where it lies elsewhere.
     *
     * @param  list<Stretch>  $all
     * @return list<array{int, float, MarkEnd}>
     */
    private static function ends(array $all, Sampler $sampler, Piece $piece, Row $row, Mark $mark): array
    {
        if ($mark->corner !== null) {
            return self::behindCorner($all, $row, $mark->corner);
        }
        if ($mark->from === null || $mark->to === null) {
            return [];
        }
        $upright = abs($mark->from[0] - $mark->to[0]) > abs($mark->from[1] - $mark->to[1]);
        $folds = PlannedFold::of($sampler, $piece, $all);
        $found = array_values(array_filter(array_map(fn (array $place): ?array => self::end($all, $folds, $place, $upright), [$mark->from, $mark->to])));
        $edges = count($found) === 1 ? array_filter([$mark->from, $mark->to], fn (array $place): bool => $all[$found[0][0]]->isOnEdge($place, $piece)) : [];
        // An edge has no row of its own: it is that of the other end.
        $found = $edges === [] ? $found : [...$found, [$found[0][0], $found[0][1], MarkEnd::Edge]];

        return count($found) === 2 && [$found[0][0], $found[0][2]] !== [$found[1][0], $found[1][2]] && $all[$found[0][0]]->side === $all[$found[1][0]]->side ? $found : [];
    }

    /**
     * @param  list<Stretch>  $all
     * @return list<array{int, float, MarkEnd}>
     */
    private static function behindCorner(array $all, Row $row, int $corner): array
    {
        foreach ($all as $k => $stretch) {
            if ($stretch->row->id === $row->id && $stretch->part === $corner && $stretch->isPlain()) {
                $at = $row->path->corners[$corner] ?? [0.0, 0.0];
                $starts = $stretch->isUpright() ? $at[1] : $at[0];

                return [[$k, abs($starts - $stretch->from) < abs($starts - $stretch->to) ? $stretch->from + self::AFTER_CORNER_MM : $stretch->to - self::AFTER_CORNER_MM, MarkEnd::Row]];
            }
        }

        return [];
    }

    /**
     * @param  list<Stretch>  $all
     * @param  list<PlannedFold>  $folds
     * @param  array{float, float}  $place
     * @return array{int, float, MarkEnd}|null
     */
    private static function end(array $all, array $folds, array $place, bool $upright): ?array
    {
        foreach ($folds as $fold) {
            if ($fold->has($place)) {
                return [$fold->beside, $all[$fold->beside]->isUpright() ? $place[1] : $place[0], MarkEnd::Fold];
            }
        }
        foreach ($all as $k => $stretch) {
            $along = $stretch->isUpright() ? $place[1] : $place[0];
            if (($stretch->isPlain() || $stretch->isHole()) && $stretch->has($place, $upright)) {
                return [$k, $along, MarkEnd::Row];
            }
            // Level with it a ruler is laid to where it begins.
            if ($stretch->isHole() && $stretch->has($place, ! $upright) && abs($along - $stretch->from) < $stretch->to - $along) {
                return [$k, $along, MarkEnd::Start];
            }
        }

        return null;
    }

    /**
     * The one stretch that a row is; null where it has several, or none that is level with an edge.
     *
     * @param  list<Stretch>  $all
     */
    private static function only(array $all, Row $row): ?int
    {
        $own = array_keys(array_filter($all, fn (Stretch $s): bool => $s->row->id === $row->id));

        return count($own) === 1 && count($row->path->corners ?? []) === 2 ? $own[0] : null;
    }

    private function at(int $k, float $along, MarkEnd $of = MarkEnd::Row): ?Reading
    {
        if ($of === MarkEnd::Edge) {
            return Reading::exact(0.0);
        }
        if ($this->all[$k]->isHole()) {
            return $of === MarkEnd::Start ? ($this->bands[$k] ?? null)?->beginsAt() : ($this->bands[$k] ?? null)?->middleAt($along);
        }
        $along = $this->turned ? $this->piece->long($this->all[$k]->side) - $along : $along;
        foreach ($this->read[$k]->allowance ?? [] as [$at, $mm]) {
            if (abs($at - $along) < 0.01) {
                return $of === MarkEnd::Fold ? $this->fold($k, $along, $mm) : $mm;
            }
        }

        return null;
    }

    /** The reading of a row that says how far from the fold beside it it is. */
    private static function fromItsFold(Sampler $sampler, Piece $piece, Row $row): ?Field
    {
        $all = Stretch::of($sampler, $piece);
        foreach ($row->fields as $field) {
            $ends = PictureValue::askedBy($row, $field) === PictureValue::Spacing ? array_map(fn (Mark $m): array => array_column(self::ends($all, $sampler, $piece, $row, $m), 2), $field->marks) : [];
            if ($ends !== [] && array_filter($ends, fn (array $of): bool => ! in_array(MarkEnd::Fold, $of, true) || ! in_array(MarkEnd::Row, $of, true)) === []) {
                return $field;
            }
        }

        return null;
    }

    /** @return list<Reading> */
    private function straying(Row $row): array
    {
        $field = self::fromItsFold($this->sampler, $this->planned, $row);
        $away = $field === null ? [] : array_filter($this->field($row, $field));
        if ($field === null || count($away) < count($field->marks)) {
            return [];
        }
        usort($away, fn (Reading $a, Reading $b): int => $a->value <=> $b->value);
        [$least, $most] = [$away[0], $away[count($away) - 1]];

        return [Reading::combined($most->value - $least->value, $least->u, $most->u)];
    }

    /** How far from the edge of a row the fold beside it lies, mm. */
    private function fold(int $k, float $along, Reading $row): ?Reading
    {
        $fold = $this->folds[$k] ?? null;
        $beside = $fold?->at($along);

        return $fold === null || $beside === null ? null : Reading::combined($row->value + ($fold->isInwards ? 1 : -1) * $beside->value, $beside->u, $row->u);
    }

    /**
     * @param  array{int, float, MarkEnd}|null  $one
     * @param  array{int, float, MarkEnd}|null  $other
     */
    private function between(?array $one = null, ?array $other = null): ?Reading
    {
        $a = $one === null ? null : $this->at(...$one);
        $b = $other === null ? null : $this->at(...$other);
        // From a row to its own fold the edge does not matter.
        $u = $one !== null && $other !== null && $one[0] === $other[0] && ! in_array(MarkEnd::Edge, [$one[2], $other[2]], true) ? [($this->folds[$one[0]] ?? null)?->at($one[1])->u ?? 0.0] : [$a->u ?? 0.0, $b->u ?? 0.0];

        return $a === null || $b === null ? null : Reading::combined(abs($a->value - $b->value), ...$u);
    }

    /**
     * How far past its mark a corner was turned: the next stretch lies there.
     *
     * @param  array{int, float, MarkEnd}|null  $next
     */
    private function corner(?array $next, Row $row, int $corner): ?Reading
    {
        $is = $next === null ? null : $this->at(...$next);
        [$from, $to] = [$row->path->corners[$corner - 1] ?? null, $row->path->corners[$corner] ?? null];
        if ($is === null || $from === null || $to === null) {
            return null;
        }
        [$stretch, $out] = [$this->all[$next[0]], $this->all[$next[0]]->outwards()];
        $ahead = ($to[0] - $from[0]) * $out[0] + ($to[1] - $from[1]) * $out[1] > 0;

        return Reading::of($ahead ? $stretch->about - $is->value : $is->value - $stretch->about, $is->u);
    }

    /** Whether it was sewn towards the beginning of its edge. */
    private function isBackward(int $k, Row $row): bool
    {
        [$from, $to] = [$row->path->corners[0] ?? [0.0, 0.0], $row->path->corners[1] ?? [0.0, 0.0]];

        return $this->all[$k]->isUpright() ? $from[1] > $to[1] : $from[0] > $to[0];
    }

    /** @return list<Reading> stitches sewn back over its first or its last ones */
    private function back(int $k, Row $row, bool $atEnd): array
    {
        $length = $this->read[$k]->length ?? null;
        $back = $length === null ? null : ($this->ends[$k] ?? null)?->back($atEnd !== $this->isBackward($k, $row), $length->value);

        return $back === null ? [] : [Reading::exact((float) $back)];
    }

    /** @return list<array{float, float}> where single stitches of a row are twice as long as the others, mm of the picture laid flat */
    public function skipped(Row $row): array
    {
        $places = [];
        foreach ($this->read as $k => $read) {
            if ($this->all[$k]->row->id !== $row->id || $read->allowance === []) {
                continue;
            }
            foreach ($read->stitches->skipped ?? [] as $along) {
                $places[] = $this->piece->place($this->all[$k]->side, $along, $read->allowance[0][1]->value);
            }
        }

        return $places;
    }

    /** Of the most uneven of its stretches: standard deviation of a stitch, of its length; null: single ones are not told. */
    public function uneven(Row $row): ?float
    {
        $uneven = [];
        foreach ($this->read as $k => $read) {
            $this->all[$k]->row->id === $row->id && $read->stitches !== null && $uneven[] = $read->stitches->uneven;
        }

        return $uneven === [] ? null : max($uneven);
    }

    /** @return list<Reading|null> as many as there are over the row, and how long they are together */
    private static function counted(Field $field, ?Reading $length, float $rowMm): array
    {
        $each = $length === null ? 0.0 : $length->value * ($field->oneSide ? 2 : 1);
        $n = $each <= 0.0 ? 0 : (int) min($field->max, floor($rowMm / $each));

        return $length === null || $n < 1 ? [] : [Reading::exact((float) $n), Reading::of($n * $each, $n * $length->u * ($field->oneSide ? 2 : 1))];
    }

    /** @return list<Reading|null> */
    private function widths(int $k, Field $field): array
    {
        $band = $this->bands[$k] ?? null;

        return array_map(fn (Mark $m): ?Reading => $band?->widthAt($m->atMm ?? 0.0), $field->marks);
    }

    /** @return list<Reading> what is seen or not, as it is typed */
    private static function step(?bool $seen, float $yes, ?float $no): array
    {
        $is = $seen === null ? null : ($seen ? $yes : $no);

        return $is === null ? [] : [Reading::exact($is)];
    }

    /** @return list<Reading|null> left side, right side */
    private function points(int $k): array
    {
        $points = ($this->bands[$k] ?? null)?->points() ?? [null, null];

        return array_map(fn (?int $n): ?Reading => $n === null ? null : Reading::exact((float) $n), $this->isFromFarSide($k) ? array_reverse($points) : $points);
    }

    /** Seen from the right edge the right side comes first. */
    private function isFromFarSide(int $k): bool
    {
        return in_array($this->all[$k]->side, ['right', 'bottom'], true);
    }

    /** @return list<Reading>|null left side, right side, gap */
    private function hole(int $k): ?array
    {
        $hole = ($this->bands[$k] ?? null)?->hole();

        return $hole === null ? null : ($this->isFromFarSide($k) ? [$hole[1], $hole[0], $hole[2]] : $hole);
    }
}
