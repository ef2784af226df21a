<?php

declare(strict_types=1);

namespace OpenSeam\Core\Curriculum;

use OpenSeam\Core\Course\Demonstration;
use OpenSeam\Core\Course\Drill;
use OpenSeam\Core\Course\Lesson;
use OpenSeam\Core\Course\LessonMinutes;
use OpenSeam\Core\Course\Setting;
use OpenSeam\Core\Course\SewNeed;
use OpenSeam\Core\Course\Way;
use OpenSeam\Core\Course\Ways;
use OpenSeam\Core\Data;
use OpenSeam\Core\Fault\Change;
use OpenSeam\Core\Fault\Fault;
use OpenSeam\Core\InputError;
use OpenSeam\Core\Measure\Unit;
use OpenSeam\Core\Picture\FoldStory;
use OpenSeam\Core\Picture\Story;
use OpenSeam\Core\Sampler\Line;
use OpenSeam\Core\Sampler\Piece;
use OpenSeam\Core\Sampler\Sampler;
use OpenSeam\Core\Sampler\Threads;
use OpenSeam\Core\Skill\Skill;
use OpenSeam\Core\Skill\SkillGraph;
use OpenSeam\Core\Skill\SkillGraphBroken;
use OpenSeam\Core\Skill\TracingTable;

/** Makes a bundle's objects from its JSON. */
final class BundleReader
{
    /** The format this program reads. */
    public const FORMAT = 1;

    /**
     * @param  array<string, mixed>  $json
     * @param  Unit  $unit  that lengths in its words are said in
     *
     * @throws InputError when something is missing, of the wrong type or names what is not there
     * @throws SkillGraphBroken when the skills make no order
     */
    public static function read(array $json, Unit $unit = Unit::Millimetre): Bundle
    {
        return self::trusted($json, $unit)->checked();
    }

    /**
     * The same of what was read and checked once: its lessons are made when they are asked for.
     *
     * @param  array<string, mixed>  $json
     *
     * @throws InputError when something besides the lessons is missing or of the wrong type
     * @throws SkillGraphBroken when the skills make no order
     */
    public static function trusted(array $json, Unit $unit = Unit::Millimetre): Bundle
    {
        $data = Data::of($json)->saidIn($unit);
        $version = $data->whole('format_version');
        $version === self::FORMAT || throw InputError::at('format_version', $version, sprintf('This program reads format %d. A newer bundle needs a newer program.', self::FORMAT));
        $threads = Threads::read($data, new Threads);
        $lessons = [];
        foreach ($data->parts('lessons') as $part) {
            $id = $part->text('id');
            isset($lessons[$id]) && throw InputError::at($part->path('id'), $id, 'Two lessons cannot have the same id.');
            $lessons[$id] = $part;
        }
        $faults = [];
        foreach ($data->parts('faults') as $part) {
            $first = $part->part('first');
            $faults[$part->text('id')] = new Fault(
                $part->text('id'), $part->text('seen'), $part->texts('causes'), $part->texts('denies'),
                new Change($first->text('kind'), $first->text('text')), $part->has('picture') ? $part->part('picture') : null,
            );
        }
        $courses = [];
        foreach ($data->parts('courses') as $part) {
            $courses[$part->text('id')] = ['title' => $part->text('title'), 'lessons' => $part->texts('lessons')];
        }

        return Bundle::of($data->text('id'), $data->text('title'), self::skills($data->parts('skills')), Lessons::told($lessons, $threads), $faults, $courses);
    }

    /**
     * @param  list<Data>  $parts
     *
     * @throws InputError for a skill of the wrong shape
     * @throws SkillGraphBroken when the skills make no order
     */
    public static function skills(array $parts): SkillGraph
    {
        return SkillGraph::of(array_map(fn (Data $part): Skill => new Skill(
            $part->text('id'), $part->text('title', $part->text('id')), $part->text('strand', ''),
            $part->text('shows', ''), $part->texts('needs'), $part->flag('safety'), TracingTable::kind($part),
        ), $parts));
    }

    /**
     * @return array<string, Piece>
     *
     * @throws InputError when something is missing or of the wrong type
     */
    public static function pieces(Data $sampler): array
    {
        $pieces = [];
        foreach ($sampler->parts('pieces') as $p) {
            $pieces[$p->text('id')] = new Piece(
                $p->text('id'), $p->number('width_mm'), $p->number('height_mm'),
                $p->whole('layers', 1), $p->text('label', ''), $p->text('material', 'cloth'), $p->flag('interfaced'),
            );
        }

        return $pieces;
    }

    /** @throws InputError when something is missing, of the wrong type or names what is not there */
    public static function lesson(Data $data, Threads $else = new Threads): Lesson
    {
        $data = $data->saidIn($data->unit());
        /** @var array<string, mixed> $json */
        $json = $data->raw();
        // Another way is read when somebody asks for it: most lessons are sewn the usual one.
        $ways = new Ways(
            fn (Way $way, Ways $ways): Lesson => self::inOneWay($way->isUsual() ? $data : Data::of(LessonWays::lay($json, $way))->saidIn($data->unit()), $else, $way, $ways),
            $data->has('on_machine') ? $data->part('on_machine')->text('each') : '',
        );

        return $ways->of(new Way);
    }

