<?php

declare(strict_types=1);

namespace OpenSeam\Core;

/** JSON allows 1e400, which no calculation and no answer can hold. */
final class FiniteNumbers
{
    /**
     * What was worked out can be written down.
     *
     * @param  array<array-key, mixed>  $answer
     *
     * @throws InputError when a number of it is none
     */
    public static function answer(array $answer): void
    {
        array_walk_recursive($answer, function (mixed $value): void {
            is_float($value) && ! is_finite($value) && throw InputError::at('(input)', null, 'These values lead beyond what numbers can hold. Make the largest smaller, or the smallest larger.');
        });
    }

    /**
     * @param  mixed  $values  decoded JSON, objects as arrays
     *
     * @throws InputError naming the first number that is too large
     */
    public static function check(mixed $values, string $path = ''): void
    {
        if (is_float($values) && ! is_finite($values)) {
            throw InputError::at($path === '' ? '(input)' : $path, $values > 0 ? 'above 1.7e308' : 'below -1.7e308', 'This number is too large to be worked with.');
        }
        foreach (is_array($values) ? $values : [] as $key => $value) {
            self::check($value, is_int($key) ? $path."[$key]" : ($path === '' ? $key : "$path.$key"));
        }
    }
}
