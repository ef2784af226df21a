<?php

declare(strict_types=1);

namespace OpenSeam\Core\Course;

use OpenSeam\Core\Data;
use OpenSeam\Core\InputError;
use OpenSeam\Core\Machine\Foot;
use OpenSeam\Core\Machine\FootBook;
use OpenSeam\Core\Machine\Room;
use OpenSeam\Core\Machine\Setup;
use OpenSeam\Core\Sampler\Row;
use OpenSeam\Core\Stitch\StitchBook;
use OpenSeam\Core\Stitch\StitchSettings;

/** Something a lesson has sewn: a stitch with its settings, under one of these kinds of foot. */
final readonly class SewNeed
{
    /** @param  list<string>  $feet  kinds, any of which will do; none: whatever sews the stitch */
    private function __construct(
        public Setup $setup,
        public array $feet,
        /** One row only: the foot goes from hand to hand and does not make rounds of its own. */
        public bool $shared,
    ) {}

    /** The room with the feet that will do, and no others. */
    public function within(Room $room): Room
    {
        return $this->feet === [] ? $room : new Room($room->machines, array_filter($room->feet, fn (Foot $f): bool => in_array($f->kind->id, $this->feet, true)));
    }

    /**
     * @param  array<array-key, Row>  $rows  of the lesson; the longest and the widest with this stitch are what a machine must reach
     *
     * @throws InputError when it names a stitch or a foot that is not known, or a setting out of range
     */
    public static function read(Data $d, array $rows = []): self
    {
        foreach ($d->texts('feet') as $i => $kind) {
            FootBook::standard()->get($kind, $d->path("feet[$i]"));
        }
        $kind = StitchBook::standard()->get($d->text('stitch'), $d->path('stitch'));
        $same = array_filter(array_values($rows), fn (Row $r): bool => $r->path !== null && $r->stitch->kind->id === $kind->id);
        // No row may swing wider than what machine and foot are chosen for; a machine's own stitch is asked for as it is.
        $widths = $d->flag('exact') ? [] : array_map(fn (Row $r): float => $r->stitch->widthMm, $same);
        $width = $d->numberOrNull('width_mm') ?? $kind->width->usual;
        $settings = StitchSettings::of($kind, $d->numberOrNull('length_mm'), max([$width, ...$widths]), $d->number('needle_position_mm', 0.0));
        $lengths = array_map(fn (Row $r): float => $r->path?->lengthMm() ?? 0.0, $same);

        return new self(new Setup($settings, stickyCloth: $d->flag('sticky_cloth'), rowMm: $lengths === [] ? null : max($lengths)), $d->texts('feet'), $d->flag('shared'));
    }

    /** Kind of the foot it is usually sewn with: the lesson's own first one, or its stitch's. */
    public function usualFoot(): string
    {
        return $this->feet[0] ?? $this->setup->stitch->kind->feet[0];
    }
}
