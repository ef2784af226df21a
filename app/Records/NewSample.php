<?php

declare(strict_types=1);

namespace App\Records;

use Carbon\CarbonImmutable;
use OpenSeam\Core\Course\Way;
use OpenSeam\Core\Grading\Overruling;

/** A sample as it was sent. */
final readonly class NewSample
{
    /**
     * @param  array<array-key, mixed>  $readings
     * @param  list<string>  $faults
     * @param  array<string, string|null>  $settings
     */
    public function __construct(
        public string $id,
        public string $lesson,
        public array $readings,
        public array $faults,
        public array $settings,
        public ?string $drill = null,
        public ?string $replaces = null,
        public ?Choice $choice = null,
        /** Of the lesson that was sewn; null: the one on the shelf. */
        public ?int $version = null,
        /** @var array<string, Overruling> the teacher's own verdicts, by check */
        public array $overruled = [],
        /** Samples of this lesson that were known where it was looked at; null: nobody counted. */
        public ?int $known = null,
        /** It was sewn in; null: as the class is taught. */
        public ?Way $way = null,
        /** It was looked at, where that was not when it was sent. */
        public ?CarbonImmutable $at = null,
        /** It was sewn in; null: in the one of that time. */
        public ?string $session = null,
    ) {}
}
