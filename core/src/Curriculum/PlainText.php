<?php

declare(strict_types=1);

namespace OpenSeam\Core\Curriculum;

use OpenSeam\Core\InputError;

/** A bundle carries words, never program code: markup, script addresses and control signs are refused with their place. */
final class PlainText
{
    private const CODE = '~<\s*[a-z!/?]|javascript\s*:|&#|\x00|[\x01-\x08\x0b\x0c\x0e-\x1f]~i';

    private const LONGEST = 2000;

    /**
     * @param  array<array-key, mixed>  $json
     *
     * @throws InputError naming the first text that is not plain
     */
    public static function check(array $json, string $path = ''): void
    {
        foreach ($json as $name => $value) {
            $here = is_int($name) ? "{$path}[$name]" : ($path === '' ? $name : "$path.$name");
            if (is_array($value)) {
                self::check($value, $here);
            } elseif (is_string($value)) {
                preg_match(self::CODE, $value) === 0 || throw InputError::at($here, $value, 'Only plain words can stand here, no markup and no script.');
                mb_check_encoding($value, 'UTF-8') || throw InputError::at($here, null, 'This is not readable text (UTF-8).');
                mb_strlen($value) <= self::LONGEST || throw InputError::at($here, $value, sprintf('A text can have at most %d characters.', self::LONGEST));
            }
        }
    }
}
