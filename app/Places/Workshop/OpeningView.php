<?php

declare(strict_types=1);

namespace App\Places\Workshop;

use OpenApi\Attributes as OA;
use OpenSeam\Core\Data;
use OpenSeam\Core\Tables;

/** How a buttonhole is opened by each school, and how one is unpicked (core/resources/buttonhole-opening.json). */
#[OA\Schema]
final readonly class OpeningView
{
    /**
     * @param  list<array{id: string, title: string, acts: list<string>}>  $ways
     * @param  list<string>  $after
     * @param  list<string>  $unpick
     */
    private function __construct(
        #[OA\Property] public string $caution,
        #[OA\Property(type: 'array', items: new OA\Items(properties: [new OA\Property(property: 'id', type: 'string'), new OA\Property(property: 'title', type: 'string'), new OA\Property(property: 'acts', type: 'array', items: new OA\Items(type: 'string'))], type: 'object', required: ['id', 'title', 'acts']))] public array $ways,
        #[OA\Property(type: 'array', items: new OA\Items(type: 'string'), description: 'whichever way it was')] public array $after,
        #[OA\Property(type: 'array', items: new OA\Items(type: 'string'))] public array $unpick,
    ) {}

    public static function standard(): self
    {
        $table = Tables::read('buttonhole-opening');

        return new self($table->text('caution'), array_map(fn (Data $w): array => ['id' => $w->text('id'), 'title' => $w->text('title'), 'acts' => $w->texts('acts')], $table->parts('ways')), $table->texts('after'), $table->texts('unpick'));
    }
}
