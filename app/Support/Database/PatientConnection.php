<?php

declare(strict_types=1);

namespace App\Support\Database;

use App\Support\Metrics\Counts;
use Closure;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\MariaDbConnection;
use Illuminate\Database\QueryException;
use Illuminate\Support\Facades\DB;
use Throwable;
use WeakMap;

/**
 * A transaction that another one got in the way of, here or on another node of the
 * database, is tried again from its beginning; so is one whose node went away before
 * it was to be confirmed. What a model was before comes back with it: otherwise a
 * change that was rolled back would pass for one that was made.
 */
final class PatientConnection extends MariaDbConnection
{
    private const ATTEMPTS = 5;

    /** Before the second try, ms; twice as long before each that follows, and as much again by lot. */
    private const PAUSE_MS = 15;

    /** Before a try on another node, ms: as long as it takes until the one that went away is known to be away. */
    private const AWAY_MS = 700;

    /** It waited too long for what others have confirmed; it is not, or not yet, one of those who know. */
    private const BEHIND = [1205, 1047];

    /** @var WeakMap<Model, array{array<string, mixed>, array<string, mixed>, bool}>|null of models that were written in the transaction in hand: attributes, originals, whether there was a row */
    private ?WeakMap $before = null;

    /** A model is about to be written or deleted. */
    public static function noteBefore(Model $model): void
    {
        $connection = DB::connection();
        if ($connection instanceof self && $connection->transactionLevel() > 0) {
            $connection->before ??= new WeakMap;
            /** @var array<string, mixed> $attributes */
            $attributes = $model->getAttributes();
            /** @var array<string, mixed> $original */
            $original = $model->getRawOriginal();
            $connection->before[$model] ??= [$attributes, $original, $model->exists];
        }
    }

    /**
     * What a node that is read at cannot tell, because it is behind or was cut off, is asked of the one that is written at.
     *
     * @param  string  $query
     * @param  array<array-key, mixed>  $bindings
     * @param  bool  $useReadPdo
     * @param  mixed  ...$more  whatever else the framework asks by
     * @return array<array-key, mixed>
     */
    public function select($query, $bindings = [], $useReadPdo = true, ...$more): array
    {
        try {
            return parent::select($query, $bindings, $useReadPdo, ...$more);
        } catch (QueryException $e) {
            if (! $useReadPdo || $this->readPdo === null || $this->transactions > 0 || ! in_array($e->errorInfo[1] ?? null, self::BEHIND, true)) {
                throw $e;
            }
            $this->useWriteConnectionWhenReading();

            return parent::select($query, $bindings, false, ...$more);
        }
    }

    /**
     * @template T
     *
     * @param  Closure(static): T  $callback
     * @param  int  $attempts
     * @return T
     *
     * @throws Throwable
     */
    public function transaction(Closure $callback, $attempts = self::ATTEMPTS)
    {
        // Only the outermost one can begin again.
        if ($this->transactionLevel() > 0) {
            return parent::transaction($callback);
        }
        $this->before = null;
        try {
            return parent::transaction($callback, max(1, (int) $attempts));
        } finally {
            $this->before = null;
        }
    }

    protected function handleTransactionException(Throwable $e, $currentAttempt, $maxAttempts): void
    {
        if ($this->transactions === 1 && $this->causedByLostConnection($e) && $currentAttempt < $maxAttempts) {
            $this->transactions = 0;
            $this->transactionsManager?->rollback((string) $this->getName(), 0);
            $this->disconnect();
            $this->again($currentAttempt, self::AWAY_MS);

            return;
        }
        parent::handleTransactionException($e, $currentAttempt, $maxAttempts);
        $this->again($currentAttempt, self::PAUSE_MS);
    }

    protected function handleCommitTransactionException(Throwable $e, $currentAttempt, $maxAttempts): void
    {
        // Whether it was confirmed when its node went away is not known here: whoever sent it sends it again under the same id.
        parent::handleCommitTransactionException($e, $currentAttempt, $maxAttempts);
        $this->again($currentAttempt, self::PAUSE_MS);
    }

    private function again(int $attempt, int $pauseMs): void
    {
        Counts::add('open_seam_transactions_again');
        foreach ($this->before ?? [] as $model => [$attributes, $original, $exists]) {
            $model->setRawAttributes($original, true)->setRawAttributes($attributes);
            [$model->exists, $model->wasRecentlyCreated] = [$exists, false];
        }
        $this->before = null;
        $pause = $pauseMs * 2 ** ($attempt - 1);
        usleep(1000 * random_int($pause, 2 * $pause));
    }
}
