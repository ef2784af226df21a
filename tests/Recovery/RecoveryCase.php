<?php

declare(strict_types=1);

namespace Tests\Recovery;

use CurlHandle;
use PDO;
use PHPUnit\Framework\TestCase;
use Tests\RunsScript;

/** Against the served set-up of `./seam test recovery`, with its own processes to kill and data to lose. */
abstract class RecoveryCase extends TestCase
{
    use RunsScript;

    /** What these tests run under is not what is served: a set-up started from here is a real one. */
    private const NOT_OURS = ['APP_ENV', 'CACHE_STORE', 'MAIL_MAILER', 'BCRYPT_ROUNDS'];

    protected string $var;

    private string $jar;

    protected function setUp(): void
    {
        $var = getenv('SEAM_VAR');
        if (getenv('SEAM_BASE') === false || $var === false) {
            self::markTestSkipped('These tests end the servers they run against: run ./seam test recovery.');
        }
        $this->var = $var;
        foreach (self::NOT_OURS as $name) {
            putenv($name);
            unset($_ENV[$name], $_SERVER[$name]);
        }
        $this->jar = (string) tempnam(sys_get_temp_dir(), 'seam-jar');
        $this->mended();
    }

    protected function tearDown(): void
    {
        @unlink($this->jar ?? '');
    }

    /** @return array{int, mixed} status and answer; 0 where there is none */
    protected function call(string $method, string $address, mixed $body = null, ?string $base = null): array
    {
        $handle = curl_init(($base ?? getenv('SEAM_BASE')).$address);
        self::assertInstanceOf(CurlHandle::class, $handle);
        $token = preg_match('/XSRF-TOKEN\s+(\S+)/', (string) file_get_contents($this->jar), $m) === 1 ? urldecode($m[1]) : '';
        curl_setopt_array($handle, [
            CURLOPT_CUSTOMREQUEST => $method, CURLOPT_RETURNTRANSFER => true, CURLOPT_COOKIEFILE => $this->jar, CURLOPT_COOKIEJAR => $this->jar, CURLOPT_TIMEOUT => 15,
            CURLOPT_HTTPHEADER => ['Accept: application/json', 'Content-Type: application/json', 'Expect:', "X-XSRF-TOKEN: $token"],
        ] + ($body === null ? [] : [CURLOPT_POSTFIELDS => json_encode($body)]));
        $answer = curl_exec($handle);
        $status = curl_getinfo($handle, CURLINFO_RESPONSE_CODE);
        curl_setopt($handle, CURLOPT_COOKIELIST, 'FLUSH');

        return [is_string($answer) ? $status : 0, is_string($answer) ? json_decode($answer, true) : null];
    }

    protected function signIn(?string $base = null): void
    {
        file_put_contents($this->jar, '');
        $this->call('GET', '/', null, $base);
        self::assertSame(204, $this->call('POST', '/api/sign-in', ['email' => 'teacher@mill.example', 'password' => 'unbleached calico'], $base)[0]);
    }

    /** @return list<array{class: string, student: string}> everybody in the studio's classes */
    protected function everybody(?string $base = null): array
    {
        $all = [];
        foreach ((array) data_get($this->call('GET', '/api/me', null, $base)[1], 'classes') as $class) {
            $id = (string) data_get($class, 'id');
            foreach ((array) data_get($this->call('GET', "/api/classes/$id", null, $base)[1], 'students') as $student) {
                $all[] = ['class' => $id, 'student' => (string) data_get($student, 'student')];
            }
        }

        return $all;
    }

    /**
     * @param  array{class: string, student: string}  $who
     * @return array<string, mixed>
     */
    protected static function sample(array $who): array
    {
        return $who + ['id' => self::id(), 'lesson' => 'first-seam', 'faults' => [], 'readings' => ['seam.back-start' => ['3'], 'seam.back-end' => ['3'], 'seam.pull' => ['1']]];
    }

    protected static function id(): string
    {
        return '01'.substr(strtr(bin2hex(random_bytes(16)), 'ilou', 'abcd'), 0, 24);
    }

    /** A connection of the application's own account. */
    protected function database(?string $var = null, ?string $port = null): PDO
    {
        $var ??= $this->var;
        preg_match('/^DB_PASSWORD=(.*)$/m', (string) file_get_contents("$var/.env"), $m);

        return new PDO('mysql:host=127.0.0.1;port='.($port ?? getenv('SEAM_DB_PORT')).';dbname='.trim((string) file_get_contents("$var/db/current")), 'open_seam', $m[1] ?? '', [PDO::ATTR_ERRMODE => PDO::ERRMODE_EXCEPTION]);
    }

    protected function pid(string $file): int
    {
        return (int) @file_get_contents("$this->var/$file");
    }

    /** Waits until it answers; how long that took. */
    protected function mended(float $atMost = 20.0): float
    {
        $from = microtime(true);
        while (microtime(true) - $from < $atMost) {
            if ($this->call('GET', '/up')[0] === 200) {
                return microtime(true) - $from;
            }
            usleep(50_000);
        }
        self::fail("It did not come back within $atMost s.");
    }
}
