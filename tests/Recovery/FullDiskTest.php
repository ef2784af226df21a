<?php

declare(strict_types=1);

namespace Tests\Recovery;

/** A disk without room: said clearly, nothing half kept, and it goes on when there is room again. */
final class FullDiskTest extends RecoveryCase
{
    public function test_a_full_disk_is_said_and_saves_go_on_when_there_is_room(): void
    {
        $disk = sys_get_temp_dir().'/seam-full-'.bin2hex(random_bytes(3));
        mkdir($disk, 0755);
        exec('mount -t tmpfs -o size=520m,mode=755 tmpfs '.escapeshellarg($disk).' 2>&1', $said, $exit);
        if ($exit !== 0) {
            // Where no small disk can be made the answer alone is looked at: HardRequestsTest does so everywhere.
            fwrite(STDERR, 'no small disk can be made here: '.implode(' ', $said)."\n");
            $this->addToAssertionCount(1);

            return;
        }
        $env = ['SEAM_VAR' => "$disk/v", 'SEAM_PORT' => $web = (string) random_int(20000, 30000), 'SEAM_DB_PORT' => (string) random_int(30001, 32000), 'SEAM_NO_SCHEDULER' => '1'];
        $base = "http://127.0.0.1:$web";
        try {
            [$exit, $said] = self::seam(['start'], $env);
            self::assertSame(0, $exit, $said);
            $this->signIn($base);
            $everybody = $this->everybody($base);
            file_put_contents("$disk/v/fill", '');
            $fill = fopen("$disk/v/fill", 'wb');
            self::assertNotFalse($fill);
            while (@fwrite($fill, str_repeat('x', 65_536)) === 65_536);
            fclose($fill);
            // What room the tables have left within themselves is used up first.
            $kept = $refused = 0;
            for ($i = 0; $i < 3_000 && $refused < 3; $i++) {
                [$status, $answer] = $this->call('POST', '/api/samples', self::sample($everybody[$i % count($everybody)]), $base);
                if ($status === 201) {
                    $kept++;

                    continue;
                }
                $refused++;
                self::assertContains($status, [507, 503], (string) json_encode($answer));
                self::assertNotSame('', (string) data_get($answer, 'error.message'));
            }
            self::assertSame(3, $refused, "after $kept samples there was still room");
            [$exit, $said] = self::seam(['doctor'], $env);
            self::assertSame(1, $exit);
            self::assertStringContainsString('MB are free on the disk', $said);
            [$exit, $said] = self::seam(['start'], $env);
            self::assertSame(1, $exit);
            self::assertStringContainsString('MB are free', $said);
            unlink("$disk/v/fill");
            $sample = self::sample($everybody[0]);
            for ($i = 0; $i < 100 && ($status = $this->call('POST', '/api/samples', $sample, $base)[0]) !== 201; $i++) {
                usleep(200_000);
            }
            self::assertSame(201, $status, 'it goes on by itself');
        } finally {
            self::seam(['stop'], $env);
            exec('umount '.escapeshellarg($disk));
            @rmdir($disk);
        }
    }
}
