<?php

declare(strict_types=1);

namespace App\Places\Account;

use Closure;
use Illuminate\Contracts\Validation\ValidationRule;

/** Ten characters and more, and none of those that are tried first. */
final class GoodPassword implements ValidationRule
{
    private const LEAST = 10;

    public function validate(string $attribute, mixed $value, Closure $fail): void
    {
        $text = is_string($value) ? $value : '';
        if (mb_strlen($text) < self::LEAST) {
            $fail(sprintf('“:attribute” needs at least %d characters.', self::LEAST));
        } elseif (self::isCommon($text)) {
            $fail('passwords.common')->translate();
        }
    }

    private static function isCommon(string $text): bool
    {
        $plain = mb_strtolower(trim($text));
        // One letter over and over, or a run of the keyboard.
        if (count(array_unique(mb_str_split($plain))) < 4) {
            return true;
        }
        $common = self::all();
        $stem = (string) preg_replace('/[^a-z]+$/', '', $plain);
        foreach ([$plain, $stem] as $word) {
            // Letters written as figures are no disguise.
            $bare = strtr($word, ['0' => 'o', '1' => 'i', '3' => 'e', '4' => 'a', '5' => 's', '7' => 't', '@' => 'a', '$' => 's', '!' => 'i']);
            if (isset($common[$word]) || isset($common[$bare])) {
                return true;
            }
        }

        return false;
    }

    /** @return array<string, true> */
    private static function all(): array
    {
        /** @var array<string, true>|null $all */
        static $all = null;

        return $all ??= array_fill_keys(array_filter(array_map(trim(...), file(resource_path('common-passwords.txt')) ?: []), fn (string $line): bool => $line !== '' && $line[0] !== '#'), true);
    }
}