    private static function inOneWay(Data $data, Threads $else, Way $way, Ways $ways): Lesson
    {
        $threads = Threads::read($data, $else);
        $sampler = self::sampler($data->part('sampler'), $threads);

        return new Lesson(
            id: $data->text('id'),
            title: $data->text('title'),
            version: $data->whole('version'),
            why: $data->text('why'),
            teaches: $data->texts('teaches'),
            minutes: self::minutes($data),
            machine: self::isAtMachine($data),
            foot: $data->text('foot', ''),
            settings: array_map(fn (Data $s): Setting => new Setting($s->text('name'), $s->text('value'), LessonWays::schools($s)), $data->parts('settings')),
            cautions: $data->texts('cautions'),
            points: $data->texts('teaching_points'),
            steps: $data->texts('steps'),
            sampler: $sampler,
            faults: $data->texts('faults'),
            extras: array_map(fn (Data $e): array => ['what' => $e->text('what'), 'count' => $e->whole('count')], $data->parts('extras')),
            sews: array_map(fn (Data $n): SewNeed => SewNeed::read($n, $sampler->rows), $data->parts('sews')),
            drills: self::drills($data),
            demonstration: $data->has('demonstration') ? self::demonstration($data->part('demonstration')) : null,
            folds: array_map(FoldStory::read(...), $data->parts('folds')),
            stories: array_map(Story::read(...), $data->parts('stories')),
            stepPictures: self::pictures($data),
            mistakes: array_map(fn (Data $m): array => ['mistake' => $m->text('mistake'), 'looks' => $m->text('looks')], $data->parts('mistakes')),
            way: $way,
            ways: $ways,
        );
    }

    private static function demonstration(Data $d): Demonstration
    {
        $acts = $d->parts('acts');

        return new Demonstration(
            $d->text('setup'), array_map(fn (Data $a): array => ['show' => $a->text('show'), 'say' => $a->text('say'), 'watch' => $a->text('watch')], $acts),
            array_map(fn (Data $a): ?Data => $a->has('picture') ? $a->part('picture') : null, $acts),
        );
    }

    /**
     * @return list<Data|null> one for each step
     *
     * @throws InputError for more pictures than steps
     */
    private static function pictures(Data $d): array
    {
        $steps = count($d->items('steps'));
        $pictures = array_map(fn (mixed $p, int $i): ?Data => match (true) {
            $p === null => null,
            is_array($p) => Data::of($p, $d->path('step_pictures')."[$i]"),
            default => throw InputError::at($d->path('step_pictures')."[$i]", $p, 'A picture is an object; null where none is chosen.'),
        }, $d->items('step_pictures'), array_keys($d->items('step_pictures')));
        count($pictures) <= $steps || throw InputError::at($d->path('step_pictures'), count($pictures), "One picture for each of its $steps steps.");

        return array_pad($pictures, $steps, null);
    }

    /** @throws InputError when they are missing or of the wrong type */
    public static function minutes(Data $lesson): LessonMinutes
    {
        $minutes = $lesson->part('minutes');

        return new LessonMinutes($minutes->number('demo'), $minutes->number('sew'), $minutes->number('inspect'));
    }

    /** Sewn at a machine, as most lessons are. */
    public static function isAtMachine(Data $lesson): bool
    {
        return $lesson->flag('machine', true);
    }

    /**
     * @return list<Drill>
     *
     * @throws InputError when something is missing or of the wrong type
     */
    public static function drills(Data $lesson): array
    {
        return array_map(fn (Data $d): Drill => new Drill($d->text('id'), $d->text('title'), $d->text('skill'), $d->number('minutes'), $d->text('text'), fn (): Sampler => self::sampler($d->part('sampler'), new Threads)), $lesson->parts('drills'));
    }

    /** @throws InputError when a row or a line does not belong to a piece */
    private static function sampler(Data $sampler, Threads $threads): Sampler
    {
        $pieces = self::pieces($sampler);
        $rows = [];
        foreach ($sampler->parts('rows') as $r) {
            $row = RowReader::read($r, $pieces, $threads);
            isset($rows[$row->id]) && throw InputError::at($r->path('id'), $row->id, 'Two rows of a lesson cannot have the same id.');
            $rows[$row->id] = $row;
        }

        return new Sampler($pieces, $rows, array_map(fn (Data $l): Line => new Line(
            $l->text('kind'), isset($pieces[$l->text('piece')]) ? $l->text('piece') : throw InputError::at($l->path('piece'), $l->text('piece'), 'This must be the id of a piece of the sampler.'),
            RunReader::point($l, 'from'), RunReader::point($l, 'to'),
        ), $sampler->parts('lines')));
    }

    /** @return array<string, Change> */
    public static function changes(Data $data): array
    {
        $changes = [];
        foreach (array_keys($data->raw()) as $when) {
            $change = $data->part((string) $when);
            $changes[(string) $when] = new Change($change->text('kind'), $change->text('text'));
        }

        return $changes;
    }
}
