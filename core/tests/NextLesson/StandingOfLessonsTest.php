<?php

declare(strict_types=1);

namespace OpenSeam\Core\Tests\NextLesson;

use DateTimeImmutable;
use OpenSeam\Core\Course\Drill;
use OpenSeam\Core\Measure\Verdict;
use OpenSeam\Core\NextLesson\Advice;
use OpenSeam\Core\NextLesson\Candidate;
use OpenSeam\Core\NextLesson\Finding;
use OpenSeam\Core\NextLesson\Kind;
use OpenSeam\Core\NextLesson\Ladder;
use OpenSeam\Core\NextLesson\Option;
use OpenSeam\Core\NextLesson\PastSample;
use OpenSeam\Core\NextLesson\Policy;
use OpenSeam\Core\NextLesson\Reason;
use OpenSeam\Core\Skill\ClassGaps;
use OpenSeam\Core\Skill\Evidence;
use OpenSeam\Core\Skill\School;
use OpenSeam\Core\Skill\Skill;
use OpenSeam\Core\Skill\SkillGraph;
use OpenSeam\Core\Skill\Standing;
use OpenSeam\Core\Skill\StandingLedger;
use OpenSeam\Core\Skill\TracingParameters;
use OpenSeam\Core\Skill\TracingTable;
use OpenSeam\Core\Words;
use PHPUnit\Framework\TestCase;

/** The ladder on a small made-up course, rung by rung; the answers follow from the rungs by hand. */
final class StandingOfLessonsTest extends TestCase
{
    /** @param  list<PastSample>  $samples
     * @param  list<string>  $wishes
     * @param  array<string, bool>  $words */
    private static function advise(array $samples, School $school = School::Tracing, array $wishes = [], array $words = [], Policy $policy = Policy::Gate, string $now = '2030-01-02'): Advice
    {
        $skills = SkillGraph::of([
            new Skill('safe', 'Safe', safety: true), new Skill('line', 'Line', needs: ['safe']), new Skill('seam', 'Seam', needs: ['line']),
            new Skill('turn', 'Turn', needs: ['line']), new Skill('bag', 'Bag', needs: ['seam', 'turn']), new Skill('zip', 'Zip', needs: ['seam']),
        ]);
        $lessons = [];
        foreach (['safe' => 10, 'line' => 20, 'seam' => 20, 'turn' => 15, 'bag' => 40, 'zip' => 30] as $id => $minutes) {
            $lessons["l-$id"] = new Option("l-$id", ucfirst($id), [$id], $minutes, $minutes / 2, $id === 'safe' ? [] : [new Drill("d-$id", "$id drill", $id, 4, "Do $id again.")]);
        }

        return (new Ladder($skills, $lessons, ['l-safe', 'l-line', 'l-seam', 'l-turn'], Words::in(), $policy, $school))
            ->advise($samples, new DateTimeImmutable("$now UTC"), $wishes, $words);
    }

    /** @param  list<float>  $weights */
    private static function shown(string $skill, array $weights, ?Verdict $verdict = null, string $at = '2030-01-01'): PastSample
    {
        $mean = array_sum($weights) / max(1, count($weights));
        $verdict ??= $mean > 0.9 ? Verdict::Met : ($mean >= 0.4 ? Verdict::Near : Verdict::NotYet);

        return new PastSample("l-$skill", new Evidence("s-$skill-$at", new DateTimeImmutable("$at UTC"), [$skill => $weights]), [new Finding("c-$skill", 'Check', 'as read', $verdict, [$skill])]);
    }

    /** @return list<PastSample> */
    private static function good(string ...$skills): array
    {
        return array_map(fn (string $s): PastSample => self::shown($s, [1.0, 1.0, 1.0]), array_values($skills));
    }

    /** @return list<PastSample> each shown well in two samples */
    private static function sure(string ...$skills): array
    {
        return [...self::good(...$skills), ...self::good(...$skills)];
    }

    public function test_begins_at_the_beginning(): void
    {
        $advice = self::advise([]);
        self::assertSame([Kind::GoOn, 'l-safe'], [$advice->kind, $advice->lesson]);
    }

    public function test_safety_is_one_missing_habit_away(): void
    {
        $advice = self::advise([...self::good('line', 'seam'), self::shown('safe', [1.0, 1.0, 1.0, 1.0, 0.0], Verdict::NotYet)]);
        self::assertSame([Kind::Repeat, 'l-safe'], [$advice->kind, $advice->lesson]);
    }

