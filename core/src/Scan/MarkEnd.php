<?php

declare(strict_types=1);

namespace OpenSeam\Core\Scan;

/** What a ruler is laid from or to. */
enum MarkEnd
{
    case Row;

    /** Where a buttonhole begins along its edge. */
    case Start;

    /** The fold beside a row. */
    case Fold;

    /** The edge that a row is measured from. */
    case Edge;
}
