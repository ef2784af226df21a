<?php

declare(strict_types=1);

namespace OpenSeam\Core\Tests\Skill;

use OpenSeam\Core\Skill\Level;
use PHPUnit\Framework\TestCase;

/** Which of several skills asks for work first. */
final class LevelTest extends TestCase
{
    public function test_a_refresh_comes_before_what_was_never_tried_and_that_before_what_was_begun(): void
    {
        $all = Level::cases();
        usort($all, fn (Level $a, Level $b): int => $a->rank() <=> $b->rank());
        self::assertSame([Level::RefreshDue, Level::NotTried, Level::Begun, Level::Coming, Level::Sure], $all);
        self::assertSame(Level::Coming, Level::weakest([Level::Sure, Level::Coming, Level::Sure]));
        self::assertSame(Level::RefreshDue, Level::weakest([Level::NotTried, Level::RefreshDue]));
        self::assertSame(Level::NotTried, Level::weakest([]));
    }
}
