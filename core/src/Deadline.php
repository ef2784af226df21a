<?php

declare(strict_types=1);

namespace OpenSeam\Core;

/**
 * Until when a calculation may go on; then it answers with what it has. Whoever
 * asks for the calculation says how long: the calculation itself reads no clock.
 */
final readonly class Deadline
{
    /** @param  int|null  $at  nanoseconds of the machine's running clock; null: never */
    private function __construct(private ?int $at) {}

    /** @param  float  $seconds  above 0 */
    public static function in(float $seconds): self
    {
        return new self((int) hrtime(true) + (int) ($seconds * 1e9));
    }

    public static function never(): self
    {
        return new self(null);
    }

    public function passed(): bool
    {
        return $this->at !== null && hrtime(true) >= $this->at;
    }
}
