<?php

declare(strict_types=1);

namespace OpenSeam\Core\Tests\NextLesson;

use DateTimeImmutable;
use OpenSeam\Core\NextLesson\Backtest;
use OpenSeam\Core\NextLesson\Kind;
use OpenSeam\Core\NextLesson\PastSample;
use OpenSeam\Core\Skill\Evidence;
use OpenSeam\Core\Skill\StandingLedger;
use OpenSeam\Core\Skill\TracingParameters;
use OpenSeam\Core\Skill\TracingTable;
use PHPUnit\Framework\TestCase;

final class BacktestTest extends TestCase
{
    /** @param  list<float>  $weights */
    private static function sample(int $n, array $weights): PastSample
    {
        return new PastSample('seam', new Evidence("s$n", new DateTimeImmutable("2030-05-02 19:0$n UTC"), ['line' => $weights]), []);
    }

    /** Counted by hand: right four times, then wrong, then right. */
    public function test_what_was_called_sure_and_held(): void
    {
        $samples = array_map(fn (int $i): PastSample => self::sample($i, [[1.0, 1.0], [1.0, 1.0], [1.0, 1.0], [1.0, 1.0], [0.0, 0.0], [1.0, 1.0]][$i]), range(0, 5));
        $test = Backtest::of(new StandingLedger(TracingTable::same(TracingParameters::of(0.3, 0.1, 0.1, 0.2)), null), [['samples' => $samples, 'given' => [
            ['kind' => Kind::GoOn, 'lesson' => 'seam', 'agreed' => true, 'after' => 0], ['kind' => Kind::Repeat, 'lesson' => 'seam', 'agreed' => false, 'after' => 5], ['kind' => Kind::Repeat, 'lesson' => 'hem', 'agreed' => true, 'after' => 6],
        ], 'words' => ['line' => true]]]);
        // Tracing is sure after the second sample, and one poor one after four good ones does not shake it; three in a row after the third.
        self::assertSame(['called' => 4, 'held' => 3, 'open' => 1, 'good' => 1], $test->schools['tracing']);
        self::assertSame(['called' => 2, 'held' => 1, 'open' => 3, 'good' => 3], $test->schools['three-in-a-row']);
        self::assertSame(['called' => 4, 'held' => 3, 'open' => 1, 'good' => 1], $test->schools['two-of-three']);
        self::assertSame(['called' => 5, 'held' => 4, 'open' => 0, 'good' => 0], $test->schools['teachers-word']);
        self::assertSame(['given' => 1, 'agreed' => 1, 'sewn' => 1, 'met' => 1], $test->rules['go-on']);
        self::assertSame(['given' => 2, 'agreed' => 1, 'sewn' => 1, 'met' => 1], $test->rules['repeat']);
        self::assertSame([1, 6], [$test->students, $test->samples]);
    }

    public function test_nothing_yet(): void
    {
        $none = Backtest::of(new StandingLedger(TracingTable::same(TracingParameters::usual())), []);
        self::assertSame([0, 0, 0], [$none->students, $none->samples, $none->schools['tracing']['called']]);
    }
}
