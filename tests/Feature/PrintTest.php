<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Models\SewingClass;
use DOMDocument;
use Illuminate\Testing\TestResponse;
use OpenSeam\Core\Curriculum\Bundle;
use OpenSeam\Core\Tests\Support\Fixtures;
use PHPUnit\Framework\Attributes\DataProvider;
use Symfony\Component\HttpFoundation\Response;
use Tests\TestCase;

/** Sheets are true to size: rendered at 254 dpi, where a pixel is a tenth of a millimetre, and measured. */
final class PrintTest extends TestCase
{
    private SewingClass $class;

    protected function setUp(): void
    {
        parent::setUp();
        $this->class = $this->sewingClass($this->teacher());
    }

    /**
     * @param  TestResponse<Response>  $answer
     * @return array{string, int, int} grey pixels row by row, width, height
     */
    private static function page(TestResponse $answer, int $page = 1): array
    {
        $answer->assertOk()->assertHeader('Content-Type', 'application/pdf');
        $file = (string) tempnam(sys_get_temp_dir(), 'seam-print');
        file_put_contents($file, (string) $answer->getContent());
        exec(sprintf('pdftoppm -r 254 -gray -f %d -l %1$d %s %s', $page, escapeshellarg($file), escapeshellarg($file)), $said, $exit);
        self::assertSame(0, $exit, implode("\n", $said));
        $image = glob("$file-*.pgm")[0] ?? '';
        $bytes = (string) file_get_contents($image);
        array_map(unlink(...), [$file, $image]);
        self::assertSame(1, preg_match('/^P5\s+(\d+)\s+(\d+)\s+255\s/', $bytes, $m));

        return [substr($bytes, strlen($m[0])), (int) $m[1], (int) $m[2]];
    }

    /**
     * The longest dark run of a row of pixels, in mm: from, length.
     *
     * @param  array{string, int, int}  $page
     * @return array{float, float}
     */
    private static function darkRun(array $page, int $y): array
    {
        [$pixels, $width] = $page;
        $best = [0, 0];
        $from = null;
        for ($x = 0; $x <= $width; $x++) {
            $dark = $x < $width && ord($pixels[$y * $width + $x]) < 128;
            if ($dark) {
                $from ??= $x;
            } elseif ($from !== null) {
                $best = $x - $from > $best[1] ? [$from, $x - $from] : $best;
                $from = null;
            }
        }

        return [$best[0] / 10, $best[1] / 10];
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
            foreach (array_keys(self::bundle()->lessons) as $lesson) {
                self::assertStringStartsWith('%PDF', (string) $this->get("/api/lessons/$lesson/print?what=$what")->assertOk()->getContent());
            }
        }
        foreach (['seats', 'materials', 'pack'] as $what) {
            self::assertStringStartsWith('%PDF', (string) $this->get("/api/classes/{$this->class->id}/print?what=$what")->assertOk()->getContent());
        }
        self::assertNotSame($this->get('/api/print/paper-drive')->getContent(), $this->get('/api/print/paper-drive?hand=left')->getContent());
    }

    public function test_what_cannot_be_printed_is_named(): void
    {
        $this->assertProblem($this->getJson('/api/lessons/safe-seat/print?what=sampler'), 422, 'what', 'no sampler');
        $this->assertProblem($this->getJson('/api/lessons/guides/print?what=poster'), 422, 'what', 'sampler, card, teacher');
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

    private static function bundle(): Bundle
    {
        return Fixtures::bundle();
    }
}
