<?php

declare(strict_types=1);

// Teachers at work, each in a studio of their own, while machines are broken under them: samples kept, corrected, plans
// changed. What was answered as kept is written down; what was not answered is sent again under its own id, as a browser does.
// Usage: php ops/cluster/load.php BASE LEDGER [--teachers=20] [--saves=2000] [--corrections=500] [--plans=200] [--pause=100] [--on=0]
// With --on=1 these are the fewest: they go on until there is a file LEDGER.enough.
// LEDGER gets a line for each act: "sample ID", "corrected ID OLD", "plan CLASS VERSION LESSONS", "tried ID" for what never was answered.

const GIVE_UP_S = 90.0;

[, $base, $ledger] = $argv + [1 => '', 2 => ''];
$wanted = ['teachers' => 20, 'saves' => 2000, 'corrections' => 500, 'plans' => 200, 'pause' => 100, 'on' => 0];
foreach (array_slice($argv, 3) as $word) {
    preg_match('/^--([a-z]+)=(\d+)$/', $word, $m) === 1 && isset($wanted[$m[1]]) || stop("load does not know “{$word}”. It knows: --".implode('=, --', array_keys($wanted)).'=');
    $wanted[$m[1]] = (int) $m[2];
}
preg_match('#^http://(127|10)\.#', $base) === 1 || stop('It loads servers of this machine only.');
mt_srand(17);

function stop(string $because): never
{
    fwrite(STDERR, "$because\n");
    exit(1);
}

/** One teacher: one act at a time, tried again until it is answered. */
final class Teacher
{
    public ?CurlHandle $open = null;

    /** @var array{kind: string, method: string, path: string, body: array<string, mixed>, first: float}|null */
    public ?array $act = null;

    public float $next = 0.0;

    /** @var list<array{id: string, student: string}> kept and not corrected yet */
    public array $kept = [];

    /** @var list<list<string>> of the plan as it was answered last */
    public array $plan = [];

    public int $version = 0;

    public string $class = '';

    /** @var list<string> */
    public array $students = [];

    private readonly string $jar;

    public function __construct(public readonly int $number, private readonly string $base)
    {
        $this->jar = (string) tempnam(sys_get_temp_dir(), 'seam-load');
    }

    /** @param  array<string, mixed>|null  $body */
    public function handle(string $method, string $path, ?array $body = null): CurlHandle
    {
        $token = preg_match('/XSRF-TOKEN\s+(\S+)/', (string) @file_get_contents($this->jar), $m) === 1 ? urldecode($m[1]) : '';
        $handle = curl_init($this->base.$path);
        curl_setopt_array($handle, [CURLOPT_CUSTOMREQUEST => $method, CURLOPT_RETURNTRANSFER => true, CURLOPT_COOKIEFILE => $this->jar, CURLOPT_COOKIEJAR => $this->jar, CURLOPT_CONNECTTIMEOUT => 2, CURLOPT_TIMEOUT => 20,
            CURLOPT_HTTPHEADER => ['Accept: application/json', 'Content-Type: application/json', 'Expect:', "X-XSRF-TOKEN: $token"]] + ($body === null ? [] : [CURLOPT_POSTFIELDS => json_encode($body)]));

        return $handle;
    }

    /** @return array{int, array<string, mixed>} */
    public function ask(string $method, string $path, ?array $body = null): array
    {
        $until = microtime(true) + GIVE_UP_S;
        do {
            $handle = $this->handle($method, $path, $body);
            $answer = curl_exec($handle);
            curl_setopt($handle, CURLOPT_COOKIELIST, 'FLUSH');
            $code = curl_getinfo($handle, CURLINFO_RESPONSE_CODE);
            // A machine may be away already when they come.
            $again = ($code === 0 || $code >= 500 || $code === 429) && microtime(true) < $until;
            $again && usleep(500_000);
        } while ($again);

        return [$code, (array) json_decode((string) $answer, true)];
    }

    public function signIn(): bool
    {
        $this->ask('GET', '/');

        return $this->ask('POST', '/api/sign-in', ['email' => "evening$this->number@loft.example", 'password' => 'calico madder chalk'])[0] === 204;
    }

