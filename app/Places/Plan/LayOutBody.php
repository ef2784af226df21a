<?php

declare(strict_types=1);

namespace App\Places\Plan;

use App\Http\Body;
use OpenApi\Attributes as OA;

#[OA\Schema(required: ['version', 'starts_on', 'time', 'sessions', 'minutes'], properties: [
    new OA\Property(property: 'version', type: 'integer'),
    new OA\Property(property: 'job', type: 'string', description: 'a ULID of the caller, to ask how far it is and to stop it'),
    new OA\Property(property: 'starts_on', type: 'string'), new OA\Property(property: 'time', type: 'string'),
    new OA\Property(property: 'sessions', type: 'integer'), new OA\Property(property: 'minutes', type: 'integer'),
    new OA\Property(property: 'closed', type: 'array', items: new OA\Items(type: 'string'), description: 'days without a class, as 2030-12-25'),
    new OA\Property(property: 'weekdays', type: 'array', items: new OA\Items(type: 'integer'), description: '1 Monday to 7 Sunday; none: that of the first session'),
    new OA\Property(property: 'every_weeks', type: 'integer'),
    new OA\Property(property: 'made_up', type: 'object', additionalProperties: new OA\AdditionalProperties(type: 'string'), description: 'by day: the date and time instead, as 2030-12-28 10:00'),
    new OA\Property(property: 'lengths', type: 'object', additionalProperties: new OA\AdditionalProperties(type: 'integer'), description: 'minutes, by number of the session, where they differ'),
    new OA\Property(property: 'pins', type: 'object', additionalProperties: new OA\AdditionalProperties(type: 'integer'), description: 'number of the session, from 1, by lesson'),
    new OA\Property(property: 'not_before', type: 'object', additionalProperties: new OA\AdditionalProperties(type: 'integer'), description: 'number of the first session, by lesson'),
    new OA\Property(property: 'not_after', type: 'object', additionalProperties: new OA\AdditionalProperties(type: 'integer'), description: 'number of the last session, by lesson'),
    new OA\Property(property: 'together', type: 'array', items: new OA\Items(type: 'array', items: new OA\Items(type: 'string')), description: 'groups of lessons for one session'),
    new OA\Property(property: 'home', type: 'array', items: new OA\Items(type: 'string'), description: 'lessons sewn at home'),
    new OA\Property(property: 'order', type: 'string', enum: ['course', 'stitches-first', 'feet-first', 'one-day']),
    new OA\Property(property: 'settle', type: 'integer', description: 'minutes to open up'), new OA\Property(property: 'clear', type: 'integer', description: 'minutes to clear up'),
    new OA\Property(property: 'review_every', type: 'integer', description: 'sessions; 0: none'), new OA\Property(property: 'review_minutes', type: 'integer'),
    new OA\Property(property: 'pace', type: 'integer', description: 'percent of the usual time'),
    new OA\Property(property: 'sure', type: 'number', nullable: true, description: 'share of the class for whom there is time to sew again, 0.5 to 0.95; null: one sample of each lesson'),
])]
final class LayOutBody extends Body
{
    use HasCourseDates, HasWishes;

    public function rules(): array
    {
        return $this->dateRules() + $this->wishRules() + $this->frameRules() + ['version' => ['required', 'integer', 'min:0'], 'job' => ['sometimes', 'string', 'ulid']];
    }
}
