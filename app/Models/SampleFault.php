<?php

declare(strict_types=1);

namespace App\Models;

use Database\Factories\SampleFaultFactory;
use Illuminate\Database\Eloquent\Factories\HasFactory;

/**
 * @property string $sample_id
 * @property string $fault
 */
final class SampleFault extends OwnedByStudio
{
    /** @use HasFactory<SampleFaultFactory> */
    use HasFactory;

    public $timestamps = false;
}
