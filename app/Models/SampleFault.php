<?php

declare(strict_types=1);

namespace App\Models;

/**
 * @property string $sample_id
 * @property string $fault
 */
final class SampleFault extends OwnedByStudio
{
    public $timestamps = false;
}
