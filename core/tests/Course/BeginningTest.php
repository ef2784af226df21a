<?php

declare(strict_types=1);

namespace OpenSeam\Core\Tests\Course;

use DateTimeImmutable;
use OpenSeam\Core\Course\Beginning;
use OpenSeam\Core\Course\SessionFrame;
use OpenSeam\Core\Course\SessionTape;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/** Worked by hand: a session from 18:00 for 120 minutes; whoever fetches somebody comes at 20:00. */
final class BeginningTest extends TestCase
{
    /** @return array<string, array{string, string, int, string, int}> */
    public static function beginnings(): array
    {
        return [
            'on the hour' => ['18:00', 'on-time', 0, '20:00', 120],
            'nobody calls five minutes late' => ['18:05', 'on-time', 5, '20:00', 115],
            'late, the end stays' => ['18:20', 'late', 20, '20:00', 100],
            'early, the end stays' => ['17:40', 'early', 20, '20:00', 140],
            'hours before: held then' => ['10:00', 'moved', 480, '12:00', 120],
            'when it is over nothing is left' => ['20:30', 'late', 150, '20:00', 0],
        ];
    }

    #[DataProvider('beginnings')]
    public function test_what_follows(string $now, string $kind, int $by, string $ends, int $left): void
    {
        $begins = Beginning::at(new DateTimeImmutable('2030-05-09T18:00:00Z'), 120, new DateTimeImmutable("2030-05-09T$now:00Z"));
        self::assertSame([$kind, $by, $ends, $left], [$begins->kind, $begins->by, $begins->ends->format('H:i'), $begins->left]);
    }

    public function test_lessons_that_are_not_looked_at_in_time(): void
    {
        $frame = new SessionFrame(settle: 10, clear: 10);
        $piece = fn (string $lesson, float $from, float $to): array => ['kind' => 'sew', 'from' => $from, 'to' => $to, 'round' => 1, 'lesson' => $lesson];
        // Of two hours, the last ten minutes are for clearing up.
        $tape = [$piece('one', 10, 50), $piece('two', 50, 100)];
        self::assertSame([], SessionTape::lost($tape, 120, $frame, 10));
        self::assertSame(['two'], SessionTape::lost($tape, 120, $frame, 11));
        self::assertSame(['one', 'two'], SessionTape::lost($tape, 120, $frame, 61));
    }
}
