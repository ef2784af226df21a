<?php

declare(strict_types=1);

namespace OpenSeam\Core\Buttonhole;

use OpenSeam\Core\Data;
use OpenSeam\Core\Machine\ButtonholeWay;
use OpenSeam\Core\Tables;

/** Something that is read of a buttonhole (core/resources/buttonhole-readings.json). */
final readonly class HoleField
{
    private function __construct(
        public string $id,
        /** length, beyond (a mark, with its sign), count, shows, yes-no or button. */
        public string $kind,
        /** Only once it is open. */
        public bool $opened,
    ) {}

    /** @return list<self> those that a hole sewn this way can have */
    public static function of(ButtonholeWay $way, bool $tiesOff): array
    {
        $table = Tables::read('buttonhole-readings');
        // A machine that turns round by itself leaves no gap where a step began, and one that ties off leaves no ends.
        $holds = fn (Data $f): bool => (! $f->flag('stepped', false) || ! $way->isOneStep()) && (! $f->has('ties_off') || $f->flag('ties_off') === $tiesOff);
        $of = fn (string $when): array => array_map(fn (Data $f): self => new self($f->text('id'), $f->text('kind'), $when === 'opened'), array_values(array_filter($table->parts($when), $holds)));

        return [...$of('sewn'), ...$of('opened')];
    }
}
