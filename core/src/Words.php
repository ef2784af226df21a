<?php

declare(strict_types=1);

namespace OpenSeam\Core;

use OpenSeam\Core\Measure\Length;
use OpenSeam\Core\Measure\SaidLength;
use OpenSeam\Core\Measure\Unit;

/**
 * Says what the core found, in the words of one language and the unit of one
 * person. Phrases are data: resources/phrases.<language>.json.
 */
final readonly class Words
{
    private const MINUS = "\u{2212}";

    /** @param  array<string, string>  $phrases */
    private function __construct(private array $phrases, public Unit $unit, public bool $toWhoSews = false) {}

    /** @throws ValueRefused when the language is not shipped */
    public static function in(Unit $unit = Unit::Millimetre, string $language = 'en'): self
    {
        /** @var array<string, array<string, string>> $loaded */
        static $loaded = [];
        if (! isset($loaded[$language])) {
            $file = __DIR__."/../resources/phrases.$language.json";
            if (preg_match('/^[a-z]{2}$/', $language) !== 1 || ! is_file($file)) {
                throw new ValueRefused(sprintf('There are no phrases in "%s".', $language));
            }
            /** @var array<string, string> $phrases */
            $phrases = json_decode((string) file_get_contents($file), true, 8, JSON_THROW_ON_ERROR);
            $loaded[$language] = $phrases;
        }

        return new self($loaded[$language], $unit);
    }

    /** The same said to the student who sews: where a phrase speaks to the teacher, "their." and its name speaks to the student. */
    public function theirs(): self
    {
        $theirs = [];
        foreach ($this->phrases as $key => $phrase) {
            str_starts_with($key, 'their.') && $theirs[substr($key, 6)] = $phrase;
        }

        return new self([...$this->phrases, ...$theirs], $this->unit, true);
    }

    /**
     * @param  array<string, string>  $with
     *
     * @throws ValueRefused when there is no such phrase
     */
    public function say(string $key, array $with = []): string
    {
        $phrase = $this->phrases[$key] ?? throw new ValueRefused("There is no phrase \"$key\".");
        $phrase = SaidLength::in($phrase, $this->unit);
        foreach ($with as $name => $value) {
            $phrase = str_replace('{'.$name.'}', $value, $phrase);
        }

        return $phrase;
    }

    /** A length in the person's unit: "15.4 mm" or "5/8 in". */
    public function length(float $mm): string
    {
        return $this->unit === Unit::Inch
            ? ($mm < 0 ? self::MINUS : '').Length::mm(abs($mm))->asInchFraction().' in'
            : $this->mm($mm, 1);
    }

    /** A length that is only sewn or looked along: "120 mm" or "4 3/4 in". */
    public function about(float $mm): string
    {
        return $this->unit === Unit::Inch ? SaidLength::about($mm).' in' : $this->mm($mm, 0);
    }

    /** Cloth off the bolt, as it is bought: tenths of a metre, or eighths of a yard, never less than is needed. */
    public function cloth(float $metres): string
    {
        return $this->unit === Unit::Inch ? SaidLength::eighths($metres / Length::METRES_PER_YARD).' yd' : $this->number(ceil($metres * 10 - Near::DUST) / 10).' m';
    }

    /** Thread, never less than is needed: whole metres, or yards. */
    public function thread(float $metres): string
    {
        return $this->unit === Unit::Inch ? $this->number(ceil($metres / Length::METRES_PER_YARD - Near::DUST)).' yd' : $this->number(ceil($metres - Near::DUST)).' m';
    }

    /** How wide cloth lies: whole centimetres, or inches. */
    public function wide(float $mm): string
    {
        return $this->unit === Unit::Inch ? $this->number(round($mm / Length::MM_PER_INCH)).' in' : $this->number($mm / 10).' cm';
    }

    /** A deviation, always with its sign. */
    public function signed(float $mm): string
    {
        return ($mm > 0 ? '+' : '').$this->length($mm);
    }

    /** Millimetres whatever the person's unit: stitch lengths are set in mm on every dial. */
    public function mm(float $mm, int $decimals): string
    {
        return $this->number($mm, $decimals).' mm';
    }

    public function number(float $value, ?int $decimals = null): string
    {
        $decimals ??= floor($value) === $value ? 0 : 1;
        $text = number_format(abs($value), $decimals, '.', '');

        return ($value < 0 && (float) $text > 0 ? self::MINUS : '').$text;
    }
}
