<?php

declare(strict_types=1);

namespace Tests\Recovery;

use Symfony\Component\Process\Process;

/** Another user of the machine gets at nothing. */
final class ClosedTest extends RecoveryCase
{
    /** @param  list<string>  $command */
    private static function asNobody(array $command): Process
    {
        // Only root can try it as somebody else; as an ordinary user the folders alone are looked at.
        $process = new Process(posix_geteuid() === 0 ? ['runuser', '-u', 'nobody', '--', ...$command] : ['false'], '/');
        $process->run();

        return $process;
    }

    public function test_nobody_reaches_the_sockets(): void
    {
        foreach (['web/run/fpm.sock', 'db/run/my.sock', 'run/supervisor.sock'] as $socket) {
            self::assertFileExists("$this->var/$socket");
            $code = 'exit(@stream_socket_client("unix://".$argv[1], $n, $s, 2) === false ? 3 : 0);';
            self::assertNotSame(0, self::asNobody(['php', '-r', $code, "$this->var/$socket"])->getExitCode(), "$socket was opened");
        }
    }

    public function test_nobody_reads_secrets_logs_backups_or_data(): void
    {
        foreach (['.env', 'log', 'backups', 'db/data', 'db/run', 'run', 'web', 'web/nginx.conf', 'storage', 'cache', 'cache/config.php', 'mail', 'tmp'] as $path) {
            self::assertFileExists("$this->var/$path");
            self::assertSame(1, self::asNobody(['test', '-r', "$this->var/$path"])->getExitCode(), "$path can be read");
            $mode = fileperms("$this->var/$path");
            self::assertTrue($path === 'web/nginx.conf' || $path === 'cache/config.php' || ($mode !== false && ($mode & 0o077) === 0), "$path is open to others");
        }
    }

    public function test_nothing_that_answers_requests_is_root(): void
    {
        foreach (['web/run/nginx.pid' => 'nginx', 'web/run/fpm.pid' => 'php-fpm', 'db/run/my.pid' => 'mariadbd'] as $file => $name) {
            $pid = $this->pid($file);
            $all = [$pid, ...array_map(intval(...), explode("\n", trim((string) shell_exec("pgrep -P $pid"))))];
            foreach (array_filter($all) as $one) {
                self::assertStringContainsString($name, (string) file_get_contents("/proc/$one/comm"));
                self::assertNotSame(posix_geteuid() === 0 ? 0 : -1, fileowner("/proc/$one"), "$name runs as root");
            }
        }
    }

    public function test_no_log_tells_of_a_request(): void
    {
        $this->signIn();
        $token = str_repeat('Zq', 20);
        $this->call('GET', "/my/$token");
        $this->call('GET', "/api/page/$token?who=Isaura");
        $this->call('GET', '/api/find');
        $this->call('POST', '/api/samples', ['student' => 'Isaura']);
        // An upstream that dies in the middle of a request is what a server writes most about.
        posix_kill($this->pid('web/run/fpm.pid'), SIGKILL);
        for ($i = 0; $i < 20; $i++) {
            $this->call('GET', "/api/page/$token?who=Isaura");
        }
        $this->mended();
        $logs = (string) shell_exec('cat '.escapeshellarg($this->var).'/log/* '.escapeshellarg($this->var).'/storage/logs/* '.escapeshellarg($this->var).'/web/run/*.log 2>/dev/null');
        foreach ([$token, 'Isaura', 'teacher@mill.example', 'GET /api', 'GET /my', '/page/', 'Mozilla', 'curl/'] as $private) {
            self::assertStringNotContainsString($private, $logs);
        }
    }

    public function test_every_log_of_the_services_is_gone_after_fourteen_days(): void
    {
        $logs = ["$this->var/log/database.log", "$this->var/log/php.log", "$this->var/log/web.log", "$this->var/log/logs.log", "$this->var/log/supervisor.log", "$this->var/web/run/php.log"];
        $line = 'a line of today '.bin2hex(random_bytes(4));
        foreach ($logs as $log) {
            file_put_contents($log, "$line\n", FILE_APPEND);
        }
        $found = fn (): int => (int) trim((string) shell_exec('grep -rl '.escapeshellarg($line).' '.escapeshellarg("$this->var/log").' '.escapeshellarg("$this->var/web/run").' | wc -l'));
        self::assertSame(count($logs), $found());
        for ($day = 1; $day <= 15; $day++) {
            $process = new Process(['/usr/sbin/logrotate', '--force', '--state', "$this->var/run/logrotate.state", "$this->var/run/logrotate.conf"]);
            $process->run();
            self::assertSame(0, $process->getExitCode(), $process->getErrorOutput());
            // A day passed: what was put aside is a day older.
            $day > 13 || self::assertSame(count($logs), $found(), "day $day");
        }
        self::assertSame(0, $found(), 'the fifteenth day');
        self::assertSame('0600', substr(sprintf('%o', fileperms("$this->var/log/web.log")), -4));
        // The program that does it each hour is one of the services.
        self::assertStringContainsString('logs', (string) shell_exec('/usr/bin/supervisorctl -c '.escapeshellarg("$this->var/run/supervisord.conf").' status logs'));
        self::assertStringContainsString('RUNNING', (string) shell_exec('/usr/bin/supervisorctl -c '.escapeshellarg("$this->var/run/supervisord.conf").' status logs'));
    }
}
