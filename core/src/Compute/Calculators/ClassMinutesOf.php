<?php

declare(strict_types=1);

namespace OpenSeam\Core\Compute\Calculators;

use OpenSeam\Core\Compute\Calculator;
use OpenSeam\Core\Compute\Schema;
use OpenSeam\Core\Course\ClassMinutes;
use OpenSeam\Core\Course\LessonMinutes;
use OpenSeam\Core\Data;

/** How long a lesson takes a class. */
final class ClassMinutesOf implements Calculator
{
    public function name(): string
    {
        return 'class-minutes';
    }

    public function summary(): string
    {
        return 'Rounds and minutes of a lesson for a class, from heads, machines, feet and helpers.';
    }

    public function schema(): array
    {
        return Schema::object([
            'students' => Schema::whole('heads', 1, 500),
            'machines' => Schema::whole('usable machines', 1, 500),
            'feet' => Schema::whole('feet of the kind the lesson needs', 1, 500),
            'helpers' => Schema::whole('people who look at samples beside the teacher', 0, 100),
            'demo' => Schema::number('minutes to show it', 0, 600),
            'sew' => Schema::number('minutes for one attempt', 0, 600),
            'inspect' => Schema::number('minutes to look at one sample', 0, 600),
            'opening' => Schema::number('minutes to open up and find seats', 0, 600), 'clearing' => Schema::number('minutes to clear up', 0, 600),
        ], ['opening', 'clearing']);
    }

    public function answer(): array
    {
        return Schema::object([
            'rounds' => Schema::whole('of sewing', 1, 500), 'minutes' => Schema::number('from the first word to the last sample, with opening and clearing up where they are given'),
            'spans' => Schema::list('what happens when', Schema::object(['kind' => Schema::oneOf('what', ['show', 'sew', 'look']), 'from' => Schema::number('min'), 'to' => Schema::number('min'), 'round' => Schema::whole('round', 0, 500)])),
        ]);
    }

    public function example(): array
    {
        return ['students' => 10, 'machines' => 8, 'feet' => 8, 'helpers' => 0, 'demo' => 10, 'sew' => 8, 'inspect' => 3];
    }

    public function run(Data $in): array
    {
        $class = ClassMinutes::of(
            $in->whole('students'), min($in->whole('machines'), $in->whole('feet')), $in->whole('helpers'),
            new LessonMinutes($in->number('demo'), $in->number('sew'), $in->number('inspect')),
        );

        $opening = $in->number('opening', 0.0);

        return [
            'rounds' => $class->rounds, 'minutes' => $class->minutes + $opening + $in->number('clearing', 0.0),
            'spans' => array_map(fn (array $s): array => ['from' => $s['from'] + $opening, 'to' => $s['to'] + $opening] + $s, $class->spans),
        ];
    }
}
