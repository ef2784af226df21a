<?php

declare(strict_types=1);

namespace OpenSeam\Core\Tests\Course\Planning;

use OpenSeam\Core\Compute\Registry;
use OpenSeam\Core\InputError;
use PHPUnit\Framework\TestCase;

/** Bounds and pins of what is sewn at home, groups with something between, and reasons that are true. */
final class HomeBoundsTest extends TestCase
{
    /**
     * @param  list<array<string, mixed>>  $lessons
     * @param  array<string, mixed>  $more
     * @return array<string, mixed>
     */
    private static function plan(array $lessons, array $more = []): array
    {
        return Registry::standard()->run('plan-sessions', (string) json_encode(['capacity_minutes' => 60, 'lessons' => $lessons] + $more));
    }

    /**
     * @param  array<string, mixed>  $of
     * @return list<array<string, mixed>> a, then h at home, then c
     */
    private static function chain(array $of = []): array
    {
        return [['id' => 'a', 'minutes' => 10], ['id' => 'h', 'minutes' => 30, 'needs' => ['a'], 'home' => true] + $of, ['id' => 'c', 'minutes' => 10, 'needs' => ['h']]];
    }

    public function test_what_is_sewn_at_home_keeps_its_bounds(): void
    {
        self::assertSame([['h'], []], array_column((array) self::plan(self::chain())['sessions'], 'home'));
        self::assertSame([[], ['h'], []], array_column((array) self::plan(self::chain(['not_before' => 2]))['sessions'], 'home'));
        $pinned = self::plan(self::chain(), ['pins' => ['h' => 3]]);
        self::assertSame([['a'], [], [], ['c']], array_column((array) $pinned['sessions'], 'lessons'));
        self::assertSame([4, 4, true], [$pinned['count'], $pinned['lower_bound'], $pinned['proven']]);
        // Nothing stands on it: it still waits for its session.
        $last = self::plan(array_slice(self::chain(['not_before' => 4]), 0, 2));
        self::assertSame([[], [], [], ['h']], array_column((array) $last['sessions'], 'home'));
        // Sewn after session 1 at the latest: what readies for it comes first, whatever the order.
        $early = self::plan([['id' => 'x', 'minutes' => 50], ['id' => 'b', 'minutes' => 40], ['id' => 'h', 'minutes' => 30, 'needs' => ['b'], 'home' => true, 'not_after' => 1]]);
        self::assertSame([['b'], ['x']], array_column((array) $early['sessions'], 'lessons'));
    }

    public function test_what_cannot_be_is_refused_by_name(): void
    {
        foreach ([
            [[['id' => 'a', 'minutes' => 10, 'not_before' => 3], ...array_slice(self::chain(['not_after' => 1]), 1)], [], 'not_after', '“h”'],
            [self::chain(), ['pins' => [['lesson' => 'a', 'session' => 1], ['lesson' => 'a', 'session' => 2]]], 'pins', 'pinned twice'],
            [[['id' => 'a', 'minutes' => 10], ['id' => 'h', 'minutes' => 30, 'needs' => ['a'], 'home' => true, 'not_before' => 2], ['id' => 'c', 'minutes' => 10, 'needs' => ['h'], 'not_after' => 2]], [], 'pins', '“c”'],
        ] as [$lessons, $more, $field, $said]) {
            try {
                self::plan($lessons, $more);
                self::fail("$field was taken.");
            } catch (InputError $e) {
                self::assertSame($field, $e->field);
                self::assertStringContainsString($said, $e->getMessage());
            }
        }
    }

    /** a ← b ← c with a and c together: b stands between them, and no circle. */
    public function test_a_group_takes_in_what_lies_between(): void
    {
        $plan = self::plan([['id' => 'c', 'minutes' => 10, 'needs' => ['b']], ['id' => 'a', 'minutes' => 10], ['id' => 'b', 'minutes' => 10, 'needs' => ['a']], ['id' => 'd', 'minutes' => 45, 'needs' => ['c']]], ['together' => [['a', 'c']]]);
        self::assertSame([['a', 'b', 'c'], ['d']], array_column((array) $plan['sessions'], 'lessons'));
        // Lessons are named, not groups.
        foreach ((array) $plan['reasons'] as $reason) {
            self::assertStringNotContainsString('+', (string) json_encode($reason));
        }
    }

    /** "Minutes" only where the session before has no room: by adding up, over many drawn plans. */
    public function test_minutes_are_only_blamed_where_there_is_no_room(): void
    {
        mt_srand(14);
        $kinds = [];
        for ($round = 0; $round < 60; $round++) {
            $lessons = [];
            for ($i = 0; $i < 12; $i++) {
                $lessons[] = ['id' => "l$i", 'minutes' => mt_rand(8, 40), 'needs' => array_values(array_filter(array_map(fn (int $j): string => "l$j", range(0, max(0, $i - 1))), fn (string $id): bool => $id !== "l$i" && mt_rand(0, 7) === 0))];
            }
            $plan = self::plan($lessons);
            $minutes = array_column($lessons, 'minutes', 'id');
            $in = [];
            foreach ((array) $plan['sessions'] as $k => $session) {
                foreach ((array) data($session, 'lessons') as $id) {
                    $in[$id] = $k;
                }
            }
            foreach ((array) $plan['reasons'] as $reason) {
                [$id, $kind] = [data($reason, 'lesson'), data($reason, 'kind')];
                $kinds[$kind] = true;
                if ($kind === 'minutes' || $kind === 'even') {
                    $room = 60 - data(((array) $plan['sessions'])[$in[$id] - 1], 'minutes');
                    self::assertSame($kind === 'minutes', $minutes[$id] > $room + 1e-9, "$id of round $round");
                }
            }
        }
        self::assertArrayHasKey('minutes', $kinds);
        self::assertArrayHasKey('even', $kinds);
    }
}

function data(mixed $of, string $name): mixed
{
    return is_array($of) ? $of[$name] ?? null : null;
}
