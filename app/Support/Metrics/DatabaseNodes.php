<?php

declare(strict_types=1);

namespace App\Support\Metrics;

use Illuminate\Support\Facades\DB;

/** How the nodes of the database stand together, as the one that answers sees it. */
final readonly class DatabaseNodes
{
    private function __construct(
        /** How many are in. */
        public int $in,
        /** How many there should be, by the list the node was given. */
        public int $of,
        /** More than half are in: what is kept is kept. */
        public bool $primary,
        /** Changes of others that this one has not taken over yet. */
        public int $waiting,
        /** Share of the time in which writing had to wait for the slowest, since the node was started. */
        public float $held,
        /** Transactions of this node that another one got in the way of, since it was started. */
        public int $conflicts,
    ) {}

    /** Null where there is one database only. */
    public static function read(): ?self
    {
        $status = self::all('SHOW GLOBAL STATUS LIKE \'wsrep\\_%\'');
        if (($status['wsrep_cluster_status'] ?? 'Disconnected') === 'Disconnected') {
            return null;
        }
        $list = (string) preg_replace('#^gcomm://([^?]*).*$#', '$1', self::all('SHOW GLOBAL VARIABLES LIKE \'wsrep_cluster_address\'')['wsrep_cluster_address'] ?? '');

        return new self(
            (int) ($status['wsrep_cluster_size'] ?? 0), $list === '' ? 1 : substr_count($list, ',') + 1, $status['wsrep_cluster_status'] === 'Primary',
            (int) ($status['wsrep_local_recv_queue'] ?? 0), (float) ($status['wsrep_flow_control_paused'] ?? 0), (int) ($status['wsrep_local_cert_failures'] ?? 0),
        );
    }

    /** @return array<string, string> */
    private static function all(string $show): array
    {
        $all = [];
        foreach (DB::select($show) as $row) {
            [$name, $value] = array_values((array) $row);
            is_string($name) && $all[$name] = is_scalar($value) ? (string) $value : '';
        }

        return $all;
    }
}
