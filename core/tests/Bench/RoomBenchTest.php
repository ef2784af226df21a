<?php

declare(strict_types=1);

namespace OpenSeam\Core\Tests\Bench;

use OpenSeam\Core\Bench\BenchTape;
use OpenSeam\Core\Bench\FootStock;
use OpenSeam\Core\Bench\RoomBench;
use OpenSeam\Core\Bench\Seat;
use OpenSeam\Core\Bench\Seating;
use OpenSeam\Core\Course\Lesson;
use OpenSeam\Core\Course\LessonMinutes;
use OpenSeam\Core\Course\SessionFrame;
use OpenSeam\Core\Data;
use OpenSeam\Core\Machine\Foot;
use OpenSeam\Core\Machine\Machine;
use OpenSeam\Core\Machine\Room;
use OpenSeam\Core\NextLesson\Candidate;
use OpenSeam\Core\NextLesson\Kind;
use OpenSeam\Core\Tests\Support\Fixtures;
use PHPUnit\Framework\TestCase;

/** The shipped lessons in a room of real machines and feet. */
final class RoomBenchTest extends TestCase
{
    private static function room(): Room
    {
        $stitches = ['straight' => 'A', 'zigzag' => 'B', 'blind-hem' => 'C'];
        $good = Machine::read(Data::of(['name' => 'Good', 'drive' => 'mechanical', 'widest_swing_mm' => 6, 'stitch_names' => $stitches]));
        $plain = Machine::read(Data::of(['name' => 'Plain', 'drive' => 'straight-only', 'stitch_names' => ['straight' => 'A']]));

        return new Room(['a' => $good, 'b' => $good, 'c' => $good, 'p' => $plain], [
            's' => Foot::read(Data::of(['kind' => 'standard', 'count' => 4])), 'z' => Foot::read(Data::of(['kind' => 'zip', 'count' => 1])),
        ]);
    }

    /** @return array<string, Lesson> */
    private static function lessons(string ...$ids): array
    {
        return array_combine($ids, array_map(fn (string $id): Lesson => Fixtures::bundle()->lesson($id), $ids));
    }

    public function test_what_the_room_has_decides_who_takes_turns(): void
    {
        $wants = array_fill_keys(['ona', 'pim', 'rue'], ['zip' => 1.0]) + ['tam' => ['buttonhole-sizing' => 1.0], 'una' => ['first-seam' => 1.0]];
        $problem = RoomBench::problem(self::room(), self::lessons('zip', 'buttonhole-sizing', 'first-seam'), $wants, 3, ['una' => 'p', 'ona' => 'b']);
        self::assertSame('zip', $problem->lessons['zip']);
        self::assertNull($problem->lessons['first-seam'], 'there is a standard foot for every machine');
        self::assertSame([1], array_map(fn (FootStock $f): int => $f->count, $problem->feet));
        $rounds = RoomBench::rounds($problem);
        // One zip foot: three rounds for three zips; who only measures needs no machine.
        self::assertCount(3, $rounds);
        self::assertStringStartsWith(RoomBench::TABLE, $rounds[0]->seats['tam']->machine);
        self::assertSame('p', $rounds[0]->seats['una']->machine);
        self::assertSame(['ona', 'pim', 'rue'], array_map(fn (Seating $r): string => array_values(array_filter($r->seats, fn (Seat $s): bool => $s->lesson === 'zip'))[0]->student, $rounds));
    }

    public function test_the_tape_of_the_rounds(): void
    {
        $round = fn (string ...$lessons): Seating => new Seating(array_combine($lessons, array_map(fn (string $l): Seat => new Seat($l, strtok($l, '-') ?: '', "m$l", null), $lessons)), 0.0, 0.0, true);
        $minutes = ['hem' => new LessonMinutes(8, 15, 4), 'zip' => new LessonMinutes(12, 25, 5)];
        $tape = BenchTape::of([$round('hem-1', 'hem-2', 'zip-1'), $round('zip-2')], $minutes, ['hem' => true, 'zip' => true], new SessionFrame(5, 10));
        self::assertSame([
            ['settle', 0.0, 5.0, null], ['show', 5.0, 13.0, 'hem'], ['show', 13.0, 25.0, 'zip'], ['sew', 25.0, 55.0, null], ['sew', 55.0, 85.0, null],
        ], array_map(fn (array $p): array => [$p['kind'], $p['from'], $p['to'], $p['lesson']], $tape));
        self::assertSame(['sew', 40.0, 59.0], array_values(array_intersect_key(BenchTape::of([$round('hem-1')], $minutes, [], new SessionFrame, 40.0)[0], ['kind' => 1, 'from' => 1, 'to' => 1])));
    }

    public function test_what_a_lesson_is_worth(): void
    {
        $c = fn (string $lesson, float $gain, bool $ready = true): Candidate => new Candidate(Kind::GoOn, $lesson, null, 20, $gain, $ready);
        self::assertSame(['hem' => 1.0, 'zip' => 0.75, 'bar' => 0.375], RoomBench::wants('hem', [$c('hem', 3), $c('bar', 2), $c('zip', 4), $c('far', 8, false), $c('old', 0.5), new Candidate(Kind::Repeat, 'done', null, 20, 3.5, true, true)]));
        self::assertSame(['hem' => 1.0, 'zip' => 0.5], RoomBench::wants('hem', [$c('hem', 6), $c('zip', 4)]), 'beside what the first would gain');
        self::assertSame(['zip' => 0.75], RoomBench::wants(null, [$c('zip', 4)]));
        self::assertSame([], RoomBench::wants(null, []));
        // As the forecast has it: a lesson of 20 minutes that takes two samples does half as much of the course a minute as one that takes one.
        $round = fn (array $wants): array => array_map(fn (float $v): float => round($v, 9), $wants);
        self::assertSame(['hem' => 1.0, 'bar' => 0.75, 'zip' => 0.375], $round(RoomBench::wants('hem', [$c('hem', 3), $c('bar', 2), $c('zip', 4)], ['hem' => 1.0, 'bar' => 1.0, 'zip' => 2.0])));
        self::assertSame(['bar' => 0.75, 'own' => 0.375], $round(RoomBench::wants(null, [$c('bar', 2), $c('own', 1)], ['bar' => 1.5])), 'outside the course by what it would teach');
    }
}
