<?php

declare(strict_types=1);

namespace OpenSeam\Core\Picture;

use OpenSeam\Core\Data;
use OpenSeam\Core\InputError;
use OpenSeam\Core\Measure\Verdict;
use OpenSeam\Core\Near;
use OpenSeam\Core\Sampler\CheckSpec;
use OpenSeam\Core\Sampler\Field;
use OpenSeam\Core\Sampler\FieldKind;
use OpenSeam\Core\Words;

/**
 * Looks of a reading whose lesson says how it is drawn: a picture for each answer,
 * or one picture with the reading in it, drawn at what is met, near and not yet.
 * Where a number of a picture is the reading, it says `{"reading": [1], "plus": 0}`:
 * so many times each value, and so much more;
 * `usual` is a number that is right where any is that all have alike.
 */
final class FieldLooks
{
    /** Of the widest range, how finely what is met is looked for. */
    private const STEPS = 400;

    /** Of a stretch that is open to one side. */
    private const LITTLE = 0.2;

    /** Beyond the limit by this share of what lies between met and not yet, where it is plain to the eye. */
    private const PLAIN = 0.6;

    /**
     * @param  list<CheckSpec>  $checks  of this reading
     * @return list<RowLook> the good one first
     *
     * @throws InputError for a picture that cannot be drawn, or pictures that are not as many as the answers
     */
    public static function of(Field $field, array $checks, Shown $shown, Words $words): array
    {
        return match (true) {
            $field->looks === [] || $checks === [] => [],
            $field->kind === FieldKind::YesNo, $field->kind === FieldKind::Choice => self::answers($field, $checks, $shown, $words),
            default => self::amounts($field, $checks, $shown, $words),
        };
    }

    /**
     * @param  list<CheckSpec>  $checks
     * @return list<RowLook>
     *
     * @throws InputError
     */
    private static function answers(Field $field, array $checks, Shown $shown, Words $words): array
    {
        $yes = $field->kind === FieldKind::YesNo;
        $values = $yes ? [1.0, 0.0] : array_map(floatval(...), array_keys($field->options));
        // What is not so may be the same thing, crossed out.
        $many = count($field->looks);
        $many === count($values) || ($yes && $many === 1)
            || throw InputError::at($field->looks[0]->path('looks'), $many, $yes ? 'A yes or no has one picture or two: as it should be, and as it should not.' : sprintf('There are %d answers: a picture for each.', count($values)));
        $looks = [];
        foreach ($values as $i => $value) {
            $of = $field->looks[$i] ?? null;
            $picture = $of === null ? self::crossed((new PictureBook)->draw($field->looks[0], $shown)) : (new PictureBook)->draw($of, $shown);
            $verdict = RowLooks::judged($field, [$value], $checks, $words) ?? Verdict::Unsure;
            $looks[] = new RowLook($yes ? ($i === 0 ? 'so' : 'not-so') : 'answer', $verdict, [$value], $picture, $yes ? '' : $field->options[$i]);
        }
        usort($looks, fn (RowLook $a, RowLook $b): int => ($b->verdict === Verdict::Met) <=> ($a->verdict === Verdict::Met));

        return $looks;
    }

    private static function crossed(Picture $picture): Picture
    {
        $box = $picture->box();
        $pen = (new Pen)->add($picture);
        $size = min($box['width'], $box['height']) * 0.42;

        return $pen->cross($box['left'] + $box['width'] / 2, $box['top'] + $box['height'] / 2, $size)->picture($picture->toScale, $picture->window);
    }

    /**
     * @param  list<CheckSpec>  $checks
     * @return list<RowLook>
     *
     * @throws InputError
     */
    private static function amounts(Field $field, array $checks, Shown $shown, Words $words): array
    {
        $looks = [];
        foreach (self::runs($field, $checks, $words) as [$pattern, $verdict, $values]) {
            $spec = self::filled($field->looks[0]->raw(), $values);
            try {
                $looks[] = new RowLook($pattern, $verdict, $values, (new PictureBook)->draw(Data::of(is_array($spec) ? $spec : []), $shown));
            } catch (InputError $e) {
                // What is far from right may be more than can be drawn; what is right must be drawn.
                $looks !== [] || throw InputError::at($field->looks[0]->path($e->field), $e->got, $e->getMessage());
            }
        }

        return $looks;
    }

