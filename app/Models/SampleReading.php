<?php

declare(strict_types=1);

namespace App\Models;

use Database\Factories\SampleReadingFactory;
use Illuminate\Database\Eloquent\Factories\HasFactory;

/**
 * @property string $sample_id
 * @property string $reading "row.reading"
 * @property int $position
 * @property float $value
 * @property float|null $limit_mm how closely the reading's lengths were read, ± mm; null: kept before it was noted
 */
final class SampleReading extends OwnedByStudio
{
    /** @use HasFactory<SampleReadingFactory> */
    use HasFactory;

    public $timestamps = false;

    protected $casts = ['value' => 'float', 'limit_mm' => 'float', 'position' => 'int'];
}
