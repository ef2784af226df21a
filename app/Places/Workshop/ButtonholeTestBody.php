<?php

declare(strict_types=1);

namespace App\Places\Workshop;

use App\Http\Body;
use OpenApi\Attributes as OA;
use OpenSeam\Core\Buttonhole\HoleReading;

/** What ruler and eye say of a buttonhole that was sewn; only what was looked at. */
#[OA\Schema(properties: [
    new OA\Property(property: 'id', description: 'a ULID made where it is looked at; sent again it is the same'),
])]
final class ButtonholeTestBody extends Body
{
    public function rules(): array
    {
        $of = fn (array $values): array => ['string', 'in:'.implode(',', $values)];
        $fields = [
            ...array_fill_keys(['left_mm', 'right_mm', 'bar_front_mm', 'bar_back_mm', 'edge_front_mm', 'edge_back_mm', 'opening_mm'], ['numeric', 'min:0', 'max:500']),
            ...array_fill_keys(['front_from_mark_mm', 'back_from_mark_mm'], ['numeric', 'min:-500', 'max:500']),
            ...array_fill_keys(['points_left', 'points_right'], ['numeric', 'min:0', 'max:200']), 'gap_mm' => ['numeric', 'min:0', 'max:20'],
            ...array_fill_keys(['cloth_shows_left', 'cloth_shows_right'], $of(HoleReading::SHOWS)), 'button' => $of(HoleReading::BUTTON),
            ...array_fill_keys(['puckered', 'ridge', 'thread_caught', 'nest', 'start_gap', 'tied', 'bar_cut', 'side_cut'], ['boolean']),
        ];
        $rules = ['id' => ['required', 'string', 'ulid'], 'read' => ['required', 'array:'.implode(',', array_keys($fields))]];
        foreach ($fields as $field => $allowed) {
            $rules["read.$field"] = ['sometimes', 'nullable', ...$allowed];
        }

        return $rules;
    }

    /** @return array<string, mixed> */
    public function read(): array
    {
        return array_filter($this->asSent('read'), fn (mixed $v): bool => $v !== null);
    }
}
