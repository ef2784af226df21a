<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Models\CameraComparison;
use App\Models\Student;
use App\Places\Look\Lens;
use App\Support\CurrentStudio;
use App\Support\QrCode;
use App\Support\SlipCode;
use Illuminate\Support\Facades\Cache;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Str;
use OpenSeam\Core\Scan\CardView;
use OpenSeam\Core\Scan\Raster;
use OpenSeam\Core\Tests\Support\PhotographedCard;
use Tests\TestCase;

/** Ruler beside camera, a phone beside the screen, a student's own camera, and the slip that says whose a sample is. */
final class CameraTest extends TestCase
{
    private static string $photo = '';

    private static function photo(): string
    {
        return self::$photo = self::$photo === '' ? PhotographedCard::firstSeam(tilt: 6.0, turn: 2.0, slip: QrCode::rows(SlipCode::of('01jzzzzzzzzzzzzzzzzzzzzzzz'))) : self::$photo;
    }

    /** @return array<string, mixed> */
    private static function sample(int $i, float $off = 0.0): array
    {
        $by = fn (array $values, string $sure): array => ['seam.allowance' => array_map(fn (float $v): string => sprintf('%.2f%s', $v, $sure), $values)];

        return ['id' => '01JZZZZZZZZZZZZZZZZZZZZZ'.sprintf('%02d', $i), 'lesson' => 'first-seam', 'ruler' => $by([15.0, 15.5, 16.0], ' ±0.10'), 'camera' => $by([15.0 + $off, 15.5 - $off, 16.0], ' ±0.10')];
    }

    public function test_ten_samples_say_how_sure_the_camera_is_and_a_picture_goes_by_them(): void
    {
        $teacher = $this->teacher();
        $this->actingAs($teacher)->getJson('/api/camera')->assertOk()->assertExactJson(['samples' => 0, 'enough' => 10, 'last' => null, 'kinds' => []]);
        $u = fn (string $more = ''): float => (float) preg_replace('/^.*±/', '', $this->sendPicture("/api/scans/sampler?lesson=first-seam$more", self::photo())->assertOk()->json('rows.0.readings')['seam.allowance'][2]);
        $said = $u();
        for ($i = 0; $i < 10; $i++) {
            $i !== 9 || self::assertSame($said, $u(), 'nothing follows before there are ten');
            $this->postJson('/api/camera/samples', self::sample($i, 0.4))->assertCreated()->assertJsonPath('samples', $i + 1)->assertJsonPath('last', strtolower(self::sample($i)['id']));
        }
        // Sent twice by a shaky line it is one.
        $kind = $this->postJson('/api/camera/samples', self::sample(9, 0.4))->assertCreated()->assertJsonPath('samples', 10)->json('kinds.0');
        self::assertSame(['allowance', 10, 30, false], [$kind['what'], $kind['samples'], $kind['values'], $kind['biased']]);
        self::assertCount(30, $kind['pairs']);
        self::assertGreaterThan(3.0, $kind['factor']);
        self::assertEqualsWithDelta($said * $kind['factor'], $u(), 0.03);
        self::assertSame($said, $u('&bare=yes'), 'compared with a ruler it is as the picture says');
        $this->actingAs($this->teacher())->getJson('/api/camera')->assertOk()->assertJsonPath('samples', 0);
        $this->actingAs($teacher)->deleteJson('/api/camera/samples/'.self::sample(3)['id'])->assertOk()->assertJsonPath('samples', 9)->assertJsonPath('kinds.0.factor', 1);
        $this->deleteJson('/api/camera')->assertOk()->assertJsonPath('kinds', []);
        self::assertSame($said, $u());
    }

