<?php

declare(strict_types=1);

namespace App\Places\Plan;

use App\Models\CoursePlan;
use App\Models\PlanSession;
use App\Models\SewingClass;
use App\Models\Studio;
use App\Records\ClassRoom;
use App\Records\CourseDates;
use App\Records\Shelf;
use App\Support\Clock;
use App\Views\NamedView;
use OpenSeam\Core\Course\PlanReview;
use OpenSeam\Core\Words;

/** A class's plan with what is wrong with it, if anything. */
final readonly class ShowPlan
{
    public function __construct(private Shelf $shelf) {}

    public function __invoke(SewingClass $class): PlanView
    {
        $class->loadMissing('plan.sessions.lessons');
        $plan = $class->plan ?? new CoursePlan;
        $room = ClassRoom::of($class);
        $lessons = $room->lessons($this->shelf, $class->course, $plan->repeats());
        $sessions = array_values($class->plan?->sessions->all() ?? []);
        $laid = array_map(fn (PlanSession $s): array => $s->lessonIds(), $sessions);
        $home = array_map(fn (PlanSession $s): array => $s->homeIds(), $sessions);
        $pins = $plan->wishes()->pins;
        $dates = CourseDates::ofPlan($plan, $sessions, Studio::query()->findOrFail($class->studio_id)->timezone);

        return new PlanView(
            new NamedView($class->id, $class->name), $this->shelf->bundle()->courses[$class->course]['title'], $class->plan->version ?? 0,
            $room->students, $room->machines, $room->helpers,
            array_map(fn (array $l): PlanLessonView => new PlanLessonView($l['id'], $this->title($l['id']), $l['minutes'], $plan->repeats()->minutes[$l['id']] ?? 0.0, $room->minutes($this->shelf, $l['id'])->rounds, $l['needs'], $l['strand']), $lessons),
            $shown = $this->sessions($class, $sessions, array_column($lessons, 'minutes', 'id')),
            array_values(array_diff($this->shelf->order($class->course), array_merge([], ...$laid, ...$home))),
            [...$this->cannot($room, $laid), ...$this->problems($class, $lessons, $sessions, $laid, $home)],
            array_map(fn (string|int $lesson, int $session): PlanPinView => new PlanPinView((string) $lesson, $session + 1), array_keys($pins), $pins),
            $dates->closed,
            $this->proof($class, $dates),
            PlanWishesView::of($class, $dates, $plan->wishes(), $plan->repeats()),
            count(array_filter($shown, fn (PlanSessionView $s): bool => $s->lessons !== [])),
            PlanReview::fullest(array_column($shown, 'used'), array_column($shown, 'usable')),
        );
    }

    private function title(?string $id): string
    {
        return $id === null ? '' : $this->shelf->bundle()->lesson($id)->title;
    }

    /**
     * @param  list<PlanSession>  $sessions
     * @param  array<string, float>  $minutes  by lesson
     * @return list<PlanSessionView>
     */
    private function sessions(SewingClass $class, array $sessions, array $minutes): array
    {
        $now = Clock::now();

        return array_map(fn (PlanSession $s): PlanSessionView => new PlanSessionView(
            $s->id, $s->starts_at->toIso8601ZuluString(), $s->minutes, $class->frame()->usable($s->position, $s->minutes),
            array_sum(array_map(fn (string $id): float => $minutes[$id] ?? 0.0, $s->lessonIds())), $s->lessonIds(), $s->homeIds(),
            $class->frame()->reviewAt($s->position), $s->beginsAt() <= $now,
        ), $sessions);
    }

    /**
     * @param  list<array{id: string, minutes: float, needs: list<string>, foot: string|null, strand: string}>  $lessons
     * @param  list<PlanSession>  $sessions
     * @param  list<list<string>>  $laid
     * @param  list<list<string>>  $home
     * @return list<PlanProblemView>
     */
    private function problems(SewingClass $class, array $lessons, array $sessions, array $laid, array $home): array
    {
        $now = Clock::now();
        $words = Words::in();
        $over = count(array_filter($sessions, fn (PlanSession $s): bool => $s->endsAt() <= $now));
        $usable = array_map(fn (PlanSession $s): float => $class->frame()->usable($s->position, $s->minutes), $sessions);

        return array_map(fn (array $p): PlanProblemView => new PlanProblemView($p['kind'], $p['session'], $p['lesson'], $words->say('plan.'.$p['kind'], [
            'session' => (string) ($p['session'] + 1), 'minutes' => $words->number(ceil($p['over'])),
            'lesson' => $this->title($p['lesson']), 'needs' => $this->title($p['needs']),
        ])), PlanReview::of($lessons, $laid, $usable, $home, $over));
    }

    private function proof(SewingClass $class, CourseDates $dates): ?PlanProofView
    {
        $proof = $class->plan?->proof;
        if ($class->plan === null || $proof === null || $proof['version'] !== $class->plan->version) {
            return null;
        }
        $words = Words::in();
        $with = ['n' => (string) $proof['count'], 'fewer' => (string) ($proof['low'] - 1), 'low' => (string) $proof['low'], 'used' => $words->number(ceil($proof['used'])), 'usable' => $words->number(floor($proof['usable']))];
        // From the first knock to the last light, as the teacher reckons.
        $shortest = ($proof['shortest'] ?? null) === null ? null : (int) ceil($proof['shortest']) + $class->settle_minutes + $class->clear_minutes;
        $said = [
            $proof['begun'] > 0 ? $words->say('proof.begun') : '',
            $words->say($proof['proven'] ? ($proof['low'] <= 1 ? 'proof.one' : "proof.{$proof['bound']}") : 'proof.open', $with),
            $shortest !== null && $shortest < $dates->minutes ? $words->say('proof.shortest', ['n' => (string) ($dates->sessions - $proof['begun']), 'minutes' => (string) $shortest]) : '',
        ];

        return new PlanProofView(
            $proof['count'], $proof['low'], $proof['proven'], implode(' ', array_filter($said, fn (string $s): bool => $s !== '')),
            (object) array_map(fn (array $b): string => $words->say("because.{$b['kind']}", ['needs' => $this->title($b['lesson'])]), $proof['because']),
        );
    }

    /**
     * Lessons of the plan that nobody could sew with the machines and feet there are.
     *
     * @param  list<list<string>>  $laid
     * @return list<PlanProblemView>
     */
    private function cannot(ClassRoom $room, array $laid): array
    {
        $found = [];
        foreach ($laid as $session => $ids) {
            foreach ($ids as $id) {
                $lesson = $this->shelf->bundle()->lesson($id);
                $why = $room->room->cannot($lesson);
                if ($why !== null) {
                    $found[] = new PlanProblemView('cannot', $session, $id, Words::in()->say('plan.cannot', ['lesson' => $lesson->title, 'needs' => $why]));
                }
            }
        }

        return $found;
    }
}
