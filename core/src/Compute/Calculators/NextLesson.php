<?php

declare(strict_types=1);

namespace OpenSeam\Core\Compute\Calculators;

use OpenSeam\Core\Compute\Calculator;
use OpenSeam\Core\Data;
use OpenSeam\Core\NextLesson\Candidate;
use OpenSeam\Core\NextLesson\Reason;

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
        return NextLessonShape::schema();
    }

    public function answer(): array
    {
        return NextLessonShape::answer();
    }

    public function example(): array
    {
        return NextLessonShape::example();
    }

    public function run(Data $in): array
    {
        $of = NextLessonInput::read($in);
        $advice = $of->ladder->advise($of->samples, $of->now, $of->wishes, $of->wordOfTeacher, $of->ownMachine);
        $blocked = $of->ladder->blocked($of->samples, $of->now, $of->wordOfTeacher);

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
}
