<?php

declare(strict_types=1);

namespace App\Views;

use OpenApi\Attributes as OA;
use OpenSeam\Core\Course\Setting;
use OpenSeam\Core\Course\SettingSchool;

/** What to set, and what other schools set. */
#[OA\Schema]
final readonly class SettingView
{
    /** @param  list<array{id: string, school: string, value: string, usual: bool}>  $schools */
    public function __construct(
        #[OA\Property] public string $name,
        #[OA\Property] public string $value,
        #[OA\Property(type: 'array', items: new OA\Items(required: ['id', 'school', 'value', 'usual'], properties: [new OA\Property(property: 'id', type: 'string'), new OA\Property(property: 'school', type: 'string'), new OA\Property(property: 'value', type: 'string'), new OA\Property(property: 'usual', type: 'boolean', description: 'as the lesson has it where nothing else is chosen')], type: 'object'))] public array $schools,
        #[OA\Property(nullable: true, description: 'school whose value it is, by id')] public ?string $school,
    ) {}

    /** @param  Setting|null  $usual  the same where nothing else is chosen */
    public static function of(Setting $s, ?Setting $usual): self
    {
        return new self($s->name, $s->value, array_map(fn (SettingSchool $o): array => ['id' => $o->id, 'school' => $o->school, 'value' => $o->value, 'usual' => $o->id === $usual?->inUse()?->id], $s->schools), $s->inUse()?->id);
    }
}
