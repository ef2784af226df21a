<?php

declare(strict_types=1);

namespace OpenSeam\Core\Compute\Calculators;

use OpenSeam\Core\Bench\BenchProblem;
use OpenSeam\Core\Bench\BenchReasons;
use OpenSeam\Core\Bench\BenchSolver;
use OpenSeam\Core\Bench\DemoOrder;
use OpenSeam\Core\Bench\FootStock;
use OpenSeam\Core\Bench\Seat;
use OpenSeam\Core\Compute\Calculator;
use OpenSeam\Core\Compute\Schema;
use OpenSeam\Core\Data;
use OpenSeam\Core\Deadline;
use OpenSeam\Core\InputError;
use OpenSeam\Core\Words;

/** Who sits where with what in one session. */
final class PlanBench implements Calculator
{
    /** For the plan, and then for what each first choice would cost. */
    private const SECONDS = 1.3;

    private const SECONDS_WHY = 0.6;

    public function name(): string
    {
        return 'plan-bench';
    }

    public function summary(): string
    {
        return 'Lesson, machine and foot for each student of a session, worth the most in all, with at most so many lessons at once.';
    }

    public function schema(): array
    {
        return Schema::object([
            'students' => Schema::list('who is there', Schema::object([
                'id' => Schema::text('their id'),
                'candidates' => Schema::list('what they could sew, first choice first', Schema::object(['lesson' => Schema::text('a lesson'), 'value' => Schema::number('what it is worth; below 0 it is better not sewn', -1e9, 1e9)]), 0, 200),
                'machine' => Schema::text('where they sat before: they stay there when it costs nothing'),
                'held' => ['type' => 'boolean', 'description' => 'they must sit there, and nobody else'],
            ], ['machine', 'held']), 0, 100),
            'lessons' => Schema::list('what can be sewn', Schema::object([
                'id' => Schema::text('its id'), 'foot' => ['type' => ['string', 'null'], 'description' => 'the kind of foot it needs; null: whatever is on', 'minLength' => 1, 'maxLength' => 200],
                'demo' => Schema::number('minutes it is shown first', 0, 600),
            ], ['foot', 'demo']), 0, 200),
            'machines' => Schema::list('in the room', Schema::object(['id' => Schema::text('its id'), 'can' => Schema::texts('lessons it can sew')]), 0, 100),
            'feet' => Schema::list('in the drawer', Schema::object(['kind' => Schema::text('its kind'), 'fits' => Schema::texts('machines it fits'), 'count' => Schema::whole('how many', 0, 1000)]), 0, 200),
            'most_lessons' => Schema::whole('at once', 1, 200),
        ]);
    }

    public function answer(): array
    {
        return Schema::object([
            'seats' => Schema::list('who sews what where', Schema::object([
                'student' => Schema::text('id'), 'lesson' => Schema::text('id'), 'machine' => Schema::text('id'), 'foot' => ['type' => ['string', 'null'], 'description' => 'kind'],
            ])),
            'value' => Schema::number('of all that is sewn'), 'upper_bound' => Schema::number('no plan is worth more'), 'proven' => ['type' => 'boolean', 'description' => 'nothing better is possible'],
            'demos' => Schema::list('one after another, so that least time is waited', Schema::object(['lesson' => Schema::text('id'), 'from' => Schema::number('minutes into the session'), 'to' => Schema::number('minutes')])),
            'why' => Schema::list('everybody who does not have their first choice', Schema::object([
                'student' => Schema::text('id'), 'because' => Schema::oneOf('what stands against it', BenchReasons::ALL), 'text' => Schema::text('a sentence', 500), 'cost' => ['type' => ['number', 'null'], 'description' => 'what it would cost all together; null: it cannot be'],
            ])),
        ]);
    }

