<?php

declare(strict_types=1);

namespace App\Places\Plan;

use App\Models\SewingClass;
use App\Records\CourseDates;
use OpenApi\Attributes as OA;
use OpenSeam\Core\Course\Planning\PlanWishes;
use OpenSeam\Core\Course\Repeats;

/** What a teacher wants of a plan, as it is sent to have it laid out. */
#[OA\Schema]
final readonly class PlanWishesView
{
    /**
     * @param  list<string>  $closed
     * @param  list<int>  $weekdays
     * @param  list<list<string>>  $together
     * @param  list<string>  $home
     */
    private function __construct(
        #[OA\Property] public string $starts_on,
        #[OA\Property] public string $time,
        #[OA\Property] public int $sessions,
        #[OA\Property] public int $minutes,
        #[OA\Property(type: 'array', items: new OA\Items(type: 'string'))] public array $closed,
        #[OA\Property(type: 'array', items: new OA\Items(type: 'integer'))] public array $weekdays,
        #[OA\Property] public int $every_weeks,
        #[OA\Property(type: 'object', additionalProperties: new OA\AdditionalProperties(type: 'string'))] public object $made_up,
        #[OA\Property(type: 'object', additionalProperties: new OA\AdditionalProperties(type: 'integer'))] public object $lengths,
        #[OA\Property(type: 'object', additionalProperties: new OA\AdditionalProperties(type: 'integer'))] public object $pins,
        #[OA\Property(type: 'object', additionalProperties: new OA\AdditionalProperties(type: 'integer'))] public object $not_before,
        #[OA\Property(type: 'object', additionalProperties: new OA\AdditionalProperties(type: 'integer'))] public object $not_after,
        #[OA\Property(type: 'array', items: new OA\Items(type: 'array', items: new OA\Items(type: 'string')))] public array $together,
        #[OA\Property(type: 'array', items: new OA\Items(type: 'string'))] public array $home,
        #[OA\Property(type: 'string', enum: ['course', 'stitches-first', 'feet-first', 'one-day'])] public string $order,
        #[OA\Property] public int $settle,
        #[OA\Property] public int $clear,
        #[OA\Property] public int $review_every,
        #[OA\Property] public int $review_minutes,
        #[OA\Property] public int $pace,
        #[OA\Property(nullable: true, description: 'share of the class for whom there is time to sew again, 0.5 to 0.95; null: one sample of each lesson')] public ?float $sure,
    ) {}

    public static function of(SewingClass $class, CourseDates $dates, PlanWishes $wishes, Repeats $repeats): self
    {
        $numbered = fn (array $bounds): object => (object) array_map(fn (int $s): int => $s + 1, $bounds);

        return new self(
            $dates->first->format('Y-m-d'), $dates->first->format('H:i'), $dates->sessions, $dates->minutes, $dates->closed, $dates->weekdays, $dates->everyWeeks,
            (object) $dates->madeUp, (object) $dates->lengths, $numbered($wishes->pins), $numbered($wishes->notBefore), $numbered($wishes->notAfter),
            $wishes->together, $wishes->home, $wishes->order->value,
            $class->settle_minutes, $class->clear_minutes, $class->review_every, $class->review_minutes, $class->pace_percent, $repeats->sure,
        );
    }
}
