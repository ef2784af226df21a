<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Models\SewingClass;
use App\Printing\Format;
use App\Printing\Pdf;
use App\Printing\Sheet;
use App\Views\PictureView;
use DOMDocument;
use Illuminate\Testing\TestResponse;
use OpenSeam\Core\Course\WallCharts;
use OpenSeam\Core\Curriculum\Bundle;
use OpenSeam\Core\Data;
use OpenSeam\Core\Machine\Foot;
use OpenSeam\Core\Picture\FootPicture;
use OpenSeam\Core\Tests\Support\Fixtures;
use OpenSeam\Core\Words;
use PHPUnit\Framework\Attributes\DataProvider;
use Symfony\Component\HttpFoundation\Response;
use Tests\TestCase;

/** Sheets are true to size: rendered at 254 dpi, where a pixel is a tenth of a millimetre, and measured. */
final class PrintTest extends TestCase
{
    use MeasuresPages;

    private SewingClass $class;

    protected function setUp(): void
    {
        parent::setUp();
        $this->class = $this->sewingClass($this->teacher());
    }

    /** @return iterable<string, array{string, float, float}> */
    public static function formats(): iterable
    {
        // ISO 216 A4 and ANSI A (8.5 × 11 in).
        yield 'A4' => ['A4', 210.0, 297.0];
        yield 'Letter' => ['Letter', 215.9, 279.4];
    }

    #[DataProvider('formats')]
    public function test_the_bar_is_100_mm(string $format, float $width, float $height): void
    {
        $page = self::page($this->get("/api/lessons/first-seam/print?what=sampler&format=$format"));
        self::assertEqualsWithDelta($width, $page[1] / 10, 0.2);
        self::assertEqualsWithDelta($height, $page[2] / 10, 0.2);
        [$from, $length] = self::darkRun($page, (int) round(($height - 14) * 10));
        self::assertEqualsWithDelta(100.0, $length, 0.2);
        self::assertEqualsWithDelta(10.0, $from, 0.2);
    }

    public function test_a_sampler_is_printed_at_true_size(): void
    {
        // First seam: a piece of 100 × 150 mm, the row 15.9 mm from its right edge.
        $page = self::page($this->get('/api/lessons/first-seam/print?what=sampler'));
        [$from, $length] = self::darkRun($page, 100);
        self::assertEqualsWithDelta(100.0, $length, 0.3 + 0.2, 'width of the piece, with its line');
        self::assertEqualsWithDelta(10.0, $from, 0.2);
        [$pixels, $width] = $page;
        $dark = fn (float $x, float $y): bool => min(array_map(fn (int $d): int => ord($pixels[((int) round($y * 10)) * $width + (int) round($x * 10) + $d]), range(-2, 2))) < 128;
        // The foot of the piece and the seam line, found where they belong, nothing beside them.
        self::assertTrue($dark(60.0, 160.0), 'the lower edge 150 mm below the upper');
        $column = array_sum(array_map(fn (int $mm): int => $dark(10 + 100 - 15.9, 10.0 + $mm) ? 1 : 0, range(20, 120)));
        self::assertGreaterThan(70, $column, 'the row at 15.9 mm');
        self::assertLessThan(5, array_sum(array_map(fn (int $mm): int => $dark(10 + 100 - 18.0, 10.0 + $mm) ? 1 : 0, range(20, 120))));
    }

    /** One side, half of the sheet in the printer, in our own type, for every lesson; and the same for Letter. */
    public function test_every_students_card_is_one_side(): void
    {
        foreach (Fixtures::bundle()->lessons as $id => $lesson) {
            [$pages, $size, $fonts, $text] = self::looked((string) $this->get("/api/lessons/$id/print?what=card")->assertOk()->getContent());
            self::assertSame(1, $pages, $id);
            self::assertSame([148, 210], $size, $id);
            self::assertStringContainsString('AtkinsonHyperlegible', $fonts);
            foreach ($lesson->steps as $i => $step) {
                self::assertMatchesRegularExpression('/\b'.($i + 1).'\s/', $text, "$id: step ".($i + 1));
            }
            self::assertGreaterThanOrEqual(9.0, self::smallest((string) $this->get("/api/lessons/$id/print?what=card")->getContent()) + 0.05, $id);
        }
        self::assertSame([140, 216], self::looked((string) $this->get('/api/lessons/guides/print?what=card&format=Letter')->assertOk()->getContent())[1]);
    }

