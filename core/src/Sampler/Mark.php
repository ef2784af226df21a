<?php

declare(strict_types=1);

namespace OpenSeam\Core\Sampler;

use OpenSeam\Core\Data;
use OpenSeam\Core\InputError;

/**
 * Where a reading is taken: a place along the row, a corner of it, or a line of
 * its own on the piece. Lengths in mm from the piece's top left corner.
 */
final readonly class Mark
{
    /**
     * @param  array{float, float}|null  $from
     * @param  array{float, float}|null  $to
     */
    private function __construct(public ?float $atMm, public ?int $corner = null, public ?array $from = null, public ?array $to = null) {}

    /** A place along the row; of one that follows an edge, from the top of the piece. */
    public static function at(float $mm): self
    {
        return new self($mm);
    }

    /** @throws InputError when a place is no number, or a line has no two ends */
    public static function read(Data $d): self
    {
        $point = function (string $name) use ($d): ?array {
            $pair = $d->has($name) ? $d->numbers($name) : null;

            return $pair === null || count($pair) === 2 ? $pair : throw InputError::at($d->path($name), $pair, 'A point is two numbers in mm: [from the left, from the top].');
        };
        /** @var array{float, float}|null $from */
        $from = $point('from');
        /** @var array{float, float}|null $to */
        $to = $point('to');

        return new self($d->numberOrNull('at_mm'), $d->has('corner') ? $d->whole('corner') : null, $from, $to);
    }
}
