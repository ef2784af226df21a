<?php

declare(strict_types=1);

namespace OpenSeam\Core\Measure;

/**
 * The verdict on a reading, with how likely each verdict is.
 *
 * Source: conformance probability p = Φ((hi−y)/u) − Φ((lo−y)/u), JCGM 106:2012.
 * A verdict is given from 0.8 on, else "unsure". Without uncertainty the value
 * is simply placed.
 */
final readonly class Judgement
{
    public const LIKELY_ENOUGH = 0.8;

    private function __construct(
        public Verdict $verdict,
        public float $pMet,
        public float $pNear,
        public float $pNotYet,
    ) {}

    public static function of(Reading $reading, Tolerance $tolerance): self
    {
        if ($reading->u === 0.0) {
            return self::plain($tolerance->place($reading->value));
        }
        $pMet = self::inside($reading, $tolerance->metLow, $tolerance->metHigh);
        $pNear = max(0.0, self::inside($reading, $tolerance->nearLow, $tolerance->nearHigh) - $pMet);
        $pNotYet = max(0.0, 1 - $pMet - $pNear);

        $verdict = match (true) {
            $pMet >= self::LIKELY_ENOUGH => Verdict::Met,
            $pNear >= self::LIKELY_ENOUGH => Verdict::Near,
            $pNotYet >= self::LIKELY_ENOUGH => Verdict::NotYet,
            default => Verdict::Unsure,
        };

        return new self($verdict, $pMet, $pNear, $pNotYet);
    }

    /** A verdict that carries no uncertainty: a yes or no, a count, a rating. */
    public static function plain(Verdict $verdict): self
    {
        return new self(
            $verdict,
            $verdict === Verdict::Met ? 1.0 : 0.0,
            $verdict === Verdict::Near ? 1.0 : 0.0,
            $verdict === Verdict::NotYet ? 1.0 : 0.0,
        );
    }

    /**
     * The soft evidence for a skill, 0 to 1: the chance that it is met, and
     * half of the chance that it is near.
     */
    public function weight(): float
    {
        return $this->pMet + 0.5 * $this->pNear;
    }

    private static function inside(Reading $reading, float $low, float $high): float
    {
        return Normal::cdf(($high - $reading->value) / $reading->u) - Normal::cdf(($low - $reading->value) / $reading->u);
    }
}
