<?php

declare(strict_types=1);

namespace App\Places\Materials;

use App\Http\Body;
use OpenApi\Attributes as OA;

#[OA\Schema(required: ['cloth_width_mm', 'selvedge_mm', 'spool_m'], properties: [
    new OA\Property(property: 'cloth_width_mm', type: 'number'), new OA\Property(property: 'selvedge_mm', type: 'number'), new OA\Property(property: 'spool_m', type: 'number'),
])]
final class ShopBody extends Body
{
    /** The core says what is allowed. */
    public function rules(): array
    {
        return ['cloth_width_mm' => ['required', 'numeric'], 'selvedge_mm' => ['required', 'numeric'], 'spool_m' => ['required', 'numeric']];
    }
}
