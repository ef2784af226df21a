<?php

declare(strict_types=1);

namespace App\Views;

use OpenApi\Attributes as OA;
use OpenSeam\Core\Grading\Agreement;

/** How far a student and the teacher saw the same. */
#[OA\Schema]
final readonly class AgreementView
{
    public function __construct(
        #[OA\Property(description: 'checks judged alike')] public int $alike,
        #[OA\Property(description: 'checks both judged')] public int $of,
        #[OA\Property(description: 'checks the student judged more kindly')] public int $kinder,
    ) {}

    public static function from(Agreement $a): self
    {
        return new self($a->alike, $a->of, $a->kinder);
    }
}
