<?php

declare(strict_types=1);

namespace App\Places\Plan;

use App\Http\Body;
use App\Http\Keyed;
use OpenApi\Attributes as OA;

#[OA\Schema(properties: [
    new OA\Property(property: 'home', description: 'lessons sewn at home after each session'),
    new OA\Property(property: 'pins', description: 'number of the session, from 1, by lesson'),
])]
final class PlanBody extends Body
{
    use HasWishes;

    public function rules(): array
    {
        return [
            'pins' => ['sometimes', 'array', new Keyed, 'max:120'],
            'pins.*' => ['required', 'integer', 'min:1', 'max:60'],
            'home' => ['sometimes', 'array', 'max:60'],
            'home.*' => ['present', 'array', 'max:100'],
            'home.*.*' => ['required', 'string', 'max:60'],
            'version' => ['required', 'integer', 'min:0'],
            'sessions' => ['required', 'array', 'max:60'],
            'sessions.*' => ['present', 'array', 'max:100'],
            'sessions.*.*' => ['required', 'string', 'max:60'],
        ];
    }

    /** @return list<list<string>> lesson ids by session */
    public function sessions(): array
    {
        return $this->lists('sessions');
    }

    /** @return list<list<string>>|null lessons sewn at home after each session; null when none were sent */
    public function home(): ?array
    {
        return $this->has('home') ? $this->lists('home') : null;
    }

    /** @return list<list<string>> */
    private function lists(string $name): array
    {
        // As sent: the checked copy is put together rule by rule and loses the order.
        $sent = $this->input($name);

        return array_values(array_map(
            fn (mixed $lessons): array => is_array($lessons) ? array_values(array_filter($lessons, is_string(...))) : [],
            is_array($sent) ? $sent : [],
        ));
    }
}