    public function test_charts_come_whole_and_in_two_sheets(): void
    {
        foreach (WallCharts::ALL as $chart) {
            [$pages, $size] = self::looked((string) $this->get("/api/print/chart?chart=$chart")->assertOk()->getContent());
            self::assertSame([1, [297, 420]], [$pages, $size], $chart);
            [$pages, $size] = self::looked((string) $this->get("/api/print/chart?chart=$chart&sheets=tiles")->assertOk()->getContent());
            // What is one row of pictures needs no second sheet.
            self::assertSame([$chart === 'feet' ? 1 : 2, [297, 210]], [$pages, $size], $chart);
        }
        $this->assertProblem($this->getJson('/api/print/chart?chart=stars'), 422, 'chart', 'zigzag');
        $this->assertProblem($this->getJson('/api/print/chart?chart=feet&sheets=nine'), 422, 'sheets', 'tiles');
    }

    /** What is drawn to scale is as large on paper as it is on the machine: a zigzag of 5 mm, measured. */
    public function test_the_zigzag_ladder_is_true_to_size(): void
    {
        $page = self::page($this->get('/api/print/chart?chart=zigzag'));
        [$pixels, $width] = $page;
        // The first cell: a dense row of 5 mm on its cloth. Down through its middle the thread is one dark stretch.
        $best = 0.0;
        for ($x = 250; $x < 600; $x++) {
            $run = $longest = 0;
            for ($y = 250; $y < 1100; $y++) {
                $run = ord($pixels[$y * $width + $x]) < 60 ? $run + 1 : 0;
                $longest = max($longest, $run);
            }
            $best = max($best, $longest / 10);
        }
        self::assertEqualsWithDelta(5.0, $best, 0.5, 'the swing and the thickness of its line');
    }

    /** The same shapes on the screen and on paper: where SVG has them, PDF has them. */
    public function test_screen_and_paper_draw_the_same(): void
    {
        $picture = FootPicture::of(Foot::read(Data::of(['kind' => 'standard'])), 'above');
        $view = PictureView::of($picture, Words::in());
        $sheet = (new Sheet(Format::A4, 'foot'))->blank(100, 100);
        $scale = $sheet->drawing($picture, Words::in(), 10, 10, 80, 80);
        $answer = Pdf::of($sheet->bytes(), 'foot');
        /** @var TestResponse<Response> $response */
        $response = new TestResponse($answer);
        [$pixels, $width] = self::page($response);
        // The opening is the dark box; its corners in the picture's own mm are those of the SVG path.
        $dark = array_values(array_filter($view->shapes, fn (array $s): bool => $s['role'] === 'dark'))[0]['d'];
        preg_match_all('/-?\d+(?:\.\d+)?/', $dark, $m);
        $xs = array_map(floatval(...), array_filter($m[0], fn (int $i): bool => $i % 2 === 0, ARRAY_FILTER_USE_KEY));
        $left = 10 + (80 - $view->box['width'] * $scale) / 2 - $view->box['left'] * $scale;
        $top = 10 + (80 - $view->box['height'] * $scale) / 2 - $view->box['top'] * $scale;
        $y = (int) round(($top + 0.9 * $scale) * 10);
        [$from, $long] = self::darkRun([$pixels, $width, 1000], $y);
        self::assertEqualsWithDelta($left + min($xs ?: [0.0]) * $scale, $from, 0.4);
        self::assertEqualsWithDelta((max($xs ?: [0.0]) - min($xs ?: [0.0])) * $scale, $long, 0.6);
    }

