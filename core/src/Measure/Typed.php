<?php

declare(strict_types=1);

namespace OpenSeam\Core\Measure;

use IntlChar;

/** What a person types, whatever keyboard it was typed on. */
final class Typed
{
    /** Marks of other keyboards that mean the usual ones. */
    private const MARKS = ['．' => '.', '，' => ',', '٫' => '.', '／' => '/', '－' => '-', '＋' => '+', '　' => ' '];

    /** The same in plain digits and marks: full-width, Arabic and any other digits of Unicode are digits; a point with nothing behind it yet ("16.") is on its way. */
    public static function plain(string $typed): string
    {
        $text = strtr($typed, self::MARKS);
        if (preg_match('/[^\x00-\x7F]/', $text) === 1) {
            $text = preg_replace_callback('/\p{Nd}/u', fn (array $m): string => (string) IntlChar::charDigitValue($m[0]), $text) ?? $text;
        }

        return preg_replace('/(?<![\d.,])(\d+)[.,](?=\s|$|\p{L}|["″”])/u', '$1', $text) ?? $text;
    }
}
