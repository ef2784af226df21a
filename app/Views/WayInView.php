<?php

declare(strict_types=1);

namespace App\Views;

use OpenApi\Attributes as OA;

/** What somebody who joined later has not sewn of what the class had before. */
#[OA\Schema]
final readonly class WayInView
{
    /** @param  list<NamedView>  $lessons */
    public function __construct(
        #[OA\Property(description: 'their first session, from 1')] public int $from,
        #[OA\Property(type: 'array', items: new OA\Items(ref: NamedView::class), description: 'in the order they were taught')] public array $lessons,
    ) {}
}
