<?php

declare(strict_types=1);

namespace Tests\Recovery;

use PDO;
use PHPUnit\Framework\Attributes\DataProvider;
use Symfony\Component\Process\Process;
use ZipArchive;

/** Backed up, destroyed, restored on a second set-up; and what is no backup changes nothing. */
final class BackupTest extends RecoveryCase
{
    private static string $good = '';

    /** @var array<string, string> pictures by photo: one in its row, one on the disk, one whose file was lost there */
    private static array $photos = [];

    protected function setUp(): void
    {
        parent::setUp();
        if (self::$good === '' || ! is_file(self::$good)) {
            self::$good = sys_get_temp_dir().'/seam-good-'.bin2hex(random_bytes(4)).'.backup';
            $lost = $this->keepPhoto();
            $moved = $this->keepPhoto();
            [$exit, $said] = self::seam(['artisan', 'seam:photos']);
            self::assertSame(0, $exit, $said);
            exec('find '.escapeshellarg($this->var).' -name '.escapeshellarg("$lost.jpg").' -delete');
            self::assertSame('', array_column(self::everything($this->database())['sample_photos'], 'image', 'id')[$moved]);
            self::$photos[$lost] = '';
            $this->keepPhoto();
            [$exit, $said] = self::seam(['backup', self::$good]);
            self::assertSame(0, $exit, $said);
            self::assertStringContainsString('3 photos, 1 of them lost', $said);
            self::assertStringContainsString('read back whole', $said);
            self::assertSame('0600', substr(sprintf('%o', fileperms(self::$good)), -4));
        }
    }

    public static function tearDownAfterClass(): void
    {
        @unlink(self::$good);
    }

    private function keepPhoto(): string
    {
        $this->signIn();
        $sample = self::sample($this->everybody()[0]);
        self::assertSame(201, $this->call('POST', '/api/samples', $sample)[0]);
        $image = imagecreatetruecolor(640, 480);
        self::assertNotFalse($image);
        for ($i = 0; $i < 300; $i++) {
            imagefilledellipse($image, random_int(0, 640), random_int(0, 480), 60, 40, random_int(0, 0xFFFFFF));
        }
        ob_start();
        imagejpeg($image);
        $this->database()->prepare('INSERT INTO sample_photos (id, studio_id, sample_id, width, height, image, kept_at) SELECT ?, studio_id, id, 640, 480, ?, kept_at FROM samples WHERE id = ?')->execute([$id = self::id(), self::$photos[$id] = (string) ob_get_clean(), $sample['id']]);

        return $id;
    }

    /**
     * Every row of every table that belongs to the studio, pictures too.
     *
     * @return array<string, list<array<string, mixed>>>
     */
    private static function everything(PDO $database): array
    {
        $all = [];
        $rows = function (string $sql, int $as) use ($database): array {
            $found = $database->query($sql);

            return $found === false ? [] : $found->fetchAll($as);
        };
        foreach ($rows("SHOW FULL TABLES WHERE table_type = 'BASE TABLE'", PDO::FETCH_COLUMN) as $table) {
            if (! in_array($table, ['sessions', 'cache', 'cache_locks', 'migrations', 'facts'], true)) {
                /** @var list<array<string, mixed>> $held */
                $held = $rows("SELECT * FROM `$table` ORDER BY 1, 2, 3", PDO::FETCH_ASSOC);
                $all[(string) $table] = array_map(function (array $row): array {
                    ksort($row);

                    return $row;
                }, $held);
            }
        }
        ksort($all);

        return $all;
    }

