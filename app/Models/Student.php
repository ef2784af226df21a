<?php

declare(strict_types=1);

namespace App\Models;

/**
 * @property string $name
 * @property list<string> $wishes
 */
final class Student extends OwnedByStudio
{
    protected $casts = ['wishes' => 'array'];

    protected $attributes = ['wishes' => '[]'];
}
