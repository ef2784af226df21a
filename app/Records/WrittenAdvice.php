<?php

declare(strict_types=1);

namespace App\Records;

use Closure;
use OpenSeam\Core\Course\Drill;
use OpenSeam\Core\NextLesson\Advice;
use OpenSeam\Core\NextLesson\Candidate;
use OpenSeam\Core\NextLesson\Option;
use OpenSeam\Core\Sampler\Sampler;

/**
 * An advice as it is remembered: without the rows of its short exercises, which are drawn only when somebody asks for them.
 *
 * @phpstan-type Written array{string, string, string, float, string}
 */
final readonly class WrittenAdvice
{
    /**
     * @param  list<array{Candidate, Written|null}>  $candidates  each with its exercise
     * @param  Written|null  $drill
     * @param  Written|null  $warmUp
     * @param  Written|null  $homework
     */
    private function __construct(private Advice $plain, private array $candidates, private ?array $drill, private ?array $warmUp, private ?array $homework) {}

    public static function of(Advice $a): self
    {
        return new self(
            new Advice($a->kind, $a->lesson, null, $a->change, $a->reasons, [], step: $a->step),
            array_map(fn (Candidate $c): array => [self::with($c, null), self::written($c->drill)], $a->candidates),
            self::written($a->drill), self::written($a->warmUp), self::written($a->homework),
        );
    }

    /** @param  Closure(): array<string, Option>  $options  what could be given, with its exercises: read when rows are drawn */
    public function read(Closure $options): Advice
    {
        $a = $this->plain;

        return new Advice(
            $a->kind, $a->lesson, self::drill($this->drill, $options), $a->change, $a->reasons,
            array_map(fn (array $c): Candidate => $c[1] === null ? $c[0] : self::with($c[0], self::drill($c[1], $options)), $this->candidates),
            self::drill($this->warmUp, $options), self::drill($this->homework, $options), $a->step,
        );
    }

    /**
     * @param  Written|null  $w
     * @param  Closure(): array<string, Option>  $options
     */
    private static function drill(?array $w, Closure $options): ?Drill
    {
        return $w === null ? null : new Drill($w[0], $w[1], $w[2], $w[3], $w[4], fn (): Sampler => self::rows($options(), $w));
    }

    /** @return Written|null */
    private static function written(?Drill $drill): ?array
    {
        return $drill === null ? null : [$drill->id, $drill->title, $drill->skill, $drill->minutes, $drill->text];
    }

    private static function with(Candidate $c, ?Drill $drill): Candidate
    {
        return new Candidate($c->kind, $c->lesson, $drill, $c->minutes, $c->gainPerMinute, $c->ready, $c->passed);
    }

    /**
     * Lessons call their exercises as they like, two of them the same: all that is written of it must fit.
     *
     * @param  array<string, Option>  $options
     * @param  Written  $written
     */
    private static function rows(array $options, array $written): Sampler
    {
        foreach ($options as $option) {
            foreach ($option->drills as $drill) {
                if (self::written($drill) === $written) {
                    return $drill->sampler();
                }
            }
        }

        return new Sampler;
    }
}
