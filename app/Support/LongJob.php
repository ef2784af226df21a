<?php

declare(strict_types=1);

namespace App\Support;

use App\Models\User;
use Illuminate\Http\Request;
use Illuminate\Support\Facades\Cache;
use Illuminate\Support\Str;
use OpenSeam\Core\InputError;

/** How far something long is, told step by step to whoever waits for it; it can be stopped between two steps. */
final readonly class LongJob
{
    private const KEPT_SECONDS = 600;

    /** @param  string|null  $id  null: nobody asks how far it is */
    private function __construct(private string $studio, private ?string $id) {}

    public static function of(string $studio, ?string $id): self
    {
        return new self($studio, $id);
    }

    /**
     * The job that a request names, of the studio of whoever sent it.
     *
     * @throws InputError for a name that is none
     */
    public static function named(Request $request, mixed $id): self
    {
        $user = $request->user();
        if ($id !== null && (! is_string($id) || ! Str::isUlid($id))) {
            throw InputError::at('job', $id, 'A job is named by a ULID, 26 letters and digits.');
        }

        return self::of($user instanceof User ? $user->studio_id : '', $id === null ? null : strtolower($id));
    }

    /** @throws JobStopped when whoever waits has enough */
    public function step(int $done, int $of): void
    {
        $this->goesOn($done, $of) || throw new JobStopped;
    }

    /**
     * @param  int|null  $found  the best that is known so far
     * @return bool false when whoever waits has enough
     */
    public function goesOn(int $done, int $of, ?int $found = null): bool
    {
        if ($this->id === null) {
            return true;
        }
        if (Cache::get($this->key('stop')) === true) {
            return false;
        }
        Cache::put($this->key('at'), ['done' => $done, 'of' => $of, 'found' => $found], self::KEPT_SECONDS);

        return true;
    }

    public function stop(): void
    {
        Cache::put($this->key('stop'), true, self::KEPT_SECONDS);
    }

    /** @return array{done: int, of: int, found: int|null} 0 of 0 before it has begun */
    public function at(): array
    {
        $at = Cache::get($this->key('at'));

        return is_array($at) && is_int($at['done'] ?? null) && is_int($at['of'] ?? null) ? ['done' => $at['done'], 'of' => $at['of'], 'found' => is_int($at['found'] ?? null) ? $at['found'] : null] : ['done' => 0, 'of' => 0, 'found' => null];
    }

    private function key(string $what): string
    {
        return "job:{$this->studio}:{$this->id}:$what";
    }
}
