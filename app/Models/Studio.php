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
 */
final class Studio extends Model
{
    use HasUlids;

    protected $guarded = [];

    protected $casts = ['demo' => 'bool'];
}
