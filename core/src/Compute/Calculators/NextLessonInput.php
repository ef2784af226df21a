<?php

declare(strict_types=1);

namespace OpenSeam\Core\Compute\Calculators;

use DateTimeImmutable;
use DateTimeZone;
use Exception;
use OpenSeam\Core\Course\Drill;
use OpenSeam\Core\Curriculum\BundleReader;
use OpenSeam\Core\Data;
use OpenSeam\Core\Fault\Change;
use OpenSeam\Core\InputError;
use OpenSeam\Core\Measure\Verdict;
use OpenSeam\Core\NextLesson\Finding;
use OpenSeam\Core\NextLesson\Ladder;
use OpenSeam\Core\NextLesson\Option;
use OpenSeam\Core\NextLesson\PastSample;
use OpenSeam\Core\NextLesson\Policy;
use OpenSeam\Core\Skill\Evidence;
use OpenSeam\Core\Skill\School;
use OpenSeam\Core\Skill\SkillGraph;
use OpenSeam\Core\Skill\SkillGraphBroken;
use OpenSeam\Core\Skill\StandingLedger;
use OpenSeam\Core\Skill\TracingParameters;
use OpenSeam\Core\Skill\TracingTable;
use OpenSeam\Core\ValueRefused;
use OpenSeam\Core\Words;

