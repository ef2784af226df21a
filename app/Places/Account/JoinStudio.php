<?php

declare(strict_types=1);

namespace App\Places\Account;

use App\Models\Invitation;
use App\Models\Studio;
use App\Models\User;
use App\Support\CurrentStudio;
use App\Support\Link;
use Illuminate\Database\Eloquent\ModelNotFoundException;
use Illuminate\Support\Facades\DB;
use OpenSeam\Core\InputError;
use SensitiveParameter;

/** Takes up an invitation: once, before it ends. */
final readonly class JoinStudio
{
    public function __construct(private CurrentStudio $studio) {}

    /** @throws ModelNotFoundException for a link that does not work (any more) */
    public function show(string $token): JoinView
    {
        $invitation = $this->find($token, false);

        return new JoinView(Studio::query()->findOrFail($invitation->studio_id)->name, $invitation->role->value, $invitation->email);
    }

    /** @throws InputError when the address has an account */
    public function __invoke(string $token, string $name, string $email, #[SensitiveParameter] string $password): User
    {
        return DB::transaction(function () use ($token, $name, $email, $password): User {
            $invitation = $this->find($token, true);
            $email = mb_strtolower($email);
            User::query()->where('email', $email)->exists() && throw InputError::at('email', $email, 'This e-mail address has an account already. Use another one here.');
            $this->studio->everywhere(fn () => $invitation->update(['accepted_at' => now()]));

            return User::query()->create(['studio_id' => $invitation->studio_id, 'name' => $name, 'email' => $email, 'password' => $password, 'role' => $invitation->role]);
        });
    }

    private function find(string $token, bool $lock): Invitation
    {
        $hash = Link::read($token);

        return $hash === null ? throw (new ModelNotFoundException)->setModel(Invitation::class) : $this->studio->everywhere(
            fn (): Invitation => Invitation::query()->where('token_hash', $hash)->whereNull('accepted_at')->where('expires_at', '>', now())->when($lock, fn ($q) => $q->lockForUpdate())->firstOrFail(),
        );
    }
}
