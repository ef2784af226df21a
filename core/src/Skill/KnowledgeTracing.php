<?php

declare(strict_types=1);

namespace OpenSeam\Core\Skill;

use InvalidArgumentException;

/**
 * The chance that a skill is known, from what a student has shown.
 *
 * Source: Corbett & Anderson 1995, with soft evidence by Jeffrey's rule: a
 * showing of weight w counts as w parts right and 1−w parts wrong. One learning
 * step follows each sample, however many checks of it touch the skill.
 */
final readonly class KnowledgeTracing
{
    public const MASTERY = 0.95;

    public function __construct(private TracingParameters $parameters) {}

    /**
     * @param  float  $known  chance before the sample, 0 to 1
     * @param  list<float>  $weights  the sample's showings, each 0 (wrong) to 1 (right)
     *
     * @throws InvalidArgumentException when a weight is outside 0 to 1
     */
    public function afterSample(float $known, array $weights): float
    {
        foreach ($weights as $weight) {
            if (! is_finite($weight) || $weight < 0 || $weight > 1) {
                throw new InvalidArgumentException(sprintf('A weight must be from 0 to 1, not %g.', $weight));
            }
            $known = $weight * $this->givenRight($known) + (1 - $weight) * $this->givenWrong($known);
        }

        return $known + (1 - $known) * $this->parameters->transit;
    }

    /**
     * @param  list<list<float>>  $samples
     * @return list<float> the chance after each sample
     *
     * @throws InvalidArgumentException when a weight is outside 0 to 1
     */
    public function trace(array $samples): array
    {
        $after = [];
        $known = $this->parameters->start;
        foreach ($samples as $weights) {
            $after[] = $known = $this->afterSample($known, $weights);
        }

        return $after;
    }

    private function givenRight(float $known): float
    {
        $right = $known * (1 - $this->parameters->slip);

        return self::share($right, (1 - $known) * $this->parameters->guess, $known);
    }

    private function givenWrong(float $known): float
    {
        $wrong = $known * $this->parameters->slip;

        return self::share($wrong, (1 - $known) * (1 - $this->parameters->guess), $known);
    }

    /** An impossible showing (0 of 0) teaches nothing. */
    private static function share(float $part, float $other, float $known): float
    {
        return $part + $other > 0 ? $part / ($part + $other) : $known;
    }
}
