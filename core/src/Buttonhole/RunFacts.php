<?php

declare(strict_types=1);

namespace OpenSeam\Core\Buttonhole;

use OpenSeam\Core\Machine\Foot;
use OpenSeam\Core\Machine\Machine;

/** What a run needs to know of the machine; null and empty: nobody has looked. */
final readonly class RunFacts
{
    /** @param  list<string>  $marks  its own words of the steps */
    public function __construct(
        public string $starts = '',
        public ?bool $straightFirst = null,
        public ?bool $tiesOff = null,
        public bool $lever = false,
        public bool $corded = false,
        public string $firstSide = '',
        public array $marks = [],
        /** Nothing of it is unknown, or it was asked for no further. */
        public bool $looked = true,
    ) {}

    public static function ofMachine(Machine $m, ?Foot $foot, bool $corded): self
    {
        $own = $m->buttonhole;

        return new self($own->starts, $own->straightFirst, $own->tiesOff, $own->lever === true, $corded && ($foot === null || $foot->hole->spur), $own->firstSide, $own->marks, array_diff($own->unknown(), ['starts']) === []);
    }
}
