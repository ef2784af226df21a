<?php

declare(strict_types=1);

namespace App\Places\Workshop;

use App\Http\Body;
use OpenApi\Attributes as OA;
use OpenSeam\Core\Machine\BlindHem;

/** How machine and foot are set for a blind hem, mm from the centre needle, left negative. */
#[OA\Schema]
final class BlindHemBody extends Body
{
    public function rules(): array
    {
        return [
            'width_mm' => ['required', 'numeric', 'min:0.5', 'max:12'],
            'position_mm' => ['required', 'numeric', 'min:-4.5', 'max:4.5'],
            'blade_mm' => ['required', 'numeric', 'min:-12', 'max:12'],
            'width_step_mm' => ['required', 'numeric', 'min:0', 'max:5'],
            'position_step_mm' => ['required', 'numeric', 'min:0', 'max:5'],
            'blade_step_mm' => ['required', 'numeric', 'min:0', 'max:5'],
            'mirrored' => ['required', 'boolean'],
            'stretch' => ['required', 'boolean'],
            'pick_mm' => ['present', 'nullable', 'numeric', 'min:0', 'max:10'],
            'seen' => ['present', 'nullable', 'string', 'in:'.implode(',', array_keys(BlindHem::SEEN))],
        ];
    }
}
