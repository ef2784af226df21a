<?php

declare(strict_types=1);

namespace App\Places\Workshop;

use OpenApi\Attributes as OA;
use OpenSeam\Core\Buttonhole\ButtonLook;
use OpenSeam\Core\Buttonhole\ButtonOn;
use OpenSeam\Core\Data;

/** The job's button on its place: width, room at the walls, thread, and what was looked at. Lengths in mm. */
#[OA\Schema]
final readonly class ButtonOnView
{
    /**
     * @param  list<string>  $patterns
     * @param  list<string>  $set_up
     * @param  array<string, list<array{array{float, float}, array{float, float}}>>  $thread
     * @param  list<array{id: string, kind: string, verdict: string|null}>  $checks
     */
    private function __construct(
        #[OA\Property] public int $holes,
        #[OA\Property] public float $spacing_mm,
        #[OA\Property] public float $hole_mm,
        #[OA\Property] public int $needle_size,
        #[OA\Property(description: 'nearest that the dial has')] public float $width_mm,
        #[OA\Property(description: 'at each wall; below 0: it strikes')] public float $margin_mm,
        #[OA\Property(type: 'string', enum: ['clear', 'close', 'strike'])] public string $verdict,
        #[OA\Property(type: 'array', items: new OA\Items(type: 'string'))] public array $patterns,
        #[OA\Property(type: 'array', items: new OA\Items(type: 'string'))] public array $set_up,
        #[OA\Property(type: 'object', description: 'thread by pattern, from hole to hole', additionalProperties: new OA\AdditionalProperties(type: 'array', items: new OA\Items(type: 'array', items: new OA\Items(type: 'array', items: new OA\Items(type: 'number')))))] public array $thread,
        #[OA\Property(type: 'array', items: new OA\Items(properties: [new OA\Property(property: 'id', type: 'string'), new OA\Property(property: 'kind', type: 'string', enum: ['count', 'length', 'yes-no']), new OA\Property(property: 'verdict', type: 'string', nullable: true, description: 'met, near or not-yet')], type: 'object', required: ['id', 'kind', 'verdict']), description: 'what is looked at, once it is on')] public array $checks,
        #[OA\Property(nullable: true, description: 'all of it is; null while something is left to look at')] public ?bool $met,
        #[OA\Property(nullable: true, description: 'the one change for the next button')] public ?string $change,
    ) {}

    public static function of(ButtonOn $on, Data $job): self
    {
        $look = ButtonLook::of($job->has('sewn_on') ? $job->part('sewn_on') : Data::of([]), $on->holes);
        $swing = $on->swing;

        return new self($on->holes, $on->spacingMm, $on->holeMm, (int) round($on->needleMm * 100), $swing->widthMm, $swing->marginMm, $swing->verdict, $swing->patterns, $on->setUp, $on->thread, $look->checks, $look->met, $look->change);
    }
}
