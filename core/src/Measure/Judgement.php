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

    /** Of a common error, when the chance is worked out over it. */
    private const STEPS = 24;

    private function __construct(
        public Verdict $verdict,
        public float $pMet,
        public float $pNear,
        public float $pNotYet,
    ) {}

    public static function of(Reading $reading, Tolerance $tolerance): self
    {
        return $reading->u === 0.0 ? self::plain($tolerance->place($reading->value)) : self::all([$reading], $tolerance);
    }

    /**
     * Several readings that must all lie within: the chances multiply, for each was read on its own.
     *
     * @param  non-empty-list<Reading>  $readings  each with an uncertainty
     * @param  float  $commonLimit  half-width of what moves all of them alike, as where their aim was read too
     */
    public static function all(array $readings, Tolerance $tolerance, float $commonLimit = 0.0): self
    {
        $pMet = self::allInside($readings, $tolerance->metLow, $tolerance->metHigh, $commonLimit);
        $pNear = max(0.0, self::allInside($readings, $tolerance->nearLow, $tolerance->nearHigh, $commonLimit) - $pMet);
        $pNotYet = max(0.0, 1 - $pMet - $pNear);

        $verdict = match (true) {
            $pMet >= self::LIKELY_ENOUGH => Verdict::Met,
            $pNear >= self::LIKELY_ENOUGH => Verdict::Near,
            $pNotYet >= self::LIKELY_ENOUGH => Verdict::NotYet,
            default => Verdict::Unsure,
        };

        return new self($verdict, $pMet, $pNear, $pNotYet);
    }

    /** The same chances, left open. */
    public function open(): self
    {
        return new self(Verdict::Unsure, $this->pMet, $this->pNear, $this->pNotYet);
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

    /**
     * The chance that all lie inside, on average over what moves them together (midpoint rule over a rectangular distribution).
     *
     * @param  list<Reading>  $readings
     */
    private static function allInside(array $readings, float $low, float $high, float $commonLimit): float
    {
        $steps = $commonLimit > 0.0 ? self::STEPS : 1;
        $sum = 0.0;
        for ($i = 0; $i < $steps; $i++) {
            $moved = $commonLimit * (2 * $i + 1 - $steps) / $steps;
            $sum += array_product(array_map(fn (Reading $r): float => self::inside($r, $low + $moved, $high + $moved), $readings));
        }

        return $sum / $steps;
    }

    private static function inside(Reading $reading, float $low, float $high): float
    {
        return Normal::cdf(($high - $reading->value) / $reading->u) - Normal::cdf(($low - $reading->value) / $reading->u);
    }
}
