<?php

declare(strict_types=1);

namespace Tests\Recovery;

/** A request that hangs on the database gives it up and is answered; the others go on. */
final class SlowTest extends RecoveryCase
{
    public function test_a_request_that_hangs_is_ended_and_answered(): void
    {
        $this->signIn();
        $database = $this->database();
        // Whoever reads a class waits until the table is let go.
        $database->exec('LOCK TABLES classes WRITE');
        [$status, $answer] = $this->call('GET', '/api/me');
        self::assertSame(503, $status, (string) json_encode($answer));
        // It is asked twice, four seconds each; were it not, the manager of the workers would end the request after ten.
        self::assertSame('(database)', data_get($answer, 'error.field'));
        self::assertStringContainsString('does not answer', (string) data_get($answer, 'error.message'));
        $database->exec('UNLOCK TABLES');
        self::assertSame(200, $this->call('GET', '/api/me')[0], 'and once it is let go, all goes on');
    }
}
