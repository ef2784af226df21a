<?php

declare(strict_types=1);

namespace App\Records;

use App\Models\Sample;
use App\Models\SampleFault;
use App\Models\SampleReading;
use Illuminate\Database\Eloquent\Collection;
use Illuminate\Database\Query\Builder;

/**
 * Readings and faults of samples, read when somebody asks for them: first those of each
 * student's newest samples, which is all that most pages need, then all others at once.
 *
 * @phpstan-type Rows array{readings: list<array<string, mixed>>, faults: list<array<string, mixed>>}
 */
final class SampleRows
{
    /** Of each student: what was sewn in the session in hand, and the one before it. */
    private const NEWEST = 4;

    /** @var array<string, Rows> */
    private array $read = [];

    /** @param  Collection<array-key, Sample>  $samples  in the order they were kept */
    public function __construct(private readonly Collection $samples) {}

    /** @return Rows */
    public function of(string $sample): array
    {
        if (! isset($this->read[$sample]) && $this->read === []) {
            $this->readThese($this->newest());
        }
        if (! isset($this->read[$sample])) {
            $this->readThese(array_values(array_diff($this->ids($this->samples), array_map(strval(...), array_keys($this->read)))));
        }

        return $this->read[$sample];
    }

    /** @param  list<string>  $ids */
    private function readThese(array $ids): void
    {
        // A class has thousands of readings: read as plain rows, not as models.
        $readings = self::rows(SampleReading::query()->select('sample_id', 'reading', 'position', 'value', 'limit_mm')->whereIn('sample_id', $ids)->toBase());
        $faults = self::rows(SampleFault::query()->select('sample_id', 'fault')->orderBy('fault')->whereIn('sample_id', $ids)->toBase());
        foreach ($ids as $id) {
            $this->read[$id] = ['readings' => $readings[$id] ?? [], 'faults' => $faults[$id] ?? []];
        }
    }

    /** @return list<string> */
    private function newest(): array
    {
        return array_merge([], ...array_values($this->samples->groupBy('student_id')->map(fn (Collection $of): array => $this->ids($of->slice(-self::NEWEST)))->all()));
    }

    /**
     * @param  Collection<array-key, Sample>  $samples
     * @return list<string>
     */
    private function ids(Collection $samples): array
    {
        return array_values($samples->map(fn (Sample $s): string => $s->id)->all());
    }

    /** @return array<string, list<array<string, mixed>>> rows by sample */
    private static function rows(Builder $query): array
    {
        $rows = [];
        foreach ($query->get() as $row) {
            $row = (array) $row;
            $rows[is_string($row['sample_id']) ? $row['sample_id'] : ''][] = $row;
        }

        return $rows;
    }
}
