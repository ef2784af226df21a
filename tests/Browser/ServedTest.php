<?php

declare(strict_types=1);

namespace Tests\Browser;

use PHPUnit\Framework\TestCase;

/** The application as it is served: through the web server, with real cookies, two requests at once. */
final class ServedTest extends TestCase
{
    private string $jar;

    protected function setUp(): void
    {
        if (getenv('SEAM_BASE') === false) {
            self::markTestSkipped('These tests need a served application: run ./seam test browser.');
        }
        $this->jar = (string) tempnam(sys_get_temp_dir(), 'seam-jar');
        $this->call('GET', '/');
    }

    protected function tearDown(): void
    {
        @unlink($this->jar);
    }

    private function handle(string $method, string $address, ?string $body = null): \CurlHandle
    {
        $token = preg_match('/XSRF-TOKEN\s+(\S+)/', (string) file_get_contents($this->jar), $m) === 1 ? urldecode($m[1]) : '';
        $handle = curl_init(getenv('SEAM_BASE').$address);
        self::assertNotFalse($handle);
        curl_setopt_array($handle, [
            CURLOPT_CUSTOMREQUEST => $method, CURLOPT_RETURNTRANSFER => true, CURLOPT_HEADER => true, CURLOPT_COOKIEFILE => $this->jar, CURLOPT_COOKIEJAR => $this->jar,
            CURLOPT_ENCODING => '', CURLOPT_HTTPHEADER => ['Accept: application/json', 'Content-Type: application/json', 'Expect:', "X-XSRF-TOKEN: $token"],
        ] + ($body === null ? [] : [CURLOPT_POSTFIELDS => $body]));

        return $handle;
    }

    /** @return array{int, string, mixed} status, headers, answer */
    private function call(string $method, string $address, mixed $body = null): array
    {
        $handle = $this->handle($method, $address, $body === null ? null : (is_string($body) ? $body : (string) json_encode($body)));

        return $this->read($handle, (string) curl_exec($handle));
    }

    /** @return array{int, string, mixed} */
    private function read(\CurlHandle $handle, string $answer): array
    {
        $size = curl_getinfo($handle, CURLINFO_HEADER_SIZE);
        $status = curl_getinfo($handle, CURLINFO_RESPONSE_CODE);
        // The jar is written when its handle goes.
        curl_setopt($handle, CURLOPT_COOKIELIST, 'FLUSH');

        return [$status, substr($answer, 0, $size), json_decode(substr($answer, $size), true)];
    }

    /** @return array{class: string, student: string} the demo class and its eighth student */
    private function signedIn(): array
    {
        self::assertSame(204, $this->call('POST', '/api/sign-in', ['email' => 'teacher@mill.example', 'password' => 'unbleached calico'])[0]);
        $class = (string) data_get($this->call('GET', '/api/me')[2], 'classes.0.id');

        return ['class' => $class, 'student' => (string) data_get($this->call('GET', "/api/classes/$class/today")[2], 'students.7.student')];
    }

    /**
     * @param  array{class: string, student: string}  $who
     * @return array<string, mixed>
     */
    private static function sample(array $who, string $id): array
    {
        return $who + ['id' => $id, 'lesson' => 'first-seam', 'faults' => [], 'readings' => ['seam.back-start' => ['3'], 'seam.back-end' => ['3'], 'seam.pull' => ['1']]];
    }

    private static function id(): string
    {
        return '01'.substr(strtr(bin2hex(random_bytes(16)), 'ilou', 'abcd'), 0, 24);
    }

    public function test_cookies_are_closed_to_scripts_and_other_sites(): void
    {
        [$status, $headers] = $this->call('GET', '/');
        self::assertSame(200, $status);
        self::assertMatchesRegularExpression('/set-cookie: open_seam_session=[^\n]*httponly[^\n]*samesite=lax/i', $headers);
        self::assertStringContainsString("script-src 'self'", $headers);
        self::assertDoesNotMatchRegularExpression('/^(server: nginx\/|x-powered-by)/im', $headers, 'no version is told');
    }

