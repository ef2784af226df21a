<?php

declare(strict_types=1);

namespace OpenSeam\Core\Tests\Support\Worlds;

use OpenSeam\Core\Skill\Learner;
use OpenSeam\Core\Skill\Skill;
use OpenSeam\Core\Skill\SkillGraph;

/**
 * Five ways in which people may learn, made up, none of them the numbers that the
 * program ships; the ladder, the levels and the forecast are tried in each.
 */
enum World: string
{
    case TwoStates = 'two states';
    case SlipsAndGuesses = 'two states, slips 0.2, guesses 0.3';
    case SteepPower = 'power law, steep';
    case SlowPower = 'power law, slow, forgetting, gifts';
    case Misread = 'two states, one check in twenty misread';

    private const TWO_STATES = [
        'hand' => ['start' => 0.25, 'demo' => 0.3, 'learn' => 0.3, 'slip' => 0.1, 'guess' => 0.12],
        'habit' => ['start' => 0.35, 'demo' => 0.45, 'learn' => 0.4, 'slip' => 0.06, 'guess' => 0.15],
        'setting' => ['start' => 0.2, 'demo' => 0.4, 'learn' => 0.35, 'slip' => 0.08, 'guess' => 0.12],
        'fine' => ['start' => 0.1, 'demo' => 0.25, 'learn' => 0.25, 'slip' => 0.12, 'guess' => 0.06],
    ];

    /** Chance of a poor first sample without a demonstration. */
    private const FIRST = ['hand' => 0.75, 'habit' => 0.6, 'setting' => 0.7, 'fine' => 0.85];

    private const MISREAD = 0.05;

    public function learner(SkillGraph $skills, int $seed): Learner
    {
        $dice = new Dice($seed * 7919 + 17);
        $needs = array_map(fn (Skill $s): array => $s->needs, $skills->all());
        $kinds = array_map(fn (Skill $s): string => $s->kind, $skills->all());
        $gift = $dice->normal();

        return match ($this) {
            self::TwoStates => new TwoStateLearner(array_map(fn (string $k): array => self::TWO_STATES[$k], $kinds), $needs, $dice),
            self::SlipsAndGuesses => new TwoStateLearner(array_map(fn (string $k): array => ['slip' => 0.2, 'guess' => 0.3] + self::TWO_STATES[$k], $kinds), $needs, $dice),
            self::SteepPower => new PowerLawLearner(array_map(fn (string $k): array => ['first' => self::FIRST[$k], 'rate' => 1.2, 'floor' => 0.04], $kinds), $needs, $dice),
            self::SlowPower => new PowerLawLearner(array_map(fn (string $k): array => ['first' => self::FIRST[$k] * exp(-0.1 * $gift), 'rate' => 0.8 * exp(0.2 * $gift), 'floor' => 0.08], $kinds), $needs, $dice, 12.0),
            self::Misread => new MisreadLearner(self::TwoStates->learner($skills, $seed), self::MISREAD, new Dice($seed * 104_729 + 3)),
        };
    }
}
