<?php

declare(strict_types=1);

namespace OpenSeam\Core\Curriculum;

use ArrayAccess;
use ArrayIterator;
use Countable;
use IteratorAggregate;
use OpenSeam\Core\Course\Lesson;
use OpenSeam\Core\Course\Way;
use OpenSeam\Core\Data;
use OpenSeam\Core\InputError;
use OpenSeam\Core\Sampler\Threads;
use Traversable;

/**
 * Lessons of a bundle by id, each made of its text when somebody asks for it: most
 * of what is asked of a bundle has to do with a few of them.
 *
 * @implements ArrayAccess<string, Lesson>
 * @implements IteratorAggregate<string, Lesson>
 */
final class Lessons implements ArrayAccess, Countable, IteratorAggregate
{
    /** @var array<string, Lesson> */
    private array $made = [];

    /**
     * @param  array<string, Data>  $texts  of each lesson, in their order
     * @param  array<string, Lesson>  $instead  of these
     * @param  self|null  $under  where all others are made, once for both
     */
    private function __construct(private readonly array $texts, private readonly Threads $threads, private readonly array $instead = [], private readonly ?self $under = null) {}

    /** @param  array<string, Data>  $texts  of each lesson, in their order */
    public static function told(array $texts, Threads $threads = new Threads): self
    {
        return new self($texts, $threads);
    }

    /** @param  array<string, Lesson>  $lessons  of these, instead */
    public function with(array $lessons): self
    {
        return new self($this->texts, $this->threads, array_intersect_key($lessons, $this->texts), $this);
    }

    /** @return list<string> */
    public function ids(): array
    {
        return array_map(strval(...), array_keys($this->texts));
    }

    /** @return array<string, Lesson> all of them */
    public function all(): array
    {
        $all = [];
        foreach ($this->ids() as $id) {
            $all[$id] = $this->offsetGet($id);
        }

        return $all;
    }

    /** What it is called; nothing else of it is read. */
    public function title(string $id): ?string
    {
        return $this->instead[$id]->title ?? (isset($this->texts[$id]) ? $this->texts[$id]->text('title') : null);
    }

    /** The way it is taught in; nothing else of it is read. */
    public function way(string $id): Way
    {
        return $this->instead[$id]->way ?? new Way;
    }

    /** One that was made already, in the way that was asked for. */
    public function made(string $id): ?Lesson
    {
        return $this->instead[$id] ?? $this->made[$id] ?? $this->under?->made($id);
    }

    public function text(string $id): Data
    {
        return $this->texts[$id];
    }

    public function offsetExists(mixed $offset): bool
    {
        return isset($this->texts[$offset]);
    }

    public function offsetGet(mixed $offset): Lesson
    {
        return $this->instead[$offset] ?? $this->made[$offset] ??= $this->under?->offsetGet($offset) ?? BundleReader::lesson($this->texts[$offset], $this->threads);
    }

    public function offsetSet(mixed $offset, mixed $value): void
    {
        throw InputError::at('lessons', $offset, 'Lessons of a bundle are read, not written.');
    }

    public function offsetUnset(mixed $offset): void
    {
        throw InputError::at('lessons', $offset, 'Lessons of a bundle are read, not taken away.');
    }

    public function count(): int
    {
        return count($this->texts);
    }

    public function getIterator(): Traversable
    {
        return new ArrayIterator($this->all());
    }
}
