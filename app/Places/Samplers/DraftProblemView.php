<?php

declare(strict_types=1);

namespace App\Places\Samplers;

use OpenApi\Attributes as OA;
use OpenSeam\Core\Curriculum\DraftProblem;

/** Something about a lesson being drafted. */
#[OA\Schema]
final readonly class DraftProblemView
{
    public function __construct(
        #[OA\Property(description: 'such as "sampler.rows[0].path.distance_mm"')] public string $place,
        #[OA\Property] public string $text,
        #[OA\Property(description: 'id of the row it is about; empty for the lesson')] public string $row,
        #[OA\Property(description: 'it cannot be kept like this')] public bool $stops,
        #[OA\Property(nullable: true, description: 'what would put the place right')] public ?float $value,
    ) {}

    public static function of(DraftProblem $p): self
    {
        return new self($p->place, $p->text, $p->row, $p->stops, $p->value);
    }
}