    /**
     * @return array{int, array{int, int}, string, string} pages, size in mm, fonts, text
     */
    private static function looked(string $pdf): array
    {
        $file = (string) tempnam(sys_get_temp_dir(), 'seam-card');
        file_put_contents($file, $pdf);
        $info = (string) shell_exec('pdfinfo '.escapeshellarg($file));
        $fonts = (string) shell_exec('pdffonts '.escapeshellarg($file));
        $text = (string) shell_exec('pdftotext -layout '.escapeshellarg($file).' -');
        unlink($file);
        preg_match('/Pages:\s+(\d+)/', $info, $p);
        preg_match('/Page size:\s+([\d.]+) x ([\d.]+)/', $info, $s);

        return [(int) ($p[1] ?? 0), [(int) round((float) ($s[1] ?? 0) * 25.4 / 72), (int) round((float) ($s[2] ?? 0) * 25.4 / 72)], $fonts, $text];
    }

    /** Of all type on its pages, pt. */
    private static function smallest(string $pdf): float
    {
        $file = (string) tempnam(sys_get_temp_dir(), 'seam-card');
        file_put_contents($file, $pdf);
        $xml = (string) shell_exec('pdftohtml -xml -i -stdout '.escapeshellarg($file).' 2>/dev/null');
        unlink($file);
        // In its own pixels, one and a half to the point.
        preg_match_all('/<fontspec[^>]* size="(\d+)" family="[^"]*Atkinson/', $xml, $m);

        return $m[1] === [] ? 0.0 : min(array_map(floatval(...), $m[1])) / 1.5 + 0.34;
    }

    public function test_a_sampler_larger_than_the_page_comes_in_tiles(): void
    {
        // Gathers: 300 mm wide, two tiles across.
        $pdf = (string) $this->get('/api/lessons/gathers/print?what=sampler')->assertOk()->getContent();
        self::assertSame(2, preg_match_all('#/Type /Page\b#', $pdf));
        $second = self::page($this->get('/api/lessons/gathers/print?what=sampler'), 2);
        // The strip ends 300 mm from its start: on the second tile, which begins 180 mm further (190 less 10 of overlap).
        [$from, $length] = self::darkRun($second, 100);
        self::assertEqualsWithDelta(10.0 + 300 - 180, $from + $length, 0.4);
    }

    public function test_svg_has_a_millimetre_for_each_unit(): void
    {
        foreach (['first-seam' => [100, 150], 'guides' => [212, 150], 'curve-and-corner' => [140, 150]] as $lesson => [$width, $height]) {
            $svg = new DOMDocument;
            self::assertTrue($svg->loadXML((string) $this->get("/api/lessons/$lesson/svg")->assertOk()->assertHeader('Content-Type', 'image/svg+xml')->getContent()));
            $root = $svg->documentElement;
            self::assertSame(["{$width}mm", "{$height}mm", "0 0 $width $height"], [$root?->getAttribute('width'), $root?->getAttribute('height'), $root?->getAttribute('viewBox')]);
            foreach ($svg->getElementsByTagName('polyline') as $row) {
                foreach (explode(' ', $row->getAttribute('points')) as $point) {
                    [$x, $y] = array_map(floatval(...), explode(',', $point));
                    self::assertTrue($x >= 0 && $x <= $width && $y >= 0 && $y <= $height, "$lesson $point");
                }
            }
        }
    }

    public function test_everything_can_be_printed(): void
    {
        foreach (['card', 'teacher'] as $what) {
            foreach (self::bundle()->lessons->ids() as $lesson) {
                self::assertStringStartsWith('%PDF', (string) $this->get("/api/lessons/$lesson/print?what=$what")->assertOk()->getContent());
            }
        }
        self::assertSame(4, preg_match_all('#/Type /Page\b#', (string) $this->get('/api/lessons/first-seam/print?what=drills')->assertOk()->getContent()), 'four drills, a page each');
        foreach (['seats', 'bench', 'materials', 'handout', 'pack'] as $what) {
            self::assertStringStartsWith('%PDF', (string) $this->get("/api/classes/{$this->class->id}/print?what=$what")->assertOk()->getContent());
        }
        self::assertStringStartsWith('%PDF', (string) $this->get("/api/classes/{$this->class->id}/students/{$this->student($this->class)}/print")->assertOk()->getContent());
        self::assertNotSame($this->get('/api/print/paper-drive')->getContent(), $this->get('/api/print/paper-drive?hand=left')->getContent());
    }

