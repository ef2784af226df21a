<?php

declare(strict_types=1);

namespace OpenSeam\Core\Picture;

use OpenSeam\Core\Data;
use OpenSeam\Core\InputError;

/** The strips of a fold story by name, with their named parts from the beginning to the end. */
final readonly class FoldStrips
{
    /** @param  list<array{name: string, parts: non-empty-array<string, float>}>  $strips  parts: the end of each along the strip, mm */
    public function __construct(private array $strips = []) {}

    /** @throws InputError for a name that is taken, or a strip without parts */
    public function with(Data $d, ?string $name = null): self
    {
        $name = $d->has('name') || $name === null ? $d->text('name') : $name;
        in_array($name, array_column($this->strips, 'name'), true) && throw InputError::at($d->path('name'), $name, 'Each strip has a name of its own.');
        $parts = [];
        $at = 0.0;
        foreach ($d->parts('parts') as $part) {
            $long = $part->numberWithin('mm', null, 0.5, 5000);
            $of = $part->text('name');
            $taken = isset($parts[$of]) || array_filter($this->strips, fn (array $s): bool => isset($s['parts'][$of])) !== [];
            $taken && throw InputError::at($part->path('name'), $of, 'Each part has a name of its own.');
            $parts[$of] = $at += $long;
        }

        return new self([...$this->strips, ['name' => $name, 'parts' => $parts !== [] ? $parts : throw InputError::at($d->path('parts'), [], 'A strip has at least one part.')]]);
    }

    public function lengthOf(int $strip): float
    {
        return max($this->strips[$strip]['parts']);
    }

    public function partAt(int $strip, float $place): string
    {
        $parts = $this->strips[$strip]['parts'];
        foreach ($parts as $name => $to) {
            if ($place <= $to + FoldedCloth::NEAR_MM) {
                return $name;
            }
        }

        return (string) array_key_last($parts);
    }

    /**
     * A place on a strip: the first one unless another is named, its beginning moving unless it says the rest.
     *
     * @throws InputError for a strip that was not laid
     */
    public function crease(Data $d): Crease
    {
        $names = array_column($this->strips, 'name');
        $name = $d->text('strip', $names[0]);
        $strip = array_search($name, $names, true);
        $strip !== false || throw InputError::at($d->path('strip'), $name, 'Strips that are laid by then: '.implode(', ', $names).'.');
        $whole = $d->flag('whole');

        return new Crease($whole ? 0.0 : $d->number('at_mm'), ! $whole && $d->among('moves', ['start', 'rest'], 'start') === 'start', $strip);
    }
}