    public function test_a_body_of_two_megabytes_and_broken_json_are_answered_in_words(): void
    {
        $who = $this->signedIn();
        [$status, , $answer] = $this->call('POST', '/api/samples', ['note' => str_repeat('x', 2_000_000)] + self::sample($who, self::id()));
        self::assertSame(413, $status);
        self::assertStringContainsString('at most 256 kB', (string) data_get($answer, 'error.message'));
        // Fifty megabytes are turned away at the door.
        [$status, , $answer] = $this->call('POST', '/api/shelf/compare', '{"bundle":"'.str_repeat('x', 50_000_000).'"}');
        self::assertSame([413, '(body)'], [$status, data_get($answer, 'error.field')]);
        self::assertStringContainsString('at most 2048 kB', (string) data_get($answer, 'error.message'));
        [$status, , $answer] = $this->call('POST', '/api/samples', '{"id": "half');
        self::assertSame([400, '(body)'], [$status, data_get($answer, 'error.field')]);
    }

    public function test_two_samples_at_once_are_both_counted(): void
    {
        $who = $this->signedIn();
        $before = $this->showings($who);
        self::assertSame([201, 201], $this->atOnce(self::sample($who, self::id()), self::sample($who, self::id())));
        self::assertSame($before + 2, $this->showings($who));
    }

    public function test_the_same_sample_sent_twice_at_once_is_kept_once(): void
    {
        $who = $this->signedIn();
        $before = $this->showings($who);
        $id = self::id();
        self::assertSame([201, 201], $this->atOnce(self::sample($who, $id), self::sample($who, $id)));
        self::assertSame($before + 1, $this->showings($who));
    }

    /** @param  array{class: string, student: string}  $who */
    private function showings(array $who): int
    {
        return count((array) data_get($this->call('GET', "/api/classes/{$who['class']}/students/{$who['student']}/skills/secure-ends")[2], 'showings'));
    }

    /**
     * @param  array<string, mixed>  ...$bodies
     * @return list<int> statuses
     */
    private function atOnce(array ...$bodies): array
    {
        $multi = curl_multi_init();
        $handles = array_map(fn (array $body): \CurlHandle => $this->handle('POST', '/api/samples', (string) json_encode($body)), array_values($bodies));
        foreach ($handles as $handle) {
            curl_multi_add_handle($multi, $handle);
        }
        do {
            curl_multi_exec($multi, $running);
            curl_multi_select($multi, 0.1);
        } while ($running > 0);

        return array_map(fn (\CurlHandle $h): int => curl_getinfo($h, CURLINFO_RESPONSE_CODE), $handles);
    }

    public function test_built_files_are_kept_by_the_browser_and_packed(): void
    {
        $html = (string) file_get_contents(getenv('SEAM_BASE').'/');
        self::assertSame(1, preg_match('#/build/assets/main-[^"]+\.js#', $html, $m));
        [$status, $headers] = $this->call('GET', $m[0]);
        self::assertSame(200, $status);
        self::assertStringContainsString('immutable', $headers);
        self::assertStringContainsStringIgnoringCase('content-encoding: gzip', $headers);
        self::assertSame(404, $this->call('GET', '/build/assets/none.js')[0]);
        self::assertStringNotContainsString('http://fonts', $html);
    }

    public function test_an_old_session_cookie_is_dead_after_signing_out(): void
    {
        $this->signedIn();
        $stolen = (string) file_get_contents($this->jar);
        self::assertSame(204, $this->call('POST', '/api/sign-out')[0]);
        file_put_contents($this->jar, $stolen);
        self::assertSame(401, $this->call('GET', '/api/me')[0]);
    }

    public function test_files_of_the_program_are_not_served(): void
    {
        foreach (['/.env', '/../composer.json', '/index.php/../../seam', '/storage/logs/application.log', '/build/../../.git/config'] as $address) {
            $answer = (string) @file_get_contents(getenv('SEAM_BASE').$address);
            self::assertDoesNotMatchRegularExpression('/APP_KEY|"require"|\[core\]|usr\/bin\/env/', $answer, $address);
        }
    }
}