    /**
     * From the least to the most that can be read: stretches of one verdict, each shown by one amount.
     *
     * @param  list<CheckSpec>  $checks
     * @return list<array{'right'|'less'|'more'|'unlike', Verdict, non-empty-list<float>}> what is met first
     */
    private static function runs(Field $field, array $checks, Words $words): array
    {
        $same = fn (float $v): array => array_fill(0, max(1, $field->size()), $v);
        $runs = self::stretches($field, $field->min, $field->max, $same, $checks, $words);
        $met = array_values(array_filter($runs, fn (array $r): bool => $r[0] === Verdict::Met))[0] ?? null;
        if ($met === null) {
            return [];
        }
        $right = match (true) {
            $field->looks[0]->has('usual') => $field->looks[0]->number('usual'),
            // Nearly the least where less is better, a little more than enough where there is no too much.
            $met[1] <= $field->min + Near::DUST => $met[1] + ($met[2] - $met[1]) * self::LITTLE,
            $met[2] >= $field->max - Near::DUST => $met[1] + ($met[2] - $met[1]) * self::LITTLE,
            default => ($met[1] + $met[2]) / 2,
        };
        $shown = [['right', Verdict::Met, $same(self::stepped($field, $right))]];
        foreach ($runs as [$verdict, $from, $to]) {
            $more = $from > $right;
            if ($verdict === Verdict::Near) {
                $shown[] = [$more ? 'more' : 'less', $verdict, $same(self::stepped($field, ($from + $to) / 2))];
            } elseif ($verdict === Verdict::NotYet) {
                $far = max(abs($more ? $from - $met[2] : $met[1] - $to) * self::PLAIN, $field->step);
                $shown[] = [$more ? 'more' : 'less', $verdict, $same(self::stepped($field, $more ? min($to, $from + $far) : max($from, $to - $far)))];
            }
        }
        // One of them less than the others, where the picture has it.
        $unequal = array_map(floatval(...), range(1, max(1, $field->size())));
        if ($field->size() >= 2 && self::filled($field->looks[0]->raw(), $unequal) !== self::filled($field->looks[0]->raw(), $same(1.0))) {
            $unlike = fn (float $by): array => [...array_fill(0, $field->size() - 1, self::stepped($field, $right)), self::stepped($field, $right - $by)];
            foreach (self::stretches($field, $field->step, min(abs($right) > 0 ? abs($right) : $field->max, $right - $field->min), $unlike, $checks, $words) as [$verdict, $from, $to]) {
                if ($verdict === Verdict::Near || $verdict === Verdict::NotYet) {
                    $by = $verdict === Verdict::Near ? ($from + $to) / 2 : min($to, $from + 2 * $field->step);
                    $shown[] = ['unlike', $verdict, $unlike($by)];
                }
            }
        }

        return array_values(array_filter($shown, fn (array $s): bool => RowLooks::judged($field, $s[2], $checks, $words) === $s[1]));
    }

    /**
     * @param  callable(float): non-empty-list<float>  $values
     * @param  list<CheckSpec>  $checks
     * @return list<array{Verdict, float, float}> verdict, from, to
     */
    private static function stretches(Field $field, float $from, float $to, callable $values, array $checks, Words $words): array
    {
        $step = max($field->step, ($to - $from) / self::STEPS);
        $runs = [];
        for ($at = $from; $at <= $to + Near::DUST; $at += $step) {
            $verdict = RowLooks::judged($field, $values($at), $checks, $words);
            $last = count($runs) - 1;
            if ($verdict === null) {
                continue;
            }
            if ($last >= 0 && $runs[$last][0] === $verdict) {
                $runs[$last][2] = $at;
            } else {
                $runs[] = [$verdict, $at, $at];
            }
        }

        return $runs;
    }

    private static function stepped(Field $field, float $value): float
    {
        return round(max($field->min, min($field->max, round($value / $field->step) * $field->step)), 3);
    }

    /**
     * @param  non-empty-list<float>  $values
     */
    private static function filled(mixed $spec, array $values): mixed
    {
        if (! is_array($spec)) {
            return $spec;
        }
        if (isset($spec['reading']) && is_array($spec['reading'])) {
            $number = fn (mixed $of): float => is_int($of) || is_float($of) ? (float) $of : 0.0;
            $sum = $number($spec['plus'] ?? 0.0);
            foreach (array_values($spec['reading']) as $i => $times) {
                $sum += $number($times) * ($values[$i] ?? 0.0);
            }
            $sum = round($sum, 3);

            return $sum === floor($sum) ? (int) $sum : $sum;
        }

        return array_map(fn (mixed $part): mixed => self::filled($part, $values), $spec);
    }
}