/** What a next lesson is asked from: read from JSON of the right shape, and held to be of one piece. */
final readonly class NextLessonInput
{
    /**
     * @param  list<PastSample>  $samples  oldest first
     * @param  array<string, bool>  $wordOfTeacher  by skill
     * @param  list<string>  $wishes  ids of lessons or skills
     */
    private function __construct(
        public Ladder $ladder,
        public array $samples,
        public DateTimeImmutable $now,
        public array $wordOfTeacher,
        public array $wishes,
        public bool $ownMachine,
    ) {}

    /** @throws InputError naming the first thing that does not fit the rest */
    public static function read(Data $in): self
    {
        try {
            $skills = BundleReader::skills($in->parts('skills'));
        } catch (SkillGraphBroken $e) {
            throw InputError::at('skills', array_map(fn (Data $s): string => $s->text('id'), $in->parts('skills')), $e->getMessage());
        }
        $lessons = self::lessons($in, $skills);
        $order = self::order($in, $lessons);
        $samples = self::samples($in, $skills, $lessons);
        $last = $samples === [] ? new DateTimeImmutable('@0') : $samples[count($samples) - 1]->evidence->at;
        $now = $in->has('now') ? self::time($in, 'now') : $last;
        $now >= $last || throw InputError::at('now', $in->text('now'), 'This must not lie before the last sample.');
        $ladder = new Ladder(
            $skills, $lessons, $order, Words::in(),
            Policy::from($in->text('policy', 'gate')), School::from($in->text('school', 'tracing')),
            self::table($in, $skills),
            array_key_exists('fading_weeks', $in->raw()) ? $in->numberOrNull('fading_weeks') : StandingLedger::FADING_WEEKS,
        );
        /** @var array<string, bool> $words */
        $words = $in->part('words')->raw();
        foreach (array_map(strval(...), array_keys($words)) as $skill) {
            $skills->has($skill) || throw InputError::at("words.$skill", $skill, 'This must be the id of one of the skills.');
        }
        foreach ($in->texts('wishes') as $i => $wish) {
            isset($lessons[$wish]) || $skills->has($wish) || throw InputError::at("wishes[$i]", $wish, 'This must be the id of one of the lessons or skills.');
        }

        return new self($ladder, $samples, $now, $words, $in->texts('wishes'), $in->flag('own_machine'));
    }

    /** @return array<string, Option> */
    private static function lessons(Data $in, SkillGraph $skills): array
    {
        $lessons = [];
        foreach ($in->parts('lessons') as $data) {
            $lesson = self::lesson($data, $skills);
            isset($lessons[$lesson->id]) && throw InputError::at($data->path('id'), $lesson->id, 'This lesson is given twice; each id once.');
            $lessons[$lesson->id] = $lesson;
        }

        return $lessons;
    }

    /**
     * @param  array<string, Option>  $lessons
     * @return list<string>
     */
    private static function order(Data $in, array $lessons): array
    {
        $order = $in->has('course_order') ? $in->texts('course_order') : array_keys($lessons);
        foreach ($order as $i => $id) {
            isset($lessons[$id]) || throw InputError::at("course_order[$i]", $id, 'This must be the id of one of the lessons.');
            array_search($id, $order, true) === $i || throw InputError::at("course_order[$i]", $id, 'This lesson comes twice; each once.');
        }

        return $order;
    }

    private static function lesson(Data $data, SkillGraph $skills): Option
    {
        return new Option(
            $data->text('id'), $data->text('title', $data->text('id')), self::skills($data, 'teaches', $skills),
            $data->number('minutes'), $data->number('again_minutes', $data->number('minutes')),
            array_map(function (Data $d) use ($skills): Drill {
                return new Drill($d->text('id'), $d->text('title', $d->text('id')), self::skill($d, 'skill', $skills), $d->number('minutes'), $d->text('text', $d->text('title', $d->text('id'))));
            }, $data->parts('drills')),
            $data->flag('machine', true),
        );
    }

    /**
     * @param  array<string, Option>  $lessons
     * @return list<PastSample>
     */
    private static function samples(Data $in, SkillGraph $skills, array $lessons): array
    {
        $samples = [];
        $before = new DateTimeImmutable('@0');
        foreach ($in->parts('samples') as $i => $data) {
            $at = $data->has('at') ? self::time($data, 'at') : $before;
            $i === 0 || $at >= $before || throw InputError::at($data->path('at'), $data->text('at'), 'Samples come oldest first; this one lies before the one above it.');
            $before = $at;
            $samples[] = self::sample($data, $i, $at, $skills, $lessons);
        }

        return $samples;
    }

    /** @param  array<string, Option>  $lessons */
    private static function sample(Data $data, int $i, DateTimeImmutable $at, SkillGraph $skills, array $lessons): PastSample
    {
        isset($lessons[$data->text('lesson')]) || throw InputError::at($data->path('lesson'), $data->text('lesson'), 'This must be the id of one of the lessons.');
        $weights = $extras = [];
        foreach ($data->parts('evidence') as $e) {
            $skill = self::skill($e, 'skill', $skills);
            $weights[$skill] = [...($weights[$skill] ?? []), ...$e->numbers('weights')];
            $extras[$skill] = [...($extras[$skill] ?? []), ...$e->numbers('extras')];
        }
        $findings = array_map(fn (Data $f): Finding => new Finding(
            $f->text('check'), $f->text('title', $f->text('check')), $f->text('text', $f->text('verdict')), Verdict::from($f->text('verdict')), self::skills($f, 'skills', $skills),
            $f->has('fix') ? $f->text('fix') : null,
            $f->has('change') ? new Change($f->part('change')->text('kind'), $f->part('change')->text('text')) : null,
            null, $f->flag('fault'),
        ), $data->parts('findings'));

        return new PastSample($data->text('lesson'), new Evidence($data->text('id', 'sample '.($i + 1)), $at, $weights, self::skills($data, 'uses', $skills), $extras), $findings);
    }

    /** The id of a skill, which must be there. */
    private static function skill(Data $data, string $name, SkillGraph $skills): string
    {
        return $skills->has($data->text($name)) ? $data->text($name) : throw InputError::at($data->path($name), $data->text($name), 'This must be the id of one of the skills.');
    }

    /** @return list<string> ids of skills, which must be there */
    private static function skills(Data $data, string $name, SkillGraph $skills): array
    {
        foreach ($data->texts($name) as $i => $skill) {
            $skills->has($skill) || throw InputError::at($data->path("{$name}[$i]"), $skill, 'This must be the id of one of the skills.');
        }

        return $data->texts($name);
    }

    private static function table(Data $in, SkillGraph $skills): TracingTable
    {
        $all = $in->has('tracing') ? self::parameters($in->part('tracing'), 'tracing') : null;
        $own = $kinds = [];
        foreach (array_keys(TracingTable::kinds()) as $kind) {
            $given = $in->part('kinds');
            $given->has($kind) ? $kinds[$kind] = self::parameters($given->part($kind), "kinds.$kind") : ($all === null || $kinds[$kind] = $all);
        }
        foreach ($in->parts('skills') as $skill) {
            ! $skill->has('tracing') || $own[$skill->text('id')] = self::parameters($skill->part('tracing'), $skill->path('tracing'));
        }

        return TracingTable::of($skills, $kinds, $own);
    }

    private static function parameters(Data $t, string $path): TracingParameters
    {
        try {
            return TracingParameters::of($t->number('start'), $t->number('slip'), $t->number('guess'), $t->number('transit'), $t->number('demo', 0.0));
        } catch (ValueRefused $e) {
            throw InputError::at($path, $t->raw(), $e->getMessage());
        }
    }

    private static function time(Data $data, string $name): DateTimeImmutable
    {
        $text = $data->text($name);
        try {
            // A thirty-first of February would be taken for a day in March.
            if (preg_match('/^(\d{4})-(\d{2})-(\d{2})/', $text, $m) === 1 && checkdate((int) $m[2], (int) $m[3], (int) $m[1])) {
                return new DateTimeImmutable($text, new DateTimeZone('UTC'));
            }
        } catch (Exception) {
            // Named below with everything else that is not a date.
        }
        throw InputError::at($data->path($name), $text, 'This must be a date such as 2030-05-02, or a time such as 2030-05-02T19:10:00Z.');
    }
}
