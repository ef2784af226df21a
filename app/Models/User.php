<?php

declare(strict_types=1);

namespace App\Models;

use App\Notifications\ChooseNewPassword;
use Database\Factories\UserFactory;
use Illuminate\Database\Eloquent\Builder;
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
 * @property string|null $shelf_edition of the studio, read along with the user
 * @property string|null $tracing of the studio, likewise
 */
final class User extends Authenticatable
{
    /** @use HasFactory<UserFactory> */
    use HasFactory;

    use HasUlids, Notifiable;

    protected $guarded = [];

    protected $attributes = ['unit' => 'mm', 'role' => 'teacher', 'hand' => 'right', 'language' => 'en'];

    protected $hidden = ['password', 'remember_token'];

    protected $casts = ['password' => 'hashed', 'unit' => Unit::class, 'role' => Role::class];

    protected static function booted(): void
    {
        // Read along: every request needs to know which shelf the studio has, and may ask no query more for it.
        self::addGlobalScope('shelf', function (Builder $query): void {
            $query->select('users.*')->selectSub(Studio::query()->select('shelf_edition')->whereColumn('studios.id', 'users.studio_id'), 'shelf_edition')
                ->selectSub(Studio::query()->select('tracing')->whereColumn('studios.id', 'users.studio_id'), 'tracing');
        });
    }

    /** The edition of the studio's shelf; false where it was not read along. */
    public function shelfEdition(): string|null|false
    {
        return array_key_exists('shelf_edition', $this->attributes) ? $this->shelf_edition : false;
    }

    /** The studio's own numbers of the skill model; false where they were not read along. */
    public function tracing(): string|null|false
    {
        return array_key_exists('tracing', $this->attributes) ? $this->tracing : false;
    }

    /** The studio's shelf has a new edition. */
    public function turnTo(?string $edition): void
    {
        $this->setAttribute('shelf_edition', $edition)->syncOriginalAttribute('shelf_edition');
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
