<?php

declare(strict_types=1);

namespace OpenSeam\Core\Course;

use Closure;
use OpenSeam\Core\InputError;

/** Makes a lesson in any of its ways; each is read once. */
final class Ways
{
    /** @var array<string, Lesson> */
    private array $made = [];

    /**
     * @param  Closure(Way, self): Lesson  $make
     * @param  string  $each  which of a machine's own stitches its sampler is made from (OwnStitch), or empty
     */
    public function __construct(private readonly Closure $make, public readonly string $each = '') {}

    /** @throws InputError when the lesson does not hold together in this way */
    public function of(Way $way): Lesson
    {
        return $this->made[$way->key()] ??= ($this->make)($way, $this);
    }
}
