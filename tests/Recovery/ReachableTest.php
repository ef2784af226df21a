<?php

declare(strict_types=1);

namespace Tests\Recovery;

use Symfony\Component\Process\Process;

/** Reached by its own names alone, over HTTPS in the workroom's network, and behind a proxy as the proxy says. */
final class ReachableTest extends RecoveryCase
{
    /**
     * @param  list<string>  $headers
     * @param  array<int, mixed>  $more
     * @return array{int, string} status and headers
     */
    private static function get(string $address, array $headers = [], ?string $authority = null, array $more = []): array
    {
        $handle = curl_init($address);
        self::assertNotFalse($handle);
        curl_setopt_array($handle, [CURLOPT_RETURNTRANSFER => true, CURLOPT_HEADER => true, CURLOPT_HTTPHEADER => $headers, CURLOPT_TIMEOUT => 15] + ($authority === null ? [] : [CURLOPT_CAINFO => $authority]) + $more);
        $answer = (string) curl_exec($handle);

        return [curl_getinfo($handle, CURLINFO_RESPONSE_CODE), substr($answer, 0, curl_getinfo($handle, CURLINFO_HEADER_SIZE))];
    }

    public function test_a_foreign_name_is_refused(): void
    {
        $base = (string) getenv('SEAM_BASE');
        self::assertSame(400, self::get("$base/api/me", ['Host: evil.example', 'Accept: application/json'])[0]);
        self::assertSame(400, self::get("$base/", ['Host: evil.example'])[0]);
        self::assertSame(200, self::get("$base/", ['Host: localhost'])[0]);
        // Whoever is no known proxy says nothing about the visitor.
        self::assertStringNotContainsString('secure', strtolower(self::get("$base/", ['X-Forwarded-Proto: https'])[1]));
    }

    public function test_the_network_is_served_over_https_and_a_known_proxy_is_believed(): void
    {
        $var = sys_get_temp_dir().'/seam-net-'.bin2hex(random_bytes(3));
        mkdir($var, 0755);
        $port = fn (int $from): string => (string) random_int($from, $from + 5_000);
        $env = ['SEAM_VAR' => $var, 'SEAM_PORT' => $web = $port(20_000), 'SEAM_DB_PORT' => $port(26_000), 'SEAM_TLS_PORT' => $tls = $port(32_000), 'SEAM_NO_SCHEDULER' => '1', 'SEAM_REGISTRATION' => 'closed'];
        try {
            [$exit, $said] = self::seam(['start', '--empty', '--network'], $env);
            self::assertSame(0, $exit, $said);
            self::assertMatchesRegularExpression("#https://[\\d.]+:$tls#", $said);
            self::assertMatchesRegularExpression('#/open-a-studio/[0-9a-zA-Z]{40}#', $said);
            self::assertStringNotContainsString('unbleached calico', $said);
            self::assertStringContainsString('▄', $said, 'the address as a square');
            [$status, $headers] = self::get("https://localhost:$tls/", [], "$var/tls/authority.pem");
            self::assertSame(200, $status);
            self::assertMatchesRegularExpression('/strict-transport-security: max-age/i', $headers);
            self::assertMatchesRegularExpression('/set-cookie: open_seam_session=[^\n]*secure/i', $headers);
            self::assertSame(200, self::get("https://127.0.0.1:$tls/up", [], "$var/tls/authority.pem")[0]);
            self::assertSame(0, self::get("https://localhost:$tls/up")[0], 'nobody trusts it unasked');
            self::assertSame('0600', substr(sprintf('%o', fileperms("$var/tls/authority.key")), -4));
            // The network is kept; a proxy that is named is believed.
            file_put_contents("$var/.env", "SEAM_TRUSTED_PROXIES=127.0.0.1\nSEAM_URL=https://sewing.example\n", FILE_APPEND);
            [$exit, $said] = self::seam(['start'], $env);
            self::assertSame(0, $exit, $said);
            self::assertStringContainsString('https://sewing.example', $said);
            [$status, $headers] = self::get("http://127.0.0.1:$web/", ['Host: sewing.example', 'X-Forwarded-Proto: https', 'X-Forwarded-For: 192.0.2.9']);
            self::assertSame(200, $status);
            self::assertMatchesRegularExpression('/set-cookie: open_seam_session=[^\n]*secure/i', $headers);
            self::assertSame(200, self::get("https://localhost:$tls/up", [], "$var/tls/authority.pem")[0]);
        } finally {
            self::seam(['stop'], $env);
            exec('rm -rf '.escapeshellarg($var));
        }
    }