    public function test_what_cannot_be_printed_is_named(): void
    {
        $this->assertProblem($this->getJson('/api/lessons/safe-seat/print?what=sampler'), 422, 'what', 'no sampler');
        $this->assertProblem($this->getJson('/api/lessons/guides/print?what=poster'), 422, 'what', 'sampler, card, teacher, drills');
        $this->assertProblem($this->getJson('/api/lessons/fault-hunt/print?what=drills'), 422, 'what', 'no rows to print');
        $this->assertProblem($this->getJson('/api/lessons/guides/print?what=card&format=A0'), 422, 'format', 'A4, Letter');
        $this->assertProblem($this->getJson('/api/lessons/knitting/print?what=card'), 422, 'lesson', 'Known');
        $this->assertProblem($this->getJson('/api/print/paper-drive?hand=both'), 422, 'hand', 'right, left');
        $this->assertProblem($this->getJson("/api/classes/{$this->class->id}/print?what=all"), 422, 'what', 'seats');
    }

    public function test_the_shopping_list_adds_up_and_remembers_the_cupboard(): void
    {
        $address = "/api/classes/{$this->class->id}/materials";
        $cloth = fn (string $query = ''): array => (array) array_column((array) $this->getJson($address.$query)->assertOk()->json('lines'), null, 'item')['cloth'];
        $need = (float) $cloth()['amount'];
        self::assertGreaterThan(0.5, $need);
        $this->putJson($address, ['item' => 'cloth', 'have' => 0.5, 'price' => 8.4, 'ticked' => true])->assertNoContent();
        $line = $cloth();
        self::assertEqualsWithDelta($need - 0.5, $line['buy'], 1e-9);
        self::assertEqualsWithDelta(($need - 0.5) * 8.4, $line['cost'], 0.005);
        self::assertTrue($line['ticked']);
        $all = $this->getJson($address);
        self::assertEqualsWithDelta($line['cost'] / 3, $all->json('cost_each'), 0.01);
        // Twice the samples, about twice the cloth; one session needs less than the course.
        self::assertGreaterThan($need, (float) $cloth('?samples_each=8')['amount']);
        self::assertLessThan($need, (float) (array_column((array) $this->getJson("$address?session=3")->assertOk()->json('lines'), null, 'item')['cloth']['amount'] ?? 0.0));
        $this->putJson($address, ['item' => 'cloth', 'ticked' => false])->assertNoContent();
        self::assertFalse($cloth()['ticked']);
        $this->assertProblem($this->getJson("$address?session=99"), 422, 'session', '1 to 6');
        $this->assertProblem($this->getJson("$address?samples_each=0"), 422, 'samples_each', 'From 1 to 20');
        $this->assertProblem($this->putJson($address, ['item' => 'cloth', 'price' => -1]), 422, 'price', 'at least 0');
        $this->assertProblem($this->putJson($address, ['item' => '<script>']), 422, 'item', '');
    }

    public function test_the_list_says_from_when_something_is_short(): void
    {
        $address = "/api/classes/{$this->class->id}/materials";
        $this->putJson("/api/classes/{$this->class->id}/plan", ['version' => 2, 'sessions' => [['safe-seat', 'wind-and-thread'], ['needle-and-foot'], ['paper-drive', 'first-seam'], ['length-ladder'], ['guides'], ['square-spiral']]])->assertOk();
        $lines = fn (): array => array_column((array) $this->getJson($address)->assertOk()->json('lines'), null, 'item');
        // The first session is over, the second is running and cuts nothing; the third sews the first seam.
        self::assertSame('2030-05-16T18:30:00Z', $lines()['cloth']['short_on']);
        self::assertSame('2030-05-09T18:30:00Z', $lines()['needle']['short_on']);
        $first = (array) array_column((array) $this->getJson("$address?session=3")->json('lines'), null, 'item');
        $this->putJson($address, ['item' => 'cloth', 'have' => $first['cloth']['amount']]);
        self::assertSame('2030-05-23T18:30:00Z', $lines()['cloth']['short_on'], 'enough for one seam, short a week later');
        $this->putJson($address, ['item' => 'thread.dark-blue', 'have' => 8]);
        self::assertNull($lines()['thread.dark-blue']['short_on']);
        $this->putJson($address, ['item' => 'needle', 'ticked' => true]);
        self::assertNull($lines()['needle']['short_on'], 'ticked: it is there');
    }

