<?php

declare(strict_types=1);

namespace OpenSeam\Core\Course;

/** What one school of teaching sets, and whether another stitch or foot goes with it. */
final readonly class SettingSchool
{
    public function __construct(
        public string $id,
        public string $school,
        public string $value,
        /** It asks something else of machines and feet. */
        public bool $sewsOtherwise = false,
    ) {}
}
