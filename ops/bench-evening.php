<?php

declare(strict_types=1);

// An evening of many teachers at once, with the time people take between two touches: 25 % Today, 15 % Class,
// 40 % verdicts while typing, 20 % samples kept. Each in a studio of their own. Loopback only, and it ends by itself.
// Usage: php ops/bench-evening.php http://127.0.0.1:PORT [teachers] [seconds]

[, $base, $teachers, $seconds] = $argv + [1 => '', 2 => '50', 3 => '60'];
[$teachers, $seconds] = [(int) $teachers, (float) $seconds];
str_starts_with($base, 'http://127.0.0.1:') || exit("It measures a server of this machine only.\n");
mt_srand(11);

/** @param  array{jar: string}  $who */
function handle(array $who, string $base, string $method, string $path, ?array $body): CurlHandle
{
    $h = curl_init($base.$path);
    $token = preg_match('/XSRF-TOKEN\s+(\S+)/', (string) @file_get_contents($who['jar']), $m) === 1 ? urldecode($m[1]) : '';
    curl_setopt_array($h, [CURLOPT_CUSTOMREQUEST => $method, CURLOPT_RETURNTRANSFER => true, CURLOPT_COOKIEFILE => $who['jar'], CURLOPT_COOKIEJAR => $who['jar'], CURLOPT_TIMEOUT => 30, CURLOPT_HTTPHEADER => ['Accept: application/json', 'Content-Type: application/json', 'Expect:', "X-XSRF-TOKEN: $token"]] + ($body === null ? [] : [CURLOPT_POSTFIELDS => json_encode($body)]));

    return $h;
}
function ask(array $who, string $base, string $method, string $path, ?array $body = null): array
{
    $h = handle($who, $base, $method, $path, $body);
    $answer = curl_exec($h);
    curl_setopt($h, CURLOPT_COOKIELIST, 'FLUSH');
    $code = curl_getinfo($h, CURLINFO_RESPONSE_CODE);
    $code < 400 || exit("$method $path: $code ".substr((string) $answer, 0, 300)."\n");

    return (array) json_decode((string) $answer, true);
}
function id(): string
{
    return '01'.substr(strtr(bin2hex(random_bytes(16)), 'ilou', 'abcd'), 0, 24);
}

$links = array_slice($argv, 4);
$all = [];
for ($i = 0; $i < $teachers; $i++) {
    $who = ['jar' => (string) tempnam(sys_get_temp_dir(), 'seam-evening')];
    ask($who, $base, 'GET', '/');
    ask($who, $base, 'POST', '/api/sign-in', ['email' => "evening$i@loft.example", 'password' => 'calico madder chalk']);
    $class = ask($who, $base, 'GET', '/api/me')['classes'][0]['id'];
    $who += ['class' => $class, 'students' => array_column(ask($who, $base, 'GET', "/api/classes/$class/today")['students'], 'student'), 'next' => microtime(true) + mt_rand(0, 2000) / 1000];
    $all[] = $who;
}
$multi = curl_multi_init();
$open = $times = [];
$errors = 0;
$end = microtime(true) + $seconds;
while (microtime(true) < $end || $open !== []) {
    $now = microtime(true);
    foreach ($all as $i => $who) {
        if ($now < $end && $who['next'] <= $now && ! isset($open[$i])) {
            $lot = mt_rand(1, 100);
            $sample = ['class' => $who['class'], 'student' => $who['students'][array_rand($who['students'])], 'lesson' => 'first-seam', 'faults' => [], 'readings' => ['seam.allowance' => ['16', '15.5', (string) mt_rand(14, 18), '16', '16.5'], 'seam.back-start' => ['3'], 'seam.pull' => ['1']]];
            [$method, $path, $body] = match (true) {
                $lot <= 25 => ['GET', "/api/classes/{$who['class']}/today", null],
                $lot <= 40 => ['GET', "/api/classes/{$who['class']}", null],
                $lot <= 80 => ['POST', '/api/samples/preview', $sample],
                default => ['POST', '/api/samples', ['id' => id()] + $sample],
            };
            $open[$i] = handle($who, $base, $method, $path, $body);
            curl_multi_add_handle($multi, $open[$i]);
        }
    }
    curl_multi_exec($multi, $running);
    while (($done = curl_multi_info_read($multi)) !== false) {
        $i = (int) array_search($done['handle'], $open, true);
        $times[] = curl_getinfo($done['handle'], CURLINFO_TOTAL_TIME);
        $code = curl_getinfo($done['handle'], CURLINFO_RESPONSE_CODE);
        $errors += $code >= 200 && $code < 300 ? 0 : 1;
        curl_multi_remove_handle($multi, $done['handle']);
        unset($open[$i]);
        $all[$i]['next'] = microtime(true) + mt_rand(1000, 3000) / 1000;
    }
    curl_multi_select($multi, 0.02);
}
sort($times);
$at = fn (float $share): float => 1000 * $times[(int) floor($share * (count($times) - 1))];
printf("  %d teachers for %d s: %d requests, median %.0f ms, 95 %% %.0f ms, %d errors\n", $teachers, $seconds, count($times), $at(0.5), $at(0.95), $errors);
array_map(fn (array $w): bool => @unlink($w['jar']), $all);
