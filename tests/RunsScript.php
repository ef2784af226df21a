<?php

declare(strict_types=1);

namespace Tests;

use Symfony\Component\Process\Process;

/** Runs the one script as it is typed. */
trait RunsScript
{
    protected static function root(): string
    {
        return dirname(__DIR__);
    }

    /**
     * The one script, as it is typed.
     *
     * @param  list<string>  $words
     * @param  array<string, string>  $env
     * @return array{int, string} exit and everything it said
     */
    protected static function seam(array $words, array $env = [], int $seconds = 120): array
    {
        // Into a file: what it starts in the background would hold a pipe open.
        $out = (string) tempnam(sys_get_temp_dir(), 'seam-said');
        $process = new Process(['bash', '-c', 'exec "$@" >"$0" 2>&1', $out, self::root().'/seam', ...$words], self::root(), $env, null, $seconds);
        $process->run();
        $said = (string) file_get_contents($out);
        unlink($out);

        return [(int) $process->getExitCode(), $said];
    }
}
