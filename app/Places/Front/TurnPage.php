<?php

declare(strict_types=1);

namespace App\Places\Front;

use App\Models\SewingClass;
use App\Support\SharedLock;
use Illuminate\Contracts\Cache\LockTimeoutException;
use Illuminate\Support\Facades\Cache;

/** What the screen of a class shows, for an evening: nothing of it is kept. */
final readonly class TurnPage
{
    private const KEPT_SECONDS = 12 * 3600;

    private const WAIT_SECONDS = 2;

    public function read(SewingClass $class): FrontView
    {
        /** @var array{version: int, lesson: string|null, at: int, begun_at: string|null} $now */
        $now = Cache::get(self::key($class), ['version' => 0, 'lesson' => null, 'at' => 0, 'begun_at' => null]);

        return new FrontView(...$now);
    }

    /** Two who turn at once both count: the later one is what is seen. */
    public function __invoke(SewingClass $class, string $lesson, int $at, ?string $begunAt): FrontView
    {
        $lock = SharedLock::wait(self::key($class).':turn', self::WAIT_SECONDS * 2, self::WAIT_SECONDS) ?? throw new LockTimeoutException;
        try {
            $next = ['version' => $this->read($class)->version + 1, 'lesson' => $lesson, 'at' => $at, 'begun_at' => $begunAt];
            Cache::put(self::key($class), $next, self::KEPT_SECONDS);

            return new FrontView(...$next);
        } finally {
            $lock->release();
        }
    }

    private static function key(SewingClass $class): string
    {
        return "front:$class->id";
    }
}
