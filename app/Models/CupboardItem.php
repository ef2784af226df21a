<?php

declare(strict_types=1);

namespace App\Models;

/**
 * What the cupboard holds of something, and what it costs.
 *
 * @property string $item
 * @property float $have
 * @property float $price for one unit of the list
 */
final class CupboardItem extends OwnedByStudio
{
    protected $casts = ['have' => 'float', 'price' => 'float'];
}
