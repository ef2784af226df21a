<?php

declare(strict_types=1);

namespace App\Http\Requests;

/** Lessons bound to a session, in a body: number of the session, from 1, by lesson. */
trait HasPins
{
    /** @return array<string, list<string>> */
    protected function pinRules(): array
    {
        return ['pins' => ['sometimes', 'array', 'max:120'], 'pins.*' => ['required', 'integer', 'min:1', 'max:60']];
    }

    /** @return array<array-key, int>|null session from 0, by lesson; null when none were sent */
    public function pins(): ?array
    {
        $pins = $this->input('pins');

        return is_array($pins) ? array_map(fn (mixed $n): int => (is_numeric($n) ? (int) $n : 1) - 1, $pins) : null;
    }
}