    public function test_what_cannot_be_compared_is_said_and_nothing_is_kept(): void
    {
        $this->actingAs($this->teacher());
        $send = fn (array $with) => $this->postJson('/api/camera/samples', $with + self::sample(1));
        $this->assertProblem($send(['ruler' => ['seam.allowance' => ['about this']]]), 422, 'ruler.seam.allowance[0]', 'about this');
        $this->assertProblem($send(['camera' => ['seam.sleeve' => ['15']]]), 422, 'camera.seam.sleeve', 'seam.allowance');
        $this->assertProblem($send(['ruler' => ['seam.allowance' => ['', '', '', '', '15']]]), 422, 'ruler', 'both by ruler and by camera');
        $this->assertProblem($send(['ruler' => ['seam.allowance' => ['31']]]), 422, 'ruler', 'not the same place');
        $this->assertProblem($send(['lesson' => 'knitting']), 422, 'lesson', 'Known');
        $this->assertProblem($send(['id' => 'one']), 422, 'id', 'ULID');
        $this->assertProblem($send(['version' => 0]), 422, 'version', '1');
        self::assertSame(0, DB::table('camera_comparisons')->count());
    }

    public function test_there_is_an_end_of_comparing(): void
    {
        $teacher = $this->teacher();
        $this->app?->make(CurrentStudio::class)->within($teacher->studio_id, function (): void {
            for ($i = 0; $i < 60; $i++) {
                CameraComparison::query()->create(['sample' => strtolower((string) Str::ulid()), 'what' => 'length', 'ruler_mm' => 2.5, 'ruler_u_mm' => 0.03, 'camera_mm' => 2.5, 'camera_u_mm' => 0.02, 'compared_at' => now()]);
            }
        });
        $this->assertProblem($this->actingAs($teacher)->postJson('/api/camera/samples', self::sample(1)), 422, 'id', '60');
    }

    public function test_a_phone_sends_what_only_its_screen_fetches_and_only_once(): void
    {
        $teacher = $this->teacher();
        $opened = $this->actingAs($teacher)->postJson('/api/lenses')->assertCreated();
        $lens = $opened->json('lens');
        self::assertStringEndsWith("/lens/$lens", $opened->json('address'));
        self::assertNotEmpty($opened->json('code'));
        $this->getJson("/api/lenses/$lens")->assertOk()->assertExactJson([]);
        // The phone has no account.
        $this->app?->make('auth')->forgetGuards();
        $this->getJson("/api/lens/$lens")->assertNoContent();
        $this->sendPicture("/api/lens/$lens", self::photo())->assertNoContent();
        $this->assertProblem($this->sendPicture("/api/lens/$lens", 'no picture'), 422, '(body)', 'JPEG or PNG');
        $this->assertProblem($this->sendPicture("/api/lens/$lens", str_repeat('x', 3_600_000)), 422, '(body)', '3500000');
        $this->getJson('/api/lens/'.str_repeat('a', 40))->assertNotFound();
        $this->sendPicture('/api/lens/'.str_repeat('a', 40), self::photo())->assertNotFound();
        $this->getJson("/api/lenses/$lens")->assertUnauthorized();
        // Nor does any other teacher get at it.
        $this->actingAs($this->teacher())->getJson("/api/lenses/$lens")->assertNotFound();
        $this->get("/api/lenses/$lens/pictures/1")->assertNotFound();
        $this->actingAs($teacher)->getJson("/api/lenses/$lens")->assertOk()->assertExactJson([1]);
        self::assertSame(self::photo(), $this->get("/api/lenses/$lens/pictures/1")->assertOk()->assertHeader('Content-Type', 'image/jpeg')->getContent());
        $this->get("/api/lenses/$lens/pictures/1")->assertNotFound();
        $this->getJson("/api/lenses/$lens?after=1")->assertOk()->assertExactJson([]);
        $this->sendPicture("/api/lens/$lens", self::photo())->assertNoContent();
        $this->getJson("/api/lenses/$lens?after=1")->assertOk()->assertExactJson([2]);
        $this->deleteJson("/api/lenses/$lens")->assertNoContent();
        $this->sendPicture("/api/lens/$lens", self::photo())->assertNotFound();
        self::assertNull(Cache::get('lens:'.hash('sha256', $lens).':2'), 'what waited is gone with it');
    }

