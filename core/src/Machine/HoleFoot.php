<?php

declare(strict_types=1);

namespace OpenSeam\Core\Machine;

use OpenSeam\Core\Data;
use OpenSeam\Core\InputError;

/** What a foot has for buttonholes, mm. */
final readonly class HoleFoot
{
    private function __construct(
        /** The button lies in it and sets the length. */
        public bool $holder,
        /** Distance of the lines of its slider; null: it has none. */
        public ?float $lineMm,
        /** That it can be set to; null: nobody has looked. */
        public ?float $longestMm,
        /** A hole for the top thread. */
        public bool $threadHole,
        /** For the loop of a cord. */
        public bool $spur,
    ) {}

    /** @throws InputError naming what does not fit */
    public static function read(Data $d, Data $usual): self
    {
        $mm = function (string $name, float $min, float $max) use ($d, $usual): ?float {
            $value = array_key_exists($name, $d->raw()) ? $d->numberOrNull($name) : $usual->numberOrNull($name);

            return $value === null || ($value >= $min && $value <= $max) ? $value : throw InputError::at($d->path($name), $value, sprintf('It is from %g to %g mm; left out: it has none, or nobody has measured.', $min, $max));
        };
        $flag = fn (string $name): bool => $d->has($name) ? $d->flag($name) : $usual->flag($name);

        return new self($flag('hole_holder'), $mm('hole_line_mm', 0.5, 20), $mm('hole_longest_mm', 5, 100), $flag('hole_thread'), $flag('hole_spur'));
    }

    /** @return array<string, mixed> as read() takes it */
    public function facts(): array
    {
        return ['hole_holder' => $this->holder, 'hole_line_mm' => $this->lineMm, 'hole_longest_mm' => $this->longestMm, 'hole_thread' => $this->threadHole, 'hole_spur' => $this->spur];
    }
}
