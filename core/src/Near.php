<?php

declare(strict_types=1);

namespace OpenSeam\Core;

/**
 * How near two numbers are one and the same. A double leaves a little over at
 * every sum; none of these is anything a ruler, a clock or a dial could tell.
 * Limits of a method (when a search has settled) stand with their method.
 */
final class Near
{
    /** Lengths, minutes, prices and what is counted from them. */
    public const DUST = 1e-9;

    /** [mm] Places on a piece of cloth, which are typed to a hundredth at most. */
    public const SPOT_MM = 1e-6;

    /** Rounding up a quotient of sums: what a whole number is over by. */
    public const WHOLE = 1e-7;

    /** Probabilities. */
    public const CHANCE = 1e-12;

    /** What a probability is divided or taken the logarithm of by at least: never by 0. */
    public const LEAST = 1e-300;

    /** Of the largest value of a flow. */
    public const FLOW = 1e-11;
}
