<?php

declare(strict_types=1);

// Photographs of whole samplers on the printed card, drawn by lot, and what is read of them, by all cores at once:
// bench-pictures.php [number] [seed] [from] [hard].

use OpenSeam\Core\Tests\Support\PhotographedSampler;
use OpenSeam\Core\Tests\Support\PhotographsRead;

require __DIR__.'/../../vendor/autoload.php';
ini_set('memory_limit', '1G');

$number = (int) ($argv[1] ?? 60);
$seed = (int) ($argv[2] ?? 1);
// From which on: one of them can be looked at alone.
$first = (int) ($argv[3] ?? 0);
$areHard = ($argv[4] ?? '') === 'hard';

// One of several: every so many-th of them, one line each.
$step = (int) getenv('SEAM_BENCH_STEP');
if ($step > 0) {
    for ($n = $first; $n < $number; $n += $step) {
        echo json_encode(PhotographsRead::one(PhotographedSampler::byLot($seed, $n, $areHard ? PhotographedSampler::hardness($n) : null), STDERR), JSON_THROW_ON_ERROR), "\n";
        fwrite(STDERR, '.');
    }
    exit(0);
}

$workers = max(1, (int) shell_exec('nproc'));
[$files, $running] = [[], []];
for ($worker = 0; $worker < $workers; $worker++) {
    $files[] = $out = tmpfile() ?: throw new RuntimeException('No temporary file.');
    // Drawing them takes longer than reading them: compiled just in time it takes half as long.
    $running[] = proc_open(
        [PHP_BINARY, '-d', 'opcache.enable_cli=1', '-d', 'opcache.jit=tracing', '-d', 'opcache.jit_buffer_size=64M', __FILE__, (string) ($first + $number), (string) $seed, (string) ($first + $worker), $areHard ? 'hard' : ''],
        [['file', '/dev/null', 'r'], $out, STDERR], $pipes, null, ['SEAM_BENCH_STEP' => (string) $workers] + getenv(),
    ) ?: throw new RuntimeException('No process.');
}
foreach ($running as $process) {
    proc_close($process) === 0 || throw new RuntimeException('One of them ended before its time.');
}
$lines = [];
foreach ($files as $file) {
    rewind($file);
    array_push($lines, ...array_filter(explode("\n", (string) stream_get_contents($file))));
}
fwrite(STDERR, "\n");
echo PhotographsRead::report($lines);
