<?php

declare(strict_types=1);

namespace App\Places\Plan;

use App\Http\Body;
use OpenApi\Attributes as OA;

#[OA\Schema(properties: [
    new OA\Property(property: 'job', description: 'a ULID of the caller, to ask how far it is and to stop it'),
    new OA\Property(property: 'closed', description: 'days without a class, as 2030-12-25'),
    new OA\Property(property: 'weekdays', description: '1 Monday to 7 Sunday; none: that of the first session'),
    new OA\Property(property: 'made_up', description: 'by day: the date and time instead, as 2030-12-28 10:00'),
    new OA\Property(property: 'lengths', description: 'minutes, by number of the session, where they differ'),
    new OA\Property(property: 'pins', description: 'number of the session, from 1, by lesson'),
    new OA\Property(property: 'not_before', description: 'number of the first session, by lesson'),
    new OA\Property(property: 'not_after', description: 'number of the last session, by lesson'),
    new OA\Property(property: 'together', description: 'groups of lessons for one session'),
    new OA\Property(property: 'home', description: 'lessons sewn at home'),
    new OA\Property(property: 'settle', description: 'minutes to open up'),
    new OA\Property(property: 'clear', description: 'minutes to clear up'),
    new OA\Property(property: 'review_every', description: 'sessions; 0: none'),
    new OA\Property(property: 'pace', description: 'percent of the usual time'),
    new OA\Property(property: 'sure', description: 'share of the class for whom there is time to sew again, 0.5 to 0.95; null: one sample of each lesson'),
])]
final class LayOutBody extends Body
{
    use HasCourseDates, HasWishes;

    public function rules(): array
    {
        return $this->dateRules() + $this->wishRules() + $this->frameRules() + ['version' => ['required', 'integer', 'min:0'], 'job' => ['sometimes', 'string', 'ulid']];
    }
}
