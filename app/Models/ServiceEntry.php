<?php

declare(strict_types=1);

namespace App\Models;

use Carbon\CarbonImmutable;

/**
 * Something that was done to a machine.
 *
 * @property string $machine_id
 * @property string $kind
 * @property string $note
 * @property CarbonImmutable $done_at
 */
final class ServiceEntry extends OwnedByStudio
{
    public const KINDS = ['needle', 'clean', 'service', 'out-of-use', 'in-use'];

    public $timestamps = false;

    protected $dateFormat = 'Y-m-d H:i:s.v';

    protected $casts = ['done_at' => 'immutable_datetime'];
}