    public function test_a_lesson_never_given_is_given_whole_not_as_a_drill(): void
    {
        $advice = self::advise([...self::good('safe'), self::shown('seam', [1.0, 1.0])]);
        self::assertSame([Kind::GoOn, 'l-line', null], [$advice->kind, $advice->lesson, $advice->drill]);
    }

    public function test_the_gap_below_comes_before_the_gap_above(): void
    {
        $advice = self::advise([...self::good('safe'), self::shown('line', [0.0]), self::shown('seam', [0.0])]);
        self::assertSame('d-line', $advice->drill?->id);
    }

    public function test_when_all_is_met_wishes_are_heard(): void
    {
        $all = self::sure('safe', 'line', 'seam', 'turn');
        self::assertSame([Kind::Enrich, 'l-zip'], [($a = self::advise($all, wishes: ['zip']))->kind, $a->lesson]);
        self::assertSame('l-bag', self::advise($all, wishes: ['l-bag'])->lesson);
        // Without a wish the higher gain a minute wins: the zip takes 30 minutes, the bag 40.
        self::assertSame('l-zip', self::advise($all)->lesson);
        $done = self::advise(self::sure('safe', 'line', 'seam', 'turn', 'zip', 'bag'));
        self::assertSame([Kind::Enrich, null], [$done->kind, $done->lesson]);
        self::assertNotSame([], $done->reasons);
    }

    public function test_a_wish_whose_needs_are_not_sure_waits(): void
    {
        $advice = self::advise([...self::good('safe', 'line', 'seam'), self::shown('turn', [0.5, 0.5])], wishes: ['bag']);
        self::assertSame([Kind::Repeat, 'l-turn'], [$advice->kind, $advice->lesson]);
    }

    /** Right and wrong in one sample, and in turns: neither sure nor lost, and the same whichever came first. */
    public function test_contradictory_evidence_is_neither_sure_nor_lost(): void
    {
        $book = new StandingLedger(TracingTable::same(TracingParameters::usual()), null);
        $at = new DateTimeImmutable('2030-05-02 UTC');
        $known = fn (array $weights): float => $book->standings([new Evidence('s', $at, ['line' => $weights])], $at)['line']->known;
        self::assertEqualsWithDelta($known([1.0, 0.0]), $known([0.0, 1.0]), 1e-12);
        self::assertFalse($book->standings([new Evidence('s', $at, ['line' => [1.0, 0.0, 1.0, 0.0]])], $at)['line']->isSure(School::Tracing));
        // Sample after sample in turns: the model, which cannot unlearn, leans on the newest, and it is said.
        $turns = array_map(fn (int $i): PastSample => self::shown('line', $i % 2 === 1 ? [1.0, 1.0] : [0.0, 0.0], at: '2030-01-0'.($i + 1)), range(0, 5));
        self::assertTrue($book->standings(array_map(fn (PastSample $s): Evidence => $s->evidence, $turns), $at)['line']->isMixed());
        $advice = self::advise([...self::good('safe'), ...$turns], now: '2030-01-07');
        self::assertSame('l-seam', $advice->lesson);
        self::assertStringContainsString('“Line” was shown well and badly in turns', implode(' ', array_map(fn (Reason $r): string => $r->text, $advice->reasons)));
    }

    /** A skill that left the shelf while the course ran: its samples stay, and nothing asks for it. */
    public function test_a_skill_removed_from_a_running_course_is_passed_over(): void
    {
        $gone = new PastSample('l-line', new Evidence('s', new DateTimeImmutable('2030-05-02 UTC'), ['safe' => [1.0, 1.0, 1.0], 'juggling' => [0.0], 'line' => [1.0, 1.0, 1.0]]), [new Finding('c', 'Check', 'as read', Verdict::NotYet, ['juggling'])]);
        $now = '2031-05-02';
        foreach ([Policy::Gate, Policy::Together] as $policy) {
            $advice = self::advise([$gone], policy: $policy, now: $now);
            self::assertNotNull($advice->lesson);
            foreach ($advice->reasons as $reason) {
                self::assertStringNotContainsString('juggling', $reason->text);
            }
        }
        self::assertSame([], ClassGaps::of(SkillGraph::of([new Skill('line', 'Line')]), School::Tracing, ['a' => ['juggling' => new Standing('juggling', 0.2, 0.2, [0.0], null)], 'b' => ['juggling' => new Standing('juggling', 0.2, 0.2, [0.0], null)]], [])->gaps);
    }

