<?php

declare(strict_types=1);

namespace OpenSeam\Core\Course\Planning;

use OpenSeam\Core\Near;

/** Why a lesson stands in its session and not sooner. */
final readonly class PlaceReason
{
    /** @param  string|null  $lesson  the one it needs */
    public function __construct(public Holds $kind, public ?string $lesson = null) {}

    /**
     * @param  array<int, int>  $in
     * @param  list<float>  $used  minutes laid in each session
     */
    public static function of(SessionProblem $problem, array $in, int $j, int $k, array $used): self
    {
        $task = $problem->tasks[$j];
        if ($task->notAfter !== null && $task->notAfter === $task->notBefore) {
            return new self(Holds::Pin);
        }
        if ($k === 0) {
            return new self(Holds::First);
        }
        foreach ($problem->needs[$j] as $need) {
            if ($in[$need] === $k) {
                return new self(Holds::Needs, $problem->tasks[$need]->id);
            }
            if ($in[$need] === $k - 1 && SessionProblem::has($problem->sooner[$j], $need)) {
                return new self(Holds::Home, $problem->tasks[$need]->id);
            }
        }

        $kind = $problem->sessionAt($k - 1) + Near::DUST >= ($used[$k - 1] ?? 0.0) + $task->minutes ? Holds::Even : Holds::Minutes;

        return new self($task->notBefore === $k ? Holds::NotBefore : $kind);
    }
}
