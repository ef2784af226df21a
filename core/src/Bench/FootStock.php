<?php

declare(strict_types=1);

namespace OpenSeam\Core\Bench;

/** Feet of one kind that fit the same machines. */
final readonly class FootStock
{
    /** @param  list<string>  $fits  machine ids */
    public function __construct(public string $kind, public array $fits, public int $count) {}
}
