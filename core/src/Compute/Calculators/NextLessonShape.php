<?php

declare(strict_types=1);

namespace OpenSeam\Core\Compute\Calculators;

use OpenSeam\Core\Compute\Schema;
use OpenSeam\Core\Measure\Verdict;
use OpenSeam\Core\NextLesson\Kind;
use OpenSeam\Core\Skill\School;
use OpenSeam\Core\Skill\TracingTable;

/** What is asked and answered about a next lesson, as a contract, with an example. */
final class NextLessonShape
{
    /** @return array<string, mixed> */
    public static function schema(): array
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

    /** @return array<string, mixed> */
    public static function answer(): array
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

    /** @return array<string, mixed> */
    public static function example(): array
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
}
