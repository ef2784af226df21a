<?php

declare(strict_types=1);

namespace OpenSeam\Core\Compute\Calculators;

use DateTimeImmutable;
use Exception;
use OpenSeam\Core\Compute\Calculator;
use OpenSeam\Core\Compute\Schema;
use OpenSeam\Core\Course\Drill;
use OpenSeam\Core\Curriculum\BundleReader;
use OpenSeam\Core\Data;
use OpenSeam\Core\Fault\Change;
use OpenSeam\Core\InputError;
use OpenSeam\Core\Measure\Verdict;
use OpenSeam\Core\NextLesson\Candidate;
use OpenSeam\Core\NextLesson\Finding;
use OpenSeam\Core\NextLesson\Kind;
use OpenSeam\Core\NextLesson\Ladder;
use OpenSeam\Core\NextLesson\Option;
use OpenSeam\Core\NextLesson\PastSample;
use OpenSeam\Core\NextLesson\Policy;
use OpenSeam\Core\NextLesson\Reason;
use OpenSeam\Core\Skill\Evidence;
use OpenSeam\Core\Skill\School;
use OpenSeam\Core\Skill\SkillGraph;
use OpenSeam\Core\Skill\SkillGraphBroken;
use OpenSeam\Core\Skill\TracingParameters;
use OpenSeam\Core\Skill\TracingTable;
use OpenSeam\Core\ValueRefused;
use OpenSeam\Core\Words;

/** The next lesson for one student, with reasons. */
final class NextLesson implements Calculator
{
    public function name(): string
    {
        return 'next-lesson';
    }

    public function summary(): string
    {
        return 'The next lesson, the one thing to change, and why, from skills, lessons, course order and samples so far.';
    }

    public function schema(): array
    {
        return Schema::object([
            'skills' => Schema::list('what can be learned', Schema::object([
                'id' => Schema::text('its id'), 'title' => Schema::text('its name'),
                'needs' => Schema::texts('skills it stands on'), 'safety' => ['type' => 'boolean', 'description' => 'never skipped, always first'],
                'kind' => Schema::oneOf('which numbers it goes by; default hand', array_keys(TracingTable::kinds())),
                'tracing' => self::numbers('its own numbers'),
            ], ['title', 'needs', 'safety', 'kind', 'tracing']), 1, 1000),
            'lessons' => Schema::list('what can be given', Schema::object([
                'id' => Schema::text('its id'), 'title' => Schema::text('its name'), 'teaches' => Schema::list('skills', Schema::text('a skill'), 1, 100),
                'minutes' => Schema::number('the first time, with its demo', null, 600, 0),
                'again_minutes' => Schema::number('once more, without; default as minutes', null, 600, 0),
                'machine' => ['type' => 'boolean', 'description' => 'sewn at a machine; default true'],
                'drills' => Schema::list('short exercises of one skill', Schema::object([
                    'id' => Schema::text('its id'), 'title' => Schema::text('its name'), 'skill' => Schema::text('the skill'),
                    'minutes' => Schema::number('how long', null, 600, 0), 'text' => Schema::text('what to do', 500),
                ], ['title', 'text'])),
            ], ['title', 'again_minutes', 'machine', 'drills']), 1, 1000),
            'course_order' => Schema::list('lesson ids in the order of the course; default all lessons as given', Schema::text('a lesson')),
            'policy' => Schema::oneOf('gate: nobody passes an unmet prerequisite; together: the class moves on', ['gate', 'together']),
            'school' => Schema::oneOf('when a skill counts as sure', array_column(School::cases(), 'value')),
            'samples' => Schema::list('oldest first', Schema::object([
                'id' => Schema::text('its id'), 'lesson' => Schema::text('the lesson it was sewn for'),
                'at' => Schema::text('when, such as 2030-05-02 or 2030-05-02T19:10:00Z'),
                'uses' => Schema::texts('skills used on the way: they do not fade meanwhile'),
                'evidence' => Schema::list('what it shows of each skill', Schema::object([
                    'skill' => Schema::text('a skill'), 'weights' => Schema::list('of the required checks: 1 right, 0 wrong, between is soft; the weakest counts', Schema::number('a weight', 0, 1), 1, 100),
                    'extras' => Schema::list('of checks beyond the required ones: they add', Schema::number('a weight', 0, 1), 0, 100),
                ], ['extras'])),
                'findings' => Schema::list('results of checks, faults seen', Schema::object([
                    'check' => Schema::text('id of the check or fault'), 'title' => Schema::text('its name'), 'text' => Schema::text('what it says', 500),
                    'verdict' => Schema::oneOf('what it says', array_column(Verdict::cases(), 'value')), 'skills' => Schema::texts('skills it shows'),
                    'fix' => Schema::text('in which way it is off, such as drift or low'),
                    'change' => Schema::object(['kind' => Schema::oneOf('what to change', ['setting', 'guide', 'habit']), 'text' => Schema::text('the change', 500)]),
                    'fault' => ['type' => 'boolean', 'description' => 'a fault seen rather than a check'],
                ], ['title', 'text', 'fix', 'change', 'fault'])),
            ], ['id', 'at', 'uses', 'findings']), 0, 10_000),
            'wishes' => Schema::texts('lesson or skill ids the student wants to come to'),
            'own_machine' => ['type' => 'boolean', 'description' => 'there is a machine at home'],
            'words' => ['type' => 'object', 'description' => 'the teacher’s own word by skill', 'additionalProperties' => ['type' => 'boolean']],
            'now' => Schema::text('the moment to decide for; default the time of the last sample'),
            'tracing' => self::numbers('the same numbers for every skill; default the usual ones of its kind'),
            'kinds' => Schema::object(array_map(fn (string $title): array => self::numbers("of $title"), TracingTable::kinds()), array_keys(TracingTable::kinds())) + ['description' => 'numbers by kind of skill'],
            'fading_weeks' => ['type' => ['number', 'null'], 'description' => 'time constant of fading in weeks; null switches it off', 'exclusiveMinimum' => 0],
        ], ['course_order', 'policy', 'school', 'samples', 'wishes', 'own_machine', 'words', 'now', 'tracing', 'kinds', 'fading_weeks']);
    }

