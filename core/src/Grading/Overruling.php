<?php

declare(strict_types=1);

namespace OpenSeam\Core\Grading;

use OpenSeam\Core\InputError;
use OpenSeam\Core\Measure\Verdict;

/** The teacher's own verdict on a check, against what the readings say, with the reason. */
final readonly class Overruling
{
    /** Letters a reason can have. */
    public const LONGEST = 200;

    private function __construct(public Verdict $verdict, public string $because) {}

    /** @throws InputError for something that is no verdict of a teacher, or without a reason */
    public static function of(string $key, string $verdict, string $because): self
    {
        $found = Verdict::tryFrom($verdict);
        $found !== null && $found !== Verdict::Unsure || throw InputError::at("overruled.$key.verdict", $verdict, 'Your verdict is one of: met, near, not-yet.');
        $because = trim($because);
        $because !== '' && mb_strlen($because) <= self::LONGEST || throw InputError::at("overruled.$key.because", $because, sprintf('Say why, in up to %d letters: the reason is kept with the sample.', self::LONGEST));

        return new self($found, $because);
    }

    /**
     * @param  array<array-key, mixed>  $sent  by check, "row.check"
     * @return array<string, self>
     *
     * @throws InputError naming the check that does not fit
     */
    public static function all(array $sent): array
    {
        $all = [];
        foreach ($sent as $key => $one) {
            $one = is_array($one) ? $one : [];
            $all[(string) $key] = self::of((string) $key, is_string($one['verdict'] ?? null) ? $one['verdict'] : '', is_string($one['because'] ?? null) ? $one['because'] : '');
        }

        return $all;
    }

    /** @return array{verdict: string, because: string} to be kept */
    public function kept(): array
    {
        return ['verdict' => $this->verdict->value, 'because' => $this->because];
    }
}
