<?php

declare(strict_types=1);

namespace OpenSeam\Core\Machine;

use OpenSeam\Core\Data;
use OpenSeam\Core\InputError;
use OpenSeam\Core\Stitch\StitchBook;

/**
 * What a sewing machine can do. Lengths in mm; lengths of a zigzag for each
 * needle stroke, whatever the machine's own dial means by them.
 */
final readonly class Machine
{
    public const FEED_DROP = ['drops', 'cover', 'none'];

    public const BUTTONHOLES = ['none', 'one-step', 'four-step'];

    /** On a full bobbin, where nothing else is known; common practice, no source. */
    public const BOBBIN_METRES = 30.0;

    /** What else some machines have and a teacher shows: common practice, no source. */
    public const ALSO = ['start-stop', 'speed-slide', 'needle-threader', 'stretch-lever', 'free-arm'];

    /**
     * @param  list<array{width_mm: float, length_mm: float, name: string}>  $fixedZigzags  the only zigzags there are; empty: width is free
     * @param  list<float>  $positionsMm  needle positions from the centre, left negative
     * @param  list<float>  $plateLinesMm  distances of the plate's guide lines from the centre needle
     * @param  array<string, string>  $stitchNames  its own number or letter of every stitch it has
     * @param  list<string>  $also  of ALSO
     */
    private function __construct(
        public string $name,
        public Drive $drive,
        public string $mount,
        public float $widestMm,
        public float $shortestMm,
        public float $longestMm,
        public array $fixedZigzags,
        public array $positionsMm,
        /** As the dial says it: "4", "2.5", "auto". */
        public string $tensionMark,
        /** Half of the plate's slot, on each side of the centre needle. */
        public float $slotHalfMm,
        public array $plateLinesMm,
        public string $buttonhole,
        /** The end it starts: "front", "back", or "" where it has none. */
        public string $buttonholeStarts,
        public float $longestButtonholeMm,
        public string $feedDrop,
        public float $strokesPerMinute,
        public string $bobbin,
        public float $bobbinMetres,
        /** Its dial gives zigzag length for the whole cycle, not for each stroke. */
        public bool $lengthPerCycle,
        /** The manual allows magnets near it. */
        public bool $magnetsAllowed,
        public array $stitchNames,
        public array $also = [],
    ) {}

    /**
     * A whole machine from what is known of it; what is not said is what most machines of its drive have.
     *
     * @throws InputError naming what does not fit
     */
    public static function read(Data $d): self
    {
        $drive = Drive::tryFrom($d->text('drive')) ?? throw InputError::at($d->path('drive'), $d->text('drive'), 'It must be one of: '.implode(', ', array_column(Drive::cases(), 'value')).'.');
        $straight = $drive === Drive::StraightOnly;
        $mounts = FootBook::standard()->mounts();
        $mount = $d->text('mount', 'snap-low');
        isset($mounts[$mount]) || throw InputError::at($d->path('mount'), $mount, 'It must be one of: '.implode(', ', array_keys($mounts)).'.');
        $widest = self::mm($d, 'widest_swing_mm', $straight ? 0.0 : 5.0, 0, 12);
        $straight && $widest > 0 && throw InputError::at($d->path('widest_swing_mm'), $widest, 'A straight-only machine has no swing: 0 mm.');
        $shortest = self::mm($d, 'shortest_stitch_mm', 0.2, 0, 2);
        $longest = self::mm($d, 'longest_stitch_mm', 4.0, 1, 12);
        $positions = $d->has('needle_positions_mm') ? $d->numbers('needle_positions_mm') : [0.0];
        in_array(0.0, $positions, true) || throw InputError::at($d->path('needle_positions_mm'), $positions, 'The centre, 0, is always among the needle positions.');
        foreach ($positions as $i => $p) {
            abs($p) <= 4.5 || throw InputError::at($d->path("needle_positions_mm[$i]"), $p, 'A needle position is from -4.5 to 4.5 mm.');
        }
        sort($positions);
        $slot = self::mm($d, 'slot_mm', $straight ? 1.6 : $widest + 2.0, 1, 16);
        $fixed = array_map(fn (Data $z): array => [
            'width_mm' => self::mm($z, 'width_mm', null, 0, 12), 'length_mm' => self::mm($z, 'length_mm', null, 0.1, 12), 'name' => $z->text('name'),
        ], $d->parts('fixed_zigzags'));
        foreach ($fixed as $i => $z) {
            $z['width_mm'] <= $widest || throw InputError::at($d->path("fixed_zigzags[$i].width_mm"), $z['width_mm'], sprintf('It cannot be wider than the machine’s widest swing, %g mm.', $widest));
        }
        $lines = array_map(fn (float $l): float => $l, $d->numbers('plate_lines_mm'));
        foreach ($lines as $i => $l) {
            $l > 0 && $l <= 100 || throw InputError::at($d->path("plate_lines_mm[$i]"), $l, 'A plate line lies more than 0 and at most 100 mm from the needle.');
        }
        $buttonhole = self::oneOf($d, 'buttonhole', self::BUTTONHOLES, 'none');

        return new self(
            $d->text('name', ''), $drive, $mount, $widest, $shortest, $longest, $fixed, $positions,
            $d->text('tension_mark', '4'), $slot / 2, $lines,
            $buttonhole, self::oneOf($d, 'buttonhole_starts', ['', 'front', 'back'], ''), self::mm($d, 'longest_buttonhole_mm', $buttonhole === 'none' ? 0.0 : 25.0, 0, 60),
            self::oneOf($d, 'feed_drop', self::FEED_DROP, 'none'),
            self::mm($d, 'strokes_per_minute', 800.0, 50, 6000, 'strokes a minute'), $d->text('bobbin', ''), self::mm($d, 'bobbin_metres', self::BOBBIN_METRES, 1, 500, 'm'),
            self::oneOf($d, 'zigzag_length', ['per-stroke', 'per-cycle'], 'per-stroke') === 'per-cycle', $d->flag('magnets_allowed', $drive !== Drive::Computerised),
            self::names($d, $straight), self::also($d),
        );
    }

    /** @return array<string, mixed> all of it, as read() takes it */
    public function facts(): array
    {
        return [
            'name' => $this->name, 'drive' => $this->drive->value, 'mount' => $this->mount, 'widest_swing_mm' => $this->widestMm,
            'shortest_stitch_mm' => $this->shortestMm, 'longest_stitch_mm' => $this->longestMm, 'fixed_zigzags' => $this->fixedZigzags,
            'needle_positions_mm' => $this->positionsMm, 'tension_mark' => $this->tensionMark, 'slot_mm' => $this->slotHalfMm * 2, 'plate_lines_mm' => $this->plateLinesMm,
            'buttonhole' => $this->buttonhole, 'buttonhole_starts' => $this->buttonholeStarts, 'longest_buttonhole_mm' => $this->longestButtonholeMm,
            'feed_drop' => $this->feedDrop, 'strokes_per_minute' => $this->strokesPerMinute, 'bobbin' => $this->bobbin, 'bobbin_metres' => $this->bobbinMetres,
            'zigzag_length' => $this->lengthPerCycle ? 'per-cycle' : 'per-stroke', 'magnets_allowed' => $this->magnetsAllowed, 'stitch_names' => $this->stitchNames, 'also' => $this->also,
        ];
    }

    public function has(string $stitch): bool
    {
        return isset($this->stitchNames[$this->sewnFrom($stitch)]);
    }

    /** Its own number or letter of a stitch it has, or of the one it is set up from; empty when it has no name for it. */
    public function nameOf(string $stitch): string
    {
        return $this->stitchNames[$this->sewnFrom($stitch)] ?? '';
    }

    private function sewnFrom(string $stitch): string
    {
        return StitchBook::standard()->all()[$stitch]->madeOf ?? $stitch;
    }

    /** The nearest position it has, mm. */
    public function nearestPosition(float $positionMm): float
    {
        $best = 0.0;
        foreach ($this->positionsMm as $p) {
            if (abs($p - $positionMm) < abs($best - $positionMm)) {
                $best = $p;
            }
        }

        return $best;
    }

    /** @return list<string> */
    private static function also(Data $d): array
    {
        $also = $d->has('also') ? $d->texts('also') : [];
        foreach ($also as $i => $one) {
            in_array($one, self::ALSO, true) || throw InputError::at($d->path("also[$i]"), $one, 'It must be one of: '.implode(', ', self::ALSO).'.');
        }

        return array_values(array_unique($also));
    }

    /** @return array<string, string> */
    private static function names(Data $d, bool $straightOnly): array
    {
        $book = StitchBook::standard()->all();
        $names = [];
        foreach ($d->part('stitch_names')->raw() as $id => $name) {
            isset($book[$id]) || throw InputError::at($d->path("stitch_names.$id"), $name, 'There is no such stitch. Known: '.implode(', ', array_keys($book)).'.');
            $book[$id]->madeOf === null || throw InputError::at($d->path("stitch_names.$id"), $name, sprintf('No machine has this stitch of its own: it is set up by hand from “%s”.', $book[$book[$id]->madeOf]->title));
            is_string($name) || throw InputError::at($d->path("stitch_names.$id"), $name, 'Its number or letter on the machine must be text.');
            $straightOnly && $book[$id]->swings() && throw InputError::at($d->path("stitch_names.$id"), $name, 'A straight-only machine has no stitch that swings.');
            $names[(string) $id] = $name;
        }

        return $names === [] ? ['straight' => '', 'basting' => ''] + ($straightOnly ? [] : ['zigzag' => '']) : $names;
    }

    private static function mm(Data $d, string $name, ?float $usual, float $min, float $max, string $unit = 'mm'): float
    {
        $value = $d->number($name, $usual);

        return is_finite($value) && $value >= $min && $value <= $max ? $value : throw InputError::at($d->path($name), $value, sprintf('It must be from %g to %g %s.', $min, $max, $unit));
    }

    /** @param  list<string>  $allowed */
    private static function oneOf(Data $d, string $name, array $allowed, string $usual): string
    {
        $value = $d->text($name, $usual);

        return in_array($value, $allowed, true) ? $value : throw InputError::at($d->path($name), $value, 'It must be one of: '.implode(', ', array_filter($allowed)).'.');
    }
}