    /** @return array<string, mixed> */
    private static function numbers(string $what): array
    {
        return Schema::object([
            'start' => Schema::number('chance that it is known before the first lesson', 0, 1), 'slip' => Schema::number('chance of a wrong showing although known', 0, 1),
            'guess' => Schema::number('chance of a right showing although not known', 0, 1), 'transit' => Schema::number('chance to learn it from one sample', 0, 1),
            'demo' => Schema::number('chance to learn it from the demonstration; default 0', 0, 1),
        ], ['demo']) + ['description' => $what];
    }

    public function answer(): array
    {
        return Schema::object([
            'kind' => Schema::oneOf('what kind of step', array_column(Kind::cases(), 'value')), 'lesson' => ['type' => ['string', 'null']], 'drill' => ['type' => ['string', 'null']],
            'change' => Schema::object(['kind' => Schema::text('setting, guide or habit'), 'text' => Schema::text('the change', 500)]),
            'reasons' => Schema::list('why', Schema::object(['text' => Schema::text('a sentence', 1000), 'evidence' => Schema::list('readings behind it', ['type' => 'object'])])),
            'candidates' => Schema::list('best first', Schema::object([
                'kind' => Schema::text('kind'), 'lesson' => ['type' => 'string'], 'drill' => ['type' => ['string', 'null']], 'minutes' => Schema::number('min'), 'gain_per_minute' => Schema::number('expected'), 'ready' => ['type' => 'boolean'],
            ])),
            'warm_up' => ['type' => ['string', 'null'], 'description' => 'a drill that comes along'],
            'homework' => ['type' => ['string', 'null'], 'description' => 'a drill to do at home until then'],
            'blocked' => Schema::list('lessons of the course that cannot be given yet', Schema::object(['lesson' => Schema::text('id'), 'skill' => Schema::text('the deepest skill it waits for')])),
        ]);
    }

    public function example(): array
    {
        return [
            'skills' => [
                ['id' => 'safe', 'title' => 'Safe habits', 'needs' => [], 'safety' => true],
                ['id' => 'line', 'title' => 'Follow a line', 'needs' => ['safe']],
                ['id' => 'allowance', 'title' => 'Keep the allowance', 'needs' => ['line']],
                ['id' => 'pivot', 'title' => 'Pivot', 'needs' => ['line']],
            ],
            'lessons' => [
                ['id' => 'seat', 'title' => 'Safe seat', 'teaches' => ['safe'], 'minutes' => 17],
                ['id' => 'paper', 'title' => 'Paper drive', 'teaches' => ['line'], 'minutes' => 20, 'again_minutes' => 15],
                ['id' => 'seam', 'title' => 'First seam', 'teaches' => ['allowance'], 'minutes' => 21, 'again_minutes' => 11,
                    'drills' => [['id' => 'rows', 'title' => 'three rows', 'skill' => 'allowance', 'minutes' => 6, 'text' => 'Three rows of 120 mm.']]],
                ['id' => 'spiral', 'title' => 'Square spiral', 'teaches' => ['pivot'], 'minutes' => 21],
            ],
            'course_order' => ['seat', 'paper', 'seam', 'spiral'],
            'policy' => 'gate',
            'school' => 'tracing',
            'samples' => [
                ['id' => 's1', 'lesson' => 'seat', 'at' => '2030-05-02', 'evidence' => [['skill' => 'safe', 'weights' => [1, 1, 1]]]],
                ['id' => 's2', 'lesson' => 'paper', 'at' => '2030-05-02', 'evidence' => [['skill' => 'line', 'weights' => [1, 1, 1]]]],
                ['id' => 's3', 'lesson' => 'seam', 'at' => '2030-05-09', 'evidence' => [['skill' => 'allowance', 'weights' => [0.95, 0.02]]],
                    'findings' => [['check' => 'steering', 'title' => 'Steering', 'text' => 'drifts +3.0 mm over 120 mm', 'verdict' => 'not-yet', 'skills' => ['allowance'], 'fix' => 'drift',
                        'change' => ['kind' => 'habit', 'text' => 'Stop every 50 mm and look at the guide line, not the needle.']]]],
            ],
            'wishes' => [],
            'now' => '2030-05-09',
        ];
    }

