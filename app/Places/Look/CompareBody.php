<?php

declare(strict_types=1);

namespace App\Places\Look;

use App\Http\Body;
use App\Http\SaysWay;
use App\Views\WayView;
use OpenApi\Attributes as OA;

#[OA\Schema(properties: [
    new OA\Property(property: 'id', description: 'a ULID made where it was compared: sent twice it counts once'),
    new OA\Property(property: 'version', description: 'of the lesson that was sewn; the one on the shelf where it is not given'),
    new OA\Property(property: 'way', ref: WayView::class, nullable: true, description: 'it was sewn in; the usual one where it is not given'),
    new OA\Property(property: 'ruler', type: 'object', additionalProperties: new OA\AdditionalProperties(type: 'array', items: new OA\Items(type: 'string')), description: 'as it is typed, by "row.reading"'),
    new OA\Property(property: 'camera', type: 'object', additionalProperties: new OA\AdditionalProperties(type: 'array', items: new OA\Items(type: 'string')), description: 'as the picture said it'),
])]
final class CompareBody extends Body
{
    use SaysWay;

    public function rules(): array
    {
        return [
            'id' => ['required', 'string', 'ulid'], 'lesson' => ['required', 'string', 'max:60'], 'version' => ['nullable', 'integer', 'min:1'],
            'ruler' => ['required', 'array', 'max:100'], 'camera' => ['required', 'array', 'max:100'],
            ...self::wayRules(),
        ];
    }

    /** @return array<string, mixed> */
    public function ruler(): array
    {
        return $this->asSent('ruler');
    }

    /** @return array<string, mixed> */
    public function camera(): array
    {
        return $this->asSent('camera');
    }
}
