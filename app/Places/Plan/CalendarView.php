<?php

declare(strict_types=1);

namespace App\Places\Plan;

use OpenApi\Attributes as OA;

/** The last part of a calendar's private address. */
#[OA\Schema]
final readonly class CalendarView
{
    public function __construct(#[OA\Property] public string $calendar) {}
}
