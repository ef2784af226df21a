<?php

declare(strict_types=1);

namespace OpenSeam\Core\Course\Planning;

/** What shows that a course needs so many sessions. */
enum Bound: string
{
    /** All minutes together. */
    case Minutes = 'minutes';

    /** Lessons of more than half a session: no two go into one. */
    case Large = 'large';

    /** Lessons of a third and two thirds of a session. */
    case Thirds = 'thirds';

    /** Lessons that need each other, with what stands before and behind them. */
    case Chain = 'chain';

    /** A lesson is bound to a late session. */
    case Bounds = 'bounds';

    /** Every plan with fewer was looked for, and there is none. */
    case Search = 'search';
}
