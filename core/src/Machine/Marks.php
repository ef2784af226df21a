<?php

declare(strict_types=1);

namespace OpenSeam\Core\Machine;

use OpenSeam\Core\Data;
use OpenSeam\Core\InputError;
use OpenSeam\Core\Stitch\StitchBook;

/** What is written on a machine: its tension mark, the lines on its plate, its own numbers and letters of its stitches. */
final readonly class Marks
{
    /**
     * @param  list<float>  $plateLinesMm  distances of the plate's guide lines from the centre needle
     * @param  array<string, string>  $stitchNames  its own number or letter of every stitch it has
     */
    private function __construct(
        /** As the dial says it: "4", "2.5", "auto". */
        public string $tension,
        public array $plateLinesMm,
        public array $stitchNames,
    ) {}

    /** @throws InputError naming what does not fit */
    public static function read(Data $d, Drive $drive): self
    {
        $lines = $d->numbers('plate_lines_mm');
        foreach ($lines as $i => $l) {
            $l > 0 && $l <= 100 || throw InputError::at($d->path("plate_lines_mm[$i]"), $l, 'A plate line lies more than 0 and at most 100 mm from the needle.');
        }

        return new self($d->text('tension_mark', '4'), $lines, self::names($d, $drive === Drive::StraightOnly));
    }

    /** @return array<string, mixed> as read() takes it */
    public function facts(): array
    {
        return ['tension_mark' => $this->tension, 'plate_lines_mm' => $this->plateLinesMm, 'stitch_names' => $this->stitchNames];
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
}
