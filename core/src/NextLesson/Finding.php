<?php

declare(strict_types=1);

namespace OpenSeam\Core\NextLesson;

use OpenSeam\Core\Fault\Change;
use OpenSeam\Core\Measure\Verdict;

/** One thing a sample showed: a check's result or a fault seen. */
final readonly class Finding
{
    /** The fix of a required check that was not read. */
    public const OPEN = 'open';

    /** @param  list<string>  $skills it speaks for or against */
    public function __construct(
        public string $check,
        public string $title,
        public string $text,
        public Verdict $verdict,
        public array $skills,
        public ?string $fix = null,
        public ?Change $change = null,
        public ?string $again = null,
        public bool $fault = false,
    ) {}

    public function concerns(string $skill): bool
    {
        return in_array($skill, $this->skills, true);
    }

    /** The same check, off in the same way. */
    public function isLike(self $other): bool
    {
        return $other->check === $this->check && $other->fix === $this->fix && $other->verdict !== Verdict::Met && $other->verdict !== Verdict::Unsure;
    }

    /** Required, and not read. */
    public function isOpen(): bool
    {
        return $this->fix === self::OPEN;
    }
}
