<?php

declare(strict_types=1);

namespace Tests\Recovery;

/** A request that hangs is ended after ten seconds and answered; the others go on. */
final class SlowTest extends RecoveryCase
{
    public function test_a_request_that_hangs_is_ended_and_answered(): void
    {
        $this->signIn();
        $database = $this->database();
        // Whoever reads a class waits until the table is let go.
        $database->exec('LOCK TABLES classes WRITE');
        $from = microtime(true);
        [$status, $answer] = $this->call('GET', '/api/me');
        $took = microtime(true) - $from;
        self::assertSame(503, $status, (string) json_encode($answer));
        self::assertSame('(server)', data_get($answer, 'error.field'));
        self::assertStringContainsString('busy', (string) data_get($answer, 'error.message'));
        // The manager of the workers looks every second or so, by its manual.
        self::assertEqualsWithDelta(11.0, $took, 2.5);
        $database->exec('UNLOCK TABLES');
        self::assertSame(200, $this->call('GET', '/api/me')[0], 'a new worker stands in its place');
    }
}
