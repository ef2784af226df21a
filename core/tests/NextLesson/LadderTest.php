<?php

declare(strict_types=1);

namespace OpenSeam\Core\Tests\NextLesson;

use DateTimeImmutable;
use OpenSeam\Core\Measure\Verdict;
use OpenSeam\Core\NextLesson\Advice;
use OpenSeam\Core\NextLesson\Escalation;
use OpenSeam\Core\NextLesson\Kind;
use OpenSeam\Core\NextLesson\PastSample;
use OpenSeam\Core\NextLesson\Policy;
use OpenSeam\Core\NextLesson\Reason;
use OpenSeam\Core\Sampler\FieldKind;
use OpenSeam\Core\Skill\StandingLedger;
use OpenSeam\Core\Skill\TracingTable;
use OpenSeam\Core\Tests\Support\Fixtures;
use PHPUnit\Framework\TestCase;

/** What a teacher would say in each case; common practice, no source. */
final class LadderTest extends TestCase
{
    /** @param  list<PastSample>  $samples */
    private static function advise(array $samples, Policy $policy = Policy::Gate, string $now = '2030-05-02 20:00'): Advice
    {
        return Fixtures::ladder($policy)->advise($samples, new DateTimeImmutable($now.' UTC'));
    }

    private static function why(Advice $advice): string
    {
        return implode(' ', array_map(fn (Reason $r): string => $r->text, $advice->reasons));
    }

    public function test_a_student_who_meets_everything_walks_the_course_in_order(): void
    {
        $samples = [];
        $walked = [];
        while (($advice = self::advise($samples))->kind !== Kind::Enrich && count($walked) < 40) {
            self::assertNotNull($advice->lesson);
            $walked[] = $advice->lesson;
            if (count($walked) <= count(Fixtures::order())) {
                self::assertSame(Kind::GoOn, $advice->kind);
            } else {
                // What was shown once and is not sure is sewn once more before the course is done.
                self::assertStringContainsString('once more makes it sure', self::why($advice));
            }
            $samples[] = Fixtures::sample($advice->lesson, drill: $advice->drill?->id);
        }
        self::assertSame(Fixtures::order(), array_slice($walked, 0, count(Fixtures::order())));
        self::assertLessThan(2 * count(Fixtures::order()), count($walked));
    }

    public function test_safety_comes_before_everything(): void
    {
        $advice = self::advise([...Fixtures::upTo('guides'), Fixtures::sample('safe-seat', ['habits.hand-wheel' => [0.0]])]);
        self::assertSame(['safe-seat', Kind::Repeat], [$advice->lesson, $advice->kind]);
        self::assertStringContainsString('towards you', $advice->change->text);
    }

    public function test_a_drifting_seam_gets_the_drill_and_the_habit(): void
    {
        $drift = ['seam.allowance' => [13.5, 14.5, 15.5, 17.0, 18.5]];
        $advice = self::advise([...Fixtures::upTo('first-seam'), Fixtures::sample('first-seam', $drift)]);
        self::assertSame([Kind::Drill, 'first-seam', 'rows-120'], [$advice->kind, $advice->lesson, $advice->drill?->id]);
        self::assertStringContainsString('50 mm', $advice->change->text);
        self::assertStringContainsString('drifts +5.0 mm over 120 mm', self::why($advice));
        self::assertNotSame([], $advice->reasons[1]->evidence);
    }

    /** The same outcome again and again: another way, shown again, another machine, another method, a fellow student; then something else. */
    public function test_equal_outcomes_change_what_is_changed(): void
    {
        $drift = ['seam.allowance' => [13.5, 14.5, 15.5, 17.0, 18.5]];
        $samples = Fixtures::upTo('first-seam');
        $said = $exercises = [];
        for ($n = 1; $n <= 15; $n++) {
            $samples[] = Fixtures::sample('first-seam', $drift, at: sprintf('2030-05-02 19:%02d', $n));
            $advice = self::advise($samples);
            $said[$n] = $advice->step;
            $exercises[$n] = [$advice->lesson, $advice->drill?->id];
            if ($n > 1) {
                self::assertStringContainsString("$n times in a row", self::why($advice));
                self::assertSame(1, substr_count(self::why($advice), 'in a row'), 'one sentence with the count');
            }
        }
        self::assertSame([null, Escalation::OtherWay, Escalation::ShowAgain, Escalation::OtherMachine, Escalation::OtherMethod, Escalation::FellowStudent], array_slice($said, 0, 6));
        self::assertSame(['first-seam', 'rows-120'], $exercises[1]);
        self::assertSame(['first-seam', null], $exercises[2], 'another exercise of it: the whole seam');
        self::assertSame(['first-seam', null], $exercises[3], 'shown again, and sewn whole');
        for ($n = 4; $n < Escalation::SET_ASIDE_FROM - 1; $n++) {
            self::assertNotSame($exercises[$n], $exercises[$n + 1], "the same again after $n");
        }
        // After that something else is sewn while anything can be.
        self::assertNotContains('first-seam', array_column(array_slice($exercises, Escalation::SET_ASIDE_FROM - 1), 0));
    }

