<?php

declare(strict_types=1);

namespace App\Models;

/**
 * @property string $name
 * @property list<string> $wishes
 * @property bool $own_machine there is one at home
 */
final class Student extends OwnedByStudio
{
    /**
     * One change of a student's record at a time: what follows is worked out from all of it.
     *
     * @param  list<string>  $students
     */
    public static function lock(array $students): void
    {
        self::query()->whereKey($students)->orderBy('id')->lockForUpdate()->pluck('id');
    }

    protected $casts = ['wishes' => 'array', 'own_machine' => 'bool'];

    protected $attributes = ['wishes' => '[]', 'own_machine' => false];
}
