<?php

declare(strict_types=1);

namespace App\Records;

use App\Models\Sample;
use OpenSeam\Core\Course\Lesson;
use OpenSeam\Core\Grading\Grade;
use OpenSeam\Core\NextLesson\PastSample;
use OpenSeam\Core\Sampler\Readings;

/** A stored sample together with what the core says of it. */
final readonly class KeptSample
{
    public function __construct(
        public Sample $sample,
        /** At the version and in the way it was sewn. */
        public Lesson $lesson,
        public Readings $readings,
        public Grade $grade,
        public PastSample $past,
        /** @var list<string> ids of this sample and of those it corrects */
        public array $chain,
    ) {}
}
