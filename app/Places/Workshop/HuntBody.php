<?php

declare(strict_types=1);

namespace App\Places\Workshop;

use App\Http\Body;
use OpenApi\Attributes as OA;

#[OA\Schema(properties: [
    new OA\Property(property: 'id', description: 'a ULID made where it is opened'),
    new OA\Property(property: 'seen', description: 'fault ids'),
    new OA\Property(property: 'sample', description: 'the sample it is seen on, kept or still in hand: what is found counts for the student'),
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
