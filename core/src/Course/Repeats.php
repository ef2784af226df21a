<?php

declare(strict_types=1);

namespace OpenSeam\Core\Course;

/** The class time a plan keeps for sewing lessons again, as it was reckoned when it was laid out. */
final readonly class Repeats
{
    /** Fewer sure is no plan, and more than these no class reaches. */
    public const LEAST = 0.5;

    public const MOST = 0.95;

    /** Told where nobody has chosen a share: eight in ten. */
    public const USUAL = 0.8;

    /**
     * @param  float|null  $sure  share of the class that is to have the course done; null: one sample of each lesson
     * @param  array<array-key, float>  $minutes  beside each lesson
     * @param  int|null  $samples  a student needs altogether for that share
     * @param  int  $sessions  of nothing but repeats, beyond what fits beside the lessons
     */
    public function __construct(public ?float $sure = null, public array $minutes = [], public ?int $samples = null, public int $sessions = 0) {}

    /** @param  array<string, mixed>  $kept  as kept() gave it */
    public static function of(array $kept): self
    {
        $minutes = is_array($kept['repeats'] ?? null) ? array_map(fn (mixed $m): float => is_numeric($m) ? (float) $m : 0.0, $kept['repeats']) : [];

        return is_numeric($kept['sure'] ?? null) ? new self((float) $kept['sure'], $minutes, is_int($kept['samples'] ?? null) ? $kept['samples'] : null, is_int($kept['repeat_sessions'] ?? null) ? $kept['repeat_sessions'] : 0) : new self;
    }

    /** @return array<string, mixed> */
    public function kept(): array
    {
        return $this->sure === null ? [] : ['sure' => $this->sure, 'repeats' => $this->minutes, 'samples' => $this->samples, 'repeat_sessions' => $this->sessions];
    }
}
