<?php

declare(strict_types=1);

namespace App\Http;

use Closure;
use Illuminate\Contracts\Validation\ValidationRule;

/** What is sent goes by name ("pins" by lesson), and is no list. */
final class Keyed implements ValidationRule
{
    public function validate(string $attribute, mixed $value, Closure $fail): void
    {
        is_array($value) && $value !== [] && array_is_list($value) && $fail('“:attribute” must say which: it goes by name, and a list came.');
    }
}
