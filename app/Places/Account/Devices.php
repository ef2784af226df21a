<?php

declare(strict_types=1);

namespace App\Places\Account;

use App\Models\User;
use Carbon\CarbonImmutable;
use Illuminate\Support\Facades\DB;

/** Where somebody is signed in, from the sessions that are kept. */
final readonly class Devices
{
    private const BROWSERS = ['Firefox' => 'Firefox', 'Edg' => 'Edge', 'Chromium' => 'Chromium', 'Chrome' => 'Chrome', 'Safari' => 'Safari'];

    private const SYSTEMS = ['Android' => 'Android', 'iPhone' => 'a phone', 'iPad' => 'a tablet', 'Windows' => 'Windows', 'Mac OS' => 'a Mac', 'Linux' => 'Linux'];

    /** @return list<DeviceView> newest first */
    public function of(User $user, string $here): array
    {
        $views = [];
        foreach (DB::table('sessions')->where('user_id', $user->id)->where('last_activity', '>', time() - 60 * config()->integer('session.lifetime'))->orderByDesc('last_activity')->get(['id', 'user_agent', 'last_activity']) as $row) {
            /** @var object{id: string, user_agent: string|null, last_activity: int|string} $row */
            // Its own id opens it: a digest names it here.
            $views[] = new DeviceView(substr(hash('sha256', $row->id), 0, 12), CarbonImmutable::createFromTimestampUTC((int) $row->last_activity)->toIso8601ZuluString(), self::word($row->user_agent ?? ''), $row->id === $here);
        }

        return $views;
    }

    /** Signed out everywhere, but for this session; cookies that remember hold no more. */
    public function end(User $user, ?string $but): void
    {
        DB::table('sessions')->where('user_id', $user->id)->when($but !== null, fn ($q) => $q->where('id', '<>', $but))->delete();
        $user->forceFill(['remember_token' => null])->save();
    }

    private static function word(string $agent): string
    {
        $find = function (array $of) use ($agent): string {
            foreach ($of as $sign => $word) {
                if (str_contains($agent, (string) $sign)) {
                    return is_string($word) ? $word : '';
                }
            }

            return '';
        };

        return implode(', ', array_filter([$find(self::BROWSERS), $find(self::SYSTEMS)]));
    }
}
