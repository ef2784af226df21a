<?php

declare(strict_types=1);

namespace App\Records;

use App\Models\SewingClass;
use App\Models\Student;
use DateTimeImmutable;
use OpenSeam\Core\Course\LessonRoom;
use OpenSeam\Core\NextLesson\Advice;
use OpenSeam\Core\NextLesson\Ladder;
use OpenSeam\Core\NextLesson\PastSample;
use OpenSeam\Core\Words;

/** Asks the core's ladder for a class: its course, policy and school. */
final class Adviser
{
    /** @var array{list<mixed>, Ladder}|null made last, and of what: a class asks for each of its students */
    private ?array $made = null;

    public function __construct(private readonly Shelf $shelf, private readonly Standings $standings) {}

    /**
     * @param  list<PastSample>  $samples
     * @param  list<string>  $wishes
     * @param  Student|null  $atHome  whose machine at home counts for what is sewn there
     */
    public function advise(SewingClass $class, array $samples, array $wishes, DateTimeImmutable $now, Words $words, ?Student $atHome = null): Advice
    {
        $home = $atHome?->atHome();

        return $this->ladder($class, $words)->advise(
            $samples, $now, $wishes, ownMachine: $atHome->own_machine ?? false, atHome: $home === null ? null : LessonRoom::sewnIn($home->room(), $this->shelf->taught($class)->lessons->all()),
        );
    }

    public function ladder(SewingClass $class, Words $words): Ladder
    {
        $of = [$this->shelf->bundle()->skills, $this->shelf->options($class), $this->shelf->order($class->course), $words, $class->policy, $class->school, $this->standings->table()];
        if ($this->made === null || $this->made[0] !== $of) {
            $this->made = [$of, new Ladder(...$of)];
        }

        return $this->made[1];
    }
}
