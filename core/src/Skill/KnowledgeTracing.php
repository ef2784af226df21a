<?php

declare(strict_types=1);

namespace OpenSeam\Core\Skill;

use OpenSeam\Core\ValueRefused;

/**
 * The chance that a skill is known, from what a student has shown.
 *
 * Source: Corbett & Anderson 1995, with soft evidence by likelihood ratio (Pearl
 * 1988, "virtual evidence", from memory): a showing of weight w multiplies the
 * odds by λ = (w(1−S)+(1−w)S) / (wG+(1−w)(1−G)). The order of showings never
 * matters and w = 0.5 says nothing. Checks of one sample are not independent
 * witnesses: each λ is raised to min(1, most/n), so that n of them never count
 * as more than `most`. One learning step follows each sample.
 */
final readonly class KnowledgeTracing
{
    public const MASTERY = 0.95;

    /** So many checks of one skill in one sample count in full; common practice, no source. */
    public const MOST_CHECKS = 2.5;

    /** @param  float|null  $mostChecks  above 0; null: every check counts in full */
    public function __construct(private TracingParameters $parameters, private ?float $mostChecks = self::MOST_CHECKS) {}

    /**
     * @param  float  $known  chance before the sample, 0 to 1
     * @param  list<float>  $weights  the sample's showings, each 0 (wrong) to 1 (right)
     *
     * @throws ValueRefused when a weight is outside 0 to 1
     */
    public function afterSample(float $known, array $weights): float
    {
        return $this->practised($this->shown($known, $weights));
    }

    /**
     * What the showings say, before the sample has taught anything.
     *
     * @param  list<float>  $weights
     *
     * @throws ValueRefused when a weight is outside 0 to 1
     */
    public function shown(float $known, array $weights): float
    {
        // Logarithms: a thousand checks would underflow.
        [$ifKnown, $ifNot] = [0.0, 0.0];
        $p = $this->parameters;
        foreach ($weights as $weight) {
            if (! is_finite($weight) || $weight < 0 || $weight > 1) {
                throw new ValueRefused(sprintf('A weight must be from 0 to 1, not %g.', $weight));
            }
            $ifKnown += self::log($weight * (1 - $p->slip) + (1 - $weight) * $p->slip);
            $ifNot += self::log($weight * $p->guess + (1 - $weight) * (1 - $p->guess));
        }
        // Impossible either way: it says nothing.
        if ($weights === [] || $known <= 0 || $known >= 1 || ($ifKnown === -INF && $ifNot === -INF)) {
            return $known;
        }
        $share = $this->mostChecks === null ? 1.0 : min(1.0, $this->mostChecks / count($weights));

        return 1 / (1 + (1 - $known) / $known * exp(min(700.0, $share * ($ifNot - $ifKnown))));
    }

    /** One sample teaches whoever does not know it yet with the chance T. */
    public function practised(float $known): float
    {
        return $known + (1 - $known) * $this->parameters->transit;
    }

    /**
     * @param  list<list<float>>  $samples
     * @return list<float> the chance after each sample
     *
     * @throws ValueRefused when a weight is outside 0 to 1
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

    private static function log(float $chance): float
    {
        return $chance > 0 ? log($chance) : -INF;
    }
}
