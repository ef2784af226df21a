<?php

declare(strict_types=1);

namespace OpenSeam\Core\Picture;

/** A row of stitches, seen along it: where its needle went through the cloth. It goes with the cloth, however it is folded after. */
final readonly class Seam
{
    /**
     * @param  'sewn'|'basted'|'pinned'  $how
     * @param  list<float>  $places  along the cloth, mm; the top one first
     */
    public function __construct(public string $how, public array $places) {}
}
