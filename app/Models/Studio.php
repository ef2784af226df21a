<?php

declare(strict_types=1);

namespace App\Models;

use Illuminate\Database\Eloquent\Concerns\HasUlids;
use Illuminate\Database\Eloquent\Model;

/**
 * @property string $id
 * @property string $name
 * @property string $timezone
 * @property bool $demo
 * @property string|null $shelf_edition
 * @property string|null $tracing its own numbers of the skill model (JSON), see App\Support\Tracing
 * @property float $cloth_width_mm
 * @property float $selvedge_mm
 * @property float $spool_m
 */
final class Studio extends Model
{
    use HasUlids;

    protected $guarded = [];

    protected $casts = ['demo' => 'bool', 'cloth_width_mm' => 'float', 'selvedge_mm' => 'float', 'spool_m' => 'float'];
}
