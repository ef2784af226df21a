<?php

declare(strict_types=1);

namespace App\Places\Plan;

use App\Http\Body;
use App\Records\CourseDates;
use App\Records\Shelf;
use App\Support\Clock;
use App\Support\Conflict;
use OpenApi\Attributes as OA;

#[OA\Schema(required: ['name', 'students', 'starts_on', 'time', 'sessions', 'minutes', 'helpers', 'machines'], properties: [
    new OA\Property(property: 'name', type: 'string'), new OA\Property(property: 'students', type: 'array', items: new OA\Items(type: 'string')),
    new OA\Property(property: 'starts_on', type: 'string'), new OA\Property(property: 'time', type: 'string'),
    new OA\Property(property: 'sessions', type: 'integer'), new OA\Property(property: 'minutes', type: 'integer'),
    new OA\Property(property: 'helpers', type: 'integer'), new OA\Property(property: 'machines', type: 'integer'),
    new OA\Property(property: 'closed', type: 'array', items: new OA\Items(type: 'string'), description: 'days without a class, as 2030-12-25'),
    new OA\Property(property: 'course', type: 'string', description: 'a course of the shelf; the first one when left out'),
    new OA\Property(property: 'from', type: 'string', description: 'a class whose plan and wishes are copied'),
    new OA\Property(property: 'began', type: 'boolean', description: 'it really began then: without it, dates in the past are asked back'),
    new OA\Property(property: 'weekdays', type: 'array', items: new OA\Items(type: 'integer')), new OA\Property(property: 'every_weeks', type: 'integer'),
    new OA\Property(property: 'made_up', type: 'object', additionalProperties: new OA\AdditionalProperties(type: 'string')),
    new OA\Property(property: 'lengths', type: 'object', additionalProperties: new OA\AdditionalProperties(type: 'integer')),
    new OA\Property(property: 'together', type: 'array', items: new OA\Items(type: 'array', items: new OA\Items(type: 'string'))),
    new OA\Property(property: 'home', type: 'array', items: new OA\Items(type: 'string')),
    new OA\Property(property: 'order', type: 'string', enum: ['course', 'stitches-first', 'feet-first', 'one-day']),
    new OA\Property(property: 'settle', type: 'integer'), new OA\Property(property: 'clear', type: 'integer'),
    new OA\Property(property: 'review_every', type: 'integer'), new OA\Property(property: 'review_minutes', type: 'integer'), new OA\Property(property: 'pace', type: 'integer'),
])]
final class NewClassBody extends Body
{
    use HasCourseDates, HasWishes;

    public function rules(): array
    {
        return $this->dateRules() + $this->wishRules() + $this->frameRules() + [
            'name' => ['required', 'string', 'max:80'],
            'students' => ['required', 'array', 'min:1', 'max:40'],
            'students.*' => ['required', 'string', 'max:60', 'distinct:ignore_case'],
            'helpers' => ['required', 'integer', 'min:0', 'max:20'],
            'machines' => ['required', 'integer', 'min:1', 'max:40'],
            'from' => ['sometimes', 'nullable', 'string', 'max:26'],
            'began' => ['sometimes', 'boolean'],
            'course' => ['sometimes', 'string', 'in:'.implode(',', array_keys(app(Shelf::class)->bundle()->courses))],
        ];
    }

    /** @throws Conflict when sessions would be over before the class is there, and nobody said that they were held */
    public function checkedDates(): CourseDates
    {
        $dates = $this->dates();
        $all = $dates->all();
        $over = count(array_filter($all, fn (array $s): bool => $s[0]->addMinutes($s[1]) < Clock::now()));
        $over === 0 || $this->boolean('began') || throw Conflict::startsInThePast($this->word('starts_on'), $over, count($all));

        return $dates;
    }

    public function attributes(): array
    {
        return ['students.*' => 'student'];
    }
}
