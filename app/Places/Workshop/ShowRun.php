<?php

declare(strict_types=1);

namespace App\Places\Workshop;

use App\Models\ButtonholeJob;
use App\Models\Machine;
use App\Models\Studio;
use App\Support\CurrentStudio;
use App\Support\RunLink;
use Illuminate\Database\Eloquent\ModelNotFoundException;
use OpenSeam\Core\Data;
use OpenSeam\Core\InputError;
use OpenSeam\Core\Words;

/** What the code on a seat card opens: the run of the machine at that seat, for the button in hand, without a name. */
final readonly class ShowRun
{
    /** What is shown before a button was measured. */
    private const USUAL = ['shape' => 'flat', 'diameter_mm' => 15, 'thickness_mm' => 3];

    public function __construct(private CurrentStudio $studio) {}

    public function __invoke(string $machine, string $ends, string $signature): ButtonholeRunView
    {
        RunLink::holds($machine, $ends, $signature) || throw new ModelNotFoundException;
        $found = $this->studio->everywhere(fn (): Machine => Machine::standing()->findOrFail($machine));

        Studio::query()->whereKey($found->studio_id)->whereNull('deleted_at')->exists() || throw new ModelNotFoundException;

        return $this->studio->within($found->studio_id, function () use ($found): ButtonholeRunView {
            $work = new ButtonholeWork;
            $job = ButtonholeJob::query()->where('machine_id', $found->id)->orderByDesc('changed_at')->first() ?? new ButtonholeJob;
            foreach ([$job->job ?? self::USUAL, self::USUAL] as $typed) {
                $job->fill(['machine_id' => $found->id, 'job' => $typed]);
                try {
                    $plan = $work->plan($job, Words::in());

                    return new ButtonholeRunView($found->name, $job->title ?? '', ButtonholePlanView::of($plan, $found->core(), $work->learned($found->id), $work->strip($job, $plan), Data::of($job->job)));
                } catch (InputError) {
                    // Typed half: the usual button stands in for it.
                }
            }
            throw new ModelNotFoundException;
        });
    }
}