    public function test_destroyed_and_restored_on_a_second_set_up(): void
    {
        $before = self::everything($this->database());
        self::assertNotEmpty($before['sample_photos']);
        $second = sys_get_temp_dir().'/seam-2-'.bin2hex(random_bytes(3));
        mkdir($second, 0755);
        $port = fn (): string => (string) random_int(20000, 30000);
        $env = ['SEAM_VAR' => $second, 'SEAM_PORT' => $web = $port(), 'SEAM_DB_PORT' => $sql = $port(), 'SEAM_NO_SCHEDULER' => '1'];
        try {
            [$exit, $said] = self::seam(['restore', self::$good], $env);
            self::assertSame(0, $exit, $said);
            [$exit, $said] = self::seam(['start'], $env);
            self::assertSame(0, $exit, $said);
            self::assertStringNotContainsString('demo studio is loaded', $said);
            $restored = self::everything($this->database($second, $sql));
            // Wherever the pictures lay, all are in their rows now.
            self::assertEquals(self::$photos, array_column($restored['sample_photos'], 'image', 'id'));
            $place = fn (array $all): array => ['sample_photos' => array_map(fn (array $p): array => array_diff_key($p, ['image' => 1, 'stored_on' => 1]), $all['sample_photos'])] + $all;
            self::assertEquals($place($before), $place($restored));
            $base = "http://127.0.0.1:$web";
            $this->signIn($base);
            self::assertSame(201, $this->call('POST', '/api/samples', self::sample($this->everybody($base)[0]), $base)[0]);
            // Restored once more over itself: what was there is kept, both times.
            self::assertSame(0, self::seam(['restore', self::$good], $env)[0]);
            [, $kept] = self::seam(['restore', '--kept'], $env);
            self::assertGreaterThanOrEqual(2, preg_match_all('/^open_seam_\d{8}_\d{6}$/m', $kept), $kept);
        } finally {
            self::seam(['stop'], $env);
            exec('rm -rf '.escapeshellarg($second));
        }
    }

    /** @return iterable<string, array{callable(string): mixed, string}> how the file is spoilt, and what is said */
    public static function spoilt(): iterable
    {
        yield 'cut short' => [fn (string $f) => file_put_contents($f, substr((string) file_get_contents($f), 0, intdiv((int) filesize($f), 2))), 'not a whole backup'];
        yield 'empty' => [fn (string $f) => file_put_contents($f, ''), 'not a whole backup'];
        yield 'an empty gzip' => [fn (string $f) => file_put_contents($f, gzencode('')), 'not a whole backup'];
        yield 'something else' => [fn (string $f) => copy(__FILE__, $f), 'not a whole backup'];
        yield 'a dump that makes itself master' => [fn (string $f) => file_put_contents($f, gzencode("CREATE DATABASE evil; CREATE USER 'evil'@'%' IDENTIFIED BY 'x'; GRANT ALL ON *.* TO 'evil'@'%';")), 'not a whole backup'];
        yield 'a changed row' => [fn (string $f) => self::change($f, 'tables/students.jsonl', fn (string $t): string => str_replace('Isaura', 'Isolde', $t)), 'digest'];
        yield 'a row too few' => [fn (string $f) => self::change($f, 'tables/students.jsonl', fn (string $t): string => substr($t, (int) strpos($t, "\n") + 1)), 'holds'];
        yield 'a part of somebody else' => [fn (string $f) => self::change($f, 'run-me.sql', fn (): string => 'DROP DATABASE mysql;'), 'not in its list of contents'];
        yield 'a newer format' => [fn (string $f) => self::change($f, 'manifest.json', fn (string $t): string => str_replace('"format": 1', '"format": 2', $t)), 'newer Open Seam'];
        yield 'newer tables' => [fn (string $f) => self::change($f, 'manifest.json', fn (string $t): string => str_replace('"2026_01_01_000001_create_studios"', '"2026_01_01_000001_create_studios", "2099_01_01_000001_add_robots"', $t)), 'newer Open Seam'];
        yield 'SQL where a name stands' => [fn (string $f) => self::change($f, 'manifest.json', fn (string $t): string => str_replace('"timezone"', '"timezone`) VALUES (1); DROP TABLE studios; --"', $t)), 'list of contents'];
        yield 'a row that belongs to nobody' => [fn (string $f) => self::forge($f, 'enrolments', function (array $row): array {
            $row[3] = '01h00000000000000000000000';

            return $row;
        }), 'belongs to one that is not there'];
    }

    /** @param  callable(string): string  $do */
    private static function change(string $file, string $part, callable $do): void
    {
        $zip = new ZipArchive;
        $zip->open($file);
        $zip->addFromString($part, $do((string) $zip->getFromName($part)));
        $zip->close();
    }

