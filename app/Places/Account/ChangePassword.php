<?php

declare(strict_types=1);

namespace App\Places\Account;

use App\Models\User;
use Illuminate\Support\Facades\DB;
use SensitiveParameter;

/** A new password; whoever else is signed in with the old one is out. */
final readonly class ChangePassword
{
    public function __construct(private Devices $devices) {}

    public function __invoke(User $user, #[SensitiveParameter] string $password, ?string $session = null): void
    {
        DB::transaction(function () use ($user, $password, $session): void {
            $user->forceFill(['password' => $password])->save();
            $this->devices->end($user, $session);
        });
    }
}
