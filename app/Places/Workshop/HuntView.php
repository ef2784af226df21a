<?php

declare(strict_types=1);

namespace App\Places\Workshop;

use App\Models\FaultHunt;
use App\Views\NamedView;
use OpenApi\Attributes as OA;
use OpenSeam\Core\Curriculum\Bundle;
use OpenSeam\Core\Fault\Cause;
use OpenSeam\Core\Fault\CauseBook;
use OpenSeam\Core\Fault\Diagnosis;

/** The search for what is behind a fault. */
#[OA\Schema]
final readonly class HuntView
{
    /**
     * @param  list<NamedView>  $seen
     * @param  list<CauseView>  $causes
     */
    private function __construct(
        #[OA\Property] public string $id,
        #[OA\Property(nullable: true)] public ?string $machine,
        #[OA\Property(nullable: true)] public ?string $student,
        #[OA\Property(type: 'array', items: new OA\Items(ref: NamedView::class))] public array $seen,
        #[OA\Property(type: 'array', items: new OA\Items(ref: CauseView::class), description: 'in the order to try them; those tried first, as they were tried')] public array $causes,
        #[OA\Property(description: 'made so far')] public int $trials,
        #[OA\Property(nullable: true, description: 'the one change to try now; null when it is closed')] public ?string $next,
        #[OA\Property(nullable: true, description: 'the cause that was found')] public ?string $found,
        #[OA\Property(description: 'found, or nothing is left to try')] public bool $closed,
        #[OA\Property(description: 'minutes until it is found, as expected now')] public float $expected_minutes,
        #[OA\Property] public string $opened_at,
    ) {}

    public static function of(FaultHunt $hunt, Diagnosis $diagnosis, CauseBook $book, Bundle $bundle): self
    {
        $results = array_column($hunt->trials, 'result', 'cause');
        $open = array_values(array_filter($diagnosis->order, fn (string $id): bool => ! isset($results[$id])));
        $cause = fn (string $id): CauseView => CauseView::of($book->causes[$id] ?? new Cause($id, $id, 'habit', 1.0, ''), $diagnosis->causes[$id] ?? 0.0, $results[$id] ?? null);

        return new self(
            $hunt->id, $hunt->machine_id, $hunt->student_id,
            array_map(fn (string $f): NamedView => new NamedView($f, $bundle->faults[$f]->seen ?? $f), $hunt->seen),
            array_map($cause, [...array_map(strval(...), array_keys($results)), ...$open]),
            count($hunt->trials), $hunt->closed_at === null ? ($open[0] ?? null) : null, $hunt->cause, $hunt->closed_at !== null, $diagnosis->expectedMinutes, $hunt->opened_at->toIso8601ZuluString(),
        );
    }
}
