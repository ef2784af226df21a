<?php

declare(strict_types=1);

namespace App\Places\Account;

use App\Views\NamedView;
use OpenApi\Attributes as OA;

/** Who is signed in. */
#[OA\Schema]
final readonly class MeView
{
    /**
     * @param  list<NamedView>  $classes
     * @param  list<NamedView>  $courses
     */
    public function __construct(
        #[OA\Property] public string $name,
        #[OA\Property] public string $email,
        #[OA\Property] public string $studio,
        #[OA\Property(enum: ['owner', 'teacher', 'helper'])] public string $role,
        #[OA\Property(enum: ['mm', 'in'])] public string $unit,
        #[OA\Property(enum: ['right', 'left'])] public string $hand,
        #[OA\Property] public string $language,
        #[OA\Property] public string $timezone,
        #[OA\Property] public string $now,
        #[OA\Property(type: 'array', items: new OA\Items(ref: NamedView::class))] public array $classes,
        #[OA\Property(type: 'array', items: new OA\Items(ref: NamedView::class), description: 'courses on the shelf to plan a class from')] public array $courses,
        #[OA\Property(nullable: true, description: 'what has to be seen to')] public ?string $warning,
        #[OA\Property(nullable: true, description: 'the studio was deleted then')] public ?string $studio_deleted_at,
        #[OA\Property(description: 'the invented studio')] public bool $demo,
    ) {}
}
