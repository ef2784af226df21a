<?php

declare(strict_types=1);

namespace App\Support\Database;

use Illuminate\Database\Connectors\MariaDbConnector;
use PDO;

/** Says what a connection goes by while it is made, once; one that a worker kept is ready, without two more questions in each request. */
final class ReadyConnector extends MariaDbConnector
{
    /** @param  array{charset: string, collation: string, timezone: string, modes: list<string>, options: array<int, mixed>}  $config */
    public function connect(array $config): PDO
    {
        $also = $config['options'][PDO::MYSQL_ATTR_INIT_COMMAND] ?? '';
        $config['options'][PDO::MYSQL_ATTR_INIT_COMMAND] = sprintf("SET NAMES '%s' COLLATE '%s', time_zone = '%s', SESSION sql_mode = '%s'", $config['charset'], $config['collation'], $config['timezone'], implode(',', $config['modes']))
            .(is_string($also) && str_starts_with($also, 'SET ') ? ', '.substr($also, 4) : '');

        return $this->createConnection($this->getDsn($config), $config, $this->getOptions($config));
    }
}
