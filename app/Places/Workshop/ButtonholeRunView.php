<?php

declare(strict_types=1);

namespace App\Places\Workshop;

use OpenApi\Attributes as OA;

/** A machine's buttonhole run, for whoever sits at it. */
#[OA\Schema]
final readonly class ButtonholeRunView
{
    public function __construct(
        #[OA\Property] public string $machine,
        #[OA\Property(description: 'the button it is for')] public string $title,
        #[OA\Property] public ButtonholePlanView $plan,
    ) {}
}
