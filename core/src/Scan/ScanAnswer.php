<?php

declare(strict_types=1);

namespace OpenSeam\Core\Scan;

use OpenSeam\Core\Measure\LeastSquares;
use OpenSeam\Core\Measure\Reading;

/** What a scan of a sewn row says, each with its standard uncertainty; or why it cannot be told. */
final readonly class ScanAnswer
{
    /** @param  list<array{float, float}>  $marks  place along the row and the allowance there, mm */
    private function __construct(
        /** Length of a stitch, mm; null where it cannot be told. */
        public ?Reading $length,
        /** Mean distance of the row to the cloth edge, mm. */
        public ?Reading $allowance,
        public array $marks,
        /** what could not be found; null where all was. */
        public ?NotFound $cannot,
    ) {}

    public static function cannotTell(NotFound $what): self
    {
        return new self(null, null, [], $what);
    }

    /** @param  list<array{float, float}>  $marks */
    public static function of(Reading $length, Reading $allowance, array $marks): self
    {
        return new self($length, $allowance, $marks, null);
    }

    /** The straight line through the marks: offset and drift of the seam. */
    public function line(): LeastSquares
    {
        return LeastSquares::fit(array_column($this->marks, 0), array_column($this->marks, 1));
    }
}
