<?php

declare(strict_types=1);

namespace App\Places\Session;

use App\Http\Body;
use App\Http\Keyed;
use App\Models\BenchPlan;
use OpenApi\Attributes as OA;

#[OA\Schema(properties: [
    new OA\Property(property: 'version', description: 'that it was changed from'),
    new OA\Property(property: 'most_lessons', description: 'different lessons at once'),
    new OA\Property(property: 'held', description: 'by student'),
    new OA\Property(property: 'away', description: 'by student'),
    new OA\Property(property: 'try', description: 'only show what it would cost; nothing is kept'),
])]
final class BenchBody extends Body
{
    public function rules(): array
    {
        return [
            'version' => ['required', 'integer', 'min:0'], 'most_lessons' => ['required', 'integer', 'min:1', 'max:20'],
            'held' => ['present', 'array', new Keyed, 'max:100'], 'held.*' => ['array:machine,lesson'], 'held.*.machine' => ['sometimes', 'string', 'max:26'], 'held.*.lesson' => ['sometimes', 'string', 'max:60'],
            'away' => ['present', 'array', new Keyed, 'max:100'], 'away.*' => ['string', 'in:'.implode(',', BenchPlan::AWAY)], 'try' => ['sometimes', 'boolean'],
        ];
    }

    /** @return array<string, array{machine?: string, lesson?: string}> */
    public function held(): array
    {
        $held = [];
        foreach ($this->asSent('held') as $student => $h) {
            $h = array_filter(is_array($h) ? $h : [], is_string(...));
            $of = (isset($h['machine']) ? ['machine' => $h['machine']] : []) + (isset($h['lesson']) ? ['lesson' => $h['lesson']] : []);
            $of === [] || $held[(string) $student] = $of;
        }

        return $held;
    }

    /** @return array<string, string> */
    public function away(): array
    {
        return array_filter($this->asSent('away'), is_string(...));
    }
}
