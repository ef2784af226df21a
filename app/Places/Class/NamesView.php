<?php

declare(strict_types=1);

namespace App\Places\Class;

use OpenApi\Attributes as OA;
use OpenSeam\Core\Course\NameList;

/** What was understood of a list of names. Nobody is added yet. */
#[OA\Schema]
final readonly class NamesView
{
    /**
     * @param  list<array{line: int, name: string, hand: string, own_machine: bool, problem: string|null}>  $people
     * @param  list<string>  $unread
     */
    private function __construct(
        #[OA\Property(type: 'array', items: new OA\Items(properties: [new OA\Property(property: 'line', type: 'integer'), new OA\Property(property: 'name', type: 'string'), new OA\Property(property: 'hand', type: 'string', enum: ['', 'left', 'right']), new OA\Property(property: 'own_machine', type: 'boolean'), new OA\Property(property: 'problem', type: 'string', nullable: true)], type: 'object', required: ['line', 'name', 'hand', 'own_machine', 'problem']))] public array $people,
        #[OA\Property(description: 'it has headings')] public bool $table,
        #[OA\Property(type: 'array', items: new OA\Items(type: 'string'), description: 'headings that were not understood')] public array $unread,
    ) {}

    public static function of(NameList $list): self
    {
        return new self($list->people, $list->table, $list->unread);
    }
}
