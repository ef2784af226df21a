<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Http\UpController;
use App\Support\SharedLock;
use Illuminate\Support\Facades\Cache;
use Illuminate\Support\Facades\DB;
use Tests\TestCase;

/** What a balancer asks, and what all servers agree on. */
final class UpTest extends TestCase
{
    public function test_ready_is_more_than_alive(): void
    {
        $this->get('/up')->assertOk()->assertExactJson(['alive' => true, 'ready' => true, 'because' => null])->assertCookieMissing('open_seam_session');
        $var = (string) tempnam(sys_get_temp_dir(), 'seam-up');
        unlink($var);
        mkdir($var);
        config(['seam.var' => $var]);
        touch("$var/".UpController::LEAVING);
        $this->get('/up')->assertStatus(503)->assertJson(['alive' => true, 'ready' => false])->assertSee('about to be taken away');
        $this->get('/up/alive')->assertOk();
        unlink("$var/".UpController::LEAVING);
        $this->get('/up')->assertOk();
        rmdir($var);
        config(['database.connections.away' => ['port' => '1'] + config()->array('database.connections.mariadb'), 'database.default' => 'away']);
        $this->get('/up')->assertStatus(503)->assertJson(['because' => 'The database does not answer.']);
        $this->get('/up/alive')->assertOk()->assertExactJson(['alive' => true]);
        config(['database.default' => 'mariadb']);
    }

    public function test_while_the_memory_store_is_away_the_database_keeps_what_it_kept(): void
    {
        // Nothing listens there.
        config(['database.redis.default.host' => '127.0.0.1', 'database.redis.default.port' => '1', 'cache.default' => 'memory']);
        Cache::put('page', 7, 60);
        self::assertSame(7, Cache::get('page'));
        self::assertTrue(DB::table('cache')->where('key', 'like', '%page')->exists());
        $lock = SharedLock::take('turn', 30);
        self::assertNotNull($lock);
        self::assertNull(SharedLock::take('turn', 30), 'one holds it');
        self::assertNull(SharedLock::wait('turn', 30, 0.2));
        $lock->release();
        self::assertNotNull(SharedLock::wait('turn', 30, 0.2));
    }
}
