<?php

declare(strict_types=1);

namespace OpenSeam\Core\Machine;

use OpenSeam\Core\Data;
use OpenSeam\Core\InputError;

/** How long a machine's stitches can be, mm for each stroke, and how its feed is put out of work. */
final readonly class Feed
{
    public const DROP = ['drops', 'cover', 'none'];

    private function __construct(
        public float $shortestMm,
        public float $longestMm,
        /** @var 'drops'|'cover'|'none' */
        public string $drop,
    ) {}

    /** @throws InputError naming what does not fit */
    public static function read(Data $d): self
    {
        /** @var 'drops'|'cover'|'none' $drop */
        $drop = $d->among('feed_drop', self::DROP, 'none');

        return new self($d->numberWithin('shortest_stitch_mm', 0.2, 0, 2), $d->numberWithin('longest_stitch_mm', 4.0, 1, 12), $drop);
    }

    /** @return array<string, mixed> as read() takes it */
    public function facts(): array
    {
        return ['shortest_stitch_mm' => $this->shortestMm, 'longest_stitch_mm' => $this->longestMm, 'feed_drop' => $this->drop];
    }
}
