<?php

declare(strict_types=1);

namespace App\Notifications;

use App\Models\Invitation;
use App\Models\Studio;
use Illuminate\Notifications\AnonymousNotifiable;
use Illuminate\Notifications\Messages\MailMessage;
use Illuminate\Notifications\Notification;
use SensitiveParameter;

/** Somebody is asked into a studio. */
final class Invited extends Notification
{
    public function __construct(private readonly Invitation $invitation, private readonly Studio $studio, private readonly string $by, #[SensitiveParameter] private readonly string $token) {}

    /** @return list<string> */
    public function via(): array
    {
        return ['mail'];
    }

    public function toMail(AnonymousNotifiable $who): MailMessage
    {
        return (new MailMessage)->subject(__('mail.invitation.subject', ['studio' => $this->studio->name]))->text('mail.plain', ['lines' => [
            __('mail.invitation.text', ['by' => $this->by, 'studio' => $this->studio->name, 'role' => __('roles.'.$this->invitation->role->value)]),
            url("/join/{$this->token}"), __('mail.invitation.until', ['day' => $this->invitation->expires_at->format('j F Y')]),
        ]]);
    }
}
