<?php

declare(strict_types=1);

namespace App\Places\Workshop;

use App\Models\ButtonholeTest;
use App\Views\NamedView;
use OpenApi\Attributes as OA;
use OpenSeam\Core\Buttonhole\HoleChecks;
use OpenSeam\Core\Buttonhole\HoleVerdict;
use OpenSeam\Core\Buttonhole\JobPlan;
use OpenSeam\Core\Curriculum\Bundle;
use OpenSeam\Core\Machine\ButtonholeWay;
use OpenSeam\Core\Machine\Machine;
use OpenSeam\Core\Words;

/** A test buttonhole with its verdict and the one change for the next. */
#[OA\Schema]
final readonly class ButtonholeTestView
{
    /**
     * @param  list<string>  $not_the_same
     * @param  array<string, mixed>  $read
     * @param  list<array{id: string, value: float|string|bool, verdict: string}>  $checks
     * @param  array{lesson: string, title: string}|null  $drill
     */
    private function __construct(
        #[OA\Property] public string $id,
        #[OA\Property] public string $sewn_at,
        #[OA\Property(type: 'array', items: new OA\Items(type: 'string'), description: 'what was another stack than now; empty: it counts')] public array $not_the_same,
        #[OA\Property(type: 'object', additionalProperties: true)] public array $read,
        #[OA\Property(nullable: true)] public ?float $finished_mm,
        #[OA\Property] public float $planned_mm,
        #[OA\Property] public bool $met,
        #[OA\Property(nullable: true)] public ?bool $snug,
        #[OA\Property(type: 'array', items: new OA\Items(properties: [new OA\Property(property: 'id', type: 'string'), new OA\Property(property: 'value', description: 'mm, a share, a word, yes or no'), new OA\Property(property: 'verdict', type: 'string', enum: ['met', 'near', 'not-yet'])], type: 'object', required: ['id', 'verdict']))] public array $checks,
        #[OA\Property(nullable: true, description: 'row of the table that holds')] public ?string $seen,
        #[OA\Property(description: 'the one change')] public string $change,
        #[OA\Property(nullable: true, description: 'what would be set for the next, in this machine’s terms')] public ?string $told_next,
        #[OA\Property(nullable: true)] public ?float $next_opening_mm,
        #[OA\Property(nullable: true, description: 'the skill it speaks of')] public ?NamedView $skill,
        #[OA\Property(type: 'object', nullable: true, description: 'that practises it', properties: [new OA\Property(property: 'lesson', type: 'string'), new OA\Property(property: 'title', type: 'string')], required: ['lesson', 'title'])] public ?array $drill,
    ) {}

    /**
     * @param  list<string>  $notTheSame
     */
    public static function of(ButtonholeTest $test, ?JobPlan $plan, ?Machine $machine, array $notTheSame, Bundle $bundle, Words $words): self
    {
        [$planned, $read] = [$test->plan(), $test->reading()];
        $own = $machine?->buttonhole;
        $verdict = HoleVerdict::of($planned, $read, ButtonholeWay::from($test->way), $own->starts ?? '', $own?->balance === true, $words);
        $dial = $verdict->seen === 'cloth-shows' && ($own->zone ?? '') !== '' && ($own->denseEnd ?? '') !== ''
            ? ' '.$words->say("hole.denser-{$own?->denseEnd}", ['zone' => $own->zone ?? '']) : '';

        return new self(
            $test->id, $test->sewn_at->toIso8601ZuluString(), $notTheSame, $test->read, $test->sewn()->finishedMm, $planned->finishedMm, $test->sewn()->met, $test->sewn()->snug,
            HoleChecks::of($planned, $read), $verdict->seen, $verdict->text.$dial, $verdict->nextOpeningMm === null ? null : $plan?->toldFor($verdict->nextOpeningMm, $words), $verdict->nextOpeningMm,
            $verdict->skill === null ? null : new NamedView($verdict->skill, $bundle->skills->get($verdict->skill)->title),
            self::drill($verdict->skill, $bundle),
        );
    }

    /** @return array{lesson: string, title: string}|null the first drill of it on the shelf */
    private static function drill(?string $skill, Bundle $bundle): ?array
    {
        foreach ($bundle->lessons as $lesson) {
            foreach ($lesson->drills as $drill) {
                if ($drill->skill === $skill) {
                    return ['lesson' => $lesson->id, 'title' => $drill->title];
                }
            }
        }

        return null;
    }
}