    public function test_a_phone_fills_nobodys_disk(): void
    {
        $this->actingAs($this->teacher());
        $lens = $this->postJson('/api/lenses')->json('lens');
        $at = Lens::at($lens);
        self::assertNotNull($at);
        for ($i = 0; $i < 20; $i++) {
            $at->send($this->picture(60, 60));
        }
        $this->assertProblem($this->sendPicture("/api/lens/$lens", $this->picture(60, 60)), 422, '(body)', '20 pictures wait');
        $this->travel(16)->minutes();
        $this->getJson("/api/lenses/$lens")->assertExactJson([]);
        $this->travel(3)->hours();
        $this->getJson("/api/lens/$lens")->assertNotFound();
    }

    public function test_a_student_photographs_by_the_private_link(): void
    {
        $teacher = $this->teacher();
        $class = $this->sewingClass($teacher);
        $student = $this->student($class);
        $page = $this->actingAs($teacher)->postJson("/api/classes/{$class->id}/students/$student/page")->json('page');
        $this->app?->make('auth')->forgetGuards();
        $read = $this->sendPicture("/api/page/$page/scan?lesson=first-seam", self::photo())->assertOk()->assertJsonPath('cannot', null);
        self::assertCount(5, $read->json('rows.0.readings')['seam.allowance']);
        $this->assertProblem($this->sendPicture("/api/page/$page/scan?lesson=knitting", self::photo()), 422, 'lesson', 'shelf');
        $this->assertProblem($this->sendPicture("/api/page/$page/scan?lesson=first-seam", 'x'), 422, '(body)', 'JPEG');
        $this->sendPicture('/api/page/'.str_repeat('a', 40).'/scan?lesson=first-seam', self::photo())->assertNotFound();
        self::assertStringStartsWith('%PDF', (string) $this->get("/api/page/$page/card?format=Letter")->assertOk()->getContent());
        $this->get('/api/page/'.str_repeat('a', 40).'/card')->assertNotFound();
    }

    public function test_the_box_for_the_slip_is_found_with_the_card(): void
    {
        $this->actingAs($this->teacher());
        $slip = $this->sendPicture('/api/scans/sampler?lesson=first-seam', self::photo())->assertOk()->json('slip');
        self::assertCount(4, $slip);
        // In it the code’s dark and light cells lie, and nowhere beside the card’s words.
        $view = CardView::of(Raster::read(self::photo()));
        self::assertInstanceOf(CardView::class, $view);
        self::assertEqualsWithDelta($view->slip()[0], $slip[0], 0.01);
        $picture = imagecreatefromstring(self::photo());
        self::assertNotFalse($picture);
        [$left, $top, $right, $bottom] = [(int) $slip[0][0], (int) $slip[0][1], (int) $slip[2][0], (int) $slip[2][1]];
        $dark = 0;
        for ($x = $left; $x < $right; $x++) {
            for ($y = $top; $y < $bottom; $y++) {
                $dark += (imagecolorat($picture, $x, $y) & 255) < 90 ? 1 : 0;
            }
        }
        self::assertEqualsWithDelta(0.5 * 22.5 ** 2 / 47 ** 2, $dark / (($right - $left) * ($bottom - $top)), 0.05);
        $this->sendPicture('/api/scans/sampler?lesson=first-seam&dpi=300', self::photo())->assertOk()->assertJsonPath('slip', []);
    }

    /** What the printer gets says who it is: the PDF is drawn by poppler, its code by what writes it. */
    public function test_slips_of_a_class_are_printed_one_for_each(): void
    {
        $teacher = $this->teacher();
        $class = $this->sewingClass($teacher);
        $this->student($class);
        $pdf = (string) $this->actingAs($teacher)->get("/api/classes/{$class->id}/print?what=slips")->assertOk()->getContent();
        $file = (string) tempnam(sys_get_temp_dir(), 'seam-slips');
        file_put_contents($file, $pdf);
        $text = (string) shell_exec('pdftotext '.escapeshellarg($file).' -');
        unlink($file);
        foreach (Student::query()->withoutGlobalScopes()->where('studio_id', $teacher->studio_id)->pluck('name') as $name) {
            self::assertSame(1, substr_count($text, (string) $name));
        }
        self::assertStringContainsString('Cut along the lines', $text);
    }
}
