<?php

declare(strict_types=1);

namespace App\Places\Workshop;

use App\Models\FaultHunt;
use App\Models\Machine;
use App\Models\Sample;
use App\Models\Student;
use App\Records\CaseHistory;
use App\Records\FollowSamples;
use App\Records\MachineCare;
use App\Records\RoomInventory;
use App\Records\Shelf;
use App\Support\Clock;
use App\Support\Conflict;
use Illuminate\Support\Facades\DB;
use OpenSeam\Core\Fault\Diagnosis;
use OpenSeam\Core\InputError;

/** Looks for what is behind a fault, one change at a time, until it is found or nothing is left to try. */
final readonly class HuntFault
{
    public const RESULTS = ['cured', 'same', 'worse'];

    private const RECENT = 12;

    public function __construct(private CaseHistory $cases, private Shelf $shelf, private FollowSamples $follow) {}

    /**
     * @param  string  $id  a ULID made where it was opened; sent again it is the same search
     * @param  list<string>  $seen
     * @param  array<string, mixed>  $known
     * @param  string|null  $sample  that it is seen on, kept or still in hand: what is found counts for the student
     *
     * @throws InputError for a fault that is not known, or a machine, student or sample of another studio
     */
    public function open(string $studio, string $id, array $seen, array $known, ?string $machine, ?string $student, ?string $sample = null): HuntView
    {
        $kept = FaultHunt::query()->withoutGlobalScopes()->find($id);
        if ($kept !== null) {
            $kept->studio_id === $studio && $kept->seen === $seen || throw Conflict::huntTaken($id);

            return $this->view($kept);
        }
        $machine === null || Machine::query()->whereKey($machine)->exists() || throw InputError::at('machine', $machine, 'There is no such machine in this studio.');
        $student === null || Student::query()->whereKey($student)->exists() || throw InputError::at('student', $student, 'There is no such student in this studio.');
        $sample = $sample === null ? null : strtolower($sample);
        // Looked for in all studios; one that is still in hand is nobody's yet.
        $of = $sample === null ? null : Sample::query()->withoutGlobalScopes()->find($sample);
        $of === null || ($of->studio_id === $studio && $of->student_id === $student) || throw InputError::at('sample', $sample, 'It must be a sample of this student.');
        if ($machine !== null) {
            $room = RoomInventory::read()->machines;
            $known += ['buttonhole' => $room->firstWhere('id', $machine)?->core()->buttonhole->way->value, 'needle_hours' => MachineCare::of($room, $this->shelf)->needleHours($machine), 'others_here' => $this->cases->othersHere($studio, $machine, $student, $seen)];
        }
        $known = array_filter($known, fn (mixed $v): bool => $v !== null);
        // Refused before anything is kept.
        Diagnosis::of($seen, $known, [], [], $this->cases->causes());

        return $this->view(FaultHunt::query()->create(['id' => $id, 'studio_id' => $studio, 'machine_id' => $machine, 'student_id' => $student, 'sample_id' => $sample, 'seen' => $seen, 'known' => $known, 'trials' => [], 'opened_at' => Clock::now()]));
    }

    /**
     * @param  int  $after  trials that are known where it was tried: two people do not answer for one trial
     *
     * @throws Conflict when another trial came in between, or it is closed
     * @throws InputError for a cause that is not among those looked at, or was tried already
     */
    public function try(string $id, int $after, string $cause, string $result): HuntView
    {
        return DB::transaction(function () use ($id, $after, $cause, $result): HuntView {
            $hunt = FaultHunt::query()->lockForUpdate()->findOrFail($id);
            $hunt->closed_at === null && count($hunt->trials) === $after || throw Conflict::staleHunt(count($hunt->trials));
            $looked = $this->diagnosis($hunt, $this->cases->confirmed())->order;
            in_array($result, self::RESULTS, true) || throw InputError::at('result', $result, 'It must be one of: '.implode(', ', self::RESULTS).'.');
            in_array($cause, array_column($hunt->trials, 'cause'), true) && throw InputError::at('cause', $cause, 'This was tried already: one change at a time, each once.');
            in_array($cause, $looked, true) || throw InputError::at('cause', $cause, 'One of the causes that are looked at: '.implode(', ', $looked).'.');
            $hunt->trials = [...$hunt->trials, ['cause' => $cause, 'result' => $result]];
            if ($result === 'cured') {
                [$hunt->cause, $hunt->closed_at] = [$cause, Clock::now()];
            } elseif ($looked === [$cause]) {
                $hunt->closed_at = Clock::now();
            }
            $hunt->save();
            $result === 'cured' && $this->count($hunt);

            return $this->view($hunt);
        });
    }

    /** What was found speaks for or against a skill of the student who sewed it; a sample still in hand will know of it. */
    private function count(FaultHunt $hunt): void
    {
        $sample = $hunt->sample_id === null ? null : Sample::query()->find($hunt->sample_id);
        if ($sample !== null && $sample->student_id === $hunt->student_id) {
            Student::lock([$sample->student_id]);
            ($this->follow)(Student::query()->findOrFail($sample->student_id));
        }
    }

    public function show(FaultHunt $hunt): HuntView
    {
        return $this->view($hunt);
    }

    /** @return list<HuntView> newest first */
    public function recent(): array
    {
        $confirmed = $this->cases->confirmed();

        return array_values(FaultHunt::query()->orderByDesc('opened_at')->limit(self::RECENT)->get()
            // A fault that has left the shelf since cannot be looked into any more.
            ->filter(fn (FaultHunt $h): bool => array_diff($h->seen, array_map(strval(...), array_keys($this->cases->causes()->shares))) === [])->map(fn (FaultHunt $h): HuntView => $this->view($h, $confirmed))->all());
    }

    /** @param  array<string, array<string, int>>  $confirmed */
    private function diagnosis(FaultHunt $hunt, array $confirmed): Diagnosis
    {
        return Diagnosis::of($hunt->seen, $hunt->known, array_column($hunt->trials, 'cause'), $confirmed, $this->cases->causes());
    }

    /** @param  array<string, array<string, int>>|null  $confirmed  where they are known */
    private function view(FaultHunt $hunt, ?array $confirmed = null): HuntView
    {
        return HuntView::of($hunt, $this->diagnosis($hunt, $confirmed ?? $this->cases->confirmed()), $this->cases->causes(), $this->shelf->bundle());
    }
}
