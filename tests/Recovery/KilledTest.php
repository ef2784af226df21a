<?php

declare(strict_types=1);

namespace Tests\Recovery;

use PDO;
use PHPUnit\Framework\Attributes\DataProvider;

/** Whatever is killed comes back by itself, and nothing that was kept is lost or doubled. */
final class KilledTest extends RecoveryCase
{
    private const SAVES = 1_000;

    /** @return iterable<string, array{string, string}> pid file, and whether its children alone are killed */
    public static function processes(): iterable
    {
        yield 'the web server' => ['web/run/nginx.pid', 'itself'];
        yield 'the web server’s worker' => ['web/run/nginx.pid', 'children'];
        yield 'PHP' => ['web/run/fpm.pid', 'itself'];
        yield 'PHP’s workers' => ['web/run/fpm.pid', 'children'];
        yield 'the database' => ['db/run/my.pid', 'itself'];
        yield 'the supervisor' => ['run/supervisor.pid', 'itself'];
    }

    private function kill(string $file, string $which): void
    {
        $pid = $this->pid($file);
        self::assertGreaterThan(1, $pid, "$file names no process");
        $which === 'itself' ? posix_kill($pid, SIGKILL) : exec("pkill -9 -P $pid");
    }

    #[DataProvider('processes')]
    public function test_it_comes_back_by_itself(string $file, string $which): void
    {
        $before = $this->pid($file);
        $this->kill($file, $which);
        usleep(100_000);
        // How long it takes is measured by ./seam bench, on a machine that does nothing else.
        $this->mended(60.0);
        if ($which === 'itself') {
            for ($i = 0; $i < 100 && ($this->pid($file) === $before || $this->pid($file) < 2 || ! posix_kill($this->pid($file), 0)); $i++) {
                usleep(100_000);
            }
            self::assertNotSame($before, $this->pid($file), 'a new one runs in its place');
        }
        // The next one is killed when all are there again.
        usleep(1_500_000);
        $this->mended();
    }

    public function test_a_thousand_saves_while_each_process_is_killed_in_turn(): void
    {
        $this->signIn();
        $everybody = $this->everybody();
        self::assertGreaterThan(10, count($everybody));
        $processes = array_values(iterator_to_array(self::processes()));
        $every = intdiv(self::SAVES, count($processes) + 1);
        $sent = [];
        $again = 0;
        for ($i = 0; $i < self::SAVES; $i++) {
            if ($i > 0 && $i % $every === 0 && isset($processes[intdiv($i, $every) - 1])) {
                $this->kill(...$processes[intdiv($i, $every) - 1]);
            }
            $sample = self::sample($everybody[$i % count($everybody)]);
            $sent[] = $sample['id'];
            // As the spool of the screen does: what got no answer is sent again, under its own id.
            for ($try = 0; ($status = $this->call('POST', '/api/samples', $sample)[0]) !== 201; $try++) {
                self::assertTrue($status === 0 || $status >= 500 || $status === 419 || $status === 429, "a save was answered $status");
                self::assertLessThan(200, $try, 'it did not come back');
                $again++;
                usleep(100_000);
            }
        }
        $rows = $this->database()->query('SELECT s.id, COUNT(r.id) AS readings FROM samples s LEFT JOIN sample_readings r ON r.sample_id = s.id WHERE s.id IN (\''.implode("','", $sent).'\') GROUP BY s.id');
        self::assertNotFalse($rows);
        $kept = $rows->fetchAll(PDO::FETCH_KEY_PAIR);
        self::assertCount(self::SAVES, $kept, 'none lost');
        self::assertSame([3], array_values(array_unique(array_map(intval(...), $kept))), 'none half kept, none doubled');
        self::assertGreaterThan(0, $again, 'something was killed in mid-save');
    }

    public function test_stopped_nothing_is_left_and_started_twice_at_once_it_runs_once(): void
    {
        $env = ['SEAM_NO_SCHEDULER' => '1'];
        [$exit, $said] = self::seam(['stop'], $env);
        self::assertSame(0, $exit, $said);
        foreach (['run/supervisor.pid', 'web/run/nginx.pid', 'web/run/fpm.pid', 'db/run/my.pid'] as $file) {
            $pid = $this->pid($file);
            self::assertFalse($pid > 1 && posix_kill($pid, 0) && ! str_contains((string) @file_get_contents("/proc/$pid/status"), "State:\tZ"), "$file still runs");
        }
        // The settings are lost, and two people start it at once.
        rename("$this->var/.env", "$this->var/.env.lost");
        $root = self::root();
        exec("cd $root && (SEAM_NO_SCHEDULER=1 ./seam start >/tmp/seam-one 2>&1 & SEAM_NO_SCHEDULER=1 ./seam start >/tmp/seam-two 2>&1 & wait)");
        foreach (['/tmp/seam-one', '/tmp/seam-two'] as $file) {
            self::assertStringContainsString('Open Seam is ready', (string) file_get_contents($file));
            unlink($file);
        }
        unlink("$this->var/.env.lost");
        $this->mended();
        $this->signIn();
        self::assertNotEmpty($this->everybody(), 'the data are there under new settings');
        [$exit, $said] = self::seam(['doctor', '--json'], $env);
        self::assertSame(0, $exit, $said);
        self::assertTrue(data_get(json_decode($said, true), 'well'));
    }

    public function test_a_killed_supervisor_and_its_guard_leave_orphans_that_start_mends(): void
    {
        foreach (['run/guard.pid', 'run/supervisor.pid'] as $file) {
            posix_kill($this->pid($file), SIGKILL);
        }
        usleep(300_000);
        self::assertSame(200, $this->call('GET', '/up')[0], 'the orphans go on serving');
        $orphan = $this->pid('web/run/nginx.pid');
        [$exit, $said] = self::seam(['start'], ['SEAM_NO_SCHEDULER' => '1']);
        self::assertSame(0, $exit, $said);
        $this->mended();
        self::assertNotSame($orphan, $this->pid('web/run/nginx.pid'));
    }
}
