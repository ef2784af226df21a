<?php

declare(strict_types=1);

namespace App\Support;

use App\Models\Studio;

/** The studio that all queries of this request are limited to. Console work is not limited. */
final class CurrentStudio
{
    private bool $limited = false;

    private ?string $id = null;

    /** The edition of its shelf; false: not looked up yet. */
    private string|null|false $edition = false;

    /** @param  string|null|false  $edition  of its shelf, where it is known already */
    public function limitTo(?string $id, string|null|false $edition = false): void
    {
        $this->limited = true;
        $this->id = $id;
        $this->edition = $edition;
    }

    public function release(): void
    {
        $this->limited = false;
        $this->id = null;
        $this->edition = false;
    }

    /**
     * Console work for one studio: its rows and its shelf.
     *
     * @template T
     *
     * @param  callable(): T  $work
     * @return T
     */
    public function within(string $id, callable $work): mixed
    {
        [$limited, $before, $edition] = [$this->limited, $this->id, $this->edition];
        $this->limitTo($id);
        try {
            return $work();
        } finally {
            [$this->limited, $this->id, $this->edition] = [$limited, $before, $edition];
        }
    }

    public function isLimited(): bool
    {
        return $this->limited;
    }

    public function id(): ?string
    {
        return $this->id;
    }

    /** Id of the edition of its shelf; null: the shelf as it is shipped. */
    public function edition(): ?string
    {
        if ($this->id === null) {
            return null;
        }
        if ($this->edition === false) {
            $found = Studio::query()->whereKey($this->id)->value('shelf_edition');
            $this->edition = is_string($found) ? $found : null;
        }

        return $this->edition;
    }

    /** Its shelf has a new edition. */
    public function turnTo(?string $edition): void
    {
        $this->edition = $edition;
    }
}
