<?php

declare(strict_types=1);

// A line to the server that can be cut: php line.php PORT HOST:PORT. Whatever comes goes on, both ways, until it is ended.
[, $port, $to] = $argv;
$server = stream_socket_server("tcp://127.0.0.1:$port") ?: exit(1);
/** @var array<int, array{resource, resource}> $pairs by number of each end: the end and the other one */
$pairs = [];
while (true) {
    $read = [$server, ...array_column($pairs, 0)];
    $none = null;
    if (stream_select($read, $none, $none, 5) === false) {
        exit(1);
    }
    foreach ($read as $from) {
        if ($from === $server) {
            $here = @stream_socket_accept($server, 0);
            $there = $here === false ? false : @stream_socket_client("tcp://$to", $code, $said, 2);
            if ($here !== false && $there !== false) {
                stream_set_blocking($here, false);
                stream_set_blocking($there, false);
                $pairs[(int) $here] = [$here, $there];
                $pairs[(int) $there] = [$there, $here];
            } elseif ($here !== false) {
                fclose($here);
            }

            continue;
        }
        if (! isset($pairs[(int) $from])) {
            continue;
        }
        $to_ = $pairs[(int) $from][1];
        $bytes = (string) @fread($from, 65536);
        if ($bytes === '' && feof($from)) {
            unset($pairs[(int) $from], $pairs[(int) $to_]);
            fclose($from);
            fclose($to_);

            continue;
        }
        for ($left = $bytes; $left !== '';) {
            $wrote = @fwrite($to_, $left);
            if ($wrote === false) {
                break;
            }
            $left = substr($left, $wrote);
            $wrote === 0 && usleep(500);
        }
    }
}