    public function test_the_papers_own_lines_for_a_server_in_front_work(): void
    {
        $paper = (string) file_get_contents(self::root().'/docs/run/server.md');
        self::assertSame(1, preg_match('/## nginx in front\s+```\n(.+?)\n```/s', $paper, $m));
        $dir = sys_get_temp_dir().'/seam-front-'.bin2hex(random_bytes(3));
        mkdir($dir, 0755);
        // Below the ports that connections going out take by themselves.
        $port = (string) random_int(20_000, 30_000);
        $key = ['openssl', 'req', '-x509', '-newkey', 'rsa:2048', '-nodes', '-subj', '/CN=sewing.example', '-addext', 'subjectAltName=DNS:sewing.example', '-keyout', "$dir/key", '-out', "$dir/pem"];
        (new Process($key))->mustRun();
        $base = (string) getenv('SEAM_BASE');
        $block = strtr($m[1], ['listen 443 ssl' => "listen 127.0.0.1:$port ssl", '/etc/ssl/sewing.pem' => "$dir/pem", '/etc/ssl/sewing.key' => "$dir/key", 'http://127.0.0.1:8377' => $base]);
        file_put_contents("$dir/conf", "daemon off;\npid $dir/pid;\nerror_log stderr;\nevents {}\nhttp {\n$block\n}\n");
        $env = file_get_contents("$this->var/.env");
        // As the paper has it set; taken back at the end.
        file_put_contents("$this->var/.env", "SEAM_TRUSTED_PROXIES=127.0.0.1\nSEAM_URL=https://sewing.example\n", FILE_APPEND);
        $front = new Process(['/usr/sbin/nginx', '-e', 'stderr', '-c', "$dir/conf"]);
        try {
            [$exit, $said] = self::seam(['start']);
            self::assertSame(0, $exit, $said);
            $front->start();
            $at = "https://sewing.example:$port";
            $through = [CURLOPT_RESOLVE => ["sewing.example:$port:127.0.0.1"], CURLOPT_CAINFO => "$dir/pem"];
            $status = 0;
            for ($i = 0; $i < 50 && $status === 0; $i++) {
                [$status, $headers] = self::get("$at/", [], null, $through);
                $status !== 0 || usleep(100_000);
            }
            self::assertSame(200, $status, $front->getErrorOutput());
            self::assertMatchesRegularExpression('/set-cookie: open_seam_session=[^\n]*secure/i', $headers ?? '');
            self::assertSame(400, self::get("$at/", ['Host: evil.example'], null, $through)[0]);
            self::assertSame(401, self::get("$at/api/me", ['Accept: application/json'], null, $through)[0]);
        } finally {
            $front->stop(3, SIGTERM);
            file_put_contents("$this->var/.env", $env);
            [$exit, $said] = self::seam(['start']);
            self::assertSame(0, $exit, $said);
            exec('rm -rf '.escapeshellarg($dir));
        }
    }

    public function test_people_and_mail_by_the_script(): void
    {
        [$exit, $said] = self::seam(['user']);
        self::assertSame(0, $exit, $said);
        self::assertStringContainsString('teacher@mill.example', $said);
        [$exit, $said] = self::seam(['user', 'reset', 'nobody@room.example']);
        self::assertSame(1, $exit);
        self::assertStringContainsString('no account', $said);
        [$exit, $said] = self::seam(['mail']);
        self::assertSame(0, $exit, $said);
        self::assertStringContainsString('mailbox', $said);
    }
}
