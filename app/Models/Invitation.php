<?php

declare(strict_types=1);

namespace App\Models;

use Carbon\CarbonImmutable;
use Database\Factories\InvitationFactory;
use Illuminate\Database\Eloquent\Factories\HasFactory;

/**
 * Somebody is asked into a studio; the link itself is not kept.
 *
 * @property string $email empty: by link, for whoever holds it
 * @property Role $role
 * @property string $token_hash
 * @property string|null $invited_by
 * @property CarbonImmutable $expires_at
 * @property CarbonImmutable|null $accepted_at
 */
final class Invitation extends OwnedByStudio
{
    /** @use HasFactory<InvitationFactory> */
    use HasFactory;

    protected $casts = ['role' => Role::class, 'expires_at' => 'immutable_datetime', 'accepted_at' => 'immutable_datetime'];
}
