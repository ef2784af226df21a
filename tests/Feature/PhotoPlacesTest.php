<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Models\SewingClass;
use App\Support\Backup\Tables;
use App\Support\Photos\PhotoAway;
use App\Support\Photos\PhotoPlaces;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Storage;
use PHPUnit\Framework\Attributes\DataProvider;
use Symfony\Component\Process\Process;
use Tests\TestCase;

/** Photos moved between the database, a folder and a store that speaks S3: the same picture each time, wherever it is stopped. */
final class PhotoPlacesTest extends TestCase
{
    private SewingClass $class;

    private string $student;

    private string $folder;

    private ?Process $store = null;

    protected function setUp(): void
    {
        parent::setUp();
        $this->class = $this->sewingClass($this->teacher());
        $this->student = $this->student($this->class);
        $this->folder = sys_get_temp_dir().'/seam-photos-'.bin2hex(random_bytes(5));
        mkdir("$this->folder/store", 0700, true);
        config(['filesystems.disks.disk.root' => "$this->folder/disk", 'seam.photos' => 'disk']);
    }

    protected function tearDown(): void
    {
        $this->store?->stop(1);
        exec('rm -rf '.escapeshellarg($this->folder));
        parent::tearDown();
    }

    /** A store of its own, on a free port. */
    private function openStore(): void
    {
        $free = stream_socket_server('tcp://127.0.0.1:0');
        self::assertNotFalse($free);
        $at = (string) stream_socket_get_name($free, false);
        fclose($free);
        $this->store = new Process([PHP_BINARY, '-S', $at, base_path('tests/ObjectStore.php')], null, ['STORE' => "$this->folder/store"]);
        $this->store->start();
        for ($i = 0; $i < 100 && @fsockopen('127.0.0.1', (int) explode(':', $at)[1]) === false; $i++) {
            usleep(50_000);
        }
        config(['filesystems.disks.s3' => ['endpoint' => "http://$at", 'bucket' => 'made-up-bucket', 'key' => 'made-up-key', 'secret' => 'made-up secret', 'root' => 'photos'] + config()->array('filesystems.disks.s3'), 'seam.photos' => 's3']);
    }

    /** @return list<string> ids of photos of one sample */
    private function photos(int $many): array
    {
        $this->postJson('/api/samples', $this->seam($this->class, $this->student))->assertCreated();
        $sample = (string) DB::table('samples')->orderByDesc('id')->value('id');
        $ids = array_map(fn (int $i): string => '01jbq3zz7h4x8v1m2n3p4q5r6'.'abcdef'[$i], range(0, $many - 1));
        foreach ($ids as $i => $id) {
            $this->sendPicture("/api/samples/$sample/photos?id=$id&row=seam", $this->picture(300 + 10 * $i, 200))->assertCreated();
        }

        return $ids;
    }

    private function seen(string $id): string
    {
        return (string) $this->get("/api/photos/$id")->assertOk()->assertHeader('Content-Type', 'image/jpeg')->getContent();
    }

    /** @return array<string, string|null> the disk by photo */
    private function where(): array
    {
        return DB::table('sample_photos')->orderBy('id')->pluck('stored_on', 'id')->all();
    }

    /** @return list<string> files under the folder, without their way */
    private function files(string $of): array
    {
        exec('find '.escapeshellarg("$this->folder/$of").' -type f 2>/dev/null', $found);

        return array_map(fn (string $f): string => basename(rawurldecode($f)), $found);
    }

    private function movePhotos(string $more = ''): void
    {
        $this->artisan("seam:photos $more")->assertSuccessful();
    }

    /** @return iterable<string, array{string}> */
    public static function places(): iterable
    {
        yield 'a folder' => ['disk'];
        yield 'a store that speaks S3' => ['s3'];
    }

    #[DataProvider('places')]
    public function test_there_and_back_it_is_the_same_picture(string $place): void
    {
        $place === 'disk' || $this->openStore();
        $ids = $this->photos(3);
        $before = array_map($this->seen(...), $ids);
        self::assertSame([null, null, null], array_values($this->where()), 'kept with its row first');
        $this->movePhotos();
        self::assertSame([$place, $place, $place], array_values($this->where()));
        self::assertSame(0, (int) DB::table('sample_photos')->sum(DB::raw('length(image)')));
        self::assertCount(3, $this->files($place === 'disk' ? 'disk' : 'store'));
        self::assertSame($before, array_map($this->seen(...), $ids));
        self::assertSame($before, array_map(fn (array $p): string => (string) base64_decode($p['jpeg_base64']), (array) $this->get("/api/classes/{$this->class->id}/students/{$this->student}/data?as=json")->assertOk()->json('photos')), 'in what the student takes along');
        // Taken away: the file goes with it.
        $this->deleteJson("/api/photos/$ids[1]")->assertNoContent();
        self::assertCount(2, $this->files($place === 'disk' ? 'disk' : 'store'));
        $this->movePhotos('--to=database');
        self::assertSame([null, null], array_values($this->where()));
        self::assertSame([], $this->files($place === 'disk' ? 'disk' : 'store'));
        self::assertSame([$before[0], $before[2]], [$this->seen($ids[0]), $this->seen($ids[2])]);
    }