    /** @return bool false when it could not be read */
    public function readPlan(): bool
    {
        [$code, $plan] = $this->ask('GET', "/api/classes/$this->class/plan");
        if ($code !== 200) {
            return false;
        }
        $this->version = $plan['version'];
        $this->plan = array_map(fn (array $s): array => array_map(fn (mixed $l): string => is_array($l) ? $l['id'] ?? $l['lesson'] : $l, $s['lessons']), $plan['sessions']);

        return true;
    }

    public function __destruct()
    {
        @unlink($this->jar);
    }
}

function id(): string
{
    return '01'.substr(strtr(bin2hex(random_bytes(16)), 'ilou', 'abcd'), 0, 24);
}

$teachers = [];
for ($i = 0; $i < $wanted['teachers']; $i++) {
    $t = new Teacher($i, $base);
    $t->signIn() || stop("Teacher $i could not sign in.");
    $t->class = $t->ask('GET', '/api/me')[1]['classes'][0]['id'];
    $t->students = array_column($t->ask('GET', "/api/classes/$t->class/today")[1]['students'], 'student');
    $t->readPlan() || stop("The plan of teacher $i could not be read.");
    $t->next = microtime(true) + mt_rand(0, 1000) / 1000;
    $teachers[] = $t;
}
$lines = fopen($ledger, 'wb');
$left = ['save' => $wanted['saves'], 'correction' => $wanted['corrections'], 'plan' => $wanted['plans']];
$codes = $times = [];
$again = $signedInAgain = $worstAct = 0;
$lastWell = $begun = microtime(true);
$gap = ['s' => 0.0, 'at' => 0.0];

@unlink("$ledger.enough");
$newAct = function (Teacher $t) use (&$left, $wanted, $ledger): ?array {
    $open = array_filter($left, fn (int $n): bool => $n > 0);
    // A correction needs something to correct.
    if ($t->kept === []) {
        unset($open['correction']);
    }
    if ($open === []) {
        if ($wanted['on'] === 0 || is_file("$ledger.enough")) {
            return null;
        }
        $open = $left = ['save' => 1];
    }
    $lot = mt_rand(1, array_sum($open));
    foreach ($open as $kind => $n) {
        if (($lot -= $n) <= 0) {
            break;
        }
    }
    $left[$kind]--;
    $reading = fn (): array => ['seam.allowance' => ['16', '15.5', (string) mt_rand(14, 18), '16', '16.5'], 'seam.back-start' => ['3'], 'seam.pull' => ['1']];
    $act = match ($kind) {
        'save' => ['POST', '/api/samples', ['id' => id(), 'class' => $t->class, 'student' => $t->students[array_rand($t->students)], 'lesson' => 'first-seam', 'faults' => [], 'readings' => $reading()]],
        'correction' => (function () use ($t, $reading): array {
            $old = array_splice($t->kept, mt_rand(0, count($t->kept) - 1), 1)[0];

            return ['POST', '/api/samples', ['id' => id(), 'class' => $t->class, 'student' => $old['student'], 'lesson' => 'first-seam', 'faults' => [], 'replaces' => $old['id'], 'readings' => $reading()]];
        })(),
        'plan' => (function () use ($t): array {
            // One lesson goes to another session.
            $plan = $t->plan;
            $from = array_rand(array_filter($plan, fn (array $s): bool => $s !== []));
            $lesson = array_pop($plan[$from]);
            $plan[mt_rand(0, count($plan) - 1)][] = $lesson;

            return ['PUT', "/api/classes/$t->class/plan", ['version' => $t->version, 'sessions' => $plan]];
        })(),
    };

    return ['kind' => $kind, 'method' => $act[0], 'path' => $act[1], 'body' => $act[2], 'first' => microtime(true)];
};
$done = function (Teacher $t) use ($lines, &$worstAct): void {
    ['kind' => $kind, 'body' => $body, 'first' => $first] = $t->act;
    $worstAct = max($worstAct, microtime(true) - $first);
    if ($kind === 'plan') {
        [$t->version, $t->plan] = [$body['version'] + 1, $body['sessions']];
        fwrite($lines, "plan $t->class $t->version ".implode(';', array_map(fn (array $s): string => implode(',', $s), $t->plan))."\n");
    } else {
        $kind === 'save' && $t->kept[] = ['id' => $body['id'], 'student' => $body['student']];
        fwrite($lines, ($kind === 'save' ? "sample {$body['id']}" : "corrected {$body['id']} {$body['replaces']}")."\n");
    }
    [$t->act, $t->next] = [null, microtime(true) + $GLOBALS['wanted']['pause'] * mt_rand(50, 150) / 100_000];
};

