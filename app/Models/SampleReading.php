<?php

declare(strict_types=1);

namespace App\Models;

/**
 * @property string $sample_id
 * @property string $reading "row.reading"
 * @property int $position
 * @property float $value
 */
final class SampleReading extends OwnedByStudio
{
    public $timestamps = false;

    protected $casts = ['value' => 'float', 'position' => 'int'];
}
