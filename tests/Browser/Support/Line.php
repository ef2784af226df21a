<?php

declare(strict_types=1);

namespace Tests\Browser\Support;

use RuntimeException;

/** A line to the server that can be cut and mended, for everything in the browser: the page and its worker. */
final class Line
{
    /** @var resource|null */
    private mixed $process = null;

    private function __construct(private readonly string $to, private readonly int $port) {}

    /** @param  string  $base  of the server, such as http://127.0.0.1:8080 */
    public static function to(string $base): self
    {
        $socket = stream_socket_server('tcp://127.0.0.1:0') ?: throw new RuntimeException('No port is free.');
        $port = (int) substr((string) strrchr((string) stream_socket_get_name($socket, false), ':'), 1);
        fclose($socket);
        $line = new self((string) preg_replace('~^https?://|/$~', '', $base), $port);
        register_shutdown_function($line->cut(...));
        $line->mend();

        return $line;
    }

    public function base(): string
    {
        return "http://127.0.0.1:$this->port";
    }

    public function mend(): void
    {
        if ($this->process === null) {
            $process = proc_open([PHP_BINARY, __DIR__.'/line.php', (string) $this->port, $this->to], [['file', '/dev/null', 'r'], ['file', '/dev/null', 'a'], ['file', '/dev/null', 'a']], $pipes);
            $this->process = $process === false ? throw new RuntimeException('There is no line.') : $process;
            Wait::until('the line', fn (): bool => @fsockopen('127.0.0.1', $this->port) !== false);
        }
    }

    public function cut(): void
    {
        if ($this->process !== null) {
            proc_terminate($this->process, 9);
            proc_close($this->process);
            $this->process = null;
        }
    }
}
