<?php

declare(strict_types=1);

namespace OpenSeam\Core\Bench;

/**
 * Feet of one kind that fit the same machines. On machines where a lesson is sewn
 * another way, for which there are feet enough, it has a stock of its own that
 * never runs out and no other lesson may draw on.
 */
final readonly class FootStock
{
    /**
     * @param  list<string>  $fits  machine ids
     * @param  string|null  $only  lesson that alone draws on it
     */
    public function __construct(public string $kind, public array $fits, public int $count, public ?string $only = null) {}

    /** A lesson that needs this kind of foot may take one of these. */
    public function serves(string $lesson): bool
    {
        return $this->only === null || $this->only === $lesson;
    }

    /** The kind of foot a student gets; null where they sew another way. */
    public function given(): ?string
    {
        return $this->only === null ? $this->kind : null;
    }
}
