<?php

declare(strict_types=1);

namespace App\Models;

use App\Notifications\ChooseNewPassword;
use Database\Factories\UserFactory;
use Illuminate\Database\Eloquent\Concerns\HasUlids;
use Illuminate\Database\Eloquent\Factories\HasFactory;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Illuminate\Foundation\Auth\User as Authenticatable;
use Illuminate\Notifications\Notifiable;
use OpenSeam\Core\Measure\Unit;

/**
 * @property string $id
 * @property string $studio_id
 * @property string $name
 * @property string $email
 * @property string $password
 * @property Role $role
 * @property string $hand right or left
 * @property string $language
 * @property Unit $unit
 * @property Studio $studio
 */
final class User extends Authenticatable
{
    /** @use HasFactory<UserFactory> */
    use HasFactory;

    use HasUlids, Notifiable, SoonBooted;

    protected $guarded = [];

    protected $attributes = ['unit' => 'mm', 'role' => 'teacher', 'hand' => 'right', 'language' => 'en'];

    protected $hidden = ['password', 'remember_token'];

    protected $casts = ['password' => 'hashed', 'unit' => Unit::class, 'role' => Role::class];

    /** Every request needs to know which shelf its studio has. */
    protected $with = ['studio'];

    /** The edition of the studio's shelf; false where the studio was not read along. */
    public function shelfEdition(): string|null|false
    {
        return $this->relationLoaded('studio') ? $this->studio->shelf_edition : false;
    }

    /** The studio's own numbers of the skill model, likewise. */
    public function tracing(): string|null|false
    {
        return $this->relationLoaded('studio') ? $this->studio->tracing : false;
    }

    /** The studio's shelf has a new edition. */
    public function turnTo(?string $edition): void
    {
        ! $this->relationLoaded('studio') || $this->studio->setAttribute('shelf_edition', $edition)->syncOriginalAttribute('shelf_edition');
    }

    /** A link by mail to choose a new password. */
    public function sendPasswordResetNotification(#[\SensitiveParameter] $token): void
    {
        $this->notify(new ChooseNewPassword($token));
    }

    /** @return BelongsTo<Studio, $this> */
    public function studio(): BelongsTo
    {
        return $this->belongsTo(Studio::class);
    }
}
