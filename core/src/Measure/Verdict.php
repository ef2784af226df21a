<?php

declare(strict_types=1);

namespace OpenSeam\Core\Measure;

/** What a check says. "Not yet" is never called a failure. */
enum Verdict: string
{
    case Met = 'met';
    case Near = 'near';
    case NotYet = 'not-yet';
    /** No verdict is likely enough; measure again. */
    case Unsure = 'unsure';

    /** The worse of two: not yet, then unsure, then near, then met. */
    public function worse(self $other): self
    {
        return $this->rank() >= $other->rank() ? $this : $other;
    }

    private function rank(): int
    {
        return match ($this) {
            self::Met => 0,
            self::Near => 1,
            self::Unsure => 2,
            self::NotYet => 3,
        };
    }
}
