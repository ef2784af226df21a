<?php

declare(strict_types=1);

namespace App\Places\Studio;

use App\Models\Invitation;
use App\Models\User;
use App\Notifications\Invited;
use App\Support\Link;
use Illuminate\Support\Facades\Notification;

/** Asks somebody into the studio, by mail or by a link that is handed over. */
final readonly class InvitePerson
{
    private const DAYS = 14;

    public function __invoke(User $by, string $role, ?string $email): InvitedView
    {
        $link = Link::new();
        $invitation = Invitation::query()->create([
            'studio_id' => $by->studio_id, 'email' => mb_strtolower($email ?? ''), 'role' => $role, 'token_hash' => $link->hash, 'invited_by' => $by->id, 'expires_at' => now()->addDays(self::DAYS),
        ]);
        if ($email !== null) {
            Notification::route('mail', $email)->notify(new Invited($invitation, $by->studio, $by->name, $link->token));
        }

        return new InvitedView($invitation->id, url("/join/{$link->token}"), $email !== null);
    }
}
