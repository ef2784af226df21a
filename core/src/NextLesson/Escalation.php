<?php

declare(strict_types=1);

namespace OpenSeam\Core\NextLesson;

/**
 * What changes when the outcome does not: first the exercise and the one thing to
 * change, then who shows it, the machine, the method, and who sits beside.
 * Common practice, no source.
 */
enum Escalation: string
{
    case OtherWay = 'other-way';
    case ShowAgain = 'show-again';
    case OtherMachine = 'other-machine';
    case OtherMethod = 'other-method';
    case FellowStudent = 'fellow-student';

    /** So many equal outcomes, and it is left for a while where there is something else to sew. */
    public const SET_ASIDE_FROM = 7;

    /** @param  int  $outcomes  equal ones in a row, the newest among them */
    public static function after(int $outcomes): ?self
    {
        return match (true) {
            $outcomes < 2 => null,
            $outcomes === 2 => self::OtherWay,
            $outcomes === 3 => self::ShowAgain,
            $outcomes === 4 => self::OtherMachine,
            $outcomes === 5 => self::OtherMethod,
            default => self::FellowStudent,
        };
    }
}