    /**
     * Changes the first row and makes the list of contents agree, as somebody who knows the format would.
     *
     * @param  callable(list<mixed>): list<mixed>  $do
     */
    private static function forge(string $file, string $table, callable $do): void
    {
        $sha = '';
        self::change($file, "tables/$table.jsonl", function (string $text) use ($do, &$sha): string {
            [$first, $rest] = explode("\n", $text, 2);
            /** @var list<mixed> $row */
            $row = (array) json_decode($first, true);
            $text = json_encode($do($row), JSON_UNESCAPED_UNICODE | JSON_UNESCAPED_SLASHES | JSON_PRESERVE_ZERO_FRACTION)."\n".$rest;
            $sha = hash('sha256', $text);

            return $text;
        });
        self::change($file, 'manifest.json', function (string $text) use ($table, $sha): string {
            $manifest = (array) json_decode($text, true);
            $manifest['tables'][$table]['sha256'] = $sha;

            return (string) json_encode($manifest);
        });
    }

    /** @param  callable(string): mixed  $spoil */
    #[DataProvider('spoilt')]
    public function test_what_is_no_backup_changes_nothing(callable $spoil, string $because): void
    {
        $file = sys_get_temp_dir().'/seam-bad-'.bin2hex(random_bytes(4)).'.backup';
        copy(self::$good, $file);
        $spoil($file);
        $before = self::everything($this->database());
        [$exit, $said] = self::seam(['restore', $file]);
        unlink($file);
        self::assertSame(1, $exit, $said);
        self::assertStringContainsString($because, $said);
        self::assertStringContainsString('nothing was changed', $said);
        self::assertStringNotContainsString('Isaura', $said, 'nothing of what lies in it is told');
        self::assertEquals($before, self::everything($this->database()));
        self::assertSame(200, $this->call('GET', '/up')[0]);
        $this->signIn();
    }

    public function test_a_restore_that_was_killed_goes_on_where_it_was(): void
    {
        $before = self::everything($this->database());
        $process = new Process([self::root().'/seam', 'restore', self::$good], self::root());
        $process->disableOutput();
        $process->start();
        for ($i = 0; $i < 2_000 && count($this->loaded()) < 4; $i++) {
            usleep(2_000);
        }
        // The filling itself, at once; then whoever waits for it.
        exec('pkill -9 -f '.escapeshellarg("[s]eam:restore $this->var"));
        $process->wait();
        $loaded = $this->loaded();
        self::assertNotEmpty($loaded, 'what it had filled in is there');
        self::assertEquals($before, self::everything($this->database()), 'what is served is as it was');
        self::assertSame(200, $this->call('GET', '/up')[0]);
        [$exit, $said] = self::seam(['restore', self::$good]);
        self::assertSame(0, $exit, $said);
        self::assertStringContainsString('goes on where it was', $said);
        $restored = self::everything($this->database());
        self::assertSame(array_keys($before), array_keys($restored));
        self::assertSame(count($before['sample_readings']), count($restored['sample_readings']));
        self::assertEquals($before['samples'], $restored['samples']);
        // And back to what was there before.
        [, $kept] = self::seam(['restore', '--kept']);
        preg_match('/^open_seam_\d{8}_\d{6}$/m', $kept, $m);
        [$exit, $said] = self::seam(['restore', '--use', $m[0] ?? '']);
        self::assertSame(0, $exit, $said);
        self::assertEquals($before, self::everything($this->database()));
        $this->signIn();
        [$exit, $said] = self::seam(['restore', '--use', 'mysql']);
        self::assertSame(1, $exit);
        self::assertStringContainsString('not among the data that were kept', $said);
    }

    /** @return list<string> tables that the restore in hand has filled in; none where none is in hand */
    private function loaded(): array
    {
        $name = trim(explode("\n", (string) @file_get_contents("$this->var/db/restoring"))[0]);
        if ($name === '') {
            return [];
        }
        $account = fileowner("$this->var/db/data") === 0 ? 'root' : (posix_getpwuid((int) fileowner("$this->var/db/data"))['name'] ?? 'mysql');
        exec(sprintf('%s mariadb --no-defaults --socket=%s --user=%s -N -e %s 2>/dev/null', posix_geteuid() === 0 ? "runuser -u $account --" : '', escapeshellarg("$this->var/db/run/my.sock"), $account, escapeshellarg("SELECT of FROM `$name`.restore_progress")), $tables);

        return $tables;
    }

    public function test_a_backup_is_verified_by_command(): void
    {
        [$exit, $said] = self::seam(['backup', '--verify', self::$good]);
        self::assertSame(0, $exit, $said);
        self::assertMatchesRegularExpression('/It is whole: made .*, \d+ rows in \d+ tables, [1-9]\d* photos/', $said);
        self::assertSame(1, self::seam(['backup', '--verify', __FILE__])[0]);
    }
}
