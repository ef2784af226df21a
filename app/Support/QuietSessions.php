<?php

declare(strict_types=1);

namespace App\Support;

use Illuminate\Session\DatabaseSessionHandler;

/**
 * Sessions in the database, written when something in them changed and otherwise
 * now and then: most requests change nothing, and each write is one more for the
 * disk to confirm.
 */
final class QuietSessions extends DatabaseSessionHandler
{
    /** When a device was seen last is known to this, seconds. */
    public const SEEN_SECONDS = 300;

    /** @var array{id: string, kept: string, seen: int}|null what lies in the table of the session in hand */
    private ?array $read = null;

    public function read($sessionId): string
    {
        $this->read = null;
        /** @var \stdClass|null $session */
        $session = $this->getQuery()->find($sessionId);
        if ($session === null) {
            return '';
        }
        $this->exists = true;
        if ($this->expired($session)) {
            return '';
        }
        $data = (string) base64_decode($session->payload, true);
        $this->read = ['id' => $sessionId, 'kept' => self::kept($data), 'seen' => (int) $session->last_activity];

        return $data;
    }

    public function write($sessionId, $data): bool
    {
        if ($this->read !== null && $this->read['id'] === $sessionId && $this->read['kept'] === self::kept($data) && $this->currentTime() - $this->read['seen'] < self::SEEN_SECONDS) {
            return true;
        }
        $written = parent::write($sessionId, $data);
        $this->read = ['id' => $sessionId, 'kept' => self::kept($data), 'seen' => $this->currentTime()];

        return $written;
    }

    /** The page that was asked for last is not worth a write: nobody is sent back by it. */
    private static function kept(string $data): string
    {
        $all = @unserialize($data, ['allowed_classes' => false]);

        return is_array($all) ? serialize(array_diff_key($all, ['_previous' => 1])) : $data;
    }
}
