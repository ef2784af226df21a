<?php

declare(strict_types=1);

namespace App\Places\Studio;

use App\Models\Role;
use App\Models\User;
use App\Places\Account\Devices;
use Illuminate\Support\Facades\DB;
use OpenSeam\Core\InputError;

/** What somebody does in the studio is changed, or they leave it; one owner always stays. */
final readonly class ChangePeople
{
    public function __construct(private Devices $devices) {}

    /** @throws InputError when nobody would own the studio any more */
    public function role(User $person, string $role): void
    {
        DB::transaction(function () use ($person, $role): void {
            $role === Role::Owner->value || $this->anotherOwner($person, 'role');
            $person->forceFill(['role' => $role])->save();
        });
    }

    /** What they kept stays, without their name. @throws InputError when nobody would own the studio any more */
    public function remove(User $person): void
    {
        DB::transaction(function () use ($person): void {
            $this->anotherOwner($person, 'person');
            $this->devices->end($person, null);
            $person->delete();
        });
    }

    private function anotherOwner(User $person, string $field): void
    {
        $owners = User::query()->where('studio_id', $person->studio_id)->where('role', Role::Owner->value)->lockForUpdate()->pluck('id')->all();
        array_diff($owners, [$person->id]) !== [] || throw InputError::at($field, $person->name, 'Somebody has to own the studio: make another person owner first.');
    }
}
