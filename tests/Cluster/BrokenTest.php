<?php

declare(strict_types=1);

namespace Tests\Cluster;

use Facebook\WebDriver\WebDriverKeys;
use PHPUnit\Framework\TestCase;
use Symfony\Component\Process\Process;
use Tests\Browser\Support\Browser;
use Tests\RunsScript;

/**
 * Seven machines on one: three of the database, two that serve, a memory store and a balancer. They are broken one after
 * the other while teachers work; nothing that was answered as kept is lost or doubled, and all nodes end the same.
 */
final class BrokenTest extends TestCase
{
    use RunsScript;

    /** What these tests run under is not what is served. */
    private const NOT_OURS = ['APP_ENV', 'CACHE_STORE', 'MAIL_MAILER', 'BCRYPT_ROUNDS', 'SEAM_PORT', 'SEAM_DB_PORT'];

    /** Teachers, samples, corrections and plans. */
    private const WHOLE = [20, 2_000, 500, 200];

    private const SHORT = [8, 320, 60, 30];

    private const UP_SECONDS = 300;

    private const WELL_SECONDS = 90.0;

    private static bool $whole = false;

    private static string $base = '';

    public static function setUpBeforeClass(): void
    {
        if (getenv('SEAM_CLUSTER') === false) {
            self::markTestSkipped('These tests start machines and break them: run ./seam test cluster.');
        }
        self::$whole = getenv('SEAM_CLUSTER') === 'whole';
        foreach (self::NOT_OURS as $name) {
            putenv($name);
            unset($_ENV[$name], $_SERVER[$name]);
        }
        $said = self::well(['up'], self::UP_SECONDS);
        self::assertSame(1, preg_match('#is ready on seven machines \((namespaces|loopback)\): +(http://[0-9.]+:\d+)#', $said, $m), $said);
        fwrite(STDERR, "  seven machines: $m[1]\n");
        self::$base = $m[2];
    }

    public static function tearDownAfterClass(): void
    {
        self::seam(['cluster', 'down', '--forget'], [], 120);
    }

    public function test_nothing_is_lost_or_doubled_whatever_is_broken(): void
    {
        [$teachers, $saves, $corrections, $plans] = self::$whole ? self::WHOLE : self::SHORT;
        $out = (string) tempnam(sys_get_temp_dir(), 'seam-load');
        $load = new Process(['bash', '-c', 'exec "$@" >"$0" 2>&1', $out, self::root().'/seam', 'cluster', 'load', "--teachers=$teachers", "--saves=$saves", "--corrections=$corrections", "--plans=$plans", '--pause=400', '--on=1'], self::root(), null, null, 1_200);
        $load->start();
        $enough = getenv('SEAM_VAR').'/cluster/ledger.enough';
        try {
            $this->breakAll();
        } finally {
            touch($enough);
            $load->wait();
        }
        $said = (string) file_get_contents($out);
        unlink($out);
        fwrite(STDERR, $said);
        self::assertSame(0, $load->getExitCode(), $said);
        foreach (['db1', 'db2', 'db3'] as $node) {
            self::assertSame(1, preg_match("/$node: (\d+) samples answered as kept: 0 lost, 0 doubled or from nowhere; \d+ plans changed: 0 not as they were answered last/", $said, $m), $said);
            self::assertGreaterThanOrEqual($saves + $corrections, (int) $m[1]);
        }
        self::assertStringContainsString('are the same, table by table', self::well(['equal']));
        self::assertStringContainsString('All seven are well.', self::well(['status']));
    }

    private function breakAll(): void
    {
        $all = [
            'the node of the database that is written at, killed' => [['break', 'db1', 'kill']],
            'a web node, killed' => [['break', 'web1', 'kill']],
            'the memory store, killed' => [['break', 'redis', 'kill']],
            'the balancer, killed' => [['break', 'front', 'kill']],
            'a node of the database, cut off and joined again' => [['break', 'db2', 'cut'], ['heal', 'db2']],
        ];
        if (self::$whole) {
            $all += [
                'a web node, cut off and joined again' => [['break', 'web2', 'cut'], ['heal', 'web2']],
                'a node of the database, its disk full' => [['break', 'db3', 'full'], ['heal', 'db3']],
                'a web node three minutes ahead' => [['break', 'web2', 'clock'], ['heal', 'web2']],
                'a node of the database three minutes ahead' => [['break', 'db2', 'clock'], ['heal', 'db2']],
                'a node of the database from nothing' => [['forget', 'db3'], ['heal', 'db3']],
            ];
        }
        // They sign in, each in a studio of their own.
        self::waitFor(fn (): bool => self::kept() > 0, 120);
        foreach ($all as $what => $acts) {
            $from = microtime(true);
            foreach ($acts as $act) {
                self::well($act, 180);
                // The others go on meanwhile.
                count($acts) === 1 || $act !== $acts[0] || sleep(5);
            }
            $took = $this->wellAgain($from);
            fwrite(STDERR, sprintf("  %s: kept again after %.1f s\n", $what, $took));
            // One trouble at a time: all are back before the next.
            self::waitFor(fn (): bool => self::seam(['cluster', 'status'], [], 60)[0] === 0, 120.0);
        }
        if (self::$whole) {
            $new = $this->nextVersion();
            foreach (['web1', 'web2'] as $node) {
                self::well(['upgrade', $node, $new], 180);
            }
            fwrite(STDERR, "  both web nodes gone over to another version with a migration\n");
        }
    }

