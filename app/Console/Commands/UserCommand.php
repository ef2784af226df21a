<?php

declare(strict_types=1);

namespace App\Console\Commands;

use App\Models\Role;
use App\Models\Studio;
use App\Models\User;
use App\Notifications\ChooseNewPassword;
use App\Places\Account\Registration;
use Illuminate\Console\Command;
use Illuminate\Support\Facades\Password;
use Illuminate\Support\Str;

/** The people of this installation, for whoever runs it. */
final class UserCommand extends Command
{
    protected $signature = 'seam:user {what=list : list, add, reset or invite-studio} {email?} {--name=} {--studio= : name of the studio} {--role=teacher}';

    protected $description = 'List people, add one, give a link for a new password, or a link that opens a studio';

    public function handle(Registration $registration): int
    {
        return match ($this->argument('what')) {
            'list' => $this->list(),
            'add' => $this->add(),
            'reset' => $this->reset(),
            'invite-studio' => $this->opening($registration),
            default => $this->wrong('It knows: list, add EMAIL --studio=NAME [--name=NAME] [--role=owner|teacher|helper], reset EMAIL, invite-studio.'),
        };
    }

    private function list(): int
    {
        $this->table(['e-mail', 'name', 'role', 'studio'], User::query()->with('studio')->orderBy('studio_id')->orderBy('email')->get()->map(fn (User $u): array => [$u->email, $u->name, $u->role->value, $u->studio->name])->all());

        return self::SUCCESS;
    }

    private function add(): int
    {
        $email = mb_strtolower($this->word('email'));
        $studio = Studio::query()->where('name', $this->option('studio'))->first();
        $role = Role::tryFrom((string) $this->option('role'));
        if (filter_var($email, FILTER_VALIDATE_EMAIL) === false || User::query()->where('email', $email)->exists()) {
            return $this->wrong('Say an e-mail address that has no account yet.');
        }
        if ($studio === null || $role === null) {
            return $this->wrong('Say --studio= with the name of a studio ('.Studio::query()->orderBy('name')->pluck('name')->implode(', ').') and --role= owner, teacher or helper.');
        }
        $user = User::query()->create(['studio_id' => $studio->id, 'name' => (string) ($this->option('name') ?? Str::before($email, '@')), 'email' => $email, 'password' => Str::random(40), 'role' => $role]);

        return $this->link($user);
    }

    private function reset(): int
    {
        $user = User::query()->where('email', mb_strtolower($this->word('email')))->first();

        return $user === null ? $this->wrong('There is no account with this e-mail address.') : $this->link($user);
    }

    private function link(User $user): int
    {
        $this->line('Hand this link on; it works once, for an hour, to choose a password:');
        $this->line('  '.(new ChooseNewPassword(Password::createToken($user)))->address($user));

        return self::SUCCESS;
    }

    private function opening(Registration $registration): int
    {
        if (! $registration->takesLinks()) {
            return $this->wrong('No more studios are opened here: SEAM_REGISTRATION=closed is set.');
        }
        $this->line('Hand this link on; it works once, for a week, to open a studio:');
        $this->line('  '.url('/open-a-studio/'.$registration->newLink()));

        return self::SUCCESS;
    }

    private function word(string $name): string
    {
        $word = $this->argument($name);

        return is_string($word) ? $word : '';
    }

    private function wrong(string $why): int
    {
        $this->error($why);

        return self::FAILURE;
    }
}
