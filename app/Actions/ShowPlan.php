<?php

declare(strict_types=1);

namespace App\Actions;

use App\Http\Resources\NamedView;
use App\Http\Resources\PlanLessonView;
use App\Http\Resources\PlanPinView;
use App\Http\Resources\PlanProblemView;
use App\Http\Resources\PlanProofView;
use App\Http\Resources\PlanSessionView;
use App\Http\Resources\PlanView;
use App\Models\CoursePlan;
use App\Models\PlanSession;
use App\Models\SewingClass;
use App\Support\ClassRoom;
use App\Support\Shelf;
use OpenSeam\Core\Course\PlanReview;
use OpenSeam\Core\Course\SessionTape;
use OpenSeam\Core\Words;

/** A class's plan with what is wrong with it, if anything. */
final readonly class ShowPlan
{
    public function __construct(private Shelf $shelf) {}

    public function __invoke(SewingClass $class): PlanView
    {
        $class->load('plan.sessions.lessons');
        $room = ClassRoom::of($class);
        $lessons = $room->lessons($this->shelf, $class->course);
        $minutes = array_column($lessons, 'minutes', 'id');
        $title = fn (?string $id): string => $id === null ? '' : $this->shelf->bundle()->lesson($id)->title;
        $words = Words::in();
        $sessions = array_values($class->plan?->sessions->all() ?? []);
        $laid = array_map(fn (PlanSession $s): array => $s->lessonIds(), $sessions);
        $usable = array_map(fn (PlanSession $s): float => SessionTape::usable($s->minutes), $sessions);

        return new PlanView(
            new NamedView($class->id, $class->name), $this->shelf->bundle()->courses[$class->course]['title'], $class->plan->version ?? 0,
            $room->students, $room->machines, $room->helpers,
            array_map(fn (array $l): PlanLessonView => new PlanLessonView($l['id'], $title($l['id']), $l['minutes'], $room->minutes($this->shelf, $l['id'])->rounds, $l['needs']), $lessons),
            array_map(fn (PlanSession $s, float $u): PlanSessionView => new PlanSessionView(
                $s->id, $s->starts_at->toIso8601ZuluString(), $s->minutes, $u,
                array_sum(array_map(fn (string $id): float => $minutes[$id] ?? 0.0, $s->lessonIds())), $s->lessonIds(),
            ), $sessions, $usable),
            array_values(array_diff($this->shelf->order($class->course), array_merge([], ...$laid))),
            [...$this->cannot($room, $laid), ...array_map(fn (array $p): PlanProblemView => new PlanProblemView($p['kind'], $p['session'], $p['lesson'], $words->say('plan.'.$p['kind'], [
                'session' => (string) ($p['session'] + 1), 'minutes' => $words->number(ceil($p['over'])),
                'lesson' => $title($p['lesson']), 'needs' => $title($p['needs']),
            ])), PlanReview::of($lessons, $laid, $usable))],
            array_map(fn (string|int $lesson, int $session): PlanPinView => new PlanPinView((string) $lesson, $session + 1), array_keys($class->plan->wishes['pins'] ?? []), $class->plan->wishes['pins'] ?? []),
            $class->plan->wishes['closed'] ?? [],
            $this->proof($class->plan, $title),
        );
    }

    /** @param  callable(string|null): string  $title */
    private function proof(?CoursePlan $plan, callable $title): ?PlanProofView
    {
        $proof = $plan?->proof;
        if ($plan === null || $proof === null || $proof['version'] !== $plan->version) {
            return null;
        }
        $words = Words::in();
        $with = ['n' => (string) $proof['count'], 'fewer' => (string) ($proof['low'] - 1), 'low' => (string) $proof['low'], 'used' => $words->number(ceil($proof['used'])), 'usable' => $words->number(floor($proof['usable']))];

        return new PlanProofView(
            $proof['count'], $proof['low'], $proof['proven'],
            ($proof['begun'] > 0 ? $words->say('proof.begun').' ' : '').$words->say($proof['proven'] ? ($proof['low'] <= 1 ? 'proof.one' : "proof.{$proof['bound']}") : 'proof.open', $with),
            (object) array_map(fn (array $b): string => $words->say("because.{$b['kind']}", ['needs' => $title($b['lesson'])]), $proof['because']),
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
