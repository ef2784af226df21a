<?php

declare(strict_types=1);

namespace OpenSeam\Core\Machine;

use OpenSeam\Core\InputError;
use OpenSeam\Core\Tables;

/** Kinds of feet and of mounts. */
final readonly class FootBook
{
    /**
     * @param  array<string, FootKind>  $kinds
     * @param  array<string, string>  $mounts
     */
    private function __construct(private array $kinds, private array $mounts) {}

    public static function standard(): self
    {
        static $book = null;
        if (! $book instanceof self) {
            $table = Tables::read('feet');
            $kinds = [];
            foreach ($table->parts('feet') as $data) {
                $kind = FootKind::read($data);
                $kinds[$kind->id] = $kind;
            }
            $mounts = [];
            foreach ($table->items('mounts') as $mount) {
                /** @var array{string, string} $mount */
                $mounts[$mount[0]] = $mount[1];
            }
            $book = new self($kinds, $mounts);
        }

        return $book;
    }

    /** @return array<string, FootKind> */
    public function all(): array
    {
        return $this->kinds;
    }

    /** @return array<string, string> title by id */
    public function mounts(): array
    {
        return $this->mounts;
    }

    /** @throws InputError when there is none */
    public function get(string $id, string $field = 'kind'): FootKind
    {
        return $this->kinds[$id] ?? throw InputError::at($field, $id, 'There is no such foot. Known: '.implode(', ', array_keys($this->kinds)).'.');
    }
}
