<?php

declare(strict_types=1);

namespace App\Places\Student;

use OpenApi\Attributes as OA;

/** A student's own machine, and what its short form starts from. */
#[OA\Schema]
final readonly class HomeView
{
    /**
     * @param  array<string, mixed>|null  $facts
     * @param  list<string>  $feet
     * @param  list<array{id: string, title: string, facts: array<string, mixed>}>  $starts
     * @param  list<array{id: string, title: string}>  $kinds
     * @param  list<array{id: string, title: string}>  $mounts
     * @param  list<array{id: string, title: string, swings: bool}>  $stitches
     */
    public function __construct(
        #[OA\Property(type: 'object', ref: '#/components/schemas/MachineFacts', nullable: true, description: 'null: nothing is known of it')] public ?array $facts,
        #[OA\Property(type: 'array', items: new OA\Items(type: 'string'), description: 'kinds that belong to it')] public array $feet,
        #[OA\Property(type: 'array', items: new OA\Items(required: ['id', 'title', 'facts'], properties: [new OA\Property(property: 'id', type: 'string'), new OA\Property(property: 'title', type: 'string'), new OA\Property(property: 'facts', ref: '#/components/schemas/MachineFacts')], type: 'object'), description: 'machines it may be like: of the room, and the usual one of each drive')] public array $starts,
        #[OA\Property(type: 'array', items: new OA\Items(required: ['id', 'title'], properties: [new OA\Property(property: 'id', type: 'string'), new OA\Property(property: 'title', type: 'string')], type: 'object'), description: 'feet')] public array $kinds,
        #[OA\Property(type: 'array', items: new OA\Items(required: ['id', 'title'], properties: [new OA\Property(property: 'id', type: 'string'), new OA\Property(property: 'title', type: 'string')], type: 'object'))] public array $mounts,
        #[OA\Property(type: 'array', items: new OA\Items(required: ['id', 'title', 'swings'], properties: [new OA\Property(property: 'id', type: 'string'), new OA\Property(property: 'title', type: 'string'), new OA\Property(property: 'swings', type: 'boolean')], type: 'object'))] public array $stitches,
    ) {}
}
