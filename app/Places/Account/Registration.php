<?php

declare(strict_types=1);

namespace App\Places\Account;

use App\Models\Studio;
use App\Models\User;
use App\Records\Facts;
use App\Records\OpenStudio;
use App\Support\Link;
use Illuminate\Support\Facades\DB;
use OpenSeam\Core\InputError;
use SensitiveParameter;

/**
 * Who may open a studio: the first one whoever holds the link that was printed; then, as SEAM_REGISTRATION
 * says, nobody, whoever holds a link that the operator made, or anybody. A link is told once, works once and ends after a week.
 */
final readonly class Registration
{
    private const DAYS = 7;

    public function __construct(private OpenStudio $open) {}

    public function isOpen(): bool
    {
        return config('seam.registration') === 'open';
    }

    /** A link opens a studio: the first one always, others unless it is closed. */
    public function takesLinks(): bool
    {
        return $this->isFirst() || config('seam.registration') !== 'closed';
    }

    /** Nobody has a studio of their own yet. */
    public function isFirst(): bool
    {
        return ! Studio::query()->where('demo', false)->exists();
    }

    /** @return string a link that opens one studio; an older one that was not used ends */
    public function newLink(): string
    {
        $link = Link::new();
        Facts::note(Facts::OPENING, $link->hash.' '.(time() + self::DAYS * 86_400));

        return $link->token;
    }

    /** @throws InputError where this person may not, or the address is taken */
    public function open(?string $token, string $studio, string $name, string $email, #[SensitiveParameter] string $password, string $timezone): User
    {
        return DB::transaction(function () use ($token, $studio, $name, $email, $password, $timezone): User {
            $this->isOpen() || $this->use($token);
            $email = mb_strtolower($email);
            User::query()->where('email', $email)->exists() && throw InputError::at('email', $email, 'This e-mail address has an account already. Sign in with it, or ask for a new password.');

            return ($this->open)($studio, $name, $email, $password, $timezone);
        });
    }

    private function use(?string $token): void
    {
        $hash = Link::read($token ?? '');
        [$kept, $until] = explode(' ', (DB::table('facts')->where('name', Facts::OPENING)->lockForUpdate()->value('value') ?? ' ').' ');
        $this->takesLinks() && $hash !== null && hash_equals((string) $kept, $hash) && (int) $until > time()
            || throw InputError::at('link', null, 'A studio is opened here with a link from whoever runs this Open Seam, and this one does not work (any more). They get a new one with: ./seam user invite-studio');
        DB::table('facts')->where('name', Facts::OPENING)->delete();
    }
}
