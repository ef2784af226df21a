<?php

declare(strict_types=1);

namespace App\Records;

use Carbon\CarbonImmutable;
use OpenSeam\Core\Course\Lesson;
use OpenSeam\Core\Grading\Comparison;
use OpenSeam\Core\Grading\Grade;
use OpenSeam\Core\NextLesson\Advice;
use OpenSeam\Core\NextLesson\PastSample;
use OpenSeam\Core\Sampler\Readings;

/** A sample as typed, judged, and the advice that follows. */
final readonly class JudgedSample
{
    /** @param  list<PastSample>  $past the student's samples with this one */
    public function __construct(
        public Lesson $lesson,
        public Readings $readings,
        public Grade $grade,
        public Advice $advice,
        public array $past,
        public CarbonImmutable $at,
        /** @var list<Comparison> with the sample of this lesson before */
        public array $compared = [],
        /** Of that sample; null where there is none. */
        public ?Readings $before = null,
    ) {}
}
