<?php

declare(strict_types=1);

namespace OpenSeam\Core\Tests\Skill;

use OpenSeam\Core\Skill\ClassGaps;
use OpenSeam\Core\Skill\School;
use OpenSeam\Core\Skill\Skill;
use OpenSeam\Core\Skill\SkillGraph;
use OpenSeam\Core\Skill\Standing;
use PHPUnit\Framework\TestCase;

final class ClassGapsTest extends TestCase
{
    /**
     * @param  array<string, array<string, float>>  $known  by student and skill
     * @param  array<string, list<string>>  $sewing
     */
    private static function gaps(array $known, array $sewing = []): ClassGaps
    {
        $skills = SkillGraph::of([new Skill('thread', 'Thread'), new Skill('line', 'Line', needs: ['thread']), new Skill('turn', 'Turn', needs: ['line']), new Skill('bow', 'Bow')]);
        $standings = [];
        foreach ($known as $student => $mine) {
            foreach ($mine as $skill => $p) {
                $standings[$student][$skill] = new Standing($skill, $p, $p, [$p], null);
            }
        }

        return ClassGaps::of($skills, School::Tracing, $standings, $sewing);
    }

    public function test_what_to_show_to_all_again(): void
    {
        $gaps = self::gaps([
            'a' => ['thread' => 0.5, 'bow' => 0.4, 'line' => 0.97], 'b' => ['thread' => 0.6, 'bow' => 0.3, 'line' => 0.98], 'c' => ['thread' => 0.99, 'bow' => 0.2, 'line' => 0.4],
            'd' => ['thread' => 0.5, 'line' => 0.99], 'e' => ['line' => 0.5],
        ])->gaps;
        // Threading carries the line and the turn; the bow carries nothing; the line is open for two of five.
        self::assertSame([['thread', 3, 4, true], ['line', 2, 5, true], ['bow', 3, 3, true]], array_map(fn (array $g): array => [$g['skill'], count($g['open']), $g['tried'], $g['again']], $gaps));
        // One alone is no gap of the class, and what is faded is open again.
        self::assertSame([], self::gaps(['a' => ['thread' => 0.5], 'b' => ['thread' => 0.99]])->gaps);
        self::assertFalse(self::gaps(array_fill_keys(['a', 'b'], ['thread' => 0.5]) + array_fill_keys(['c', 'd', 'e', 'f'], ['thread' => 0.99]))->gaps[0]['again']);
    }

    public function test_who_sits_next_to_whom(): void
    {
        $pairs = self::gaps(
            ['a' => ['thread' => 0.99, 'line' => 0.4], 'b' => ['thread' => 0.5, 'line' => 0.99], 'c' => ['thread' => 0.4], 'd' => ['bow' => 0.99]],
            ['a' => ['line'], 'b' => ['line'], 'c' => ['thread']],
        )->pairs;
        // Both at the line: they first; then there is nobody left to help with threading.
        self::assertSame([['helper' => 'b', 'learner' => 'a', 'skill' => 'line']], $pairs);
        $more = self::gaps(['a' => ['thread' => 0.99], 'b' => ['thread' => 0.5], 'c' => ['thread' => 0.4], 'd' => ['thread' => 0.97]], ['c' => ['thread']])->pairs;
        self::assertSame([['a', 'c'], ['d', 'b']], array_map(fn (array $p): array => [$p['helper'], $p['learner']], $more));
    }

    public function test_the_order_in_which_standings_were_read_changes_nothing(): void
    {
        // By lot; the line and the bow weigh the same here, and stand in the order of the skills.
        mt_srand(19);
        for ($class = 0; $class < 60; $class++) {
            $known = [];
            foreach (range('a', 'h') as $student) {
                foreach (['thread', 'line', 'turn', 'bow'] as $skill) {
                    mt_rand(0, 3) === 0 || $known[$student][$skill] = mt_rand(0, 2) === 0 ? 0.99 : 0.4;
                }
            }
            $as = self::gaps($known);
            foreach (range(1, 3) as $time) {
                $mixed = array_map(function (array $mine): array {
                    $keys = array_keys($mine);
                    shuffle($keys);

                    return array_replace(array_flip($keys), $mine);
                }, $known);
                self::assertEquals([$as->gaps, $as->pairs], [self::gaps($mixed)->gaps, self::gaps($mixed)->pairs]);
            }
        }
        $tie = self::gaps(['a' => ['bow' => 0.4, 'turn' => 0.4], 'b' => ['bow' => 0.4, 'turn' => 0.4]]);
        self::assertSame(['turn', 'bow'], array_column($tie->gaps, 'skill'));
    }

    public function test_nobody_and_nothing(): void
    {
        self::assertSame([[], []], [self::gaps([])->gaps, self::gaps(['a' => []])->pairs]);
    }
}