    public function test_a_minority_keeps_nothing_and_says_so(): void
    {
        self::well(['break', 'db2', 'cut']);
        self::well(['break', 'db3', 'cut']);
        try {
            self::waitFor(fn (): bool => self::ask('/up') !== 200, 60);
            [$exit, $said] = self::seam(['cluster', 'status'], [], 60);
            self::assertSame(1, $exit);
            self::assertStringContainsString('non-Primary', $said);
            $answer = (string) @file_get_contents(self::$base.'/api/me', false, stream_context_create(['http' => ['timeout' => 5, 'ignore_errors' => true]]));
            // The balancer's words, or those of a web node it had not given up yet.
            self::assertMatchesRegularExpression('/It tries again by itself|The database does not answer/', $answer);
            self::assertStringContainsString('what you typed is still on the screen', $answer);
        } finally {
            self::well(['heal'], 240);
        }
        self::assertStringContainsString('All seven are well.', self::well(['status']));
    }

    /** What the screen says, and what becomes of what was typed. */
    public function test_a_teacher_goes_on_while_nothing_can_be_kept(): void
    {
        $browser = Browser::open(self::$base);
        try {
            $browser->signIn('teacher@mill.example', 'unbleached calico')->see('sewing now');
            $ask = fn (string $address, string $path): mixed => data_get($browser->driver->executeAsyncScript('fetch(arguments[0], {headers: {Accept: "application/json"}}).then((r) => r.json()).then(arguments[1], () => arguments[1](null))', [$address]), $path);
            $classes = (array) $ask('/api/me', 'classes');
            $class = data_get(array_values(array_filter($classes, fn (mixed $c): bool => data_get($c, 'title') === 'Beginners two')), '0.id');
            self::assertIsString($class);
            $student = $ask("/api/classes/$class", 'students.0.student');
            self::assertIsString($student);
            $number = fn (): int => (int) $ask("/api/classes/$class/students/$student/look?lesson=safe-seat", 'number');
            $before = $number();
            $browser->go("/look/$class/$student?lesson=safe-seat")->see('Safe seat')->find('[data-reading]')->click();
            for ($i = 0; $i < 6; $i++) {
                $browser->keys('y', WebDriverKeys::ENTER);
            }
            self::well(['break', 'db2', 'cut']);
            self::well(['break', 'db3', 'cut']);
            self::waitFor(fn (): bool => self::ask('/up') !== 200, 60);
            $browser->press('Keep it');
            $browser->until('word that it waits here', fn (): bool => str_contains($browser->text(), '1 waits to be sent'), 60);
            $browser->until('what becomes of it', fn (): bool => str_contains($browser->text(), 'What you keep is safe on this device'), 60);
            self::well(['heal'], 240);
            $browser->until('all of it sent', fn (): bool => ! str_contains($browser->text(), 'waits to be sent'), 120);
            self::assertSame($before + 1, $number());
        } finally {
            self::well(['heal'], 240);
            $browser->close();
        }
    }

    public function test_all_that_goes_down_comes_up_again_with_its_data(): void
    {
        $before = self::kept();
        self::well(['down'], 120);
        self::well(['up'], self::UP_SECONDS);
        self::assertSame(200, self::ask('/up'));
        self::assertSame($before, self::kept());
        self::assertStringContainsString('are the same, table by table', self::well(['equal']));
    }

