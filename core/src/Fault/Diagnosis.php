<?php

declare(strict_types=1);

namespace OpenSeam\Core\Fault;

use OpenSeam\Core\InputError;

/**
 * What may be behind what is seen, by naive Bayes over single causes: how usual a
 * cause is with each fault, from the table as a Dirichlet prior and the causes this
 * studio has confirmed, times what is known of settings and machine. Something else
 * keeps a small share, which grows with each cause that was tried in vain. What puts
 * right the row that is there is tried before what only prevents the next one, and
 * within that the order takes the least expected time. What was tried is not offered again.
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
     * @param  array<string, float>  $causes  chance of each, most likely first, what was tried among them; the rest is something else
     * @param  list<string>  $order  in which to try those that were not tried
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
                $weights[$cause] = $spoken[$cause];
            }
        }
        foreach ($weights as $cause => $weight) {
            foreach ($seen as $fault) {
                $cases = array_sum($confirmed[$fault] ?? []);
                $share = (self::TABLE_WEIGHT * ($book->shares[$fault][$cause] ?? self::STRAY) + ($confirmed[$fault][$cause] ?? 0)) / (self::TABLE_WEIGHT + $cases);
                $weights[$cause] *= $share;
            }
        }
        // Before anything was tried, something else has its share; every vain trial then speaks for it.
        $else = array_sum($weights) * self::ELSE / (1 - self::ELSE);
        foreach (array_intersect($tried, array_keys($weights)) as $cause) {
            $weights[$cause] *= self::TRIED;
        }
        $sum = array_sum($weights) + $else;
        $chances = array_map(fn (float $w): float => $w / $sum, $weights);
        // The most usual first where two are as likely.
        uksort($chances, fn (string $a, string $b): int => $chances[$b] <=> $chances[$a] ?: strcmp($a, $b));
        $order = CheckOrder::of(array_map(
            fn (string $id): array => ['id' => $id, 'probability' => $chances[$id], 'minutes' => $book->cause($id)->minutes, 'round' => $book->round($id, $seen, $known, $spoken[$id])],
            array_values(array_diff(array_keys($chances), $tried)),
        ));

        return new self($chances, $order->order, $order->expectedMinutes, $book);
    }

    /** What to try first, one change at a time; null when nothing is left: a qualified technician looks at the machine. */
    public function first(): ?Cause
    {
        return $this->order === [] ? null : $this->book->cause($this->order[0]);
    }

    /** That it is none of the causes in the table. */
    public function somethingElse(): float
    {
        return 1 - array_sum($this->causes);
    }
}
