<?php

declare(strict_types=1);

namespace App\Http;

use App\Records\Choice;
use OpenApi\Attributes as OA;

#[OA\Schema(properties: [
    new OA\Property(property: 'given', description: 'id of what the student had been given when this was chosen, empty for nothing yet; left out, nobody is asked'),
])]
final class ChoiceBody extends Body
{
    /** @return array<string, list<string>> */
    public static function fields(): array
    {
        return ['lesson' => ['required', 'string', 'max:60'], 'drill' => ['nullable', 'string', 'max:60'], 'because' => ['nullable', 'string', 'max:200'], 'given' => ['nullable', 'string', 'max:26']];
    }

    public function rules(): array
    {
        return self::fields();
    }

    public function choice(): Choice
    {
        return new Choice($this->word('lesson'), $this->wordOrNull('drill'), $this->word('because'), is_string($this->input('given')) ? $this->input('given') : ($this->has('given') ? '' : null));
    }
}
