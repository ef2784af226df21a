<?php

declare(strict_types=1);

namespace App\Places\Workshop;

use App\Http\Body;
use OpenApi\Attributes as OA;

#[OA\Schema(properties: [new OA\Property(property: 'overrule', description: 'whatever the tests say')])]
final class ButtonholeReleaseBody extends Body
{
    public function rules(): array
    {
        return ['overrule' => ['sometimes', 'boolean']];
    }
}
