<?php

declare(strict_types=1);

namespace OpenSeam\Core\Machine;

use OpenSeam\Core\Data;

enum Drive: string
{
    case Mechanical = 'mechanical';
    case Computerised = 'computerised';
    case StraightOnly = 'straight-only';

    /** @return array<string, mixed> facts of a machine as most of this drive are, to start from */
    public function usual(): array
    {
        return Machine::read(Data::of(['drive' => $this->value]))->facts();
    }
}
