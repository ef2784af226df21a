<?php

declare(strict_types=1);

namespace OpenSeam\Core\Course;

use OpenSeam\Core\Data;

/** How a lesson is shown to a room: what lies under the needle, and what is shown, said and watched for, act by act. */
final readonly class Demonstration
{
    /**
     * @param  string  $setup  cloth, thread and stitch that the last row of the room can see
     * @param  list<array{show: string, say: string, watch: string}>  $acts
     * @param  list<Data|null>  $pictures  of each act (PictureBook); null where none was chosen
     */
    public function __construct(public string $setup, public array $acts, public array $pictures = []) {}
}