    public function example(): array
    {
        return [
            'students' => [
                ['id' => 'ona', 'candidates' => [['lesson' => 'zip', 'value' => 5], ['lesson' => 'hem', 'value' => 3]], 'machine' => 'red'],
                ['id' => 'pim', 'candidates' => [['lesson' => 'zip', 'value' => 4], ['lesson' => 'hem', 'value' => 3]], 'machine' => 'blue'],
                ['id' => 'rue', 'candidates' => [['lesson' => 'hem', 'value' => 2]]],
            ],
            'lessons' => [['id' => 'zip', 'foot' => 'zip', 'demo' => 12], ['id' => 'hem', 'foot' => null, 'demo' => 8]],
            'machines' => [['id' => 'red', 'can' => ['zip', 'hem']], ['id' => 'blue', 'can' => ['zip', 'hem']], ['id' => 'old', 'can' => ['hem']]],
            'feet' => [['kind' => 'zip', 'fits' => ['red', 'blue'], 'count' => 1]],
            'most_lessons' => 2,
        ];
    }

    public function run(Data $in): array
    {
        $problem = self::problem($in);
        $plan = BenchSolver::solve($problem, deadline: Deadline::in(self::SECONDS));
        $demos = [];
        foreach ($in->parts('lessons') as $lesson) {
            $demos[$lesson->text('id')] = $lesson->number('demo', 0.0);
        }

        return [
            'seats' => array_map(fn (Seat $s): array => ['student' => $s->student, 'lesson' => $s->lesson, 'machine' => $s->machine, 'foot' => $s->foot], array_values($plan->seats)),
            'value' => $plan->value, 'upper_bound' => $plan->upperBound, 'proven' => $plan->proven,
            'demos' => DemoOrder::of($plan, $demos),
            'why' => BenchReasons::of($problem, $plan, Words::in(), [], Deadline::in(self::SECONDS_WHY)),
        ];
    }

    private static function problem(Data $in): BenchProblem
    {
        [$lessons, $machines, $wants, $at, $held] = [[], [], [], [], []];
        foreach ($in->parts('lessons') as $l) {
            array_key_exists($l->text('id'), $lessons) && throw InputError::at($l->path('id'), $l->text('id'), 'Each lesson once.');
            $lessons += [$l->text('id') => $l->has('foot') ? $l->text('foot') : null];
        }
        foreach ($in->parts('machines') as $m) {
            isset($machines[$m->text('id')]) && throw InputError::at($m->path('id'), $m->text('id'), 'Each machine once.');
            self::known($m, 'can', $lessons, 'lessons');
            $machines[$m->text('id')] = $m->texts('can');
        }
        $feet = array_map(function (Data $f) use ($machines): FootStock {
            self::known($f, 'fits', $machines, 'machines');

            return new FootStock($f->text('kind'), $f->texts('fits'), (int) $f->number('count'));
        }, $in->parts('feet'));
        foreach ($in->parts('students') as $s) {
            $id = $s->text('id');
            isset($wants[$id]) && throw InputError::at($s->path('id'), $id, 'Each student once.');
            $wants[$id] = [];
            foreach ($s->parts('candidates') as $c) {
                array_key_exists($c->text('lesson'), $lessons) || throw InputError::at($c->path('lesson'), $c->text('lesson'), 'This must be the id of one of the lessons.');
                isset($wants[$id][$c->text('lesson')]) && throw InputError::at($c->path('lesson'), $c->text('lesson'), 'Each candidate once.');
                $wants[$id][$c->text('lesson')] = $c->number('value');
            }
            if ($s->has('machine')) {
                isset($machines[$s->text('machine')]) || throw InputError::at($s->path('machine'), $s->text('machine'), 'This must be the id of one of the machines.');
                $at[$id] = $s->text('machine');
                if ($s->flag('held')) {
                    in_array($at[$id], $held, true) && throw InputError::at($s->path('machine'), $at[$id], 'Another student is held to this machine already.');
                    $held[$id] = $at[$id];
                }
            }
        }

        return new BenchProblem($wants, $lessons, $machines, $feet, (int) $in->number('most_lessons'), $at, $held);
    }

    /** @param  array<string, mixed>  $known */
    private static function known(Data $part, string $name, array $known, string $of): void
    {
        foreach ($part->texts($name) as $i => $id) {
            array_key_exists($id, $known) || throw InputError::at($part->path("{$name}[$i]"), $id, "This must be the id of one of the $of.");
        }
    }
}
