<?php

declare(strict_types=1);

namespace OpenSeam\Core\Stitch;

/**
 * How long a row takes: strokes at the machine's speed times the sewer's pace,
 * with a start and the turns. Common practice, no source.
 */
final class SewingTime
{
    /** Of full speed, a beginner's foot uses about this much. */
    public const BEGINNER_PACE = 0.25;

    public const START_MINUTES = 0.5;

    public const TURN_MINUTES = 0.1;

    /** @return float minutes */
    public static function minutes(int $strokes, float $strokesPerMinute, float $pace = self::BEGINNER_PACE, int $turns = 0): float
    {
        return $strokes / ($strokesPerMinute * $pace) + self::START_MINUTES + $turns * self::TURN_MINUTES;
    }
}
