<?php

declare(strict_types=1);

namespace App\Places\Session;

use App\Http\Body;
use App\Models\BenchPlan;
use OpenApi\Attributes as OA;

#[OA\Schema]
final class StateBody extends Body
{
    public function rules(): array
    {
        return ['student' => ['required', 'string', 'max:26'], 'state' => ['required', 'string', 'in:here,'.implode(',', BenchPlan::AWAY)]];
    }
}
