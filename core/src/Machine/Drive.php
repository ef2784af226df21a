<?php

declare(strict_types=1);

namespace OpenSeam\Core\Machine;

enum Drive: string
{
    case Mechanical = 'mechanical';
    case Computerised = 'computerised';
    case StraightOnly = 'straight-only';
}
