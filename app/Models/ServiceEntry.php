<?php

declare(strict_types=1);

namespace App\Models;

use Carbon\CarbonImmutable;
use Database\Factories\ServiceEntryFactory;
use Illuminate\Database\Eloquent\Factories\HasFactory;

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
    /** @use HasFactory<ServiceEntryFactory> */
    use HasFactory;

    public const KINDS = ['needle', 'clean', 'service', 'out-of-use', 'in-use'];

    public $timestamps = false;

    protected $dateFormat = 'Y-m-d H:i:s.v';

    protected $casts = ['done_at' => 'immutable_datetime'];
}
