<?php

declare(strict_types=1);

namespace App\Models;

/**
 * @property string $name
 * @property string $drive
 * @property string $tension_mark
 * @property bool $usable
 * @property string $note
 */
final class Machine extends OwnedByStudio
{
    /** The ways a machine is driven. */
    public const DRIVES = ['mechanical', 'computerised', 'straight-only'];

    protected $attributes = ['tension_mark' => '4', 'usable' => true, 'note' => ''];

    protected $casts = ['usable' => 'bool'];
}