    public function test_what_was_backed_up_comes_back_on_all_nodes(): void
    {
        $file = sys_get_temp_dir().'/seam-cluster-'.bin2hex(random_bytes(4)).'.backup';
        $rows = function (string $said): string {
            self::assertSame(1, preg_match('/\d+ rows in \d+ tables, \d+ photos/', $said, $m), $said);

            return $m[0];
        };
        try {
            $held = $rows(self::well(['backup', $file], 120));
            self::well(['load', '--teachers=2', '--saves=6', '--corrections=1', '--plans=1'], 120);
            $more = $rows(self::well(['backup', "$file.2"], 120));
            self::assertNotSame($held, $more, 'something was kept since');
            self::assertStringContainsString('All web nodes serve open_seam_', self::well(['restore', $file], 240));
            self::assertSame($held, $rows(self::well(['backup', "$file.2"], 120)));
            self::assertStringContainsString('are the same, table by table', self::well(['equal']));
            self::assertSame(200, self::ask('/up'));
            [$exit, $said] = self::seam(['cluster', 'restore', __FILE__], [], 60);
            self::assertSame(1, $exit);
            self::assertStringContainsString('nothing was changed', $said);
        } finally {
            array_map(unlink(...), glob("$file*") ?: []);
        }
    }

    public function test_the_doctor_goes_round_all_of_them(): void
    {
        $said = self::well(['doctor'], 120);
        self::assertSame(2, substr_count($said, 'All 3 nodes of the database are in.'), $said);
        self::assertSame(2, substr_count($said, 'The memory store answers.'));
        self::assertSame(2, substr_count($said, 'Open Seam is well.'));
        self::assertStringNotContainsString('ILL', $said);
        self::assertStringContainsString('All seven are well.', $said);
    }

    public function test_what_it_does_not_know_is_said(): void
    {
        foreach ([['break', 'db9', 'kill'], ['break', 'db1', 'melt'], ['leave', 'db1'], ['upgrade', 'web1', '/nowhere'], ['load', '--saves=many']] as $act) {
            [$exit, $said] = self::seam(['cluster', ...$act], [], 60);
            self::assertNotSame(0, $exit, implode(' ', $act));
            self::assertStringContainsString('Open Seam cannot go on', $said);
        }
    }

    /**
     * @param  list<string>  $act
     * @return string what it said
     */
    private static function well(array $act, int $seconds = 60): string
    {
        [$exit, $said] = self::seam(['cluster', ...$act], [], $seconds);
        self::assertSame(0, $exit, implode(' ', $act)."\n".$said);

        return $said;
    }

    /** Acts that were answered as kept up to now. */
    private static function kept(): int
    {
        $ledger = getenv('SEAM_VAR').'/cluster/ledger';

        return is_file($ledger) ? count((array) file($ledger)) : 0;
    }

    /** Until three more acts were answered as kept. */
    private function wellAgain(float $from): float
    {
        $before = self::kept();
        self::waitFor(fn (): bool => self::kept() >= $before + 3, self::WELL_SECONDS);

        return microtime(true) - $from;
    }

    private static function ask(string $path): int
    {
        @file_get_contents(self::$base.$path, false, stream_context_create(['http' => ['timeout' => 5, 'ignore_errors' => true]]));

        return isset($http_response_header[0]) ? (int) explode(' ', $http_response_header[0])[1] : 0;
    }

    private static function waitFor(callable $true, float $seconds): void
    {
        $until = microtime(true) + $seconds;
        while (! $true()) {
            microtime(true) < $until || self::fail("Waited $seconds s for it.");
            usleep(100_000);
        }
    }

    /** The same code with one more change of the tables, in a folder of its own. */
    private function nextVersion(): string
    {
        $new = self::root().'/var/next-version';
        exec('rm -rf '.escapeshellarg($new));
        mkdir("$new/var", 0755, true);
        foreach (['artisan', 'app', 'bootstrap', 'composer.json', 'config', 'core', 'curriculum', 'database', 'docs', 'lang', 'ops', 'packages', 'public', 'resources', 'routes', 'vendor', 'seam', 'package.json', 'package-lock.json', 'vite.config.ts', 'tsconfig.json'] as $part) {
            exec('cp -a '.escapeshellarg(self::root()."/$part").' '.escapeshellarg($new), result_code: $exit);
            self::assertSame(0, $exit, $part);
        }
        exec('cp -a '.escapeshellarg(self::root().'/var/stamps').' '.escapeshellarg("$new/var/"));
        symlink(self::root().'/node_modules', "$new/node_modules");
        file_put_contents("$new/database/migrations/2099_01_01_000001_try_an_upgrade.php", <<<'PHP'
            <?php

            use App\Support\SchemaStep;
            use Illuminate\Database\Migrations\Migration;
            use Illuminate\Database\Schema\Blueprint;

            return new class extends Migration
            {
                public function up(): void
                {
                    SchemaStep::columns('samples', ['tried'], fn (Blueprint $table) => $table->string('tried', 20)->nullable());
                }
            };
            PHP);

        return $new;
    }
}
