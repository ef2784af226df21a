<?php

declare(strict_types=1);

namespace App\Places\Workshop;

use App\Models\ButtonholeJob;
use App\Models\ButtonholeTest;
use App\Models\SewingClass;
use App\Records\RoomInventory;
use OpenSeam\Core\Buttonhole\Job;
use OpenSeam\Core\Buttonhole\JobPlan;
use OpenSeam\Core\Buttonhole\Learned;
use OpenSeam\Core\Buttonhole\LengthRules;
use OpenSeam\Core\Buttonhole\SewnHole;
use OpenSeam\Core\Buttonhole\Strip;
use OpenSeam\Core\Data;
use OpenSeam\Core\InputError;
use OpenSeam\Core\Machine\Foot;
use OpenSeam\Core\Machine\Machine;
use OpenSeam\Core\Words;

/** A job with the machine and foot it is sewn on, and what follows from them. */
final class ButtonholeWork
{
    private const LAST = 40;

    private RoomInventory $room;

    /** @var array<string, list<SewnHole>>|null by machine */
    private ?array $history = null;

    public function __construct()
    {
        $this->room = RoomInventory::read();
    }

    public function machine(ButtonholeJob $job): ?Machine
    {
        return $this->room->machines->firstWhere('id', $job->machine_id)?->core();
    }

    /** The foot that was chosen, or the one of the room that goes with the machine's own way. */
    public function footOf(ButtonholeJob $job): ?string
    {
        return $job->foot_id ?? ($job->machine_id === null ? null : $this->usualFoot($job->machine_id));
    }

    public function foot(?string $id): ?Foot
    {
        return $id === null ? null : $this->room->feet->firstWhere('id', $id)?->core();
    }

    public function usualFoot(string $machine): ?string
    {
        $m = $this->room->machines->firstWhere('id', $machine)?->core();
        if ($m === null || ! $m->buttonhole->isThere()) {
            return null;
        }
        foreach ($this->room->feet as $foot) {
            if ($foot->count > 0 && $foot->kind === $m->buttonhole->way->foot() && $foot->core()->mount === $m->mount) {
                return $foot->id;
            }
        }

        return null;
    }

    /**
     * The job as the core reads it, by the class’s school where it says none of its own.
     *
     * @throws InputError naming what has to be known first
     */
    public function job(ButtonholeJob $job): Job
    {
        return Job::read(Data::of($job->job + $this->schoolOf($job)));
    }

    /** @throws InputError naming what has to be known first */
    public function plan(ButtonholeJob $job, Words $words): JobPlan
    {
        return JobPlan::of($this->job($job), $this->machine($job), $this->foot($this->footOf($job)), $this->learned($job->machine_id), $words);
    }

    /** @return array<string, string> the class’s own school of a length, where it follows one and the job says none */
    private function schoolOf(ButtonholeJob $job): array
    {
        $class = $job->class_id === null ? null : SewingClass::query()->find($job->class_id);
        $schools = array_merge(...array_values(array_map(fn (mixed $of): array => (array) $of, $class->lesson_schools ?? [])));
        $rules = array_values(array_filter($schools, fn (mixed $s): bool => is_string($s) && in_array($s, LengthRules::IDS, true)));

        return $rules === [] ? [] : ['school' => $rules[0]];
    }

    public function strip(ButtonholeJob $job, JobPlan $plan): Strip
    {
        $data = Data::of($job->job);
        $positions = $data->numbers('positions_mm');

        return Strip::of($plan, $data->number('diameter_mm'), $positions === [] ? [0.0] : $positions, $this->machine($job)->buttonhole->starts ?? '', $data->numberOrNull('band_mm'), $data->text('over', 'right') === 'right');
    }

    public function learned(?string $machine): Learned
    {
        return Learned::of($machine === null ? [] : $this->history()[$machine] ?? []);
    }

    /** @return list<ButtonholeMachineView> the best first */
    public function machines(Job $job, Words $words): array
    {
        $views = [];
        foreach ($this->room->machines->where('usable', true) as $m) {
            $core = $m->core();
            if ($core->swing->widestMm <= 0) {
                continue;
            }
            $foot = $this->usualFoot($m->id);
            $learned = $this->learned($m->id);
            $plan = JobPlan::of($job, $core, $this->foot($foot), $learned, $words);
            $views[] = new ButtonholeMachineView($m->id, $m->name, $plan->way->value, $foot, $this->foot($foot)->name ?? null, $plan->kind === $plan->choice->kind && $plan->choice->refused === [], $plan->fits, $learned->success(), $learned->sewn);
        }
        // Its own kind and long enough first, then what came out best so far; by hand last.
        usort($views, fn (ButtonholeMachineView $a, ButtonholeMachineView $b): int => [$b->kind && $b->fits !== false, $b->way !== 'by-hand', $b->success, $a->name] <=> [$a->kind && $a->fits !== false, $a->way !== 'by-hand', $a->success, $b->name]);

        return $views;
    }

    /** @return array<string, mixed> what makes a stack, as it is kept with a test */
    public function stack(ButtonholeJob $job, JobPlan $plan): array
    {
        return [...$job->job, 'machine' => $job->machine_id, 'foot' => $this->footOf($job), 'kind' => $plan->kind, 'stabiliser' => $plan->stabiliser];
    }

    /** Another one was sewn. */
    public function forget(): void
    {
        $this->history = null;
    }

    /** @return array<string, list<SewnHole>> */
    private function history(): array
    {
        if ($this->history === null) {
            $ways = $this->room->machines->mapWithKeys(fn ($m): array => [$m->id => $m->core()->buttonhole->isThere() ? $m->core()->buttonhole->way->value : 'by-hand'])->all();
            $this->history = [];
            foreach (ButtonholeTest::query()->whereIn('machine_id', array_keys($ways))->orderByDesc('sewn_at')->orderByDesc('id')->limit(self::LAST * max(1, count($ways)))->get()->reverse() as $test) {
                // Sewn another way it says nothing of this one.
                $test->machine_id !== null && $ways[$test->machine_id] === $test->way && $this->history[$test->machine_id][] = $test->sewn();
            }
        }

        return $this->history;
    }
}
