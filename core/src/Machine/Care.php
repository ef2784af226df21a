<?php

declare(strict_types=1);

namespace OpenSeam\Core\Machine;

use DateTimeImmutable;
use OpenSeam\Core\Tables;
use OpenSeam\Core\Words;

/** What a machine is due. Terms: resources/needles.json, common practice, no source; its manual decides. */
final class Care
{
    private const SECONDS_PER_WEEK = 604_800;

    /**
     * @param  float  $needleHours  hours sewn since the last needle, 0 or more
     * @param  DateTimeImmutable|null  $cleaned  the last time; null: never noted, and then nothing is said of it
     * @return list<string> a sentence for each thing due
     */
    public static function due(float $needleHours, ?DateTimeImmutable $cleaned, DateTimeImmutable $now, Words $words): array
    {
        $terms = Tables::read('needles');
        $due = [];
        if ($needleHours >= $terms->number('needle_hours')) {
            $due[] = $words->say('room.needle-due', ['hours' => $words->number($needleHours)]);
        }
        $since = $cleaned === null ? 0 : $now->getTimestamp() - $cleaned->getTimestamp();
        if ($since > $terms->number('clean_weeks') * self::SECONDS_PER_WEEK) {
            $due[] = $words->say('room.clean-due', ['weeks' => (string) intdiv($since, self::SECONDS_PER_WEEK)]);
        }

        return $due;
    }
}
