<?php

declare(strict_types=1);

namespace App\Models;

/**
 * Something of a class's list that is bought or laid out.
 *
 * @property string $class_id
 * @property string $item
 */
final class MaterialTick extends OwnedByStudio {}