    public function test_from_a_folder_into_a_store(): void
    {
        $ids = $this->photos(2);
        $before = array_map($this->seen(...), $ids);
        $this->movePhotos();
        $this->openStore();
        $this->movePhotos();
        self::assertSame(['s3', 's3'], array_values($this->where()));
        self::assertSame([[], 2], [$this->files('disk'), count($this->files('store'))]);
        self::assertSame($before, array_map($this->seen(...), $ids));
    }

    public function test_files_are_closed_to_everybody_else(): void
    {
        $ids = $this->photos(1);
        $this->movePhotos();
        exec('find '.escapeshellarg("$this->folder/disk").' -name "*.jpg" -printf "%m "', $modes);
        self::assertSame('600', trim($modes[0] ?? ''));
        self::assertSame(["$ids[0].jpg"], $this->files('disk'));
        // Somebody of another studio is told that there is nothing.
        $this->actingAs($this->teacher('Next door'))->getJson("/api/photos/$ids[0]")->assertNotFound();
    }

    public function test_stopped_between_the_file_and_its_row_nothing_is_lost(): void
    {
        $ids = $this->photos(2);
        $before = array_map($this->seen(...), $ids);
        // What a move leaves that was killed there: a file, cut short, and a row that still holds its picture.
        $path = PhotoPlaces::path(DB::getDatabaseName(), (string) $this->class->studio_id, $ids[0]);
        Storage::disk('disk')->put($path, substr($before[0], 0, 100));
        self::assertSame($before[0], $this->seen($ids[0]));
        $this->movePhotos('--sweep');
        self::assertSame(['disk', 'disk'], array_values($this->where()));
        self::assertSame($before, array_map($this->seen(...), $ids));
    }

    public function test_a_disk_that_does_not_take_it_leaves_it_in_its_row(): void
    {
        $ids = $this->photos(2);
        $before = array_map($this->seen(...), $ids);
        file_put_contents("$this->folder/disk", 'no folder');
        $this->artisan('seam:photos')->assertFailed()->expectsOutputToContain('does not answer');
        self::assertSame([null, null], array_values($this->where()));
        self::assertSame($before, array_map($this->seen(...), $ids));
        $this->artisan('seam:photos --to=moon')->assertFailed()->expectsOutputToContain('database, disk, s3');
    }

    public function test_a_store_that_is_away_and_a_file_that_is_lost_are_told_apart(): void
    {
        $this->openStore();
        $ids = $this->photos(2);
        $this->movePhotos();
        array_map(fn (string $f) => str_ends_with($f, "$ids[1].jpg") && unlink($f), glob("$this->folder/store/*") ?: []);
        $this->assertProblem($this->getJson("/api/photos/$ids[1]"), 404, '(photo)', 'lost');
        self::assertCount(1, (array) $this->get("/api/classes/{$this->class->id}/students/{$this->student}/data?as=json")->assertOk()->json('photos'));
        $tables = new Tables(DB::connection());
        $columns = $tables->all()['sample_photos'];
        self::assertSame(2, $tables->digest('sample_photos', $columns)['rows'], 'a lost one keeps no backup from being made');
        $this->store?->stop(1);
        $this->assertProblem($this->getJson("/api/photos/$ids[0]"), 503, '(photo)', 'Try again');
        $this->expectExceptionMessage('does not answer');
        $tables->digest('sample_photos', $columns);
    }

    public function test_a_backup_holds_the_picture_wherever_it_lies(): void
    {
        $this->photos(2);
        $tables = new Tables(DB::connection());
        $columns = $tables->all()['sample_photos'];
        $before = $tables->digest('sample_photos', $columns);
        $this->movePhotos();
        self::assertSame($before, $tables->digest('sample_photos', $columns));
    }

    public function test_files_whose_photo_is_gone_are_swept_out(): void
    {
        $ids = $this->photos(3);
        $this->movePhotos();
        $other = Storage::disk('disk');
        $other->put('open_seam_put_aside/'.$this->class->studio_id.'/x.jpg', 'JPEG');
        DB::table('sample_photos')->where('id', $ids[0])->delete();
        $this->artisan('seam:photos --sweep')->assertSuccessful()->expectsOutputToContain('1 files');
        self::assertSame(3, count($this->files('disk')), 'two photos, and one of data that were put aside');
        $this->artisan('seam:photos --forget=open_seam_put_aside')->assertSuccessful();
        self::assertSame(2, count($this->files('disk')));
        $this->artisan('seam:photos --forget='.DB::getDatabaseName())->assertFailed();
        $this->artisan('seam:photos --forget=../disk')->assertFailed();
        // With its studio all of them go.
        DB::table('studios')->where('id', $this->class->studio_id)->delete();
        $this->movePhotos('--sweep');
        self::assertSame([], $this->files('disk'));
    }

    public function test_whoever_asks_is_never_told_where_it_lies(): void
    {
        $this->expectExceptionObject(PhotoAway::lost());
        (new PhotoPlaces)->read('disk', 'nowhere.jpg');
    }
}
