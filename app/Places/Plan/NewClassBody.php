<?php

declare(strict_types=1);

namespace App\Places\Plan;

use App\Http\Body;
use App\Places\Class\HasComers;
use App\Records\CourseDates;
use App\Records\Shelf;
use App\Support\Clock;
use App\Support\Conflict;
use OpenApi\Attributes as OA;

#[OA\Schema(properties: [
    new OA\Property(property: 'closed', description: 'days without a class, as 2030-12-25'),
    new OA\Property(property: 'course', type: 'string', description: 'a course of the shelf; the first one when left out'),
    new OA\Property(property: 'from', description: 'a class whose plan and wishes are copied'),
    new OA\Property(property: 'students', description: 'names of those who are new'),
    new OA\Property(property: 'hands', type: 'object', additionalProperties: new OA\AdditionalProperties(type: 'string', enum: ['left', 'right']), description: 'by name, of those of whom it is known'),
    new OA\Property(property: 'own_machines', description: 'names of those who have a machine at home'),
    new OA\Property(property: 'returning', description: 'ids of those who were here before; their history comes along'),
    new OA\Property(property: 'began', description: 'it really began then: without it, dates in the past are asked back'),
])]
final class NewClassBody extends Body
{
    use HasComers, HasCourseDates, HasWishes;

    public function rules(): array
    {
        return $this->dateRules() + $this->wishRules() + $this->frameRules() + $this->comerRules() + [
            'name' => ['required', 'string', 'max:80'],
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
