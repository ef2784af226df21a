<?php

declare(strict_types=1);

namespace App\Models;

use Carbon\CarbonImmutable;
use Database\Factories\FaultHuntFactory;
use Illuminate\Database\Eloquent\Factories\HasFactory;

/**
 * The search for what is behind a fault: what is seen, what was tried, what it was.
 *
 * @property string|null $machine_id
 * @property string|null $student_id
 * @property string|null $sample_id the sample it was seen on, maybe not kept yet
 * @property list<string> $seen fault ids
 * @property array<string, mixed> $known
 * @property list<array{cause: string, result: string}> $trials
 * @property string|null $cause
 * @property CarbonImmutable $opened_at
 * @property CarbonImmutable|null $closed_at
 */
final class FaultHunt extends OwnedByStudio
{
    /** @use HasFactory<FaultHuntFactory> */
    use HasFactory;

    public $timestamps = false;

    protected $dateFormat = 'Y-m-d H:i:s.v';

    protected $casts = ['seen' => 'array', 'known' => 'array', 'trials' => 'array', 'opened_at' => 'immutable_datetime', 'closed_at' => 'immutable_datetime'];
}
