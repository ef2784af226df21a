<?php

declare(strict_types=1);

namespace App\Models;

use Carbon\CarbonImmutable;
use Illuminate\Database\Eloquent\Collection;
use Illuminate\Database\Eloquent\Relations\HasMany;

/**
 * A kept sample. Written once; a correction is a new one that replaces it.
 *
 * @property string $class_id
 * @property string $student_id
 * @property string|null $plan_session_id
 * @property string $lesson
 * @property int $lesson_version
 * @property string|null $drill
 * @property array<string, string|null> $settings
 * @property array<string, array{verdict: string, because: string}>|null $overruled the teacher's own verdicts, by check
 * @property string|null $replaces_id
 * @property string|null $kept_by
 * @property CarbonImmutable $kept_at
 * @property Collection<int, SampleReading> $readings
 * @property Collection<int, SampleFault> $faults
 */
final class Sample extends OwnedByStudio
{
    public $timestamps = false;

    protected $dateFormat = 'Y-m-d H:i:s.v';

    protected $casts = ['settings' => 'array', 'overruled' => 'array', 'kept_at' => 'immutable_datetime', 'lesson_version' => 'int'];

    /** @return HasMany<SampleReading, $this> */
    public function readings(): HasMany
    {
        return $this->hasMany(SampleReading::class)->orderBy('reading')->orderBy('position');
    }

    /** @return HasMany<SampleFault, $this> */
    public function faults(): HasMany
    {
        return $this->hasMany(SampleFault::class)->orderBy('fault');
    }
}
