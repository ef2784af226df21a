<?php

declare(strict_types=1);

namespace App\Support;

use App\Models\User;
use Illuminate\Http\Request;

/** Whoever is signed in. */
final class Who
{
    /** Only behind sign-in, where there is always somebody. */
    public static function asks(Request $request): User
    {
        /** @var User $user */
        $user = $request->user();

        return $user;
    }
}