    public function test_the_list_is_counted_in_what_the_shop_sells(): void
    {
        $address = "/api/classes/{$this->class->id}/materials";
        $cloth = fn (): float => (float) array_column((array) $this->getJson($address)->json('lines'), 'amount', 'item')['cloth'];
        $wide = $cloth();
        $this->putJson('/api/shop', ['cloth_width_mm' => 700, 'selvedge_mm' => 10, 'spool_m' => 20])->assertOk()->assertJsonPath('cloth_width_mm', 700);
        self::assertEqualsWithDelta(2 * $wide * 1370 / 1360, $cloth(), 0.35 * $wide, 'half as wide, about twice as long');
        $this->getJson($address)->assertJsonPath('shop', ['cloth_width_mm' => 700, 'selvedge_mm' => 10, 'spool_m' => 20, 'currency' => '']);
        $this->putJson('/api/shop', ['cloth_width_mm' => 700, 'selvedge_mm' => 10, 'spool_m' => 20, 'currency' => 'GBP'])->assertOk()->assertJsonPath('currency', 'GBP');
        $this->assertProblem($this->putJson('/api/shop', ['cloth_width_mm' => 700, 'selvedge_mm' => 10, 'spool_m' => 20, 'currency' => 'pounds']), 422, 'currency', '');
        $this->putJson('/api/shop', ['cloth_width_mm' => 700, 'selvedge_mm' => 10, 'spool_m' => 20, 'currency' => ''])->assertOk()->assertJsonPath('currency', '');
        $this->assertProblem($this->putJson('/api/shop', ['cloth_width_mm' => 70, 'selvedge_mm' => 10, 'spool_m' => 20]), 422, 'cloth_width_mm', '300 to 3000');
        $this->assertProblem($this->putJson('/api/shop', ['cloth_width_mm' => 1400, 'selvedge_mm' => 10, 'spool_m' => 'long']), 422, 'spool_m', '');
        self::assertStringStartsWith('%PDF', (string) $this->get("/api/classes/{$this->class->id}/print?what=materials")->assertOk()->getContent());
    }

    public function test_a_long_print_tells_how_far_it_is_and_can_be_stopped(): void
    {
        [$job, $other] = ['01jbq3zz7h4x8v1m2n3p4q5r6s', '01jbq3zz7h4x8v1m2n3p4q5r6t'];
        $this->getJson("/api/jobs/$job")->assertOk()->assertExactJson(['done' => 0, 'of' => 0, 'found' => null]);
        $this->get("/api/classes/{$this->class->id}/print?what=pack&job=$job")->assertOk();
        // Eight lessons, the seat cards and the cutting plans.
        $this->getJson("/api/jobs/$job")->assertExactJson(['done' => 10, 'of' => 10, 'found' => null]);
        $this->deleteJson("/api/jobs/$other")->assertNoContent();
        $this->assertProblem($this->getJson("/api/classes/{$this->class->id}/print?what=pack&job=$other"), 409, 'job', 'stopped');
        $this->assertProblem($this->getJson("/api/classes/{$this->class->id}/print?what=pack&job=mine"), 422, 'job', 'ULID');
        // Another studio's job is none of theirs.
        $this->actingAs($this->teacher('Other'));
        $this->getJson("/api/jobs/$job")->assertExactJson(['done' => 0, 'of' => 0, 'found' => null]);
    }

    private static function bundle(): Bundle
    {
        return Fixtures::bundle();
    }
}
