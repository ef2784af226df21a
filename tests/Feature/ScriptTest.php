<?php

declare(strict_types=1);

namespace Tests\Feature;

use PHPUnit\Framework\Attributes\DataProvider;
use Symfony\Component\Process\Process;
use Tests\TestCase;

/** The one script, as it is typed. */
final class ScriptTest extends TestCase
{
    /**
     * @param  list<string>  $arguments
     * @param  array<string, string>  $env
     * @return array{int, string, string}
     */
    private static function script(array $arguments, string $in = '', array $env = []): array
    {
        $process = new Process([base_path('seam'), ...$arguments], sys_get_temp_dir(), $env, $in, 60);
        $process->run();

        return [(int) $process->getExitCode(), $process->getOutput(), $process->getErrorOutput()];
    }

    public function test_it_computes_from_any_folder_without_database_or_framework(): void
    {
        [$exit, $out] = self::script(['compute', 'convert-length'], '{"value":"5/8","unit":"in"}', ['DB_PORT' => '1']);
        self::assertSame([0, "{\"mm\":15.875,\"inches\":\"5/8\",\"leftover_mm\":0}\n"], [$exit, $out]);
        [$exit, $out] = self::script(['compute', 'convert-length', '--batch'], "{\"value\":1,\"unit\":\"mm\"}\n{\"value\":-1,\"unit\":\"mm\"}\n{\"value\":2,\"unit\":\"mm\"}\n");
        self::assertSame(2, $exit);
        self::assertCount(3, array_filter(explode("\n", $out)));
        self::assertSame(0, self::script(['compute', '--list'])[0]);
    }

    /** @return iterable<string, array{list<string>, int, string}> */
    public static function wrong(): iterable
    {
        yield 'unknown command' => [['knit'], 2, './seam start'];
        yield 'unknown calculation' => [['compute', 'knit'], 2, 'Known: advise-feet'];
        yield 'backup to nowhere' => [['backup', '/no/such/folder/file'], 1, 'no folder'];
        yield 'restore of nothing' => [['restore', '/no/such/file'], 1, 'no file'];
    }

    /** @param  list<string>  $arguments */
    #[DataProvider('wrong')]
    public function test_wrong_words_get_one_clear_sentence(array $arguments, int $exit, string $said): void
    {
        [$code, $out, $error] = self::script($arguments);
        self::assertSame($exit, $code);
        self::assertStringContainsString($said, $out.$error);
    }

    public function test_a_broken_backup_changes_nothing(): void
    {
        $file = (string) tempnam(sys_get_temp_dir(), 'seam-backup');
        file_put_contents($file, 'not a backup');
        [$exit, , $error] = self::script(['restore', $file]);
        unlink($file);
        self::assertSame(1, $exit);
        self::assertStringContainsString('nothing was changed', $error);
    }

    public function test_a_taken_port_is_said_before_anything_is_started(): void
    {
        $taken = stream_socket_server('tcp://127.0.0.1:0');
        self::assertNotFalse($taken);
        $port = substr((string) strrchr((string) stream_socket_get_name($taken, false), ':'), 1);
        $var = sys_get_temp_dir().'/seam-var-'.bin2hex(random_bytes(4));
        [$exit, , $error] = self::script(['start'], '', ['SEAM_VAR' => $var, 'SEAM_DB_PORT' => $port]);
        fclose($taken);
        exec('rm -rf '.escapeshellarg($var));
        self::assertSame(1, $exit);
        self::assertStringContainsString("port $port, which the database needs, is taken", $error);
    }

    public function test_the_bundle_is_checked_by_command(): void
    {
        $this->artisan('seam:cache-curriculum')->assertSuccessful()->expectsOutputToContain('fits its schema');
    }

    public function test_no_download_address_and_no_secret_is_in_the_repository(): void
    {
        $lock = (string) file_get_contents(base_path('package-lock.json'));
        self::assertStringNotContainsString('"resolved": "http', $lock);
        self::assertFileDoesNotExist(base_path('.env'));
        $process = new Process(['git', 'ls-files', 'composer.lock', 'var', '.env'], base_path());
        $process->run();
        self::assertSame('', trim($process->getOutput()));
    }
}
