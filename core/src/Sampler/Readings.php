<?php

declare(strict_types=1);

namespace OpenSeam\Core\Sampler;

use OpenSeam\Core\InputError;
use OpenSeam\Core\Measure\Length;
use OpenSeam\Core\Measure\NotALength;
use OpenSeam\Core\Measure\RulerLimit;
use OpenSeam\Core\Measure\SaidLength;
use OpenSeam\Core\Measure\Typed;
use OpenSeam\Core\Measure\Unit;
use OpenSeam\Core\Near;

/** The readings of one sample, by "row.reading", lengths in mm. */
final readonly class Readings
{
    /**
     * @param  array<string, list<float|null>>  $values each as long as its field takes; null is not read yet
     * @param  array<string, float>  $limits  how closely lengths were read, ± mm, where that is known
     */
    private function __construct(public array $values, public array $limits = []) {}

    /**
     * Values that were kept before and are known to be good.
     *
     * @param  array<string, list<float|null>>  $values
     * @param  array<string, float>  $limits  how closely lengths were read, ± mm; of those kept before it was noted: as the lesson says
     */
    public static function kept(array $values, array $limits = []): self
    {
        return new self($values, $limits);
    }

    /**
     * Reads what was typed against what the sampler asks for.
     *
     * @param  array<array-key, mixed>  $typed  lists of texts, numbers, true/false or null by "row.reading"
     * @param  Unit  $unit  of lengths typed without a unit
     *
     * @throws InputError for an unknown reading, too many values, something unreadable or out of range
     */
    public static function typed(Sampler $sampler, array $typed, Unit $unit): self
    {
        $known = $sampler->fields();
        $values = $limits = [];
        foreach ($typed as $key => $list) {
            $key = (string) $key;
            $field = $known[$key] ?? throw InputError::at("readings.$key", $key, sprintf('This sampler has no such reading. It has: %s.', implode(', ', array_keys($known))));
            if (! is_array($list) || ! array_is_list($list)) {
                throw InputError::at("readings.$key", $list, 'A reading is a list of values, also when there is only one.');
            }
            if (count($list) > $field->size()) {
                throw InputError::at("readings.$key", count($list), sprintf('“%s” takes %d, not %d.', $field->label, $field->size(), count($list)));
            }
            $list = array_map(fn (mixed $v): mixed => is_string($v) ? Typed::plain($v) : $v, $list);
            $row = [];
            for ($i = 0; $i < $field->size(); $i++) {
                $row[] = self::value($field, $i, $list[$i] ?? null, $unit, "readings.{$key}[$i]");
            }
            $values[$key] = $row;
            $lengths = array_filter($list, fn (mixed $v, int $i): bool => $field->values()[$i]->length && is_scalar($v), ARRAY_FILTER_USE_BOTH);
            $limit = RulerLimit::of(array_map(strval(...), array_values($lengths)), $unit, $field->limitMm);
            $limit === null || $limits[$key] = $limit;
        }

        return new self($values, $limits);
    }

    /** The reading as closely as it was read. */
    public function asRead(Row $row, Field $field): Field
    {
        return $field->within($this->limits["{$row->id}.{$field->id}"] ?? null);
    }

    /** @return list<float|null> */
    public function of(Row $row, Field $field): array
    {
        return $this->values["{$row->id}.{$field->id}"] ?? array_fill(0, $field->size(), null);
    }

    /**
     * The readings as somebody would type them, to be put right: lengths in this unit, inches as the
     * fraction where it is one, to a ten thousandth else.
     *
     * @return array<string, list<string>> by "row.reading"; an empty text is not read yet
     */
    public function written(Sampler $sampler, Unit $unit): array
    {
        $written = [];
        foreach (array_intersect_key($sampler->fields(), $this->values) as $key => $field) {
            foreach ($this->values[$key] as $i => $value) {
                $written[$key][] = match (true) {
                    $value === null => '',
                    $unit === Unit::Inch && $field->values()[$i]->length => ($value < 0 ? '-' : '').self::inInches(Length::mm(abs($value))),
                    default => self::plain($value, 4),
                };
            }
        }

        return $written;
    }

    private static function inInches(Length $length): string
    {
        return abs($length->leftoverMm()) < Near::SPOT_MM ? $length->asInchFraction() : self::plain($length->inInches(), 4);
    }

    /** @return list<string> ids of the rows that something was read of */
    public function rows(): array
    {
        $rows = [];
        foreach ($this->values as $key => $list) {
            if (array_filter($list, fn (?float $v): bool => $v !== null) !== []) {
                $rows[explode('.', $key)[0]] = true;
            }
        }

        return array_map(strval(...), array_keys($rows));
    }

    public function isEmpty(): bool
    {
        foreach ($this->values as $list) {
            foreach ($list as $value) {
                if ($value !== null) {
                    return false;
                }
            }
        }

        return true;
    }

    private static function value(Field $field, int $i, mixed $typed, Unit $unit, string $at): ?float
    {
        if ($typed === null || (is_string($typed) && trim($typed) === '')) {
            return null;
        }
        if (is_bool($typed)) {
            $typed = $typed ? 1 : 0;
        }
        if (! is_string($typed) && ! is_int($typed) && ! is_float($typed)) {
            throw InputError::at($at, $typed, sprintf('“%s” takes a number.', $field->label));
        }
        $of = $field->values()[$i];
        $value = $of->length ? self::length($field, (string) $typed, $typed, $unit, $at) : self::number($field, $typed, $at);
        // The span of a count is a stretch of row, whatever the range of the count.
        if ($value < $of->min - Near::DUST || $value > $of->max + Near::DUST) {
            throw InputError::at($at, $typed, sprintf('“%s” can be %s.', $field->label, $of->length ? self::range($of->min, $of->max, $unit) : self::plain($of->min).' to '.self::plain($of->max)));
        }

        return $value;
    }

    /** What a length can be, in the unit it is typed in. */
    private static function range(float $min, float $max, Unit $unit): string
    {
        $in = fn (float $mm): string => ($mm < 0 ? '−' : '').SaidLength::exactly(abs($mm));

        return $unit === Unit::Inch ? "{$in($min)} to {$in($max)} in" : self::plain($min).' to '.self::plain($max).' mm';
    }

    private static function length(Field $field, string $text, mixed $typed, Unit $unit, string $at): float
    {
        // How closely it was read is kept beside it.
        RulerLimit::isUnreadable($text) && throw InputError::at($at, $typed, sprintf('“%s” says no number behind ±: type how closely it was read, such as ±%s.', $text, $unit === Unit::Inch ? '0.01' : '0.1'));
        $text = trim((string) preg_replace('/±.*$/u', '', $text));
        $negative = $field->min < 0 && preg_match('/^([-−+])\s*(.*)$/u', $text, $m) === 1;
        try {
            $mm = Length::parse($negative ? $m[2] : $text, $unit)->inMm();
        } catch (NotALength $e) {
            throw InputError::at($at, $typed, sprintf('%s “%s” can be %s.', $e->getMessage(), $field->label, self::range($field->min, $field->max, $unit)));
        }

        return $negative && $m[1] !== '+' ? -$mm : $mm;
    }

    private static function number(Field $field, string|int|float $typed, string $at): float
    {
        $text = str_replace([',', '−'], ['.', '-'], trim((string) $typed));
        // Only whole stitches were counted: half a one more is the middle of what it can be.
        $complete = $field->kind === FieldKind::Stitches && preg_match('/^(\d+)\+$/', $text, $m) === 1;
        $text = $complete ? $m[1].'.5' : $text;
        if (! is_numeric($text)) {
            throw InputError::at($at, $typed, sprintf('“%s” takes a number from %s to %s.', $field->label, self::plain($field->min), self::plain($field->max)));
        }
        $value = (float) $text;
        // Half a stitch can be counted; everything else is whole.
        $grain = $field->kind === FieldKind::Stitches ? 0.5 : 1.0;
        if (fmod($value, $grain) !== 0.0) {
            throw InputError::at($at, $typed, sprintf('“%s” is counted in %s.', $field->label, $grain === 0.5 ? 'halves' : 'whole numbers'));
        }

        return $value;
    }

    private static function plain(float $number, int $places = 2): string
    {
        return rtrim(rtrim(number_format($number, $places, '.', ''), '0'), '.');
    }
}
