<?php

declare(strict_types=1);

namespace App\Places\Materials;

use App\Http\Body;
use OpenApi\Attributes as OA;

#[OA\Schema]
final class ShopBody extends Body
{
    /** The core says what is allowed. */
    public function rules(): array
    {
        return ['cloth_width_mm' => ['required', 'numeric'], 'selvedge_mm' => ['required', 'numeric'], 'spool_m' => ['required', 'numeric'], 'currency' => ['sometimes', 'nullable', 'string', 'regex:/^([A-Z]{3})?$/']];
    }
}
