<?php

declare(strict_types=1);

namespace App\Records;

use App\Models\Sample;
use Closure;
use DateTimeImmutable;
use OpenSeam\Core\Course\Lesson;
use OpenSeam\Core\Grading\Grade;
use OpenSeam\Core\Measure\Verdict;
use OpenSeam\Core\NextLesson\PastSample;
use OpenSeam\Core\Sampler\Readings;

/** A stored sample together with what the core says of it: what it showed, and all else, when somebody asks. */
final class KeptSample
{
    private ?Readings $readings = null;

    private ?Grade $grade = null;

    /** @var array{PastSample, Verdict|null}|null */
    private ?array $showed = null;

    /**
     * @param  DateTimeImmutable  $at  it was looked at, or the one it corrects
     * @param  string|null  $key  that what is told of it is remembered by; null: nothing is remembered
     * @param  list<string>  $chain  ids of this sample and of those it corrects
     * @param  Closure(): Lesson  $sewn
     * @param  Closure(): Readings  $read
     * @param  Closure(Readings): Grade  $judge
     * @param  Closure(self): array{PastSample, Verdict|null}  $show
     */
    public function __construct(
        public readonly Sample $sample,
        public readonly DateTimeImmutable $at,
        public readonly array $chain,
        public readonly ?string $key,
        private readonly Closure $sewn,
        private readonly Closure $read,
        private readonly Closure $judge,
        private readonly Closure $show,
    ) {}

    /** As the ladder sees it. */
    public function past(): PastSample
    {
        return ($this->showed ??= ($this->show)($this))[0];
    }

    /** On the whole of it; null: nothing to judge. */
    public function verdict(): ?Verdict
    {
        return ($this->showed ??= ($this->show)($this))[1];
    }

    /** At the version and in the way it was sewn. */
    public function lesson(): Lesson
    {
        return ($this->sewn)();
    }

    public function readings(): Readings
    {
        return $this->readings ??= ($this->read)();
    }

    public function grade(): Grade
    {
        return $this->grade ??= ($this->judge)($this->readings());
    }
}
