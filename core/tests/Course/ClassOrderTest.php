<?php

declare(strict_types=1);

namespace OpenSeam\Core\Tests\Course;

use DateTimeImmutable;
use OpenSeam\Core\Course\ClassOrder;
use PHPUnit\Framework\TestCase;

final class ClassOrderTest extends TestCase
{
    public function test_the_session_in_hand_or_next_leads_and_what_is_over_comes_last(): void
    {
        $order = ClassOrder::of([
            '01a' => [self::session('2030-03-01 18:00'), self::session('2030-03-08 18:00')],
            '01b' => [self::session('2030-02-01 18:00')],
            '01c' => [],
            '01d' => [self::session('2030-03-05 10:00'), self::session('2030-02-20 10:00')],
            '01e' => [self::session('2030-03-01 17:30')],
        ], new DateTimeImmutable('2030-03-01 19:00'));
        self::assertSame(['01e', '01a', '01d', '01c', '01b'], $order);
    }

    public function test_a_session_stays_in_hand_for_an_hour_and_a_half_after_its_end(): void
    {
        $classes = ['01a' => [self::session('2030-03-01 18:00'), self::session('2030-03-08 18:00')], '01b' => [self::session('2030-03-02 18:00')]];
        // It ends at 20:00.
        self::assertSame(['01a', '01b'], ClassOrder::of($classes, new DateTimeImmutable('2030-03-01 21:29')));
        self::assertSame(['01b', '01a'], ClassOrder::of($classes, new DateTimeImmutable('2030-03-01 21:30')));
    }

    /** @return array{DateTimeImmutable, DateTimeImmutable} two hours */
    private static function session(string $starts): array
    {
        $at = new DateTimeImmutable($starts);

        return [$at, $at->modify('+120 minutes')];
    }
}
