<?php

declare(strict_types=1);

namespace App\Models;

use Database\Factories\MaterialTickFactory;
use Illuminate\Database\Eloquent\Factories\HasFactory;

/**
 * Something of a class's list that is bought or laid out.
 *
 * @property string $class_id
 * @property string $item
 */
final class MaterialTick extends OwnedByStudio
{
    /** @use HasFactory<MaterialTickFactory> */
    use HasFactory;
}
