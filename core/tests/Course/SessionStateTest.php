<?php

declare(strict_types=1);

namespace OpenSeam\Core\Tests\Course;

use DateTimeImmutable;
use OpenSeam\Core\Course\SessionState;
use PHPUnit\Framework\TestCase;

/** A session on the clock; an hour and a half after its end it is over; common practice, no source. */
final class SessionStateTest extends TestCase
{
    public function test_before_running_after_and_over(): void
    {
        $at = fn (string $time): DateTimeImmutable => new DateTimeImmutable("2030-05-09 $time", new \DateTimeZone('UTC'));
        $state = fn (string $now): SessionState => SessionState::at($at('18:30'), $at('20:30'), $at($now));
        self::assertSame([SessionState::Before, SessionState::Running, SessionState::Running, SessionState::After], [$state('18:29:59'), $state('18:30'), $state('20:30'), $state('20:30:01')]);
        self::assertSame([false, true], [SessionState::isOver($at('20:30'), $at('21:59:59')), SessionState::isOver($at('20:30'), $at('22:00'))]);
    }
}