    /** Steering missed three times running: width met each time does not carry it, and practice alone adds nothing. */
    public function test_the_same_missed_again_never_raises_a_level(): void
    {
        $book = new StandingLedger(TracingTable::of(Fixtures::bundle()->skills));
        $drift = ['seam.allowance' => [13.5, 14.5, 15.9, 17.0, 18.3]];
        $known = [];
        $evidence = [];
        for ($n = 0; $n < 3; $n++) {
            $evidence[] = Fixtures::sample('first-seam', $drift)->evidence;
            $known[] = $book->standings($evidence, new DateTimeImmutable('2030-05-02 19:00 UTC'))['keep-allowance']->known;
        }
        self::assertLessThan(TracingTable::of(Fixtures::bundle()->skills)->for('keep-allowance')->afterDemo(), $known[0]);
        self::assertLessThanOrEqual($known[0], $known[1]);
        self::assertLessThanOrEqual($known[1], $known[2]);
    }

    /** A required check that was not read leaves the lesson open, and says which. */
    public function test_an_open_required_check_keeps_the_lesson_from_being_passed(): void
    {
        $half = array_map(fn (array $v): array => array_fill(0, count($v), null), Fixtures::good(Fixtures::bundle()->lesson('length-ladder')));
        $half['first.count'] = [20.0, 50.0];
        $sample = Fixtures::sample('length-ladder', $half);
        self::assertSame(Verdict::Unsure, $sample->worst('set-length')?->verdict);
        self::assertSame(0.5, $sample->evidence->showing('set-length'));
        $advice = self::advise([...Fixtures::upTo('length-ladder'), $sample]);
        self::assertNotSame('length-ladder', $advice->kind === Kind::GoOn ? $advice->lesson : null);
        foreach ($advice->reasons as $reason) {
            self::assertStringNotContainsString('is met', $reason->text);
        }
    }

    public function test_the_same_fault_again_is_said(): void
    {
        $drift = ['seam.allowance' => [13.5, 14.5, 15.5, 17.0, 18.5]];
        $advice = self::advise([...Fixtures::upTo('first-seam'), Fixtures::sample('first-seam', $drift, at: '2030-05-02 19:10'), Fixtures::sample('first-seam', $drift, at: '2030-05-02 19:20')]);
        self::assertStringContainsString('2 times in a row: Steering.', self::why($advice));
    }

    public function test_unsecured_ends_get_their_drill(): void
    {
        $advice = self::advise([...Fixtures::upTo('first-seam'), Fixtures::sample('first-seam', ['seam.back-end' => [0.0], 'seam.pull' => [0.0]], ['end-opens'])]);
        self::assertSame('ends', $advice->drill?->id);
        self::assertStringContainsString('seam opens at the end', self::why($advice));
    }

    /** The root gap: a nest in a seam goes back to the threading it comes from. */
    public function test_a_nest_goes_back_to_threading(): void
    {
        $advice = self::advise([...Fixtures::upTo('first-seam'), Fixtures::sample('wind-and-thread', ['trials.top' => [0.0], 'habits.foot-up' => [0.0]]), Fixtures::sample('first-seam', ['seam.tails-held' => [0.0]], ['nest'])]);
        self::assertSame('wind-and-thread', $advice->lesson);
        self::assertStringContainsString('foot up', $advice->change->text);
    }

    public function test_several_weak_skills_begin_with_the_deepest(): void
    {
        $advice = self::advise([...Fixtures::upTo('first-seam'), Fixtures::sample('first-seam', [
            'seam.allowance' => [20.0, 20.0, 20.0, 20.0, 20.0], 'seam.back-start' => [0.0], 'seam.back-end' => [0.0], 'seam.pull' => [0.0],
            'seam.start-in' => [0.0], 'seam.tails-held' => [0.0], 'seam.highest' => [0.0], 'seam.tail' => [5.0],
        ])]);
        self::assertSame([Kind::Drill, 'start-clean'], [$advice->kind, $advice->drill?->skill]);
    }

    public function test_near_once_goes_on_near_twice_repeats_with_one_change(): void
    {
        $near = ['second.count' => [20.0, 89.0]];
        $once = [...Fixtures::upTo('length-ladder'), Fixtures::sample('length-ladder', $near)];
        self::assertSame('guides', self::advise($once)->lesson);
        $twice = self::advise([...$once, Fixtures::sample('length-ladder', $near)]);
        self::assertSame([Kind::Repeat, 'length-ladder'], [$twice->kind, $twice->lesson]);
        self::assertStringContainsString('Near twice', self::why($twice));
        self::assertCount(2, $twice->reasons[0]->evidence);
    }

    public function test_a_skill_long_unseen_wants_a_refresh(): void
    {
        $advice = self::advise(Fixtures::upTo('guides'), now: '2030-06-20 20:00');
        self::assertSame(Kind::Refresh, $advice->kind);
        self::assertStringContainsString('7 weeks ago', self::why($advice));
    }

