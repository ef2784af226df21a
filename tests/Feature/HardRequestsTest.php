<?php

declare(strict_types=1);

namespace Tests\Feature;

use PHPUnit\Framework\Attributes\DataProvider;
use Tests\TestCase;

/** What was once answered with an error of the program, or stopped everybody else. */
final class HardRequestsTest extends TestCase
{
    /** @return iterable<string, array{string, string}> address, and the field that is named */
    public static function addresses(): iterable
    {
        yield 'what as a list' => ['/api/lessons/first-seam/print?what[]=card', 'what'];
        yield 'format as a list' => ['/api/lessons/first-seam/print?what=card&format[]=A4', 'format'];
        yield 'hand as a list' => ['/api/print/paper-drive?hand[x]=left', 'hand'];
        yield 'q as a list' => ['/api/settings?q[]=x', 'q'];
        yield 'a zero in a word' => ['/api/find?q=a%00b', 'q'];
        yield 'half a letter' => ['/api/settings?q=%FF', 'q'];
        yield 'a whole page' => ['/api/find?q='.str_repeat('x', 2_001), 'q'];
    }

    #[DataProvider('addresses')]
    public function test_what_follows_the_question_mark_is_plain_text(string $address, string $field): void
    {
        $this->actingAs($this->teacher());
        $this->assertProblem($this->getJson($address), 422, $field, 'must be');
    }

    /** @return iterable<string, array{string, string, array<string, mixed>, string}> */
    public static function bodies(): iterable
    {
        $class = ['name' => 'T', 'students' => ['Ona'], 'starts_on' => '2030-06-02', 'time' => '18:30', 'sessions' => 6, 'minutes' => 120, 'helpers' => 0, 'machines' => 8];
        yield 'a zero in a day' => ['POST', '/api/classes', ['starts_on' => "a\u{0000}b"] + $class, 'starts_on'];
        yield 'a number for a day' => ['POST', '/api/classes', ['starts_on' => 1e300] + $class, 'starts_on'];
        yield 'a name of 70,000 letters' => ['POST', '/api/classes', ['name' => str_repeat('x', 70_000)] + $class, 'name'];
        yield 'a list in a list' => ['POST', '/api/classes', ['students' => [[null]]] + $class, 'students.0'];
        yield 'cloth without an end' => ['PUT', '/api/shop', ['cloth_width_mm' => '1e999', 'selvedge_mm' => 15, 'spool_m' => 200], 'cloth_width_mm'];
        yield 'the smallest number there is' => ['POST', '/api/compute/read-stitch-length', ['stitches' => 5e-324, 'span_mm' => 25, 'target_mm' => 2.5, 'met_mm' => 0.2, 'near_mm' => 0.4], 'stitches'];
    }

    /** @param  array<string, mixed>  $body */
    #[DataProvider('bodies')]
    public function test_nonsense_is_named_at_its_field(string $method, string $address, array $body, string $field): void
    {
        $this->actingAs($this->teacher());
        $response = $this->json($method, $address, $body);
        self::assertSame([422, $field], [$response->status(), $response->json('error.field')]);
    }

    /** @return iterable<string, array{string, string, array<string, mixed>, string}> */
    public static function longLists(): iterable
    {
        $many = array_fill(0, 15_000, 1);
        yield 'students' => ['POST', '/api/classes', ['students' => $many], 'students'];
        yield 'wishes' => ['POST', '/api/plan/estimate', ['home' => $many], 'home'];
        yield 'together' => ['POST', '/api/plan/estimate', ['together' => [$many]], 'together.0'];
        yield 'dates' => ['POST', '/api/classes', ['closed' => $many], 'closed'];
        yield 'weekdays' => ['POST', '/api/classes', ['weekdays' => $many], 'weekdays'];
        yield 'hunts' => ['POST', '/api/hunts', ['seen' => $many], 'seen'];
        yield 'faults' => ['POST', '/api/samples', ['faults' => $many], 'faults'];
    }

    /** @param  array<string, mixed>  $body */
    #[DataProvider('longLists')]
    public function test_long_lists_are_turned_away_before_anybody_looks_into_them(string $method, string $address, array $body, string $field): void
    {
        $this->actingAs($this->teacher());
        $response = $this->json($method, $address, $body);
        self::assertSame([422, $field], [$response->status(), $response->json('error.field')]);
        self::assertStringContainsString('at most', (string) $response->json('error.message'));
    }

    public function test_a_picture_is_refused_by_the_size_it_declares(): void
    {
        $class = $this->sewingClass($this->teacher());
        $sample = $this->seam($class, $this->student($class));
        $this->postJson('/api/samples', $sample)->assertCreated();
        $row = fn (int $width): string => "\0".str_repeat("\0", intdiv($width, 8));
        $chunk = fn (string $type, string $data): string => pack('N', strlen($data)).$type.$data.pack('N', crc32($type.$data));
        // 30 megapixels of nothing in four kilobytes.
        $png = "\x89PNG\r\n\x1a\n".$chunk('IHDR', pack('NNCCCCC', 6000, 5000, 1, 0, 0, 0, 0)).$chunk('IDAT', (string) gzcompress(str_repeat($row(6000), 5000), 9)).$chunk('IEND', '');
        self::assertLessThan(5_000, strlen($png));
        memory_reset_peak_usage();
        $before = memory_get_peak_usage();
        $this->assertProblem($this->sendPicture("/api/samples/{$sample['id']}/photos?id=01m8gv34ygeqnsg5pqg9kxf9ab", $png), 422, '(body)', 'too large');
        self::assertLessThan(20_000_000, memory_get_peak_usage() - $before);
    }
}
