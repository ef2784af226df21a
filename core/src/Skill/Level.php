<?php

declare(strict_types=1);

namespace OpenSeam\Core\Skill;

/** A skill level as the thread line draws it. */
enum Level: string
{
    case NotTried = 'not-tried';
    case Begun = 'begun';
    case Coming = 'coming';
    case Sure = 'sure';
    case RefreshDue = 'refresh-due';

    /** What asks for work first stands lowest: a refresh, then what was never tried. */
    public function rank(): int
    {
        return match ($this) {
            self::RefreshDue => 0, self::NotTried => 1, self::Begun => 2, self::Coming => 3, self::Sure => 4,
        };
    }

    /** It was shown surely, also where that is a while ago. */
    public function isShown(): bool
    {
        return $this === self::Sure || $this === self::RefreshDue;
    }

    /**
     * The one that asks for work first.
     *
     * @param  list<self>  $levels  none: nothing was tried
     */
    public static function weakest(array $levels): self
    {
        usort($levels, fn (self $a, self $b): int => $a->rank() <=> $b->rank());

        return $levels[0] ?? self::NotTried;
    }
}
