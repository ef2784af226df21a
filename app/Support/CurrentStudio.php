<?php

declare(strict_types=1);

namespace App\Support;

/** The studio that all queries of this request are limited to. Console work is not limited. */
final class CurrentStudio
{
    private bool $limited = false;

    private ?string $id = null;

    public function limitTo(?string $id): void
    {
        $this->limited = true;
        $this->id = $id;
    }

    public function release(): void
    {
        $this->limited = false;
        $this->id = null;
    }

    public function isLimited(): bool
    {
        return $this->limited;
    }

    public function id(): ?string
    {
        return $this->id;
    }
}
