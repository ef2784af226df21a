<?php

declare(strict_types=1);

namespace App\Places\Workshop;

use App\Http\Body;
use OpenApi\Attributes as OA;

#[OA\Schema(properties: [
    new OA\Property(property: 'after', description: 'trials that were known before this one'),
    new OA\Property(property: 'result', type: 'string', enum: ['cured', 'same', 'worse']),
])]
final class TrialBody extends Body
{
    public function rules(): array
    {
        return ['after' => ['required', 'integer', 'min:0', 'max:100'], 'cause' => ['required', 'string', 'max:80'], 'result' => ['required', 'string', 'max:10']];
    }
}
