<?php

declare(strict_types=1);

namespace OpenSeam\Core\Skill;

/** What a studio's own samples say of one kind of skill, and whether to go by it. */
final readonly class FitReport
{
    public function __construct(
        public string $kind,
        /** The numbers to go by: the fitted ones where they are better, else the usual ones. */
        public TracingParameters $parameters,
        /** What the samples gave, whether it is gone by or not; null with too few of them. */
        public ?TracingParameters $fitted,
        public int $students,
        public int $showings,
        /** Mean log loss of a showing not yet seen, students held out, with the usual numbers; null with too few samples. */
        public ?float $usualLoss,
        /** The same with the fitted ones. */
        public ?float $fittedLoss,
        /** Whether the fitted numbers are gone by. */
        public bool $used,
    ) {}
}