$multi = curl_multi_init();
$busy = [];
do {
    $now = microtime(true);
    foreach ($teachers as $i => $t) {
        if ($t->open !== null || $t->next > $now) {
            continue;
        }
        $t->act ??= $newAct($t);
        if ($t->act === null) {
            $t->next = INF;

            continue;
        }
        $t->open = $busy[$i] = $t->handle($t->act['method'], $t->act['path'], $t->act['body']);
        curl_multi_add_handle($multi, $t->open);
    }
    curl_multi_exec($multi, $running);
    while (($info = curl_multi_info_read($multi)) !== false) {
        $i = (int) array_search($info['handle'], $busy, true);
        $t = $teachers[$i];
        $code = curl_getinfo($info['handle'], CURLINFO_RESPONSE_CODE);
        $answer = (array) json_decode((string) curl_multi_getcontent($info['handle']), true);
        curl_multi_remove_handle($multi, $info['handle']);
        curl_setopt($info['handle'], CURLOPT_COOKIELIST, 'FLUSH');
        unset($busy[$i]);
        $t->open = null;
        $codes[$code] = ($codes[$code] ?? 0) + 1;
        $now = microtime(true);
        if ($code >= 200 && $code < 300) {
            $times[] = curl_getinfo($info['handle'], CURLINFO_TOTAL_TIME);
            $now - $lastWell > $gap['s'] && $gap = ['s' => $now - $lastWell, 'at' => $lastWell - $begun];
            $lastWell = $now;
            $done($t);

            continue;
        }
        if ($code === 409 && $t->act['kind'] === 'plan') {
            // It moved on: by this very act, when only its answer was lost.
            $sent = $t->act['body']['sessions'];
            if ($t->readPlan()) {
                if ($t->plan === $sent) {
                    $t->act['body']['version'] = $t->version - 1;
                    $done($t);
                } else {
                    $t->act['body']['version'] = $t->version;
                }
            }
            $t->next = max($t->next, $now + 0.3);

            continue;
        }
        if ($code === 401 || $code === 419) {
            $signedInAgain += $t->signIn() ? 1 : 0;
        } elseif ($code >= 400 && $code < 500 && $code !== 429 && $code !== 408) {
            stop("{$t->act['method']} {$t->act['path']}: $code ".json_encode($answer));
        }
        $again++;
        if ($now - $t->act['first'] > GIVE_UP_S) {
            fwrite($lines, 'tried '.($t->act['body']['id'] ?? "plan of $t->class")."\n");
            [$t->act, $t->next] = [null, $now];

            continue;
        }
        $t->next = $now + mt_rand(300, 900) / 1000;
    }
    curl_multi_select($multi, 0.02);
    $waiting = array_filter($teachers, fn (Teacher $t): bool => $t->open !== null || $t->act !== null || $t->next < INF);
} while ($waiting !== []);
fclose($lines);
sort($times);
ksort($codes);
$at = fn (float $share): float => 1000 * ($times[(int) floor($share * (count($times) - 1))] ?? 0);
printf("%d teachers, %.0f s: %d acts answered as kept, median %.0f ms, 95 %% %.0f ms\n", count($teachers), microtime(true) - $begun, count($times), $at(0.5), $at(0.95));
printf("  sent again: %d; signed in again: %d; answers: %s\n", $again, $signedInAgain, implode(', ', array_map(fn (int $c, int $n): string => ($c === 0 ? 'none' : $c)." × $n", array_keys($codes), $codes)));
printf("  longest without an answer to anybody: %.1f s (after %.0f s); longest act with all its tries: %.1f s\n", $gap['s'], $gap['at'], $worstAct);
