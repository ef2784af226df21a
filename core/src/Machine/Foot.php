<?php

declare(strict_types=1);

namespace OpenSeam\Core\Machine;

use OpenSeam\Core\Data;
use OpenSeam\Core\InputError;

/** A presser foot of the room. Measures in mm from the centre needle; what is not said is usual for its kind. */
final readonly class Foot
{
    public const OPEN_SIDES = ['left', 'right', 'either'];

    private function __construct(
        public string $name,
        public FootKind $kind,
        public string $mount,
        public float $openingLeftMm,
        public float $openingRightMm,
        public bool $grooved,
        public float $edgeLeftMm,
        public float $edgeRightMm,
        public ?float $edgeInnerMm,
        public float $largestSwingMm,
        /** A narrower swing strikes its finger; 0 where any is allowed. */
        public float $smallestSwingMm,
        /** @var 'left'|'right'|'either'|null the side without an edge to strike; either: it clips, or the needle moves */
        public ?string $openSide,
        /** Only the centre needle position is allowed. */
        public bool $centreOnly,
        /** @var array{min_mm: float, max_mm: float, step_mm: float}|null blade or ruler arm */
        public ?array $guide,
        /** @var list<string> what it is for, in words */
        public array $materials,
        public int $count,
        /** Width of the tape or strip a binder takes, before it is folded, mm; null where it takes none. Common practice, no source: it is read on the foot or its card. */
        public ?float $tapeMm,
        public HoleFoot $hole,
        /** What one of them cost, in whatever the studio pays in; null: nobody said. */
        public ?float $price = null,
    ) {}

    /** @throws InputError naming what does not fit */
    public static function read(Data $d): self
    {
        $kind = FootBook::standard()->get($d->text('kind'), $d->path('kind'));
        $mounts = FootBook::standard()->mounts();
        $mount = $d->text('mount', 'snap-low');
        isset($mounts[$mount]) || throw InputError::at($d->path('mount'), $mount, 'It must be one of: '.implode(', ', array_keys($mounts)).'.');
        $u = $kind->usual;
        $mm = function (string $name, float $min, float $max) use ($d, $u): float {
            $value = $d->number($name, $u->has($name) ? $u->number($name) : 0.0);

            return is_finite($value) && $value >= $min && $value <= $max ? $value : throw InputError::at($d->path($name), $value, sprintf('It must be from %g to %g mm.', $min, $max));
        };
        $swing = $mm('largest_swing_mm', 0, 12);
        $kind->straightOnly && $swing > 0 && throw InputError::at($d->path('largest_swing_mm'), $swing, "A foot of the kind “{$kind->title}” takes straight stitches only: 0 mm.");
        $least = $mm('smallest_swing_mm', 0, 12);
        $least <= $swing || throw InputError::at($d->path('smallest_swing_mm'), $least, sprintf('The narrowest swing it takes is at most the widest, %g mm.', $swing));
        $open = match (true) {
            $d->has('open_side') => $d->text('open_side'),
            // Said to have none.
            array_key_exists('open_side', $d->raw()) => null,
            default => $u->has('open_side') ? $u->text('open_side') : null,
        };
        $open === null || in_array($open, self::OPEN_SIDES, true) || throw InputError::at($d->path('open_side'), $open, 'It must be one of: '.implode(', ', self::OPEN_SIDES).'; left out: none.');
        $guide = $d->has('guide') ? $d->part('guide') : ($u->has('guide') ? $u->part('guide') : null);
        $range = $guide === null ? null : ['min_mm' => $guide->number('min_mm'), 'max_mm' => $guide->number('max_mm'), 'step_mm' => $guide->number('step_mm')];
        if ($range !== null && ($range['min_mm'] < 0 || $range['max_mm'] < $range['min_mm'] || $range['max_mm'] > 200 || $range['step_mm'] <= 0)) {
            throw InputError::at($d->path('guide'), $range, 'A guide goes from min_mm (0 or more) to max_mm (at most 200) in steps above 0.');
        }
        $sole = $d->text('sole', $u->text('sole', 'flat'));
        in_array($sole, ['flat', 'grooved'], true) || throw InputError::at($d->path('sole'), $sole, 'It must be one of: flat, grooved.');
        $positions = $d->text('positions', $u->text('positions', 'all'));
        in_array($positions, ['all', 'centre'], true) || throw InputError::at($d->path('positions'), $positions, 'It must be one of: all, centre.');
        $count = $d->whole('count', 1);
        $count >= 0 && $count <= 200 || throw InputError::at($d->path('count'), $count, 'From 0 to 200 of them.');

        return new self(
            $d->text('name', $kind->title), $kind, $mount, $mm('opening_left_mm', 0.3, 15), $mm('opening_right_mm', 0.3, 15), $sole === 'grooved',
            $mm('edge_left_mm', 0, 60), $mm('edge_right_mm', 0, 60),
            $d->numberOrNull('edge_inner_mm') ?? $u->numberOrNull('edge_inner_mm'), $swing, $least, $open, $positions === 'centre', $range,
            $d->has('materials') ? $d->texts('materials') : $u->texts('materials'), $count, self::tape($d, $u), HoleFoot::read($d, $u), self::price($d),
        );
    }

    /** @throws InputError */
    private static function tape(Data $d, Data $usual): ?float
    {
        $tape = array_key_exists('tape_mm', $d->raw()) ? $d->numberOrNull('tape_mm') : $usual->numberOrNull('tape_mm');

        return $tape === null || ($tape >= 6 && $tape <= 80) ? $tape : throw InputError::at($d->path('tape_mm'), $tape, 'A tape is from 6 to 80 mm wide; left out: it takes none.');
    }

    /** @throws InputError */
    private static function price(Data $d): ?float
    {
        $price = $d->numberOrNull('price');

        return $price === null || ($price >= 0 && $price <= 100_000) ? $price : throw InputError::at($d->path('price'), $price, 'A price is from 0 to 100000; left out: nobody said.');
    }

    /** @return array<string, mixed> all of it, as read() takes it */
    public function facts(): array
    {
        return [
            'name' => $this->name, 'kind' => $this->kind->id, 'mount' => $this->mount, 'opening_left_mm' => $this->openingLeftMm, 'opening_right_mm' => $this->openingRightMm,
            'sole' => $this->grooved ? 'grooved' : 'flat', 'edge_left_mm' => $this->edgeLeftMm, 'edge_right_mm' => $this->edgeRightMm, 'edge_inner_mm' => $this->edgeInnerMm,
            'largest_swing_mm' => $this->largestSwingMm, 'smallest_swing_mm' => $this->smallestSwingMm, 'open_side' => $this->openSide, 'positions' => $this->centreOnly ? 'centre' : 'all', 'guide' => $this->guide, 'materials' => $this->materials, 'count' => $this->count, 'tape_mm' => $this->tapeMm, ...$this->hole->facts(), 'price' => $this->price,
        ];
    }
}
