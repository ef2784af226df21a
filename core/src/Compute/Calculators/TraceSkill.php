<?php

declare(strict_types=1);

namespace OpenSeam\Core\Compute\Calculators;

use OpenSeam\Core\Compute\Calculator;
use OpenSeam\Core\Compute\Schema;
use OpenSeam\Core\Data;
use OpenSeam\Core\InputError;
use OpenSeam\Core\Skill\KnowledgeTracing;
use OpenSeam\Core\Skill\TracingParameters;
use OpenSeam\Core\ValueRefused;

/** Knowledge tracing over a row of samples. */
final class TraceSkill implements Calculator
{
    public function name(): string
    {
        return 'trace-skill';
    }

    public function summary(): string
    {
        return 'The chance that a skill is known after each sample, and when it is mastered.';
    }

    public function schema(): array
    {
        return Schema::object([
            'start' => Schema::number('chance that it is known at the start', 0, 1),
            'slip' => Schema::number('chance of a wrong showing although known', 0, 1),
            'guess' => Schema::number('chance of a right showing although not known', 0, 1),
            'transit' => Schema::number('chance to learn it from one sample', 0, 1),
            'samples' => Schema::list('one inner list a sample', Schema::list('weights: 1 right, 0 wrong, between is soft evidence', Schema::number('a weight', 0, 1), 0, 1000), 0, 10_000),
            'most_checks' => ['type' => ['number', 'null'], 'exclusiveMinimum' => 0, 'maximum' => 1000, 'description' => 'so many checks of one sample count in full, more of them as many; default 2.5, null: each counts in full'],
        ], ['most_checks']);
    }

    public function answer(): array
    {
        return Schema::object(['after' => Schema::list('chance after each sample', Schema::number('chance', 0, 1)), 'mastered_at' => ['type' => ['integer', 'null'], 'description' => 'sample number from 1']]);
    }

    public function example(): array
    {
        return ['start' => 0.5, 'slip' => 0.1, 'guess' => 0.2, 'transit' => 0.2, 'samples' => [[1], [1, 0.5], [0]]];
    }

    public function run(Data $in): array
    {
        try {
            $parameters = TracingParameters::of($in->number('start'), $in->number('slip'), $in->number('guess'), $in->number('transit'));
        } catch (ValueRefused $e) {
            throw InputError::at('guess', $in->number('guess'), $e->getMessage());
        }
        $samples = [];
        foreach ($in->items('samples') as $i => $weights) {
            $samples[] = Data::of(['weights' => $weights], "samples[$i]")->numbers('weights');
        }
        $most = array_key_exists('most_checks', $in->raw()) ? $in->numberOrNull('most_checks') : KnowledgeTracing::MOST_CHECKS;
        $after = (new KnowledgeTracing($parameters, $most))->trace($samples);
        $mastered = null;
        foreach ($after as $i => $known) {
            if ($known >= KnowledgeTracing::MASTERY) {
                $mastered = $i + 1;
                break;
            }
        }

        return ['after' => $after, 'mastered_at' => $mastered];
    }
}
