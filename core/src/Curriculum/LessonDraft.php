<?php

declare(strict_types=1);

namespace OpenSeam\Core\Curriculum;

use OpenSeam\Core\Course\Lesson;
use OpenSeam\Core\Course\LessonPictures;
use OpenSeam\Core\Data;
use OpenSeam\Core\InputError;
use OpenSeam\Core\Machine\Room;
use OpenSeam\Core\Measure\Unit;
use OpenSeam\Core\Near;
use OpenSeam\Core\Sampler\Row;
use OpenSeam\Core\Sampler\SamplerLayout;
use OpenSeam\Core\Stitch\StitchBook;

/**
 * A lesson on the drafting table: what does not fit yet, row by row, so that one
 * wrong number does not take the rest of the drawing away; and what its rows
 * take, and where in the room they can be sewn.
 */
final readonly class LessonDraft
{
    /** A check may aim this far beside its row before it is worth a word. */
    private const AIM_MM = 0.05;

    /**
     * @param  Lesson|null  $lesson  with the rows that fit; null when nothing can be drawn
     * @param  list<DraftProblem>  $problems
     * @param  array<string, list<RowInRoom>>  $room  by row
     */
    private function __construct(public ?Lesson $lesson, public array $problems, public array $room, public ?SamplerLayout $layout, public ?LessonPictures $pictures = null) {}

    /**
     * @param  array<string, mixed>  $json  the lesson as in a bundle
     * @param  InputError|null  $shape  where it does not fit the schema, if somebody has looked
     * @param  Unit  $unit  that lengths in its words are said in
     */
    public static function read(array $json, Bundle $shelf, Room $room, ?InputError $shape = null, Unit $unit = Unit::Millimetre): self
    {
        $problems = [];
        $refuse = function (InputError $e, string $row = '') use (&$problems): void {
            // What the schema has said already need not be said again.
            ($problems[0] ?? null)?->place === $e->field || $problems[] = new DraftProblem($e->field, $e->getMessage(), $row, true);
        };
        $shape === null || $refuse($shape, self::rowAt($json, $shape->field));
        try {
            PlainText::check($json);
            $data = Data::of($json);
            $pieces = BundleReader::pieces($data->part('sampler'));
            $good = [];
            foreach ($data->part('sampler')->parts('rows') as $i => $part) {
                $id = is_string($part->raw()['id'] ?? null) ? $part->raw()['id'] : '';
                try {
                    $row = RowReader::read($part, $pieces);
                    $good[$i] = $part->raw();
                    array_push($problems, ...self::advice($row, $part));
                } catch (InputError $e) {
                    $refuse($e, $id);
                }
            }
            $sampler = $data->part('sampler')->raw();
            $lesson = BundleReader::lesson(Data::of(['sampler' => ['rows' => array_values($good)] + $sampler] + $json)->saidIn($unit));
            Bundle::checkLesson($lesson, $shelf->skills, $shelf->faults);
            $pictures = LessonPictures::of($lesson);
            foreach (LessonPictures::missing($lesson) as $place => $text) {
                $problems[] = new DraftProblem($place, $text, '', false);
            }
            LessonWays::check($lesson, $shelf->skills, $shelf->faults);
        } catch (InputError $e) {
            $refuse($e);

            return new self($lesson ?? null, $problems, [], null, $pictures ?? null);
        }
        $layout = SamplerLayout::of($lesson->sampler);
        foreach ($layout->touching() as [$a, $b]) {
            $problems[] = new DraftProblem('sampler.rows', "“{$lesson->sampler->rows[$a]->title}” and “{$lesson->sampler->rows[$b]->title}” lie on each other: they sew into one another.", $b, false);
        }

        return new self($lesson, $problems, array_map(fn (Row $r): array => $r->path === null || ! $lesson->machine ? [] : RowInRoom::of($r, $lesson->sews, $room), $lesson->sampler->rows), $layout, $pictures);
    }

    /** It can be kept as it is. */
    public function fits(): bool
    {
        return array_filter($this->problems, fn (DraftProblem $p): bool => $p->stops) === [];
    }

    /** @throws InputError naming the first thing because of which it cannot be kept */
    public function mustFit(): void
    {
        foreach ($this->problems as $problem) {
            $problem->stops && throw InputError::at($problem->place, null, $problem->text);
        }
    }

    /**
     * What the lesson needs of a room, after its rows: a stitch that a row has got
     * is asked of machines and feet, one that no row has any more is not.
     *
     * @param  array<string, mixed>  $json
     * @param  array<string, mixed>  $before
     * @return array<string, mixed>
     */
    public static function withNeeds(array $json, array $before): array
    {
        [$now, $then] = [self::stitches($json), self::stitches($before)];
        $needs = [];
        $asked = [];
        foreach (Data::of($json)->parts('sews') as $need) {
            $asked[] = $stitch = $need->text('stitch');
            if (in_array($stitch, $now, true) || ! in_array($stitch, $then, true)) {
                $needs[] = $need->raw();
            }
        }
        foreach (array_diff(array_unique($now), $then, $asked) as $stitch) {
            $kind = StitchBook::standard()->get($stitch);
            $needs[] = ['stitch' => $kind->id, 'length_mm' => $kind->length->usual, ...($kind->swings() ? ['width_mm' => 0.0] : []), 'feet' => $kind->feet];
        }

        return ['sews' => $needs] + $json;
    }

    /** @param  array<string, mixed>  $json */
    private static function rowAt(array $json, string $place): string
    {
        $rows = is_array($json['sampler'] ?? null) ? $json['sampler']['rows'] ?? [] : [];
        preg_match('/^sampler\.rows\[(\d+)\]/', $place, $m);
        $row = is_array($rows) && isset($m[1]) ? $rows[(int) $m[1]] ?? null : null;

        return is_array($row) && is_string($row['id'] ?? null) ? $row['id'] : '';
    }

    /**
     * @param  array<string, mixed>  $json
     * @return list<string>
     */
    private static function stitches(array $json): array
    {
        return array_map(fn (Data $r): string => $r->text('stitch', 'straight'), array_values(array_filter(Data::of($json)->part('sampler')->parts('rows'), fn (Data $r): bool => $r->has('path'))));
    }

    /** @return list<DraftProblem> where a check or a mark no longer belongs to the row it judges */
    private static function advice(Row $row, Data $data): array
    {
        $found = [];
        foreach ($data->parts('checks') as $check) {
            $aims = match ($check->text('kind')) {
                'mean', 'spread' => $row->run?->allowanceMm(),
                'stitch-length' => $row->path === null ? null : $row->stitch->lengthMm,
                default => null,
            };
            $target = $check->numberOrNull('target_mm');
            if ($aims !== null && $target !== null && abs($aims - $target) > self::AIM_MM) {
                $found[] = new DraftProblem($check->path('target_mm'), sprintf('“%s” looks for %g mm; the row has %g mm.', $check->text('title'), $target, $aims), $row->id, false, $aims);
            }
        }
        [$from, $to] = $row->run === null || $row->path === null ? [0.0, INF] : $row->run->reach($row->path);
        foreach ($data->parts('readings') as $reading) {
            foreach ($reading->parts('marks') as $i => $mark) {
                $at = $mark->numberOrNull('at_mm');
                if ($at !== null && $row->path !== null && ($at < $from - Near::SPOT_MM || $at > $to + Near::SPOT_MM)) {
                    $found[] = new DraftProblem($mark->path('at_mm'), sprintf('Mark %d of “%s” lies at %g mm, off the row (%g to %g mm).', $i + 1, $reading->text('label'), $at, round($from, 1), round($to, 1)), $row->id, false, round(max($from, min($to, $at)), 1));
                }
            }
        }

        return $found;
    }
}
