<?php

declare(strict_types=1);

namespace App\Views;

use App\Records\RoomInventory;
use OpenApi\Attributes as OA;
use OpenSeam\Core\Curriculum\Bundle;
use OpenSeam\Core\NextLesson\Advice;
use OpenSeam\Core\NextLesson\Candidate;
use OpenSeam\Core\NextLesson\Reason;

/** The next lesson and why. */
#[OA\Schema]
final readonly class AdviceView
{
    /**
     * @param  list<ReasonView>  $reasons
     * @param  list<CandidateView>  $candidates
     */
    public function __construct(
        #[OA\Property(type: 'string', enum: ['repeat', 'drill', 'refresh', 'go-on', 'enrich'])] public string $kind,
        #[OA\Property(nullable: true)] public ?string $lesson,
        #[OA\Property(nullable: true)] public ?string $drill,
        #[OA\Property] public string $title,
        #[OA\Property] public ChangeView $change,
        #[OA\Property(type: 'array', items: new OA\Items(ref: ReasonView::class))] public array $reasons,
        #[OA\Property(type: 'array', items: new OA\Items(ref: CandidateView::class))] public array $candidates,
        #[OA\Property(nullable: true)] public ?DrillView $warm_up,
        #[OA\Property(nullable: true, description: 'why nobody can sew it in this room')] public ?string $cannot,
    ) {}

    public static function of(Advice $advice, Bundle $bundle, RoomInventory $room): self
    {
        $cannot = fn (?string $lesson): ?string => $lesson === null ? null : $room->cannotTeach($bundle, $lesson);

        return new self(
            $advice->kind->value, $advice->lesson, $advice->drill?->id,
            Titles::of($bundle, $advice->lesson, $advice->drill?->id),
            new ChangeView($advice->change->kind, $advice->change->text),
            array_map(fn (Reason $r): ReasonView => new ReasonView($r->text, array_map(fn (array $e): EvidenceView => new EvidenceView(...$e), $r->evidence)), $advice->reasons),
            array_map(fn (Candidate $c): CandidateView => new CandidateView($c->kind->value, $c->lesson, Titles::of($bundle, $c->lesson, $c->drill?->id), $c->drill?->id, $c->minutes, $c->ready, $c->passed, $cannot($c->lesson)), $advice->candidates),
            DrillView::orNull($advice->warmUp),
            $cannot($advice->lesson),
        );
    }
}
