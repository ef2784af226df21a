<?php

declare(strict_types=1);

namespace App\Places\Look;

use App\Models\User;
use App\Support\Link;
use Illuminate\Support\Facades\Cache;
use OpenSeam\Core\InputError;

/**
 * A phone that takes pictures for a screen: whoever has the link may send some, and only who opened it may fetch them.
 * A picture lies here until it is fetched, for a quarter of an hour at most, and nowhere else.
 */
final readonly class Lens
{
    /** Nobody took a picture for so long: the link is over. */
    public const SECONDS = 2 * 3600;

    private const PICTURE_SECONDS = 900;

    private const MOST_WAITING = 20;

    private const MOST_BYTES = 3_500_000;

    private function __construct(private string $hash, private string $user) {}

    /** @return string the link's secret; whoever has one opened before keeps it */
    public static function open(User $user): string
    {
        $link = Link::new();
        Cache::put("lens:$link->hash", $user->id, self::SECONDS);
        // Longer than any link lasts: it is counted up and never set back, for two may send at once.
        Cache::put("lens:$link->hash:sent", 0, 12 * self::SECONDS);

        return $link->token;
    }

    /** @return self|null null for a link that is over or never was one */
    public static function at(string $token, ?User $by = null): ?self
    {
        $hash = Link::read($token);
        $user = $hash === null ? null : Cache::get("lens:$hash");

        return $hash === null || ! is_string($user) || ($by !== null && $by->id !== $user) ? null : new self($hash, $user);
    }

    /**
     * @param  string  $picture  JPEG or PNG
     * @return int which one it is, from 1
     *
     * @throws InputError for what is no picture, too large a one, or while too many wait
     */
    public function send(string $picture): int
    {
        strlen($picture) <= self::MOST_BYTES || throw InputError::at('(body)', strlen($picture), sprintf('A picture has at most %d bytes; the page makes it smaller.', self::MOST_BYTES));
        in_array((@getimagesizefromstring($picture) ?: [2 => 0])[2], [IMAGETYPE_JPEG, IMAGETYPE_PNG], true) || throw InputError::at('(body)', null, 'This is no picture that can be read: JPEG or PNG.');
        count($this->waiting(0)) < self::MOST_WAITING || throw InputError::at('(body)', self::MOST_WAITING, sprintf('%d pictures wait to be fetched. Look at them on the screen first.', self::MOST_WAITING));
        // Counted when it is there: who asks in between finds it or does not.
        $number = (int) Cache::increment("lens:$this->hash:sent");
        Cache::put("lens:$this->hash:$number", base64_encode($picture), self::PICTURE_SECONDS);
        // As long as pictures come, it goes on.
        Cache::put("lens:$this->hash", $this->user, self::SECONDS);

        return $number;
    }

    /** @return list<int> pictures that wait, beyond one that is known */
    public function waiting(int $after): array
    {
        $sent = Cache::get("lens:$this->hash:sent", 0);
        $sent = is_numeric($sent) ? (int) $sent : 0;
        $first = max($after + 1, $sent - self::MOST_WAITING + 1);

        return $first > $sent ? [] : array_values(array_filter(range($first, $sent), fn (int $n): bool => Cache::has("lens:$this->hash:$n")));
    }

    /** It is fetched once. */
    public function take(int $number): ?string
    {
        $picture = Cache::pull("lens:$this->hash:$number");

        return is_string($picture) ? (string) base64_decode($picture, true) : null;
    }

    public function close(): void
    {
        foreach ($this->waiting(0) as $number) {
            Cache::forget("lens:$this->hash:$number");
        }
        Cache::forget("lens:$this->hash");
        Cache::forget("lens:$this->hash:sent");
    }
}
