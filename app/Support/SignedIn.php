<?php

declare(strict_types=1);

namespace App\Support;

use App\Models\Studio;
use App\Models\User;
use Illuminate\Auth\EloquentUserProvider;

/** Whoever a session is of, with their studio, in one question: each request asks it. */
final class SignedIn extends EloquentUserProvider
{
    private const MARK = 'studio__';

    public function retrieveById($identifier): ?User
    {
        $columns = array_map(fn (string $c): string => "studios.$c as ".self::MARK.$c, Studio::COLUMNS);
        $row = User::query()->without('studio')->toBase()->join('studios', 'studios.id', '=', 'users.studio_id')->where('users.id', $identifier)->first(['users.*', ...$columns]);
        if ($row === null) {
            return null;
        }
        $own = $studio = [];
        foreach ((array) $row as $name => $value) {
            str_starts_with($name, self::MARK) ? $studio[substr($name, strlen(self::MARK))] = $value : $own[$name] = $value;
        }

        return (new User)->newFromBuilder($own)->setRelation('studio', (new Studio)->newFromBuilder($studio));
    }
}
