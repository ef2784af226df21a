<?php

declare(strict_types=1);

namespace App\Places\Workshop;

use App\Models\ButtonholeJob;
use OpenApi\Attributes as OA;

/** A buttonhole job in a list. */
#[OA\Schema]
final readonly class ButtonholeListView
{
    private function __construct(
        #[OA\Property] public string $id,
        #[OA\Property] public string $title,
        #[OA\Property(nullable: true)] public ?string $class,
        #[OA\Property(nullable: true)] public ?string $student,
        #[OA\Property(nullable: true)] public ?string $machine,
        #[OA\Property(nullable: true)] public ?string $released_at,
        #[OA\Property] public string $changed_at,
    ) {}

    public static function of(ButtonholeJob $job): self
    {
        return new self($job->id, $job->title, $job->class_id, $job->student_id, $job->machine_id, $job->released_at?->toIso8601ZuluString(), $job->changed_at->toIso8601ZuluString());
    }
}
