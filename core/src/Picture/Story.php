<?php

declare(strict_types=1);

namespace OpenSeam\Core\Picture;

use OpenSeam\Core\Data;
use OpenSeam\Core\InputError;

/** Pictures that follow one another, each with what is said beside it: a thread from station to station, a seam from closed to pressed. */
final readonly class Story
{
    public const MOST_STEPS = 12;

    /** @param  list<array{say: string, picture: Data}>  $steps */
    private function __construct(public string $id, public string $title, public array $steps) {}

    /** @throws InputError for a story of fewer than two pictures, or more than can be followed */
    public static function read(Data $d): self
    {
        $steps = array_map(fn (Data $s): array => ['say' => $s->text('say'), 'picture' => $s->part('picture')], $d->parts('steps'));
        count($steps) >= 2 && count($steps) <= self::MOST_STEPS || throw InputError::at($d->path('steps'), count($steps), sprintf('A story has 2 to %d pictures.', self::MOST_STEPS));

        return new self($d->text('id'), $d->text('title'), $steps);
    }
}
