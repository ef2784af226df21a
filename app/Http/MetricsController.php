<?php

declare(strict_types=1);

namespace App\Http;

use App\Records\Facts;
use App\Support\Metrics\Counts;
use App\Support\Metrics\DatabaseNodes;
use App\Support\Metrics\OpenMetrics;
use Carbon\CarbonImmutable;
use Illuminate\Http\Request;
use Illuminate\Http\Response;
use Illuminate\Support\Facades\DB;
use Throwable;

/** The numbers an operator watches (docs/run/watching.md), of this server; whoever asks needs the word that was set for it. */
final readonly class MetricsController
{
    public function __invoke(Request $request): Response
    {
        $token = config()->string('seam.metrics_token', '');
        $token !== '' || abort(404);
        hash_equals($token, (string) $request->bearerToken()) || abort(401);
        $all = Counts::all();
        $text = (new OpenMetrics)
            ->info('open_seam', 'This server.', ['node' => config()->string('seam.node'), 'php' => PHP_VERSION])
            ->gauge('open_seam_counting', '1 where there is shared memory to count in, else all counts are missing.', Counts::areKept() ? 1 : 0)
            ->counter('open_seam_requests', 'Answers by route and kind.', $all['open_seam_requests'] ?? [])
            ->histogram('open_seam_request_seconds', 'What answers took, by route.', $all['open_seam_request_seconds_bucket'] ?? [], $all['open_seam_request_seconds_count'] ?? [], $all['open_seam_request_seconds_sum'] ?? []);
        foreach ([
            'open_seam_kept' => 'What was kept: samples and corrections.',
            'open_seam_judgements' => 'Verdicts on kept samples.',
            'open_seam_transactions_again' => 'Transactions begun again, because another one got in the way or a node went away.',
            'open_seam_slow_queries' => 'Queries that took longer than half a second.',
            'open_seam_sign_ins_refused' => 'Sign-ins with a wrong password, or too many.',
        ] as $name => $help) {
            $text->counter($name, $help, $all[$name] ?? []);
        }
        $this->machine($text);
        $this->database($text);

        return new Response($text->text(), 200, ['Content-Type' => OpenMetrics::TYPE]);
    }

    private function machine(OpenMetrics $text): void
    {
        $free = @disk_free_space(config()->string('seam.var'));
        $text->gauge('open_seam_disk_free_bytes', 'Room on the disk of this server’s own files.', $free === false ? null : $free, 'bytes');
        $cache = function_exists('opcache_get_status') ? @opcache_get_status(false) : false;
        $text->gauge('open_seam_code_cache_full_ratio', 'Share of the memory for compiled code that is taken.', is_array($cache) ? 1 - $cache['memory_usage']['free_memory'] / array_sum(array_intersect_key($cache['memory_usage'], ['used_memory' => 1, 'free_memory' => 1, 'wasted_memory' => 1])) : null, 'ratio');
    }

    private function database(OpenMetrics $text): void
    {
        $from = hrtime(true);
        try {
            DB::select('SELECT 1');
            $seconds = (hrtime(true) - $from) / 1e9;
            $nodes = DatabaseNodes::read();
            $last = Facts::of(Facts::LAST_BACKUP);
        } catch (Throwable) {
            $text->gauge('open_seam_database_up', '1 where the database answers.', 0);

            return;
        }
        $text->gauge('open_seam_database_up', '1 where the database answers.', 1)
            ->gauge('open_seam_database_answer_seconds', 'How long it took to ask it nothing, with the way there.', $seconds, 'seconds')
            ->gauge('open_seam_backup_age_seconds', 'Age of the last backup that was read back whole; missing: there is none.', $last === null ? null : max(0, CarbonImmutable::now('UTC')->getTimestamp() - CarbonImmutable::parse($last)->getTimestamp()), 'seconds');
        if ($nodes !== null) {
            $text->gauge('open_seam_database_nodes', 'Nodes of the database that are in.', $nodes->in)
                ->gauge('open_seam_database_nodes_wanted', 'Nodes there should be.', $nodes->of)
                ->gauge('open_seam_database_primary', '1 where more than half are in, so that what is kept is kept.', $nodes->primary ? 1 : 0)
                ->gauge('open_seam_database_changes_waiting', 'Changes of other nodes that the one that answers has not taken over yet.', $nodes->waiting)
                ->gauge('open_seam_database_held_ratio', 'Share of the time in which writing waited for the slowest node.', $nodes->held, 'ratio')
                ->gauge('open_seam_database_conflicts', 'Transactions of this node that another one got in the way of.', $nodes->conflicts);
        }
    }
}
