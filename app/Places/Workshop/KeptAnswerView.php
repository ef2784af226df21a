<?php

declare(strict_types=1);

namespace App\Places\Workshop;

use App\Models\KeptAnswer;
use OpenApi\Attributes as OA;

/** An answer of the workshop kept beside a lesson or with a student. */
#[OA\Schema]
final readonly class KeptAnswerView
{
    public function __construct(
        #[OA\Property] public string $id,
        #[OA\Property] public string $tool,
        #[OA\Property] public string $text,
        #[OA\Property(nullable: true)] public ?string $lesson,
        #[OA\Property(nullable: true)] public ?string $row,
        #[OA\Property(nullable: true)] public ?string $student,
        #[OA\Property] public string $kept_at,
    ) {}

    public static function of(KeptAnswer $a): self
    {
        return new self($a->id, $a->tool, $a->text, $a->lesson, $a->row, $a->student_id, $a->kept_at->toIso8601ZuluString());
    }
}
