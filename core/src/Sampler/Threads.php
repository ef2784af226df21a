<?php

declare(strict_types=1);

namespace OpenSeam\Core\Sampler;

use OpenSeam\Core\Data;

/** Colours of a row's two threads, in words. They contrast where both faces are to be read. */
final readonly class Threads
{
    public function __construct(public string $top = 'dark', public string $bobbin = 'bright') {}

    /** What is given, and for the rest what stands above it: row, lesson, bundle. */
    public static function read(Data $data, self $else): self
    {
        $threads = $data->part('threads');

        return new self($threads->text('top', $else->top), $threads->text('bobbin', $else->bobbin));
    }
}
