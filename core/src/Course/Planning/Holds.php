<?php

declare(strict_types=1);

namespace OpenSeam\Core\Course\Planning;

/** What holds a lesson in its session, so that it does not stand sooner. */
enum Holds: string
{
    case First = 'first';

    /** What it needs is taught in the same session. */
    case Needs = 'needs';

    /** What it needs was taught the session before, and something is sewn at home between. */
    case Home = 'home';

    /** The session before has no room. */
    case Minutes = 'minutes';

    /** The session before has room: the sessions are alike in length so. */
    case Even = 'even';

    /** The teacher put it there. */
    case Pin = 'pin';
    case NotBefore = 'not-before';
}
