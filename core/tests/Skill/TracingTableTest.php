<?php

declare(strict_types=1);

namespace OpenSeam\Core\Tests\Skill;

use OpenSeam\Core\Data;
use OpenSeam\Core\InputError;
use OpenSeam\Core\Skill\KnowledgeTracing;
use OpenSeam\Core\Skill\Skill;
use OpenSeam\Core\Skill\SkillGraph;
use OpenSeam\Core\Skill\Standing;
use OpenSeam\Core\Skill\TracingParameters;
use OpenSeam\Core\Skill\TracingTable;
use OpenSeam\Core\Tests\Support\Fixtures;
use PHPUnit\Framework\TestCase;

final class TracingTableTest extends TestCase
{
    /** A right showing counts for a skill and a wrong one against it, whatever its kind; one good sample is enough to go on, and two are sure. */
    public function test_the_defaults_are_fit_for_use(): void
    {
        foreach (TracingTable::defaults() as $kind => $p) {
            self::assertLessThan(1.0, $p->slip + $p->guess, $kind);
            $tracing = new KnowledgeTracing($p);
            self::assertGreaterThan($tracing->afterSample($p->start, [0.0]), $tracing->afterSample($p->start, [1.0]), $kind);
            self::assertGreaterThan(Standing::GO_ON_FROM, $once = $tracing->afterSample($p->afterDemo(), [1.0]), "$kind after a good sample");
            self::assertGreaterThan(KnowledgeTracing::MASTERY, $tracing->afterSample($once, [1.0]), "$kind after two");
        }
        self::assertEquals(TracingParameters::usual(), TracingTable::defaults()[TracingTable::USUAL]);
        self::assertSame(array_keys(TracingTable::defaults()), array_keys(TracingTable::kinds()));
    }

    public function test_each_skill_goes_by_its_kind_and_a_studio_by_its_own(): void
    {
        $graph = SkillGraph::of([new Skill('thread', 'Thread', kind: 'habit'), new Skill('seam', 'Seam')]);
        $table = TracingTable::of($graph);
        self::assertSame(TracingTable::defaults()['habit'], $table->for('thread'));
        self::assertSame(TracingTable::defaults()['hand'], $table->for('seam'));
        self::assertSame(TracingTable::defaults()['hand'], $table->for('not on the shelf any more'));
        $own = TracingTable::of($graph, ['habit' => $mine = TracingParameters::of(0.5, 0.05, 0.05, 0.5)]);
        self::assertSame([$mine, TracingTable::defaults()['hand']], [$own->for('thread'), $own->for('seam')]);
        self::assertSame($own->tracing('thread'), $own->tracing('thread'), 'made once');
    }

    public function test_the_course_names_kinds_that_there_are(): void
    {
        $used = array_unique(array_map(fn (Skill $s): string => $s->kind, array_values(Fixtures::bundle()->skills->all())));
        sort($used);
        self::assertSame(['fine', 'habit', 'hand', 'setting'], $used);
        self::assertSame('hand', TracingTable::kind(Data::of(['id' => 'x'])));
        $this->expectException(InputError::class);
        $this->expectExceptionMessage('hand, habit, setting, fine');
        TracingTable::kind(Data::of(['kind' => 'magic']));
    }
}
