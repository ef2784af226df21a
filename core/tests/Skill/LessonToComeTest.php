<?php

declare(strict_types=1);

namespace OpenSeam\Core\Tests\Skill;

use OpenSeam\Core\Skill\LessonsToCome;
use OpenSeam\Core\Skill\LessonToCome;
use OpenSeam\Core\Skill\SimulatedLearner;
use OpenSeam\Core\Skill\Skill;
use OpenSeam\Core\Skill\SkillGraph;
use OpenSeam\Core\Skill\TracingParameters;
use OpenSeam\Core\Skill\TracingTable;
use PHPUnit\Framework\TestCase;

/** Lessons of several skills, against students drawn by lot and against sums by hand. */
final class LessonToComeTest extends TestCase
{
    private const DRAWN = 20_000;

    /** Slip 0.1, guess 0.2, two skills known with 0.5 each, nothing learned: good at once with (0.5·0.9 + 0.5·0.2)². */
    public function test_two_skills_by_hand(): void
    {
        $table = TracingTable::same(TracingParameters::of(0.5, 0.1, 0.2, 0.0));
        $lesson = LessonToCome::of($table, ['a' => 0.5, 'b' => 0.5], true);
        self::assertEqualsWithDelta(0.55 ** 2, $lesson->chances[1], 1e-12);
        // The second: not good the first time, good the second, over the four states of knowing.
        $second = 0.0;
        foreach ([[0.9, 0.9], [0.9, 0.2], [0.2, 0.9], [0.2, 0.2]] as [$a, $b]) {
            $second += 0.25 * (1 - $a * $b) * $a * $b;
        }
        self::assertEqualsWithDelta($second, $lesson->chances[2], 1e-12);
        self::assertEqualsWithDelta(1.0, array_sum($lesson->chances) + 0.25 * (1 - 0.04) ** 60 + 2 * 0.25 * (1 - 0.18) ** 60 + 0.25 * (1 - 0.81) ** 60, 1e-9, 'what is missing is whoever needs more than sixty');
    }

    /** One skill alone is what knowledge tracing says of it: known after a good sample, and one more step. */
    public function test_what_is_known_afterwards(): void
    {
        $p = TracingParameters::of(0.4, 0.1, 0.2, 0.3);
        $after = LessonToCome::one($p, 1.0)->after['skill'];
        self::assertEqualsWithDelta(1.0, $after, 1e-9);
        // Never guessed right: whoever is done knows it.
        self::assertEqualsWithDelta(1.0, LessonToCome::one(TracingParameters::of(0.2, 0.1, 0.0, 0.3), 0.2)->after['skill'], 1e-9);
        $unsure = LessonToCome::one($p, 0.2)->after['skill'];
        self::assertGreaterThan(0.2, $unsure);
        self::assertLessThan(1.0, $unsure);
    }

    /** Three skills, one of which stands on another: chances and what is known after, within four standard errors of 20,000 students drawn by lot. */
    public function test_against_students_drawn_by_lot(): void
    {
        mt_srand(77);
        $p = ['a' => TracingParameters::of(0.3, 0.08, 0.14, 0.3, 0.4), 'b' => TracingParameters::of(0.3, 0.1, 0.1, 0.2, 0.1), 'c' => TracingParameters::of(0.2, 0.12, 0.06, 0.18, 0.25)];
        $graph = SkillGraph::of([new Skill('a', 'A', kind: 'habit'), new Skill('b', 'B', needs: ['a']), new Skill('c', 'C', kind: 'fine')]);
        $known = ['a' => 0.6, 'b' => 0.3, 'c' => 0.45];
        $lesson = LessonToCome::of(TracingTable::of($graph, bySkill: $p), $known, false, ['b' => ['a']], ['c' => 0.5]);
        $chance = fn (float $x): bool => mt_rand() / mt_getrandmax() < $x;
        $slower = fn (string $s, array $knows): float => match ($s) {
            'b' => $knows['a'] ? 1.0 : SimulatedLearner::WITHOUT_NEEDS,
            // What c stands on is known with one half, and that is all that is told of it.
            'c' => 0.5 + 0.5 * SimulatedLearner::WITHOUT_NEEDS,
            default => 1.0,
        };
        $learn = function (array $knows, string $from = 'transit') use ($p, $chance, $slower): array {
            foreach (['a', 'b', 'c'] as $s) {
                $knows[$s] = $knows[$s] || $chance(($from === 'demo' ? $p[$s]->demo : $p[$s]->transit) * $slower($s, $knows));
            }

            return $knows;
        };
        $took = $after = [];
        for ($i = 0; $i < self::DRAWN; $i++) {
            $knows = $learn(array_map($chance, $known), 'demo');
            for ($n = 1; ; $n++) {
                $good = array_filter(array_keys($p), fn (string $s): bool => ! $chance($knows[$s] ? 1 - $p[$s]->slip : $p[$s]->guess)) === [];
                $knows = $learn($knows);
                if ($good) {
                    break;
                }
            }
            $took[$n] = ($took[$n] ?? 0) + 1;
            foreach ($knows as $s => $is) {
                $after[$s] = ($after[$s] ?? 0) + ($is ? 1 : 0);
            }
        }
        foreach (range(1, 8) as $n) {
            $share = ($took[$n] ?? 0) / self::DRAWN;
            self::assertEqualsWithDelta($share, $lesson->chances[$n], 4 * sqrt(max(1e-4, $share * (1 - $share)) / self::DRAWN), "after $n");
        }
        foreach ($after as $s => $count) {
            $share = $count / self::DRAWN;
            self::assertEqualsWithDelta($share, $lesson->after[$s], 4 * sqrt(max(1e-4, $share * (1 - $share)) / self::DRAWN), "$s afterwards");
        }
        self::assertEqualsWithDelta(array_sum(array_map(fn (int $n, int $c): float => $n * $c, array_keys($took), $took)) / self::DRAWN, $lesson->expected(), 0.1);
    }

    /** What one lesson taught, the next begins with; what is neither sewn nor used fades on the way. */
    public function test_a_course_carries_on_what_it_taught(): void
    {
        $graph = SkillGraph::of([new Skill('a', 'A'), new Skill('b', 'B', needs: ['a']), new Skill('c', 'C')]);
        $table = TracingTable::of($graph);
        [$first, $second] = (new LessonsToCome($table, $graph, fadingWeeks: null))->of([['a'], ['a', 'b']], [], [false, false]);
        self::assertGreaterThan(0.8, $first->after['a']);
        $alone = (new LessonsToCome($table, $graph, fadingWeeks: null))->of([['a', 'b']], [], [false])[0];
        self::assertLessThan($alone->expected(), $second->expected());
        // A demonstration has taught once.
        $shown = (new LessonsToCome($table, $graph))->of([['a']], [], [true])[0];
        self::assertGreaterThan($first->expected(), $shown->expected());
        // "c" is known now; thirty samples of something else later less so. "a" is used by them and keeps.
        $long = array_fill(0, 12, ['b']);
        $flags = array_fill(0, 13, true);
        $fades = (new LessonsToCome($table, $graph, 3.0))->of([...$long, ['c']], ['a' => 0.97, 'b' => 0.5, 'c' => 0.97], $flags);
        $keeps = (new LessonsToCome($table, $graph, 3.0))->of([...$long, ['a']], ['a' => 0.97, 'b' => 0.5, 'c' => 0.97], $flags);
        self::assertGreaterThan($keeps[12]->expected(), $fades[12]->expected());
        self::assertSame([], (new LessonsToCome($table, $graph))->of([], [], []));
    }
}
