<?php

declare(strict_types=1);

namespace App\Places\Workshop;

use App\Models\ButtonholeJob;
use App\Models\ButtonholeTest;
use App\Models\Foot;
use App\Models\Machine;
use App\Models\SewingClass;
use App\Models\Student;
use App\Records\Shelf;
use App\Support\Clock;
use App\Support\Conflict;
use OpenSeam\Core\Buttonhole\Job;
use OpenSeam\Core\Buttonhole\JobPlan;
use OpenSeam\Core\Buttonhole\Release;
use OpenSeam\Core\Buttonhole\SewnHole;
use OpenSeam\Core\Data;
use OpenSeam\Core\InputError;
use OpenSeam\Core\Measure\Unit;
use OpenSeam\Core\Words;

/** A buttonhole from the button to the recipe: kept as it is typed, tested, released. */
final readonly class SewButtonhole
{
    private const RECENT = 30;

    public function __construct(private Shelf $shelf, private ButtonholeWork $work) {}

    /** @return list<ButtonholeListView> the latest first */
    public function recent(): array
    {
        return array_values(ButtonholeJob::query()->orderByDesc('changed_at')->limit(self::RECENT)->get()->map(ButtonholeListView::of(...))->all());
    }

    /**
     * @param  string  $id  a ULID made where it is begun
     * @param  array<string, mixed>  $job
     *
     * @throws InputError for a class, student, machine or foot of another studio
     */
    public function keep(string $studio, string $id, array $job, ?string $class, ?string $student, ?string $machine, ?string $foot, Unit $unit): ButtonholeView
    {
        $kept = ButtonholeJob::query()->withoutGlobalScopes()->find($id);
        // Another studio’s, or a class’s that is not seen from here: it is not there.
        $kept === null || ButtonholeJob::query()->findOrFail($id);
        foreach (['class' => [SewingClass::class, $class], 'student' => [Student::class, $student], 'machine' => [Machine::class, $machine], 'foot' => [Foot::class, $foot]] as $field => [$model, $key]) {
            $key === null || $model::query()->whereKey($key)->exists() || throw InputError::at($field, $key, "There is no such $field in this studio.");
        }
        $student === null || $class !== null || throw InputError::at('class', null, 'A student’s buttonhole belongs to a class: say which.');
        $now = Clock::now();
        $row = $kept ?? new ButtonholeJob(['id' => $id, 'studio_id' => $studio, 'begun_at' => $now]);
        $row->fill(['job' => $job, 'class_id' => $class, 'student_id' => $student, 'machine_id' => $machine, 'foot_id' => $foot, 'title' => self::title($job), 'changed_at' => $now]);
        // What was released is another stack now: it has to be tested again.
        if ($row->recipe !== null && Job::differences($this->now($row), Data::of((array) ($row->recipe['stack'] ?? []))) !== []) {
            $row->fill(['recipe' => null, 'released_at' => null, 'overruled' => false]);
        }
        $row->save();

        return $this->show($row, $unit);
    }

    /**
     * @param  array<string, mixed>  $read
     *
     * @throws InputError when it cannot be planned yet
     */
    public function look(ButtonholeJob $job, string $id, array $read, Unit $unit): ButtonholeView
    {
        $read !== [] || throw InputError::at('read', [], 'At least one thing has to be looked at.');
        $before = ButtonholeTest::query()->withoutGlobalScopes()->find($id);
        $before === null || ($before->job_id === $job->id && $before->read == $read) || throw Conflict::buttonholeTaken($id);
        if ($before === null) {
            $plan = $this->work->plan($job, Words::in($unit));
            $size = $plan->size;
            ButtonholeTest::query()->create([
                'id' => $id, 'job_id' => $job->id, 'machine_id' => $job->machine_id, 'way' => $plan->way->value, 'job' => $this->work->stack($job, $plan),
                'planned' => ['finished_mm' => $size->finishedMm, 'opening_mm' => $size->openingMm, 'half_wrap_mm' => $size->halfWrapMm], 'set_mm' => $plan->set->mm, 'read' => $read, 'sewn_at' => Clock::now(),
            ]);
            $job->fill(['changed_at' => Clock::now()])->save();
            $this->work->forget();
        }

        return $this->show($job->refresh(), $unit);
    }

    /**
     * @param  bool  $overrule  the teacher says so, whatever the tests say
     *
     * @throws InputError when the tests do not allow it yet
     */
    public function release(ButtonholeJob $job, bool $overrule, Unit $unit): ButtonholeView
    {
        $words = Words::in($unit);
        $plan = $this->work->plan($job, $words);
        $release = $this->releaseOf($job, $this->now($job));
        $release->allowed || $overrule || throw InputError::at('overrule', false, sprintf('It was met %d of %d times in a row on this stack. Sew one more test, or say that it may be sewn all the same.', $release->inARow, $release->needed));
        $job->fill(['released_at' => Clock::now(), 'overruled' => ! $release->allowed, 'recipe' => ['stack' => $this->work->stack($job, $plan), 'lines' => $this->recipe($job, $plan, $words)]])->save();

        return $this->show($job, $unit);
    }

    public function show(ButtonholeJob $job, Unit $unit): ButtonholeView
    {
        $words = Words::in($unit);
        $asks = null;
        $plan = null;
        $machines = [];
        try {
            $plan = $this->work->plan($job, $words);
            $machines = $this->work->machines($this->work->job($job), $words);
        } catch (InputError $e) {
            $asks = ['field' => $e->field, 'message' => $e->getMessage()];
        }
        $machine = $this->work->machine($job);
        // Worked out once: every test and recipe is held against it.
        $now = $this->now($job);
        $tests = $job->tests->reverse()->map(fn (ButtonholeTest $t): ButtonholeTestView => ButtonholeTestView::of($t, $plan, $machine, Job::differences($now, Data::of($t->job)), $this->shelf->bundle(), $words));

        return ButtonholeView::of(
            $job, $asks, $plan === null ? null : ButtonholePlanView::of($plan, $machine, $this->work->learned($job->machine_id), $this->work->strip($job, $plan), Data::of($job->job)),
            $machines, array_values($tests->all()), $this->releaseOf($job, $now), $this->recipes($job, $now),
        );
    }

    private function releaseOf(ButtonholeJob $job, Data $now): Release
    {
        $same = $job->tests->filter(fn (ButtonholeTest $t): bool => Job::differences($now, Data::of($t->job)) === []);
        $data = Data::of($job->job);

        return Release::of(array_values($same->map(fn (ButtonholeTest $t): SewnHole => $t->sewn())->all()), $data->flag('beginner', true), $data->whole('count', 1));
    }

    /** The stack as it is now, or what is known of it. */
    private function now(ButtonholeJob $job): Data
    {
        try {
            return Data::of($this->work->stack($job, $this->work->plan($job, Words::in())));
        } catch (InputError) {
            return Data::of([...$job->job, 'machine' => $job->machine_id, 'foot' => $this->work->footOf($job)]);
        }
    }

    /** @return list<array{job: string, title: string, released_at: string|null, not_the_same: list<string>}> kept for such a button, the nearest stack first */
    private function recipes(ButtonholeJob $job, Data $now): array
    {
        $kept = ButtonholeJob::query()->whereNotNull('recipe')->whereKeyNot($job->id)->orderByDesc('released_at')->limit(self::RECENT)->get();
        $found = $kept->map(fn (ButtonholeJob $k): array => ['job' => $k->id, 'title' => $k->title, 'released_at' => $k->released_at?->toIso8601ZuluString(), 'not_the_same' => Job::differences($now, Data::of((array) ($k->recipe['stack'] ?? [])))])
            ->filter(fn (array $r): bool => ! in_array('diameter_mm', $r['not_the_same'], true))->sortBy(fn (array $r): int => count($r['not_the_same']));

        return array_slice(array_values($found->all()), 0, 3);
    }

    /** @return array<string, string> what has to be done again, by its name */
    private function recipe(ButtonholeJob $job, JobPlan $plan, Words $words): array
    {
        $data = Data::of($job->job);
        $machine = $this->work->machine($job);
        $foot = $this->work->foot($this->work->footOf($job));

        return array_filter([
            'button' => $job->title, 'cloth' => $data->text('weight', 'medium').($data->text('stretch', 'none') === 'none' ? '' : ', '.$data->text('stretch')), 'layers' => (string) $data->whole('layers', 2), 'interfacing' => (string) $data->whole('interfacing', 2),
            'stabiliser' => implode(', ', $plan->stabiliser), 'machine' => $machine->name ?? '', 'foot' => $foot->name ?? '', 'way' => $plan->way->value, 'start' => $machine->buttonhole->starts ?? '', 'kind' => $plan->kind,
            'set' => $plan->toldText, 'opening' => $words->length($plan->size->openingMm), 'finished' => $words->length($plan->size->finishedMm), 'density' => $data->text('density', ''), 'width' => $words->length($plan->stitch->widthMm),
            'swings' => (string) $plan->stitch->stitches, 'needle' => $data->text('needle', ''), 'thread' => $data->text('thread', ''),
        ], fn (string $v): bool => $v !== '');
    }

    /** @param  array<string, mixed>  $job */
    private static function title(array $job): string
    {
        $across = is_numeric($job['diameter_mm'] ?? null) ? sprintf('%g mm', round((float) $job['diameter_mm'], 1)) : '';
        $count = is_numeric($job['count'] ?? null) && $job['count'] > 1 ? sprintf('%d × ', (int) $job['count']) : '';

        return mb_substr($count.implode(', ', array_filter([is_string($job['shape'] ?? null) ? $job['shape'] : 'flat', $across, is_string($job['part'] ?? null) ? $job['part'] : ''])), 0, 120);
    }
}