    public function test_together_moves_on_and_brings_the_gap_along(): void
    {
        $samples = [...Fixtures::upTo('first-seam'), Fixtures::sample('first-seam', ['seam.back-end' => [0.0], 'seam.back-start' => [0.0], 'seam.pull' => [0.0]])];
        self::assertSame(Kind::Drill, self::advise($samples)->kind);
        $advice = self::advise($samples, Policy::Together);
        self::assertSame([Kind::GoOn, 'length-ladder', 'ends'], [$advice->kind, $advice->lesson, $advice->warmUp?->id]);
    }

    public function test_homework_is_a_drill_for_who_has_a_machine_at_home(): void
    {
        $samples = [...Fixtures::upTo('first-seam'), Fixtures::sample('first-seam', ['seam.allowance' => [12.0, 13.0, 20.0, 12.0, 19.0], 'seam.back-end' => [0.0], 'seam.back-start' => [0.0], 'seam.pull' => [0.0]])];
        $now = new DateTimeImmutable('2030-05-02 20:00 UTC');
        $home = Fixtures::ladder()->advise($samples, $now, ownMachine: true);
        self::assertNotNull($home->homework);
        self::assertNotSame($home->drill?->id, $home->homework->id, 'the drill of the class is not given twice');
        self::assertNull(Fixtures::ladder()->advise($samples, $now)->homework);
        self::assertNull(Fixtures::ladder()->advise([], $now, ownMachine: true)->homework, 'nothing was sewn yet');
        self::assertNotContains($home->homework, Fixtures::bundle()->lesson('safe-seat')->drills);
        self::assertContains(Fixtures::ladder()->advise($samples, $now, ownMachine: true, atHome: [])->homework, [null, ...Fixtures::bundle()->lesson('safe-seat')->drills], 'that machine sews none of them: what wants no machine is left');
        self::assertSame($home->homework->id, Fixtures::ladder()->advise($samples, $now, ownMachine: true, atHome: array_map(fn ($p): string => $p->lesson, $samples))->homework?->id);
    }

    /** What waits for what: against the ladder's own word for every lesson of the course. */
    public function test_what_is_blocked_names_the_deepest_gap(): void
    {
        $samples = [...Fixtures::upTo('first-seam'), Fixtures::sample('first-seam', ['seam.back-end' => [0.0], 'seam.back-start' => [0.0], 'seam.pull' => [0.0]])];
        $blocked = Fixtures::ladder()->blocked($samples, new DateTimeImmutable('2030-05-02 20:00 UTC'));
        self::assertSame('secure-ends', $blocked['length-ladder']);
        self::assertArrayNotHasKey('first-seam', $blocked);
        self::assertArrayNotHasKey('square-spiral', $blocked, 'it stands on the line, not on the ends');
    }

    /** Whatever was sewn, the gate never gives a first lesson whose needs are not sure. */
    public function test_the_gate_holds_for_any_history(): void
    {
        mt_srand(5);
        $bundle = Fixtures::bundle();
        for ($student = 0; $student < 40; $student++) {
            $samples = [];
            for ($step = 0; $step < 18; $step++) {
                $advice = self::advise($samples);
                if ($advice->lesson === null) {
                    break;
                }
                if ($advice->kind === Kind::GoOn) {
                    self::assertTrue($advice->candidates[0]->ready, $advice->lesson);
                }
                self::assertNotSame([], $advice->reasons);
                self::assertNotSame('', $advice->change->text);
                $lesson = $bundle->lesson($advice->lesson);
                $bad = array_filter(Fixtures::good($lesson), fn (): bool => mt_rand(0, 9) < 2);
                $samples[] = Fixtures::sample($advice->lesson, array_map(fn (array $v): array => array_map(fn (?float $x): float => mt_rand(0, 1) === 1 ? 0.0 : (float) $x, $v), array_filter($bad, fn (string $k): bool => $lesson->sampler->fields()[$k]->kind !== FieldKind::Stitches, ARRAY_FILTER_USE_KEY)));
            }
        }
    }

    public function test_one_sample_too_close_to_call_is_said_with_what_to_count(): void
    {
        $advice = self::advise([...Fixtures::upTo('length-ladder'), Fixtures::sample('length-ladder', ['last.count' => [6.0, 7.0]])]);
        self::assertStringContainsString('Count 12 stitches', self::why($advice));
    }

    /** As long as a lesson of it was not met the last time it was sewn, the course is not called done. */
    public function test_the_course_is_not_called_done_while_a_lesson_of_it_is_not_met(): void
    {
        $samples = [];
        foreach (Fixtures::order() as $lesson) {
            array_push($samples, Fixtures::sample($lesson), Fixtures::sample($lesson));
        }
        $done = 'course is done';
        self::assertStringContainsString($done, self::why(self::advise($samples)));
        // Everything it teaches has been shown well elsewhere; the lesson itself was near the last time.
        $near = Fixtures::sample('length-ladder', ['first.count' => [20.0, 56.0]]);
        self::assertStringNotContainsString($done, self::why(self::advise([...$samples, $near])));
    }
}
