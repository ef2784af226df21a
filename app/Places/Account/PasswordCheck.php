<?php

declare(strict_types=1);

namespace App\Places\Account;

use App\Models\User;
use Illuminate\Support\Facades\Auth;
use Illuminate\Support\Facades\Hash;
use SensitiveParameter;

/** Signs in when e-mail and password go together; takes as long when there is no such account. */
final class PasswordCheck
{
    private static ?string $nobody = null;

    public static function attempt(string $email, #[SensitiveParameter] string $password): bool
    {
        $user = User::query()->where('email', $email)->first();
        // Somebody who is not there has a password too: the answer comes as late.
        $hash = $user->password ?? (self::$nobody ??= Hash::make('nobody has this password'));
        $right = Hash::check($password, $hash);
        if ($user === null || ! $right) {
            return false;
        }
        Hash::needsRehash($hash) && $user->forceFill(['password' => $password])->save();
        Auth::login($user);

        return true;
    }
}
