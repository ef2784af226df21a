<?php

declare(strict_types=1);

namespace App\Places\Workshop;

use App\Http\Body;
use OpenApi\Attributes as OA;

#[OA\Schema(required: ['id', 'seen'], properties: [
    new OA\Property(property: 'id', type: 'string', description: 'a ULID made where it is opened'),
    new OA\Property(property: 'seen', type: 'array', items: new OA\Items(type: 'string'), description: 'fault ids'),
    new OA\Property(property: 'machine', type: 'string', nullable: true), new OA\Property(property: 'student', type: 'string', nullable: true),
    new OA\Property(property: 'sample', type: 'string', nullable: true, description: 'the sample it is seen on, kept or still in hand: what is found counts for the student'),
    new OA\Property(property: 'known', properties: [
        new OA\Property(property: 'length_mm', type: 'number'), new OA\Property(property: 'width_mm', type: 'number'), new OA\Property(property: 'tension_notches', type: 'number'),
        new OA\Property(property: 'cloth', type: 'string', enum: ['woven', 'thin', 'stretch']), new OA\Property(property: 'stabiliser', type: 'boolean'), new OA\Property(property: 'fast', type: 'boolean'),
        new OA\Property(property: 'needle_new', type: 'boolean'), new OA\Property(property: 'rethreaded', type: 'boolean'), new OA\Property(property: 'bobbin_reseated', type: 'boolean'),
    ], type: 'object'),
])]
final class HuntBody extends Body
{
    /** @return array<string, list<string>> what can be known, by name */
    private static function facts(): array
    {
        return [
            'length_mm' => ['numeric', 'min:0', 'max:20'], 'width_mm' => ['numeric', 'min:0', 'max:20'], 'tension_notches' => ['numeric', 'min:-20', 'max:20'], 'cloth' => ['string', 'in:woven,thin,stretch'],
            'stabiliser' => ['boolean'], 'fast' => ['boolean'], 'needle_new' => ['boolean'], 'rethreaded' => ['boolean'], 'bobbin_reseated' => ['boolean'],
        ];
    }

    public function rules(): array
    {
        $rules = [
            'id' => ['required', 'string', 'ulid'], 'seen' => ['required', 'array', 'max:20'], 'seen.*' => ['required', 'string', 'max:60', 'distinct'],
            'machine' => ['nullable', 'string', 'max:26'], 'student' => ['nullable', 'string', 'max:26'], 'sample' => ['nullable', 'string', 'ulid'], 'known' => ['sometimes', 'array:'.implode(',', array_keys(self::facts()))],
        ];
        foreach (self::facts() as $fact => $allowed) {
            $rules["known.$fact"] = ['sometimes', 'nullable', ...$allowed];
        }

        return $rules;
    }

    /** @return array<string, mixed> */
    public function known(): array
    {
        return $this->asSent('known');
    }
}
