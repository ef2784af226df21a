<?php

declare(strict_types=1);

namespace App\Places\Workshop;

use OpenApi\Attributes as OA;
use OpenSeam\Core\Buttonhole\ButtonOn;
use OpenSeam\Core\Buttonhole\HoleField;
use OpenSeam\Core\Buttonhole\JobPlan;
use OpenSeam\Core\Buttonhole\Learned;
use OpenSeam\Core\Buttonhole\Passing;
use OpenSeam\Core\Buttonhole\Strip;
use OpenSeam\Core\Data;
use OpenSeam\Core\Machine\Machine;

/** What is sewn, and how. Lengths in mm. */
#[OA\Schema]
final readonly class ButtonholePlanView
{
    /**
     * @param  list<string>  $stabiliser
     * @param  list<string>  $why
     * @param  list<array{kind: string, why: string}>  $refused
     * @param  array<string, float>  $set
     * @param  list<array{id: string, finished_mm: float, opening_mm: float, passes: string}>  $schools
     * @param  list<array<string, string>>  $acts
     * @param  array<string, list<array{float, float}>>  $parts
     * @param  list<array{float, float}>  $cord
     * @param  list<array{fault: string, text: string}>  $instead
     * @param  list<array{id: string, kind: string, opened: bool}>  $fields
     * @param  array<string, float|int|null>  $learned
     * @param  array<string, mixed>|null  $strip
     */
    private function __construct(
        #[OA\Property] public string $kind,
        #[OA\Property(description: 'as it would be proposed')] public string $proposed_kind,
        #[OA\Property(type: 'string', enum: ['horizontal', 'vertical'])] public string $direction,
        #[OA\Property(nullable: true, description: 'the direction of the other school')] public ?string $also,
        #[OA\Property(type: 'array', items: new OA\Items(type: 'string'))] public array $stabiliser,
        #[OA\Property(type: 'array', items: new OA\Items(type: 'string'))] public array $why,
        #[OA\Property(type: 'array', items: new OA\Items(properties: [new OA\Property(property: 'kind', type: 'string'), new OA\Property(property: 'why', type: 'string')], type: 'object', required: ['kind', 'why']))] public array $refused,
        #[OA\Property] public string $way,
        #[OA\Property(description: 'by what it is told the length')] public string $told,
        #[OA\Property(description: 'what it is told, in words')] public string $told_text,
        #[OA\Property] public float $half_wrap_mm,
        #[OA\Property(description: 'a dome that was not measured')] public bool $estimated,
        #[OA\Property] public float $opening_mm,
        #[OA\Property] public float $finished_mm,
        #[OA\Property] public float $bar_mm,
        #[OA\Property(properties: [new OA\Property(property: 'mm', type: 'number'), new OA\Property(property: 'lines', type: 'number'), new OA\Property(property: 'comes_out_mm', type: 'number'), new OA\Property(property: 'error_mm', type: 'number'), new OA\Property(property: 'add_mm', type: 'number')], type: 'object', required: ['mm'])] public array $set,
        #[OA\Property(type: 'string', enum: ['passes', 'tight', 'will-not-pass'])] public string $passes,
        #[OA\Property(nullable: true)] public ?bool $fits,
        #[OA\Property(type: 'array', items: new OA\Items(properties: [new OA\Property(property: 'id', type: 'string'), new OA\Property(property: 'finished_mm', type: 'number'), new OA\Property(property: 'opening_mm', type: 'number'), new OA\Property(property: 'passes', type: 'string', enum: ['passes', 'tight', 'will-not-pass'])], type: 'object', required: ['id', 'finished_mm', 'opening_mm', 'passes']))] public array $schools,
        #[OA\Property(type: 'array', items: new OA\Items(properties: [new OA\Property(property: 'id', type: 'string'), new OA\Property(property: 'text', type: 'string'), new OA\Property(property: 'at', type: 'string'), new OA\Property(property: 'caution', type: 'string'), new OA\Property(property: 'stop_when', type: 'string'), new OA\Property(property: 'see', type: 'string')], type: 'object', required: ['id', 'text']))] public array $acts,
        #[OA\Property(type: 'object', description: 'needle points by part, along and across', additionalProperties: new OA\AdditionalProperties(type: 'array', items: new OA\Items(type: 'array', items: new OA\Items(type: 'number'))))] public array $parts,
        #[OA\Property(type: 'array', items: new OA\Items(type: 'array', items: new OA\Items(type: 'number')), description: 'the way of its cord; empty without one')] public array $cord,
        #[OA\Property(type: 'array', items: new OA\Items(properties: [new OA\Property(property: 'fault', type: 'string'), new OA\Property(property: 'text', type: 'string')], type: 'object', required: ['fault', 'text']), description: 'what it may do instead')] public array $instead,
        #[OA\Property] public string $starts,
        #[OA\Property] public float $width_mm,
        #[OA\Property] public float $length_mm,
        #[OA\Property] public float $gap_mm,
        #[OA\Property(type: 'array', items: new OA\Items(properties: [new OA\Property(property: 'id', type: 'string'), new OA\Property(property: 'kind', type: 'string', enum: ['length', 'beyond', 'count', 'shows', 'yes-no', 'button']), new OA\Property(property: 'opened', type: 'boolean')], type: 'object', required: ['id', 'kind', 'opened']), description: 'what is read of it')] public array $fields,
        #[OA\Property(properties: [new OA\Property(property: 'offset_mm', type: 'number'), new OA\Property(property: 'offset_u_mm', type: 'number', nullable: true), new OA\Property(property: 'bar_mm', type: 'number'), new OA\Property(property: 'bar_u_mm', type: 'number', nullable: true), new OA\Property(property: 'sewn', type: 'integer')], type: 'object', required: ['offset_mm', 'offset_u_mm', 'bar_mm', 'bar_u_mm', 'sewn'])] public array $learned,
        #[OA\Property(type: 'object', nullable: true, description: 'as it is printed', properties: [new OA\Property(property: 'length_mm', type: 'number'), new OA\Property(property: 'width_mm', type: 'number'), new OA\Property(property: 'origin_mm', type: 'number'), new OA\Property(property: 'across', type: 'boolean'), new OA\Property(property: 'beyond_mm', type: 'number', description: 'so far beyond the centre line, towards the edge, a hole across is cut')], required: ['length_mm', 'width_mm', 'origin_mm', 'across', 'beyond_mm'])] public ?array $strip,
        #[OA\Property] public OpeningView $opening,
        #[OA\Property] public ButtonOnView $button,
    ) {}

    public static function of(JobPlan $plan, ?Machine $machine, Learned $learned, ?Strip $strip, Data $job): self
    {
        $tiesOff = $machine?->buttonhole->tiesOff === true;
        $starts = $machine->buttonhole->starts ?? '';

        return new self(
            $plan->kind, $plan->choice->kind, $plan->direction, $plan->choice->also, $plan->stabiliser, $plan->choice->why, $plan->choice->refused, $plan->way->value, $plan->told->value, $plan->toldText,
            $plan->size->halfWrapMm, $plan->size->estimated, $plan->size->openingMm, $plan->size->finishedMm, $plan->size->barMm, $plan->set->said(), Passing::of($plan->size->openingMm, $plan->size->halfWrapMm)->value, $plan->fits, $plan->size->schools,
            $plan->run->acts, $plan->points, $plan->cord, $plan->run->instead, $starts, $plan->stitch->widthMm, $plan->stitch->lengthMm, $plan->stitch->gapMm,
            array_map(fn (HoleField $f): array => ['id' => $f->id, 'kind' => $f->kind, 'opened' => $f->opened], HoleField::of($plan->way, $tiesOff)),
            ['offset_mm' => $learned->offsetMm, 'offset_u_mm' => $learned->offsetUncertaintyMm, 'bar_mm' => $learned->barMm, 'bar_u_mm' => $learned->barUncertaintyMm, 'sewn' => $learned->sewn],
            $strip === null ? null : ['length_mm' => $strip->lengthMm, 'width_mm' => $strip->widthMm, 'origin_mm' => $strip->originMm, 'across' => $strip->across, 'beyond_mm' => Strip::BEYOND_CENTRE_MM],
            OpeningView::standard(), ButtonOnView::of(ButtonOn::of($job, $machine), $job),
        );
    }
}
