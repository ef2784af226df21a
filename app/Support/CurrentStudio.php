<?php

declare(strict_types=1);

namespace App\Support;

use App\Models\Studio;
use OpenSeam\Core\Skill\TracingParameters;

/** The studio that all queries of this request are limited to. Console work is not limited. */
final class CurrentStudio
{
    private bool $limited = false;

    private ?string $id = null;

    /** The edition of its shelf; false: not looked up yet. */
    private string|null|false $edition = false;

    /** Its own numbers of the skill model, as they are kept; false: not looked up yet. */
    private string|null|false $tracing = false;

    /**
     * @param  string|null|false  $edition  of its shelf, where it is known already
     * @param  string|null|false  $tracing  its own numbers of the skill model, likewise
     */
    public function limitTo(?string $id, string|null|false $edition = false, string|null|false $tracing = false): void
    {
        $this->limited = true;
        $this->id = $id;
        $this->edition = $edition;
        $this->tracing = $tracing;
    }

    public function release(): void
    {
        $this->limited = false;
        $this->id = null;
        $this->edition = false;
        $this->tracing = false;
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
        $before = [$this->limited, $this->id, $this->edition, $this->tracing];
        $this->limitTo($id);
        try {
            return $work();
        } finally {
            [$this->limited, $this->id, $this->edition, $this->tracing] = $before;
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

    /** @return array<string, TracingParameters> its own numbers of the skill model by kind, where its samples gave better ones */
    public function tracing(): array
    {
        if ($this->id === null) {
            return [];
        }
        if ($this->tracing === false) {
            $found = Studio::query()->whereKey($this->id)->toBase()->value('tracing');
            $this->tracing = is_string($found) ? $found : null;
        }

        return Tracing::read($this->tracing);
    }

    /** It goes by other numbers of the skill model. */
    public function turnTracingTo(?string $tracing): void
    {
        $this->tracing = $tracing;
    }

    /** Its shelf has a new edition. */
    public function turnTo(?string $edition): void
    {
        $this->edition = $edition;
    }
}
