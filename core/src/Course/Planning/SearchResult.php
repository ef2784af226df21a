<?php

declare(strict_types=1);

namespace OpenSeam\Core\Course\Planning;

/** What a search for a plan in so many sessions came to. */
final readonly class SearchResult
{
    /** @param  list<list<int>>  $sessions  lessons by session, by number; empty unless one was found */
    private function __construct(public Outcome $outcome, public array $sessions) {}

    /** @param  list<list<int>>  $sessions */
    public static function found(array $sessions): self
    {
        return new self(Outcome::Found, $sessions);
    }

    public static function impossible(): self
    {
        return new self(Outcome::Impossible, []);
    }

    public static function undecided(): self
    {
        return new self(Outcome::Undecided, []);
    }
}
