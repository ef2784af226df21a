<?php

declare(strict_types=1);

namespace App\Support;

use Illuminate\Support\Facades\Cache;

/** How far a long print is, told step by step to whoever waits for it; it can be stopped between two steps. */
final readonly class PrintJob
{
    private const KEPT_SECONDS = 600;

    /** @param  string|null  $id  null: nobody asks how far it is */
    private function __construct(private string $studio, private ?string $id) {}

    public static function of(string $studio, ?string $id): self
    {
        return new self($studio, $id);
    }

    /** @throws PrintStopped when whoever waits has enough */
    public function step(int $done, int $of): void
    {
        if ($this->id === null) {
            return;
        }
        if (Cache::get($this->key('stop')) === true) {
            throw new PrintStopped;
        }
        Cache::put($this->key('at'), ['done' => $done, 'of' => $of], self::KEPT_SECONDS);
    }

    public function stop(): void
    {
        Cache::put($this->key('stop'), true, self::KEPT_SECONDS);
    }

    /** @return array{done: int, of: int} 0 of 0 before it has begun */
    public function at(): array
    {
        $at = Cache::get($this->key('at'));

        return is_array($at) && is_int($at['done'] ?? null) && is_int($at['of'] ?? null) ? ['done' => $at['done'], 'of' => $at['of']] : ['done' => 0, 'of' => 0];
    }

    private function key(string $what): string
    {
        return "print:{$this->studio}:{$this->id}:$what";
    }
}
