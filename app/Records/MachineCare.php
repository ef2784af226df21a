<?php

declare(strict_types=1);

namespace App\Records;

use App\Models\Machine;
use App\Models\Sample;
use App\Models\ServiceEntry;
use App\Support\Clock;
use App\Support\NearMemory;
use Carbon\CarbonImmutable;
use Illuminate\Database\Eloquent\Collection;
use Illuminate\Database\Query\JoinClause;
use Illuminate\Support\Facades\DB;
use OpenSeam\Core\Machine\Care;
use OpenSeam\Core\Words;

/** What was done to the machines of a room and what is due. Sewing hours are told from the samples sewn at each. */
final readonly class MachineCare
{
    /** Log lines that are shown. */
    private const MOST_LINES = 8;

    /** A needle that was noted longer ago, or never, was due long since: what was sewn before is not counted any more. */
    private const LOOK_BACK_DAYS = 400;

    private const KNOWN_SECONDS = 600;

    /**
     * @param  array<string, list<ServiceEntry>>  $entries  by machine, newest first
     * @param  array<string, float>  $hours  since the last needle, by machine
     */
    private function __construct(private array $entries, private array $hours, private CarbonImmutable $now) {}

    /** @param  Collection<int, Machine>  $machines */
    public static function of(Collection $machines, Shelf $shelf): self
    {
        $ids = $machines->modelKeys();
        $entries = [];
        foreach (ServiceEntry::query()->whereIn('machine_id', $ids)->orderByDesc('done_at')->orderByDesc('id')->get() as $entry) {
            $entries[$entry->machine_id][] = $entry;
        }
        $needles = [];
        foreach ($machines as $machine) {
            $needles[$machine->id] = collect($entries[$machine->id] ?? [])->firstWhere('kind', 'needle')?->done_at->utc()->format('Y-m-d H:i:s.v');
        }
        // Another needle asks for it anew; otherwise ten minutes more or less are no matter.
        $hours = app(NearMemory::class)->remember('hours/'.hash('xxh128', serialize([$needles, $shelf->stamp()])), self::KNOWN_SECONDS, fn (): array => self::hours(array_keys($needles), $shelf));

        return new self($entries, $hours, Clock::now());
    }

    /**
     * @param  list<string>  $machines  ids, of one studio
     * @return array<string, float> hours sewn since the last needle, at most in the last 400 days
     */
    private static function hours(array $machines, Shelf $shelf): array
    {
        $sewn = Sample::newestOnly(DB::table('samples'))
            ->join('enrolments', fn (JoinClause $join) => $join->on('enrolments.class_id', 'samples.class_id')->on('enrolments.student_id', 'samples.student_id'))
            ->whereIn('enrolments.machine_id', $machines)->where('samples.on_own', false)
            ->where('samples.kept_at', '>', Clock::now()->subDays(self::LOOK_BACK_DAYS)->utc()->format('Y-m-d H:i:s'))
            ->whereRaw("samples.kept_at > coalesce((select max(done_at) from service_entries where service_entries.machine_id = enrolments.machine_id and kind = 'needle'), '1970-01-01')")
            ->groupBy('enrolments.machine_id', 'samples.lesson')
            ->selectRaw('enrolments.machine_id as machine, samples.lesson as lesson, count(*) as times')
            ->get();
        $hours = [];
        foreach ($sewn as $row) {
            /** @var object{machine: string, lesson: string, times: int|string} $row */
            $lesson = $shelf->bundle()->lessons[$row->lesson] ?? null;
            $hours[$row->machine] = ($hours[$row->machine] ?? 0.0) + ($lesson?->hoursOfSewing((int) $row->times) ?? 0.0);
        }

        return $hours;
    }

    public function last(string $machine, string $kind): ?CarbonImmutable
    {
        foreach ($this->entries[$machine] ?? [] as $entry) {
            if ($entry->kind === $kind) {
                return $entry->done_at;
            }
        }

        return null;
    }

    public function needleHours(string $machine): float
    {
        return round($this->hours[$machine] ?? 0.0, 2);
    }

    /** @return list<string> */
    public function due(string $machine): array
    {
        return Care::due($this->needleHours($machine), $this->last($machine, 'clean'), $this->now, Words::in());
    }

    /** @return list<ServiceEntry> newest first */
    public function log(string $machine): array
    {
        return array_slice($this->entries[$machine] ?? [], 0, self::MOST_LINES);
    }
}
