<?php

declare(strict_types=1);

namespace App\Records;

use App\Models\Sample;
use App\Support\Clock;
use App\Support\NearMemory;
use Illuminate\Support\Facades\DB;

/** How often a room's feet are sewn with: samples of the lessons that ask for them, in the last year. */
final readonly class FeetUse
{
    private const KNOWN_SECONDS = 600;

    public function __construct(private Shelf $shelf, private NearMemory $memory) {}

    /** @return array<string, int> samples, by kind of foot */
    public function inAYear(string $studio): array
    {
        // Walks through a year: ten minutes more or less are no matter.
        $sewn = $this->memory->remember("feet-use/$studio", self::KNOWN_SECONDS, fn (): array => Sample::newestOnly(DB::table('samples'))->where('samples.studio_id', $studio)->where('samples.on_own', false)
            ->where('samples.kept_at', '>', Clock::now()->subYear()->format('Y-m-d H:i:s'))
            ->groupBy('samples.lesson')->selectRaw('samples.lesson, count(*) as times')->pluck('times', 'lesson')->all());
        $uses = [];
        foreach ($sewn as $lesson => $times) {
            $foot = $this->shelf->bundle()->lessons[(string) $lesson]->foot ?? '';
            $foot === '' || $uses[$foot] = ($uses[$foot] ?? 0) + (is_numeric($times) ? (int) $times : 0);
        }

        return $uses;
    }
}
