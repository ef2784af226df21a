<?php

declare(strict_types=1);

namespace App\Models;

use Illuminate\Database\Eloquent\Concerns\HasUlids;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Illuminate\Foundation\Auth\User as Authenticatable;
use OpenSeam\Core\Measure\Unit;

/**
 * @property string $id
 * @property string $studio_id
 * @property string $name
 * @property string $email
 * @property string $password
 * @property string $role
 * @property Unit $unit
 * @property Studio $studio
 */
final class User extends Authenticatable
{
    use HasUlids;

    protected $guarded = [];

    protected $attributes = ['unit' => 'mm', 'role' => 'teacher'];

    protected $hidden = ['password', 'remember_token'];

    protected $casts = ['password' => 'hashed', 'unit' => Unit::class];

    /** @return BelongsTo<Studio, $this> */
    public function studio(): BelongsTo
    {
        return $this->belongsTo(Studio::class);
    }
}
