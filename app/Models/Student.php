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
    protected $casts = ['wishes' => 'array', 'own_machine' => 'bool'];

    protected $attributes = ['wishes' => '[]', 'own_machine' => false];
}
