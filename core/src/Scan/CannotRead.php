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
    case SeveralCards = 'several-cards';
    /** Seen as in a mirror: left and right have changed places. */
    case Mirrored = 'mirrored';
    /** A shadow lies over the card, so that the piece cannot be told from what it lies on. */
    case Shadow = 'shadow';
    /** Photographed from too far aside. */
    case TooSteep = 'too-steep';
    /** The card is bent, or not printed as a whole. */
    case NotFlat = 'not-flat';
    /** It is not as large as the piece of the lesson. */
    case OtherPiece = 'other-piece';
    /** It lies the other way round: its rows were found there. */
    case UpsideDown = 'upside-down';
    /** No line of thread stands out where the row should be. */
    case NoRow = 'no-row';
    /** There are several lines that could be it: stripes, or another row. */
    case WhichLine = 'which-line';
    /** There is a line, but where one stitch ends and the next begins cannot be seen: it may be a stripe or a fold as well. */
    case NoStitches = 'no-stitches';
    /** The row is seen, and not the fold it is sewn beside: the light comes along it, or it is one of several lines. */
    case NoFold = 'no-fold';
    /** It would lie beside the piece. */
    case OffPiece = 'off-piece';
}
