<?php

declare(strict_types=1);

namespace App\Support;

use App\Models\Studio;
use App\Records\Tracing;
use OpenSeam\Core\Skill\TracingParameters;

/**
 * The studio that all queries are limited to. Without one nothing is seen and nothing is kept;
 * work that goes over all studios, on the console, says so with everywhere().
 */
final class CurrentStudio
{
    private bool $everywhere = false;

    private ?string $id = null;

    private ?string $timezone = null;

    /** The edition of its shelf; false: not looked up yet. */
    private string|null|false $edition = false;

    /** Its own numbers of the skill model, as they are kept; false: not looked up yet. */
    private string|null|false $tracing = false;

    private function limitTo(?string $id, string|null|false $edition = false, string|null|false $tracing = false): void
    {
        $this->everywhere = false;
        $this->id = $id;
        $this->timezone = null;
        $this->edition = $edition;
        $this->tracing = $tracing;
    }

    /** Every studio is in reach from now on: of a process that looks after the machine, never of a request. */
    public function reachAll(): void
    {
        $this->limitTo(null);
        $this->everywhere = true;
    }

    /**
     * Work over all studios: of whoever looks after the machine, never of a request.
     *
     * @template T
     *
     * @param  callable(): T  $work
     * @return T
     */
    public function everywhere(callable $work): mixed
    {
        return $this->then($work, $this->reachAll(...));
    }

    /**
     * Work for one studio: its rows and its shelf.
     *
     * @template T
     *
     * @param  callable(): T  $work
     * @param  string|null|false  $edition  of its shelf, where it is known already
     * @param  string|null|false  $tracing  its own numbers of the skill model, likewise
     * @return T
     */
    public function within(string $id, callable $work, string|null|false $edition = false, string|null|false $tracing = false): mixed
    {
        return $this->then($work, fn () => $this->limitTo($id, $edition, $tracing));
    }

    /**
     * @template T
     *
     * @param  callable(): T  $work
     * @param  callable(): mixed  $turn
     * @return T
     */
    private function then(callable $work, callable $turn): mixed
    {
        $before = [$this->everywhere, $this->id, $this->edition, $this->tracing];
        $turn();
        try {
            return $work();
        } finally {
            [$this->everywhere, $this->id, $this->edition, $this->tracing] = $before;
        }
    }

    /** Rows of every studio are in reach. */
    public function isEverywhere(): bool
    {
        return $this->everywhere;
    }

    public function id(): ?string
    {
        return $this->id;
    }

    /** The zone its days go by. */
    public function timezone(): string
    {
        return $this->timezone ??= (string) (Studio::query()->whereKey($this->id ?? '')->toBase()->value('timezone') ?? 'UTC');
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
