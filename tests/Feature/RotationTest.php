<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Support\Backup\Rotation;
use DateTimeImmutable;
use PHPUnit\Framework\TestCase;

/** Which backups stay: seven days, four weeks, twelve months. */
final class RotationTest extends TestCase
{
    public function test_two_years_of_daily_backups(): void
    {
        $made = [];
        $rotation = new Rotation(7, 4, 12);
        $day = new DateTimeImmutable('2030-01-01 19:00');
        for ($i = 0; $i < 730; $i++) {
            $made["backup-$i"] = $day->modify("+$i days");
            foreach ($rotation->gone($made) as $gone) {
                unset($made[$gone]);
            }
        }
        // The last seven days, the newest of each of four weeks and of each of twelve months; some are the same.
        self::assertGreaterThanOrEqual(7 + 2 + 10, count($made));
        self::assertLessThanOrEqual(7 + 4 + 12, count($made));
        $ages = array_map(fn (DateTimeImmutable $d): int => (int) $d->diff($day->modify('+729 days'))->days, array_values($made));
        sort($ages);
        self::assertSame([0, 1, 2, 3, 4, 5, 6], array_slice($ages, 0, 7));
        self::assertGreaterThan(300, max($ages));
        self::assertLessThan(370, max($ages));
    }

    public function test_none_and_one(): void
    {
        self::assertSame([], (new Rotation(7, 4, 12))->gone([]));
        self::assertSame([], (new Rotation(1, 0, 0))->gone(['a' => new DateTimeImmutable('2030-01-01')]));
        self::assertSame(['a'], (new Rotation(1, 0, 0))->gone(['a' => new DateTimeImmutable('2030-01-01'), 'b' => new DateTimeImmutable('2030-01-02')]));
    }
}