    public function test_a_refresh_takes_the_most_faded_first(): void
    {
        $samples = [self::shown('line', [1.0], at: '2029-08-28'), self::shown('line', [1.0, 1.0, 1.0], at: '2029-09-01'), self::shown('seam', [1.0], at: '2029-10-18'), self::shown('seam', [1.0, 1.0, 1.0], at: '2029-10-20'), self::shown('safe', [1.0], at: '2029-12-27'), self::shown('safe', [1.0, 1.0, 1.0], at: '2029-12-28')];
        $advice = self::advise($samples);
        self::assertSame([Kind::Refresh, 'd-line'], [$advice->kind, $advice->drill?->id]);
        self::assertSame(Kind::GoOn, self::advise([...$samples, self::shown('line', [1.0, 1.0]), self::shown('seam', [1.0, 1.0])])->kind);
    }

    public function test_schools_decide_when_to_go_on(): void
    {
        $samples = [...self::good('safe'), self::shown('line', [1.0, 1.0])];
        self::assertSame('l-seam', self::advise($samples)->lesson);
        $three = self::advise($samples, School::ThreeInARow);
        self::assertSame('l-safe', $three->lesson, 'three good samples are asked, also of safety');
        $thrice = array_merge(...array_fill(0, 3, [...self::good('safe'), ...self::good('line')]));
        self::assertSame('l-seam', self::advise($thrice, School::ThreeInARow)->lesson);
        self::assertSame('l-seam', self::advise($samples, School::TeachersWord, words: ['safe' => true, 'line' => true])->lesson);
        self::assertSame('l-line', self::advise($samples, School::TeachersWord, words: ['safe' => true, 'line' => false])->lesson);
    }

    public function test_together_goes_on_past_a_gap_and_ends_like_the_gate(): void
    {
        $samples = [...self::good('safe'), self::shown('line', [0.0, 0.0])];
        $advice = self::advise($samples, policy: Policy::Together);
        self::assertSame([Kind::GoOn, 'l-seam', 'd-line'], [$advice->kind, $advice->lesson, $advice->warmUp?->id]);
        self::assertSame('l-turn', self::advise([...$samples, self::shown('seam', [0.0])], policy: Policy::Together)->lesson);
        $end = self::advise([...$samples, self::shown('seam', [0.0]), self::shown('turn', [0.0])], policy: Policy::Together);
        self::assertSame([Kind::Repeat, 'l-line'], [$end->kind, $end->lesson]);
    }

    /** Gain per minute by hand: (1 + lessons unlocked) × (1 − P) × T ÷ minutes. */
    public function test_expected_gain_by_hand(): void
    {
        $candidates = self::advise(self::good('safe', 'line'), now: '2030-01-01')->candidates;
        $seam = array_values(array_filter($candidates, fn (Candidate $c): bool => $c->lesson === 'l-seam'))[0];
        // Seam lies under no lesson of the course; never shown, so P is the start, 0.25. Thirty minutes are what a look counts for.
        self::assertEqualsWithDelta(1 * 0.75 * 0.32 / (20 + 30), $seam->gainPerMinute, 1e-12);
        $gains = array_map(fn (Candidate $c): float => $c->gainPerMinute, array_slice(array_filter($candidates, fn (Candidate $c): bool => $c->ready), 1));
        $sorted = $gains;
        rsort($sorted);
        self::assertSame($sorted, $gains, 'best first after the chosen one');
    }

    public function test_every_lesson_is_offered_for_overruling(): void
    {
        $advice = self::advise(self::good('safe'));
        self::assertEqualsCanonicalizing(['l-safe', 'l-line', 'l-seam', 'l-turn', 'l-bag', 'l-zip'], array_values(array_unique(array_map(fn (Candidate $c): string => $c->lesson, $advice->candidates))));
        self::assertSame($advice->lesson, $advice->candidates[0]->lesson);
    }

    public function test_the_same_in_the_same_out(): void
    {
        $samples = [...self::good('safe'), self::shown('line', [0.3, 0.9])];
        self::assertEquals(self::advise($samples), self::advise($samples));
    }
}
