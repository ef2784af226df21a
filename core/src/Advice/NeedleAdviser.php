<?php

declare(strict_types=1);

namespace OpenSeam\Core\Advice;

use OpenSeam\Core\Data;
use OpenSeam\Core\InputError;
use OpenSeam\Core\Near;
use OpenSeam\Core\Tables;

/**
 * Needle size and point for a cloth and a thread, with the reasons. The larger
 * of what the cloth and what the thread's way through the eye ask for.
 * Tables: resources/needles.json, common practice, no source.
 */
final readonly class NeedleAdviser
{
    /**
     * @param  list<string>  $reasons
     * @param  list<string>  $warnings
     */
    private function __construct(
        public int $metric,
        public int $number,
        public string $point,
        public array $reasons,
        public array $warnings,
    ) {}

    /**
     * @param  string  $weight  class of cloth by weight
     * @param  string  $kind  how the cloth is made
     * @param  float  $stackMm  all layers together, mm
     * @param  int|null  $fitted  metric size of the needle in the machine
     * @param  float|null  $hours  sewing hours of that needle
     *
     * @throws InputError when cloth or kind is unknown or a number is out of range
     */
    public static function advise(string $weight, string $kind, float $stackMm, ?Thread $thread = null, ?int $fitted = null, ?float $hours = null): self
    {
        $table = Tables::read('needles');
        $cloth = self::pick($table, 'cloths', $weight, 'weight');
        $made = self::pick($table, 'kinds', $kind, 'cloth');
        if (! is_finite($stackMm) || $stackMm < 0 || $stackMm > 20) {
            throw InputError::at('stack_mm', is_finite($stackMm) ? $stackMm : null, 'The layers together are from 0 to 20 mm thick.');
        }
        $sizes = $table->parts('sizes');
        $at = self::index($sizes, $cloth->whole('metric'));
        $reasons = [sprintf('%d for %s cloth.', $cloth->whole('metric'), $cloth->text('title'))];
        $extra = $table->part('extra_per_mm');
        if ($stackMm > $extra->number('from_mm')) {
            $up = (int) ceil(($stackMm - $extra->number('from_mm')) / $extra->number('step_mm'));
            $at = min(count($sizes) - 1, $at + $up);
            $reasons[] = sprintf('A stack of %g mm asks for a stronger shaft: %d.', $stackMm, $sizes[$at]->whole('metric'));
        }
        $warnings = [];
        if ($thread !== null) {
            $need = count($sizes) - 1;
            foreach ($sizes as $i => $size) {
                if ($thread->tex <= $size->number('most_tex') + Near::DUST) {
                    $need = $i;
                    break;
                }
            }
            if ($thread->tex > $sizes[count($sizes) - 1]->number('most_tex')) {
                $warnings[] = sprintf('%.3g tex is too thick for any eye here: wind it on the bobbin and sew from the wrong side.', $thread->tex);
            } elseif ($need > $at) {
                $at = $need;
                $reasons[] = sprintf('%.3g tex needs the eye of a %d.', $thread->tex, $sizes[$at]->whole('metric'));
            }
        }
        $reasons[] = ucfirst($made->text('point')).': '.$made->text('why').'.';
        $metric = $sizes[$at]->whole('metric');
        if ($fitted !== null && $fitted < $metric && $thread !== null && $thread->tex > $sizes[self::index($sizes, $fitted)]->number('most_tex')) {
            $warnings[] = sprintf('The thread is too thick for the eye of the %d in the machine: it frays and skips.', $fitted);
        } elseif ($fitted !== null && $fitted !== $metric) {
            $warnings[] = sprintf('There is a %d in the machine; %d is advised.', $fitted, $metric);
        }
        if ($hours !== null && $hours >= $table->number('needle_hours')) {
            $warnings[] = sprintf('The needle has sewn %g hours; a new one after %g (common practice).', $hours, $table->number('needle_hours'));
        }

        return new self($metric, $sizes[$at]->whole('number'), $made->text('point'), $reasons, $warnings);
    }

    private static function pick(Data $table, string $list, string $id, string $field): Data
    {
        $ids = [];
        foreach ($table->parts($list) as $part) {
            if ($part->text('id') === $id) {
                return $part;
            }
            $ids[] = $part->text('id');
        }
        throw InputError::at($field, $id, 'It must be one of: '.implode(', ', $ids).'.');
    }

    /**
     * The nearest size that is made.
     *
     * @param  list<Data>  $sizes
     */
    private static function index(array $sizes, int $metric): int
    {
        $best = 0;
        foreach ($sizes as $i => $size) {
            if (abs($size->whole('metric') - $metric) < abs($sizes[$best]->whole('metric') - $metric)) {
                $best = $i;
            }
        }

        return $best;
    }
}
