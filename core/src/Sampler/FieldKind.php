<?php

declare(strict_types=1);

namespace OpenSeam\Core\Sampler;

/** What a reading asks for. */
enum FieldKind: string
{
    /** One length in mm. */
    case Length = 'length';
    /** A length at each mark, in mm. */
    case Lengths = 'lengths';
    /** A whole number. */
    case Count = 'count';
    /** A whole number at each mark. */
    case Counts = 'counts';
    /** Stitches counted and the span in mm they were counted over. */
    case Stitches = 'stitches';
    /** 1 yes, 0 no. */
    case YesNo = 'yes-no';
    /** The number of the step that describes it, from 0. */
    case Choice = 'choice';
}
