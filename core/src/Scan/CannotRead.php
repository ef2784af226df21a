<?php

declare(strict_types=1);

namespace OpenSeam\Core\Scan;

/** Why a picture, or a row in it, cannot be read. */
enum CannotRead: string
{
    /** Nothing in it differs from what it would lie on, or what does is no piece with four straight edges. */
    case NoPiece = 'no-piece';
    /** The piece, or something else, reaches the rim of the picture. */
    case CutOff = 'cut-off';
    case SeveralPieces = 'several-pieces';
    /** The piece, or what a pixel shows of it, is too small. */
    case TooSmall = 'too-small';
    case Blurred = 'blurred';
    case NoCard = 'no-card';
    /** No line of thread stands out where the row should be. */
    case NoRow = 'no-row';
    /** There are several lines that could be it: stripes, or another row. */
    case WhichLine = 'which-line';
    /** There is a line, but where one stitch ends and the next begins cannot be seen: it may be a stripe or a fold as well. */
    case NoStitches = 'no-stitches';
    /** It would lie beside the piece. */
    case OffPiece = 'off-piece';
}
