<?php

declare(strict_types=1);

namespace OpenSeam\Core\Course\Planning;

/** How a search for a plan ended. */
enum Outcome
{
    /** With a plan. */
    case Found;

    /** With the proof that there is none. */
    case Impossible;

    /** Before either was known: the steps or the time were used up. */
    case Undecided;
}
