<?php

declare(strict_types=1);

namespace App\Models;

use Database\Factories\CupboardItemFactory;
use Illuminate\Database\Eloquent\Factories\HasFactory;

/**
 * What the cupboard holds of something, and what it costs.
 *
 * @property string $item
 * @property float $have
 * @property float $price for one unit of the list
 */
final class CupboardItem extends OwnedByStudio
{
    /** @use HasFactory<CupboardItemFactory> */
    use HasFactory;

    protected $casts = ['have' => 'float', 'price' => 'float'];
}
