<?php

declare(strict_types=1);

namespace OpenSeam\Core\Picture;

use OpenSeam\Core\Sampler\Sampler;

/** What a picture belongs to: a lesson's sampler and folds, and the machine and hand of whom it is shown to. */
final readonly class Shown
{
    /** @param  list<FoldStory>  $folds */
    public function __construct(
        public ?Sampler $sampler = null,
        public array $folds = [],
        public MachineLook $machine = new MachineLook,
        /** Where hands matter the picture stands as in a mirror. */
        public bool $leftHanded = false,
    ) {}
}
