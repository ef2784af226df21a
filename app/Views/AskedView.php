<?php

declare(strict_types=1);

namespace App\Views;

use App\Models\Enrolment;
use OpenApi\Attributes as OA;

/** What a student asks from their own page. */
#[OA\Schema]
final readonly class AskedView
{
    public function __construct(
        #[OA\Property(description: 'in their own words; empty: please look')] public string $text,
        #[OA\Property] public string $at,
    ) {}

    public static function of(Enrolment $e): ?self
    {
        return $e->asked_at === null ? null : new self($e->asks, $e->asked_at->toIso8601ZuluString());
    }
}
