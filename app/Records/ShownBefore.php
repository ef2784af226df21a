<?php

declare(strict_types=1);

namespace App\Records;

use App\Models\Sample;
use App\Support\NearMemory;
use DateTimeImmutable;
use OpenSeam\Core\Fault\Cause;
use OpenSeam\Core\Measure\Verdict;
use OpenSeam\Core\NextLesson\Finding;
use OpenSeam\Core\NextLesson\PastSample;
use OpenSeam\Core\Skill\Evidence;
use OpenSeam\Core\Words;

/**
 * What kept samples showed, remembered with all it was worked out from: a sample is
 * never changed, so that only another verdict of the teacher, a cause that was found,
 * another shelf, another unit or another version of this program asks for it anew.
 */
final class ShownBefore
{
    private const KEPT_SECONDS = 12 * 3600;

    /** @var array<string, array<string, mixed>>|null what is remembered of those that were noted; null: not fetched yet */
    private ?array $fetched = null;

    /** @var array<string, true> */
    private array $noted = [];

    private readonly ?string $stands;

    public function __construct(private readonly NearMemory $memory, Shelf $shelf, Words $words)
    {
        $by = $memory->remembers() ? $shelf->stamp() : null;
        $this->stands = $by === null ? null : $by.'/'.$words->unit->value.($words->toWhoSews ? '/theirs' : '');
    }

    /**
     * @param  list<Cause>  $causes  that were found behind its faults
     * @return string|null the key it is remembered by; null: nothing is remembered
     */
    public function note(Sample $sample, array $causes): ?string
    {
        if ($this->stands === null) {
            return null;
        }
        $facts = [$this->stands, $sample->id, $sample->lesson, $sample->lesson_version, $sample->way, $sample->drill, $sample->overruled, array_map(fn (Cause $c): string => $c->id, $causes)];
        $key = 'shown/'.hash('xxh128', serialize($facts));
        $this->noted[$key] = true;

        return $key;
    }

    /** @return array{PastSample|null, Verdict|null} what it showed, and the verdict on the whole of it */
    public function again(?string $key, Sample $sample, DateTimeImmutable $at): array
    {
        if ($key === null) {
            return [null, null];
        }
        /** @var array<string, array{verdict: Verdict|null, findings: list<Finding>, weights: array<string, list<float>>, uses: list<string>, extras: array<string, list<float>>}> $fetched */
        $fetched = $this->fetched ??= $this->memory->fetch(array_keys($this->noted));
        $found = $fetched[$key] ?? null;

        return $found === null ? [null, null] : [new PastSample($sample->lesson, new Evidence($sample->id, $at, $found['weights'], $found['uses'], $found['extras']), $found['findings']), $found['verdict']];
    }

    public function keep(?string $key, PastSample $past, ?Verdict $verdict): void
    {
        $key === null || $this->memory->put([$key => ['verdict' => $verdict, 'findings' => $past->findings, 'weights' => $past->evidence->weights, 'uses' => $past->evidence->uses, 'extras' => $past->evidence->extras]], self::KEPT_SECONDS);
    }
}
