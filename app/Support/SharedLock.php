<?php

declare(strict_types=1);

namespace App\Support;

use Illuminate\Contracts\Cache\Lock;
use Illuminate\Contracts\Cache\LockProvider;
use Illuminate\Contracts\Cache\Repository;
use Illuminate\Support\Facades\Cache;
use Throwable;

/** A lock that all servers see. Where the store that keeps it in memory is away, the database keeps it. */
final class SharedLock
{
    private const LOOK_AGAIN_US = 50_000;

    /** @return Lock|null taken; null: somebody else holds it */
    public static function take(string $name, int $seconds): ?Lock
    {
        try {
            return self::taken(Cache::store(), $name, $seconds);
        } catch (Throwable $e) {
            $last = config()->string('cache.last_resort');
            $last !== Cache::getDefaultDriver() || throw $e;

            return self::taken(Cache::store($last), $name, $seconds);
        }
    }

    /**
     * Waits for it as long as that.
     *
     * @return Lock|null null: somebody else held it all the while
     */
    public static function wait(string $name, int $seconds, float $patience): ?Lock
    {
        $until = microtime(true) + $patience;
        while (($lock = self::take($name, $seconds)) === null && microtime(true) < $until) {
            usleep(self::LOOK_AGAIN_US);
        }

        return $lock;
    }

    private static function taken(Repository $store, string $name, int $seconds): ?Lock
    {
        $provider = $store->getStore();
        $provider instanceof LockProvider || throw new \LogicException('This store keeps no locks.');
        $lock = $provider->lock($name, $seconds);

        return $lock->get() === true ? $lock : null;
    }
}
