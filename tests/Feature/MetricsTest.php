<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Http\Middleware\Measured;
use App\Places\Account\ShowMe;
use App\Support\Metrics\Counts;
use App\Support\Metrics\OpenMetrics;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Log;
use RuntimeException;
use Tests\TestCase;

/** The numbers an operator watches and the lines of the log: enough to find what is wrong, nothing of a person. */
final class MetricsTest extends TestCase
{
    /** Lines as the format has them: openmetrics.io, specification 1.0, its ABNF. */
    private const LINE = '/^(# (TYPE [a-z_]+ (gauge|counter|histogram|info)|UNIT [a-z_]+ [a-z]+|HELP [a-z_]+ .+)|[a-z_]+(\{([a-z_]+="(?:[^"\\\\\n]|\\\\.)*",?)+\})? -?\d+(\.\d+)?|# EOF)$/D';

    public function test_only_who_says_the_word_is_told(): void
    {
        $this->get('/metrics')->assertNotFound();
        config(['seam.metrics_token' => 'a word of some length']);
        $this->get('/metrics')->assertUnauthorized();
        $this->get('/metrics', ['Authorization' => 'Bearer another word'])->assertUnauthorized();
        $answer = $this->get('/metrics', ['Authorization' => 'Bearer a word of some length'])->assertOk();
        self::assertSame(OpenMetrics::TYPE, $answer->headers->get('Content-Type'));
        $answer->assertCookieMissing('open_seam_session');
    }

    public function test_the_text_is_of_the_format(): void
    {
        config(['seam.metrics_token' => 'a word of some length']);
        $text = (string) $this->get('/metrics', ['Authorization' => 'Bearer a word of some length'])->getContent();
        self::assertStringEndsWith("# EOF\n", $text);
        $seen = [];
        foreach (explode("\n", rtrim($text)) as $line) {
            self::assertMatchesRegularExpression(self::LINE, $line);
            if (preg_match('/^# TYPE (\S+)/', $line, $m) === 1) {
                self::assertNotContains($m[1], $seen, 'a family stands in one place');
                $seen[] = $m[1];
            }
        }
        self::assertContains('open_seam_database_up', $seen);
        self::assertStringContainsString("open_seam_database_up 1\n", $text);
    }

    public function test_a_histogram_adds_up_and_labels_are_escaped(): void
    {
        $of = fn (array $labels, float $value): array => ['labels' => $labels, 'value' => $value];
        $text = (new OpenMetrics)
            ->histogram('took', 'How long.', [$of(['route' => 'a', 'le' => '0.05'], 3), $of(['route' => 'a', 'le' => '0.01'], 2), $of(['route' => 'b', 'le' => '0.01'], 9)], [$of(['route' => 'a'], 6)], [$of(['route' => 'a'], 12.25)])
            ->counter('odd', "What is\nodd.", [$of(['said' => "a \"b\"\\\n"], 1)])->text();
        self::assertStringContainsString('took_bucket{route="a",le="0.010"} 2'."\n", $text);
        self::assertStringContainsString('took_bucket{route="a",le="0.025"} 2'."\n", $text);
        self::assertStringContainsString('took_bucket{route="a",le="0.050"} 5'."\n", $text);
        self::assertStringContainsString('took_bucket{route="a",le="10.000"} 5'."\n", $text);
        self::assertStringContainsString('took_bucket{route="a",le="+Inf"} 6'."\n", $text);
        self::assertStringContainsString('took_sum{route="a"} 12.25'."\n", $text);
        self::assertStringContainsString('# HELP odd What is\nodd.'."\n", $text);
        self::assertStringContainsString('odd_total{said="a \"b\"\\\\\n"} 1'."\n", $text);
        foreach (explode("\n", rtrim($text)) as $line) {
            self::assertMatchesRegularExpression(self::LINE, $line);
        }
    }

    public function test_each_request_has_an_id_that_goes_through_the_log(): void
    {
        $id = (string) $this->get('/up')->headers->get(Measured::HEADER);
        self::assertMatchesRegularExpression('/^[0-9a-z]{26}$/', $id);
        // A balancer's own id goes on; what is none is not written anywhere.
        self::assertSame('0b9c3f2e-4a1d-4c55-9a64-0f7d8f6a2b11', $this->get('/up', [Measured::HEADER => '0b9c3f2e-4a1d-4c55-9a64-0f7d8f6a2b11'])->headers->get(Measured::HEADER));
        self::assertNotSame('x" y', $this->get('/up', [Measured::HEADER => 'x" y'])->headers->get(Measured::HEADER));
        $log = (string) tempnam(sys_get_temp_dir(), 'seam-log');
        config(['logging.channels.daily' => ['driver' => 'single', 'path' => $log] + config()->array('logging.channels.daily'), 'logging.default' => 'daily']);
        Log::forgetChannel('daily');
        app()->bind(ShowMe::class, fn () => throw new RuntimeException('it broke'));
        $answer = $this->actingAs($this->teacher())->getJson('/api/me')->assertStatus(500);
        $lines = array_map(fn (string $line): mixed => json_decode($line, true), array_values(array_filter(explode("\n", (string) file_get_contents($log)))));
        unlink($log);
        $id = $answer->headers->get(Measured::HEADER);
        self::assertCount(1, $lines);
        self::assertSame($id, data_get($lines, '0.extra.request'));
        // Whoever saw it fail can say which one it was.
        self::assertStringContainsString((string) $id, (string) json_encode($answer->json('error.message')));
    }

    public function test_nothing_of_a_person_is_written_where_a_query_is_slow(): void
    {
        $log = (string) tempnam(sys_get_temp_dir(), 'seam-log');
        config(['logging.channels.daily' => ['driver' => 'single', 'path' => $log] + config()->array('logging.channels.daily'), 'logging.default' => 'daily']);
        Log::forgetChannel('daily');
        DB::select('SELECT SLEEP(0.6), ?', ['Ona of the second row']);
        $line = json_decode((string) file_get_contents($log), true);
        unlink($log);
        self::assertSame('slow query', data_get($line, 'message'));
        self::assertSame('SELECT SLEEP(0.6), ?', data_get($line, 'context.sql'));
        self::assertGreaterThanOrEqual(600, data_get($line, 'context.ms'));
        self::assertStringNotContainsString('Ona', (string) json_encode($line));
    }

    public function test_counts_are_kept_in_shared_memory_where_there_is_some(): void
    {
        // The command line has none unless it is told so: then nothing is counted, and nothing fails.
        Counts::add('open_seam_kept', ['what' => 'sample']);
        Counts::took('open_seam_request_seconds', 0.3, ['route' => 'x']);
        self::assertSame(Counts::areKept(), Counts::all() !== []);
        $kept = shell_exec(sprintf('%s -d apc.enable_cli=1 -r %s', PHP_BINARY, escapeshellarg('require "'.base_path('vendor/autoload.php').'"; use App\Support\Metrics\Counts; Counts::add("a", ["b" => "c d&e"]); Counts::add("a", ["b" => "c d&e"], 2); Counts::took("t", 0.03, ["r" => "x"]); Counts::took("t", 99, ["r" => "x"]); echo json_encode(Counts::all());')));
        self::assertSame([
            'a' => [['labels' => ['b' => 'c d&e'], 'value' => 3]],
            't_bucket' => [['labels' => ['r' => 'x', 'le' => '0.05'], 'value' => 1]],
            't_count' => [['labels' => ['r' => 'x'], 'value' => 2]],
            't_sum' => [['labels' => ['r' => 'x'], 'value' => 99.03]],
        ], json_decode((string) $kept, true));
    }
}
