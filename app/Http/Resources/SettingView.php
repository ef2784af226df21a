<?php

declare(strict_types=1);

namespace App\Http\Resources;

use OpenApi\Attributes as OA;
use OpenSeam\Core\Course\Setting;

/** What to set, and what other schools set. */
#[OA\Schema]
final readonly class SettingView
{
    /** @param  list<array{school: string, value: string}>  $schools */
    public function __construct(
        #[OA\Property] public string $name,
        #[OA\Property] public string $value,
        #[OA\Property(type: 'array', items: new OA\Items(required: ['school', 'value'], properties: [new OA\Property(property: 'school', type: 'string'), new OA\Property(property: 'value', type: 'string')], type: 'object'))] public array $schools,
    ) {}

    public static function of(Setting $s): self
    {
        return new self($s->name, $s->value, $s->schools);
    }
}
