<?php

declare(strict_types=1);

namespace OpenSeam\Core\Stitch;

use OpenSeam\Core\InputError;
use OpenSeam\Core\Tables;

/** All stitches the program can draw, by id. */
final readonly class StitchBook
{
    /** @param  array<string, StitchKind>  $kinds */
    private function __construct(private array $kinds) {}

    public static function standard(): self
    {
        static $book = null;
        if (! $book instanceof self) {
            $kinds = [];
            foreach (Tables::read('stitches')->parts('stitches') as $data) {
                $kind = StitchKind::read($data);
                $kinds[$kind->id] = $kind;
            }
            $book = new self($kinds);
        }

        return $book;
    }

    /** @return array<string, StitchKind> */
    public function all(): array
    {
        return $this->kinds;
    }

    /** @return list<string> stitches that a machine can have of its own, not set up by hand from another */
    public function own(): array
    {
        return array_keys(array_filter($this->kinds, fn (StitchKind $k): bool => $k->madeOf === null));
    }

    /** @return list<string> */
    public function ids(): array
    {
        return array_keys($this->kinds);
    }

    /** @throws InputError when there is none */
    public function get(string $id, string $field = 'stitch'): StitchKind
    {
        return $this->kinds[$id] ?? throw InputError::at($field, $id, 'There is no such stitch. Known: '.implode(', ', $this->ids()).'.');
    }
}
