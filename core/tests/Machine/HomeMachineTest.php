<?php

declare(strict_types=1);

namespace OpenSeam\Core\Tests\Machine;

use OpenSeam\Core\Course\Lesson;
use OpenSeam\Core\Course\LessonRoom;
use OpenSeam\Core\Data;
use OpenSeam\Core\InputError;
use OpenSeam\Core\Machine\Foot;
use OpenSeam\Core\Machine\HomeMachine;
use OpenSeam\Core\Tests\Support\Fixtures;
use PHPUnit\Framework\TestCase;

/** A student's own machine with its feet. */
final class HomeMachineTest extends TestCase
{
    /** @param  list<string>  $feet */
    private static function home(string $drive, array $feet): HomeMachine
    {
        return HomeMachine::read(Data::of(['name' => 'Kitchen', 'drive' => $drive, 'mount' => 'screw-low', 'feet' => $feet]));
    }

    public function test_its_feet_fit_its_mount_and_each_is_there_once(): void
    {
        $home = self::home('mechanical', ['standard', 'zip', 'standard']);
        self::assertSame(['standard', 'zip'], array_map(fn (Foot $f): string => $f->kind->id, $home->feet));
        self::assertSame(['screw-low', 'screw-low'], array_map(fn (Foot $f): string => $f->mount, $home->feet));
        self::assertEquals($home, HomeMachine::read(Data::of($home->facts())), 'kept and read again it is the same');
    }

    /** Common practice, no source: a straight stitch machine sews a seam and no zigzag; without its foot it sews nothing that wants one. */
    public function test_what_it_sews_follows_from_machine_and_feet(): void
    {
        $lessons = Fixtures::bundle()->lessons->all();
        $sews = fn (HomeMachine $home): array => LessonRoom::sewnIn($home->room(), $lessons);
        $straight = $sews(self::home('straight-only', ['standard']));
        self::assertContains('first-seam', $straight);
        self::assertNotContains('zigzag-ladder', $straight);
        self::assertContains('zigzag-ladder', $sews(self::home('mechanical', ['standard'])));
        self::assertNotContains('zip', $sews(self::home('mechanical', ['standard'])));
        self::assertContains('zip', $sews(self::home('mechanical', ['standard', 'zip'])));
        // What wants no machine is done anywhere.
        $byHand = array_map(fn (Lesson $l): string => $l->id, array_filter($lessons, fn (Lesson $l): bool => ! $l->machine));
        self::assertSame([], array_diff($byHand, $straight));
    }

    public function test_a_foot_that_there_is_not_is_named(): void
    {
        $this->expectExceptionObject(InputError::at('feet[1]', 'wheel', 'There is no such foot. Known: '));
        self::home('mechanical', ['standard', 'wheel']);
    }
}
