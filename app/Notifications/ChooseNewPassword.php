<?php

declare(strict_types=1);

namespace App\Notifications;

use App\Models\User;
use Illuminate\Notifications\Messages\MailMessage;
use Illuminate\Notifications\Notification;
use SensitiveParameter;

/** A link to choose a new password; the broker keeps a digest of it and lets it end. */
final class ChooseNewPassword extends Notification
{
    public function __construct(#[SensitiveParameter] private readonly string $token) {}

    /** @return list<string> */
    public function via(): array
    {
        return ['mail'];
    }

    public function toMail(User $user): MailMessage
    {
        return (new MailMessage)->subject(__('mail.reset.subject'))->text('mail.plain', ['lines' => [
            __('mail.greeting', ['name' => $user->name]), __('mail.reset.text', ['minutes' => config('auth.passwords.users.expire')]), $this->address($user), __('mail.reset.else'),
        ]]);
    }

    public function address(User $user): string
    {
        return url('/new-password/'.$this->token.'?email='.rawurlencode($user->email));
    }
}
