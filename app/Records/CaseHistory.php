<?php

declare(strict_types=1);

namespace App\Records;

use App\Models\FaultHunt;
use App\Models\Machine;
use App\Models\Sample;
use App\Support\Clock;
use Illuminate\Database\Eloquent\Builder as EloquentBuilder;
use Illuminate\Database\Query\JoinClause;
use Illuminate\Support\Facades\DB;
use OpenSeam\Core\Fault\Cause;
use OpenSeam\Core\Fault\CauseBook;
use OpenSeam\Core\Fault\MachineDrift;

/** What the studio's own cases say of faults, causes and machines. */
final readonly class CaseHistory
{
    /** Cases that count; older ones tell of a room as it was. */
    private const MOST_CASES = 500;

    public function __construct(private Shelf $shelf) {}

    public function causes(): CauseBook
    {
        return CauseBook::standard($this->shelf->unit())->with($this->shelf->bundle()->faults);
    }

    /** @return array<string, array<string, int>> confirmed cases, by fault and cause */
    public function confirmed(): array
    {
        $counts = [];
        foreach (FaultHunt::query()->whereNotNull('cause')->orderByDesc('opened_at')->limit(self::MOST_CASES)->get() as $hunt) {
            foreach ($hunt->seen as $fault) {
                $counts[$fault][(string) $hunt->cause] = ($counts[$fault][(string) $hunt->cause] ?? 0) + 1;
            }
        }

        return $counts;
    }

    /**
     * What was found to be behind the faults of samples, by trying.
     *
     * @param  list<string>|EloquentBuilder<Sample>  $samples  their ids, or what finds them
     * @return array<string, list<Cause>> by sample
     */
    public function found(array|EloquentBuilder $samples): array
    {
        $causes = null;
        $found = [];
        foreach (FaultHunt::query()->whereIn('sample_id', $samples)->whereNotNull('cause')->orderBy('closed_at')->toBase()->get(['sample_id', 'cause']) as $row) {
            /** @var object{sample_id: string, cause: string} $row */
            $causes ??= $this->causes()->causes;
            if (isset($causes[$row->cause])) {
                $found[$row->sample_id][] = $causes[$row->cause];
            }
        }

        return $found;
    }

    /** @return list<MachineDrift> machines that have a fault with different students */
    public function drifts(string $studio): array
    {
        return MachineDrift::of($this->sewn($studio));
    }

    /**
     * Other students who had one of these faults on the machine lately.
     *
     * @param  list<string>  $faults
     */
    public function othersHere(string $studio, string $machine, ?string $student, array $faults): int
    {
        $others = [];
        foreach ($this->sewn($studio) as $s) {
            if ($s['machine'] === $machine && $s['student'] !== $student && array_intersect($s['faults'], $faults) !== []) {
                $others[$s['student']] = true;
            }
        }

        return count($others);
    }

    /** @return list<array{machine: string, student: string, faults: list<string>}> samples of late, with the machine they were sewn on */
    private function sewn(string $studio): array
    {
        $byName = Machine::query()->where('studio_id', $studio)->pluck('id', 'name')->all();
        $rows = Sample::newestOnly(DB::table('samples'))->where('samples.studio_id', $studio)->where('samples.kept_at', '>', Clock::now()->subDays(MachineDrift::DAYS))->where('samples.on_own', false)
            ->join('enrolments', fn (JoinClause $join) => $join->on('enrolments.class_id', 'samples.class_id')->on('enrolments.student_id', 'samples.student_id'))
            ->leftJoin('sample_faults', 'sample_faults.sample_id', 'samples.id')
            ->groupBy('samples.id')
            ->selectRaw("max(samples.student_id) as student, max(enrolments.machine_id) as seat, max(json_value(samples.settings, '$.machine')) as named, group_concat(sample_faults.fault) as faults")
            ->get();
        $sewn = [];
        foreach ($rows as $row) {
            /** @var object{student: string, seat: string|null, named: string|null, faults: string|null} $row */
            // What was noted with the sample goes before the seat.
            $machine = $byName[$row->named ?? ''] ?? $row->seat;
            if (is_string($machine)) {
                $sewn[] = ['machine' => $machine, 'student' => $row->student, 'faults' => $row->faults === null ? [] : explode(',', $row->faults)];
            }
        }

        return $sewn;
    }
}
