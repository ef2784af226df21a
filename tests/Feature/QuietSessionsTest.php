<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Support\QuietSessions;
use Illuminate\Support\Carbon;
use Illuminate\Support\Facades\DB;
use Tests\TestCase;

/** Sessions are written when something changed in them, and now and then. */
final class QuietSessionsTest extends TestCase
{
    private const ID = 'abcdefghijabcdefghijabcdefghijabcdefghij';

    private static function handler(): QuietSessions
    {
        return new QuietSessions(DB::connection(), 'sessions', 720, app());
    }

    /** @param  array<string, mixed>  $data */
    private static function of(array $data): string
    {
        return serialize($data);
    }

    /** @return int writes to the table meanwhile */
    private static function writes(callable $do): int
    {
        $writes = 0;
        DB::listen(function ($query) use (&$writes): void {
            $writes += preg_match('/^(update|insert into) `sessions`/', $query->sql);
        });
        $do();
        DB::getEventDispatcher()?->forget(\Illuminate\Database\Events\QueryExecuted::class);

        return $writes;
    }

    public function test_a_request_that_changes_nothing_writes_nothing(): void
    {
        $data = ['_token' => 'x', 'login_web' => 'someone'];
        self::assertSame(1, self::writes(fn () => self::handler()->write(self::ID, self::of($data))));
        // Another request of the same browser, from another page.
        $next = self::handler();
        self::assertSame(self::of($data), $next->read(self::ID));
        self::assertSame(0, self::writes(fn () => $next->write(self::ID, self::of($data + ['_previous' => ['url' => 'http://x/api/me']]))));
        // Something changed.
        self::assertSame(1, self::writes(fn () => $next->write(self::ID, self::of(['_token' => 'y'] + $data))));
        self::assertSame(self::of(['_token' => 'y'] + $data), self::handler()->read(self::ID));
        // And back again: it is what was written last that counts.
        self::assertSame(1, self::writes(fn () => $next->write(self::ID, self::of($data))));
    }

    public function test_a_device_in_use_is_seen_every_five_minutes(): void
    {
        $data = self::of(['_token' => 'x']);
        Carbon::setTestNow('2030-05-02T18:00:00Z');
        self::handler()->write(self::ID, $data);
        $seen = fn (): int => (int) DB::table('sessions')->where('id', self::ID)->value('last_activity');
        $begun = $seen();
        foreach ([60 => 0, 299 => 0, 300 => 1, 301 => 0] as $after => $writes) {
            Carbon::setTestNow(Carbon::parse('2030-05-02T18:00:00Z')->addSeconds($after));
            $handler = self::handler();
            $handler->read(self::ID);
            self::assertSame($writes, self::writes(fn () => $handler->write(self::ID, $data)), "after $after s");
        }
        self::assertSame($begun + 300, $seen());
        Carbon::setTestNow();
    }

    public function test_one_that_ended_is_not_brought_back_by_a_request_under_way(): void
    {
        $data = self::of(['_token' => 'x']);
        self::handler()->write(self::ID, $data);
        $under = self::handler();
        $under->read(self::ID);
        DB::table('sessions')->where('id', self::ID)->delete();
        $under->write(self::ID, $data);
        self::assertSame('', self::handler()->read(self::ID), 'signed out elsewhere, it stays so');
    }

    public function test_one_that_is_too_old_or_broken_is_none(): void
    {
        DB::table('sessions')->insert([['id' => 'old', 'payload' => base64_encode('x'), 'last_activity' => time() - 60 * 721], ['id' => 'broken', 'payload' => '%%%', 'last_activity' => time()]]);
        self::assertSame('', self::handler()->read('old'));
        self::assertSame('', self::handler()->read('broken'));
        self::assertSame('', self::handler()->read('never'));
        $handler = self::handler();
        $handler->read('broken');
        $handler->write('broken', self::of(['_token' => 'new']));
        self::assertSame(self::of(['_token' => 'new']), self::handler()->read('broken'));
    }

    public function test_a_signed_in_page_is_answered_without_a_write(): void
    {
        $user = $this->teacher();
        $this->actingAs($user);
        $this->getJson('/api/me')->assertOk();
        self::assertSame(0, self::writes(fn () => $this->withCredentials()->withCookie('open_seam_session', session()->getId())->getJson('/api/me')->assertOk()));
    }
}
