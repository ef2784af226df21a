<?php

declare(strict_types=1);

namespace OpenSeam\Core\Skill;

/**
 * What students sew and read by themselves. It counts half as much as what a
 * teacher looked at: whoever reads their own seam is kinder to it. It can make a
 * skill coming, never more: nothing stands on it until the teacher has looked.
 */
final readonly class OwnPractice
{
    /** How much of a showing counts; common practice, no source. */
    public const WEIGHT = 0.5;

    /** Practice alone lifts a chance no higher: just below what the next lesson may stand on. */
    public const MOST = Standing::GO_ON_FROM - 0.01;

    public function __construct(private TracingTable $table) {}

    /**
     * @param  array<string, Standing>  $standings  as the teacher's samples left them, by skill
     * @param  list<Evidence>  $own  oldest first
     * @return array<string, Standing>
     */
    public function after(array $standings, array $own): array
    {
        foreach ($own as $look) {
            foreach ($look->skills() as $skill) {
                $before = $standings[$skill] ?? new Standing($skill, $this->table->for($skill)->start, $this->table->for($skill)->start, [], null);
                // What the teacher has looked at since has answered it.
                if ($before->lastShownAt !== null && $before->lastShownAt >= $look->at) {
                    continue;
                }
                $weights = array_map(fn (float $w): float => Evidence::UNDECIDED + self::WEIGHT * ($w - Evidence::UNDECIDED), $look->showings($skill));
                $standings[$skill] = new Standing(
                    $skill, $this->moved($skill, $before->known, $weights), $this->moved($skill, $before->faded, $weights),
                    $before->showings, $before->lastShownAt, $before->word, $before->practised + 1,
                );
            }
        }

        return $standings;
    }

    /** @param  list<float>  $weights */
    private function moved(string $skill, float $known, array $weights): float
    {
        $after = $this->table->tracing($skill)->afterSample($known, $weights);

        return $after <= $known ? $after : max($known, min($after, self::MOST));
    }
}