    public function run(Data $in): array
    {
        try {
            $skills = BundleReader::skills($in->parts('skills'));
        } catch (SkillGraphBroken $e) {
            throw InputError::at('skills', array_map(fn (Data $s): string => $s->text('id'), $in->parts('skills')), $e->getMessage());
        }
        $lessons = [];
        foreach ($in->parts('lessons') as $data) {
            $lesson = self::lesson($data, $skills);
            isset($lessons[$lesson->id]) && throw InputError::at($data->path('id'), $lesson->id, 'This lesson is given twice; each id once.');
            $lessons[$lesson->id] = $lesson;
        }
        $order = $in->has('course_order') ? $in->texts('course_order') : array_keys($lessons);
        foreach ($order as $i => $id) {
            isset($lessons[$id]) || throw InputError::at("course_order[$i]", $id, 'This must be the id of one of the lessons.');
            array_search($id, $order, true) === $i || throw InputError::at("course_order[$i]", $id, 'This lesson comes twice; each once.');
        }
        $samples = self::samples($in, $skills, $lessons);
        $last = $samples === [] ? new DateTimeImmutable('@0') : $samples[count($samples) - 1]->evidence->at;
        $now = $in->has('now') ? self::time($in, 'now') : $last;
        $now >= $last || throw InputError::at('now', $in->text('now'), 'This must not lie before the last sample.');
        $ladder = new Ladder(
            $skills, $lessons, $order, Words::in(),
            Policy::from($in->text('policy', 'gate')), School::from($in->text('school', 'tracing')),
            self::table($in, $skills),
            array_key_exists('fading_weeks', $in->raw()) ? $in->numberOrNull('fading_weeks') : 12.0,
        );
        /** @var array<string, bool> $words */
        $words = $in->part('words')->raw();
        foreach (array_map(strval(...), array_keys($words)) as $skill) {
            $skills->has($skill) || throw InputError::at("words.$skill", $skill, 'This must be the id of one of the skills.');
        }
        foreach ($in->texts('wishes') as $i => $wish) {
            isset($lessons[$wish]) || $skills->has($wish) || throw InputError::at("wishes[$i]", $wish, 'This must be the id of one of the lessons or skills.');
        }

        $advice = $ladder->advise($samples, $now, $in->texts('wishes'), $words, $in->flag('own_machine'));
        $blocked = $ladder->blocked($samples, $now, $words);

        return [
            'kind' => $advice->kind->value,
            'lesson' => $advice->lesson,
            'drill' => $advice->drill?->id,
            'change' => ['kind' => $advice->change->kind, 'text' => $advice->change->text],
            'reasons' => array_map(fn (Reason $r): array => ['text' => $r->text, 'evidence' => $r->evidence], $advice->reasons),
            'candidates' => array_map(fn (Candidate $c): array => [
                'kind' => $c->kind->value, 'lesson' => $c->lesson, 'drill' => $c->drill?->id,
                'minutes' => $c->minutes, 'gain_per_minute' => $c->gainPerMinute, 'ready' => $c->ready,
            ], $advice->candidates),
            'warm_up' => $advice->warmUp?->id,
            'homework' => $advice->homework?->id,
            'blocked' => array_map(fn (string $lesson, string $skill): array => ['lesson' => $lesson, 'skill' => $skill], array_map(strval(...), array_keys($blocked)), $blocked),
        ];
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
                return new DateTimeImmutable($text, new \DateTimeZone('UTC'));
            }
        } catch (Exception) {
            // Named below with everything else that is not a date.
        }
        throw InputError::at($data->path($name), $text, 'This must be a date such as 2030-05-02, or a time such as 2030-05-02T19:10:00Z.');
    }
}
