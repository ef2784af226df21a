<?php

declare(strict_types=1);

namespace App\Records;

use App\Support\Clock;
use Illuminate\Database\Query\Builder;
use Illuminate\Support\Facades\DB;

/** How often a room's feet are sewn with: samples of the lessons that ask for them, in the last year. */
final readonly class FeetUse
{
    public function __construct(private Shelf $shelf) {}

    /** @return array<string, int> samples, by kind of foot */
    public function inAYear(string $studio): array
    {
        $sewn = DB::table('samples')->where('studio_id', $studio)->where('on_own', false)->where('kept_at', '>', Clock::now()->subYear()->format('Y-m-d H:i:s'))
            ->whereNotExists(fn (Builder $q) => $q->selectRaw('1')->from('samples as newer')->whereColumn('newer.replaces_id', 'samples.id'))
            ->groupBy('lesson')->selectRaw('lesson, count(*) as times')->pluck('times', 'lesson');
        $uses = [];
        foreach ($sewn as $lesson => $times) {
            $foot = $this->shelf->bundle()->lessons[(string) $lesson]->foot ?? '';
            $foot === '' || $uses[$foot] = ($uses[$foot] ?? 0) + (is_numeric($times) ? (int) $times : 0);
        }

        return $uses;
    }
}
