<?php

declare(strict_types=1);

namespace OpenSeam\Core\Tests\NextLesson;

use DateTimeImmutable;
use OpenSeam\Core\NextLesson\Advice;
use OpenSeam\Core\NextLesson\Kind;
use OpenSeam\Core\NextLesson\PastSample;
use OpenSeam\Core\NextLesson\Policy;
use OpenSeam\Core\NextLesson\Reason;
use OpenSeam\Core\Sampler\FieldKind;
use OpenSeam\Core\Sampler\Readings;
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
        while (($advice = self::advise($samples))->kind !== Kind::Enrich && count($walked) < 20) {
            self::assertSame(Kind::GoOn, $advice->kind);
            self::assertNotNull($advice->lesson);
            $walked[] = $advice->lesson;
            $samples[] = Fixtures::sample($advice->lesson);
        }
        self::assertSame(Fixtures::order(), $walked);
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

    public function test_the_same_fault_again_is_said(): void
    {
        $drift = ['seam.allowance' => [13.5, 14.5, 15.5, 17.0, 18.5]];
        $advice = self::advise([...Fixtures::upTo('first-seam'), Fixtures::sample('first-seam', $drift, at: '2030-05-02 19:10'), Fixtures::sample('first-seam', $drift, at: '2030-05-02 19:20')]);
        self::assertStringContainsString('in the last 2 samples', self::why($advice));
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
                $samples[] = Fixtures::sample($advice->lesson, array_map(fn (array $v): array => array_map(fn (?float $x): float => mt_rand(0, 1) === 1 ? 0.0 : (float) $x, $v), array_filter($bad, fn (string $k): bool => Readings::fields($lesson)[$k]->kind !== FieldKind::Stitches, ARRAY_FILTER_USE_KEY)));
            }
        }
    }

    public function test_one_sample_too_close_to_call_is_said_with_what_to_count(): void
    {
        $advice = self::advise([...Fixtures::upTo('length-ladder'), Fixtures::sample('length-ladder', ['last.count' => [6.0, 7.0]])]);
        self::assertStringContainsString('Count 12 stitches', self::why($advice));
    }
}
