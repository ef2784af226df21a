<?php

declare(strict_types=1);

namespace OpenSeam\Core\Buttonhole;

/** By what a machine, a foot or a hand is told how long the hole gets. */
enum SizeWay: string
{
    /** Two end marks on the cloth. */
    case Marks = 'marks';
    /** A foot with lines. */
    case Slider = 'slider';
    /** The foot takes the button. */
    case ButtonInFoot = 'button-in-foot';
    /** Typed into the machine. */
    case Typed = 'typed';
    /** Two end marks, and every part set up by hand. */
    case ByHand = 'by-hand';
}
