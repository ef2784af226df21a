<?php

declare(strict_types=1);

namespace OpenSeam\Core\Curriculum;

use OpenSeam\Core\Data;
use OpenSeam\Core\Measure\SaidLength;
use OpenSeam\Core\Near;
use OpenSeam\Core\Sampler\Field;
use OpenSeam\Core\Sampler\FieldKind;
use OpenSeam\Core\Words;

/** What a check allows, said from its numbers where the bundle does not say it. */
final class Allowance
{
    public static function inWords(Data $check, Field $field): string
    {
        $words = Words::in();
        $n = fn (?float $value): string => $value === null ? '' : $words->number($value, match (true) {
            abs($value - round($value)) < Near::DUST => 0,
            abs($value * 10 - round($value * 10)) < Near::DUST => 1,
            default => 2,
        });
        $unit = in_array($field->kind, [FieldKind::Length, FieldKind::Lengths, FieldKind::Stitches], true) ? ' mm' : '';
        $kind = $check->text('kind');
        $around = ['target' => $n($check->numberOrNull('target_mm')), 'met' => $n($check->numberOrNull('met_mm')), 'near' => $n($check->numberOrNull('near_mm'))];
        [$met, $near] = [$check->part('met'), $check->part('near')];
        $band = [
            'unit' => $unit, 'from' => $n($met->numberOrNull('from')), 'to' => $n($met->numberOrNull('to')),
            'near-from' => $n($near->numberOrNull('from')), 'near-to' => $n($near->numberOrNull('to')),
        ];

        return SaidLength::in(match ($kind) {
            'mean', 'spread' => $words->say("allows.$kind", $around),
            'each', 'stitch-length' => $words->say(abs($check->number('target_mm', 0.0)) < Near::DUST ? 'allows.within' : 'allows.around', $around),
            'band' => ($unit === '' ? '' : '{').$words->say(match (true) {
                ! $met->has('to') => 'allows.from',
                ! $met->has('from') => 'allows.to',
                default => 'allows.band',
            }, $band).($unit === '' ? '' : '}'),
            'alike' => $words->say('allows.alike', ['met' => $n($check->number('met_percent')), 'near' => $n($check->number('near_percent'))]),
            'choice' => $words->say('allows.choice', ['best' => $field->options[0] ?? '']),
            default => $words->say('allows.yes'),
        }, $check->unit());
    }
}
