<?php

declare(strict_types=1);

namespace OpenSeam\Core\Fault;

use OpenSeam\Core\InputError;

/**
 * What may be behind what is seen, by naive Bayes over single causes: how usual a
 * cause is with each fault, from the table as a Dirichlet prior and the causes this
 * studio has confirmed, times what is known of settings and machine. Something else
 * always keeps a small share. The order of trials takes the least expected time.
 */
final readonly class Diagnosis
{
    /** Confirmed cases that the table weighs as much as. */
    private const TABLE_WEIGHT = 6.0;

    /** Chance of a fault with a cause the table does not name it for. */
    private const STRAY = 0.03;

    /** A cause that was tried in vain: the trial may have been done wrongly. */
    private const TRIED = 0.03;

    /** Share of something the table does not know. */
    private const ELSE = 0.03;

    /**
     * @param  array<string, float>  $causes  chance of each, most likely first; the rest is something else
     * @param  list<string>  $order  in which to try them
     */
    private function __construct(public array $causes, public array $order, public float $expectedMinutes, private CauseBook $book) {}

    /**
     * @param  list<string>  $seen  fault ids, at least one
     * @param  array<string, mixed>  $known  see the table's "about"
     * @param  list<string>  $tried  causes that were tried and were not it
     * @param  array<string, array<string, int>>  $confirmed  cases of this studio, by fault and cause
     *
     * @throws InputError for nothing seen, or a fault that is not known
     */
    public static function of(array $seen, array $known = [], array $tried = [], array $confirmed = [], ?CauseBook $book = null): self
    {
        $book ??= CauseBook::standard();
        $seen = array_values(array_unique($seen));
        $seen !== [] || throw InputError::at('seen', [], 'Tick at least one thing that is seen.');
        foreach ($seen as $i => $fault) {
            isset($book->shares[$fault]) || throw InputError::at("seen[$i]", $fault, 'There is no such fault. Known: '.implode(', ', array_keys($book->shares)).'.');
        }
        foreach ($tried as $i => $cause) {
            $book->cause($cause, "tried[$i]");
        }
        $spoken = $book->spokenFor($known);
        $weights = [];
        foreach ($seen as $fault) {
            foreach (array_keys($book->shares[$fault]) as $cause) {
                $weights[$cause] = $spoken[$cause] * (in_array($cause, $tried, true) ? self::TRIED : 1.0);
            }
        }
        foreach ($weights as $cause => $weight) {
            foreach ($seen as $fault) {
                $cases = array_sum($confirmed[$fault] ?? []);
                $share = (self::TABLE_WEIGHT * ($book->shares[$fault][$cause] ?? self::STRAY) + ($confirmed[$fault][$cause] ?? 0)) / (self::TABLE_WEIGHT + $cases);
                $weights[$cause] *= $share;
            }
        }
        $sum = array_sum($weights);
        $chances = array_map(fn (float $w): float => (1 - self::ELSE) * $w / $sum, $weights);
        // The most usual first where two are as likely.
        uksort($chances, fn (string $a, string $b): int => $chances[$b] <=> $chances[$a] ?: strcmp($a, $b));
        $order = CheckOrder::of(array_map(fn (string $id): array => ['id' => $id, 'probability' => $chances[$id], 'minutes' => $book->cause($id)->minutes], array_keys($chances)));

        return new self($chances, $order->order, $order->expectedMinutes, $book);
    }

    /** What to try first, one change at a time. */
    public function first(): Cause
    {
        return $this->book->cause($this->order[0]);
    }
}
