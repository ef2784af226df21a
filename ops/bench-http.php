<?php

declare(strict_types=1);

// Requests over loopback, one after the other, as a teacher's tablet would send them.

$base = $argv[1];
$jar = (string) tempnam(sys_get_temp_dir(), 'seam-jar');
$handle = curl_init();
$call = function (string $method, string $address, ?array $body = null) use ($base, $jar, $handle): array {
    $cookies = (string) @file_get_contents($jar);
    $token = preg_match('/XSRF-TOKEN\s+(\S+)/', $cookies, $m) === 1 ? urldecode($m[1]) : '';
    curl_setopt_array($handle, [
        CURLOPT_URL => $base.$address, CURLOPT_CUSTOMREQUEST => $method, CURLOPT_RETURNTRANSFER => true, CURLOPT_COOKIEFILE => $jar, CURLOPT_COOKIEJAR => $jar,
        CURLOPT_HTTPHEADER => ['Accept: application/json', 'Content-Type: application/json', "X-XSRF-TOKEN: $token"],
        CURLOPT_POSTFIELDS => $body === null ? '' : (string) json_encode($body),
    ]);
    $answer = (string) curl_exec($handle);
    if (curl_getinfo($handle, CURLINFO_RESPONSE_CODE) >= 400) {
        throw new RuntimeException("$method $address: $answer");
    }
    $ms = curl_getinfo($handle, CURLINFO_TOTAL_TIME) * 1000;
    // The jar is written when the cookies are flushed.
    curl_setopt($handle, CURLOPT_COOKIELIST, 'FLUSH');

    return [$ms, json_decode($answer, true)];
};
$ulid = function (): string {
    $id = '';
    for ($i = 0; $i < 26; $i++) {
        $id .= '0123456789abcdefghjkmnpqrstvwxyz'[$i === 0 ? random_int(0, 7) : random_int(0, 31)];
    }

    return $id;
};
// What the bare framework takes for an answer, in the same run: all else is told as multiples of it too.
$bare = null;
$measure = function (string $what, int $times, callable $act) use (&$bare): void {
    for ($i = 0; $i < 5; $i++) {
        $act();
    }
    $ms = array_map(fn (): float => $act(), range(1, $times));
    sort($ms);
    $median = $ms[intdiv($times, 2)];
    $bare ??= $median;
    printf("  %-57s median %8.1f ms, 95 %% %8.1f ms, × %5.1f\n", $what, $median, $ms[(int) floor($times * 0.95)], $median / $bare);
};
$call('GET', '/');
$call('POST', '/api/sign-in', ['email' => 'teacher@mill.example', 'password' => 'unbleached calico']);
$class = $call('GET', '/api/me')[1]['classes'][0]['id'];
$students = array_column($call('GET', "/api/classes/$class/today")[1]['students'], 'student');
$sample = fn (): array => [
    'class' => $class, 'student' => $students[array_rand($students)], 'lesson' => 'first-seam', 'faults' => [],
    'readings' => ['seam.allowance' => ['16', '15.5', (string) random_int(13, 18), '16', '16.5'], 'seam.start-in' => ['4'], 'seam.back-start' => ['3'], 'seam.back-end' => ['3'], 'seam.pull' => ['1'], 'seam.tails-held' => ['1'], 'seam.highest' => ['1'], 'seam.tail' => ['55']],
];
$measure('HTTP: the bare framework (/up)', 100, fn (): float => $call('GET', '/up')[0]);
$measure('HTTP: who is signed in', 100, fn (): float => $call('GET', '/api/me')[0]);
$measure('HTTP: verdicts and next lesson while typing', 100, fn (): float => $call('POST', '/api/samples/preview', $sample())[0]);
$measure('HTTP: saving a sample, graded, with the next lesson', 100, fn (): float => $call('POST', '/api/samples', ['id' => $ulid()] + $sample())[0]);
$measure('HTTP: Today, ten students', 50, fn (): float => $call('GET', "/api/classes/$class/today")[0]);
$measure('HTTP: Class, ten students × 48 skills', 50, fn (): float => $call('GET', "/api/classes/$class")[0]);
// A large class: 40 students, twelve samples each, all 48 skills.
$large = $call('POST', '/api/classes', ['name' => 'Large', 'students' => array_map(fn (int $i): string => "Student $i", range(1, 40)), 'starts_on' => '2026-05-07', 'time' => '18:30', 'began' => true, 'sessions' => 8, 'minutes' => 120, 'helpers' => 2, 'machines' => 1])[1]['id'];
foreach (array_column($call('GET', "/api/classes/$large/today")[1]['students'], 'student') as $student) {
    for ($i = 0; $i < 12; $i++) {
        $call('POST', '/api/samples', ['id' => $ulid(), 'class' => $large, 'student' => $student] + $sample());
    }
}
$measure('HTTP: Today, 40 students, 12 samples each', 30, fn (): float => $call('GET', "/api/classes/$large/today")[0]);
$measure('HTTP: Class, 40 students × 48 skills, 12 samples each', 30, fn (): float => $call('GET', "/api/classes/$large")[0]);
$measure('HTTP: the bench of 40 students', 10, fn (): float => $call('GET', "/api/classes/$large/bench")[0]);
$measure('HTTP: the bench of ten students', 30, fn (): float => $call('GET', "/api/classes/$class/bench")[0]);
$measure('HTTP: one student', 50, fn (): float => $call('GET', "/api/classes/$class/students/{$students[1]}")[0]);
$measure('HTTP: Room, eight machines × 12 feet × 20 stitches', 30, fn (): float => $call('GET', "/api/room?class=$class")[0]);
$measure('HTTP: 300 mm of satin drawn, 1,001 points', 50, fn (): float => $call('POST', '/api/compute/stitch-picture', ['stitch' => 'satin', 'length_mm' => 0.3, 'width_mm' => 5, 'row_mm' => 300])[0]);
$lesson = $call('GET', '/api/lessons/zigzag-ladder/text')[1]['lesson'];
$measure('HTTP: the drafting table reads five zigzag rows, typed', 100, function () use ($call, $lesson): float {
    $lesson['sampler']['rows'][random_int(0, 4)]['width_mm'] = random_int(10, 50) / 10;

    return $call('POST', '/api/drafts/read', ['lesson' => $lesson])[0];
});
$mend = $call('GET', '/api/lessons/curve-and-corner/text')[1]['lesson'];
$measure('HTTP: the drafting table reads curves and corners', 50, fn (): float => $call('POST', '/api/drafts/read', ['lesson' => $mend])[0]);
$measure('HTTP: the class pack, ten students, eight lessons, PDF', 5, fn (): float => $call('GET', "/api/classes/$class/print?what=pack")[0]);
$measure('HTTP: materials with cutting plan and dates', 20, fn (): float => $call('GET', "/api/classes/$class/materials")[0]);
unlink($jar);
