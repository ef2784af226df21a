<?php

declare(strict_types=1);

namespace OpenSeam\Core\Course;

use OpenSeam\Core\Data;
use OpenSeam\Core\InputError;
use OpenSeam\Core\Machine\OwnStitch;

/**
 * How a lesson is sewn where that may differ: which schools of teaching are
 * followed, and the machine's own stitches where its sampler is made from them.
 * The usual way has neither.
 */
final readonly class Way
{
    /** More than any dial or list of a machine holds. */
    private const MOST_STITCHES = 100;

    /**
     * @param  list<string>  $schools  ids, at most one for each setting of the lesson
     * @param  list<OwnStitch>  $stitches
     */
    public function __construct(public array $schools = [], public array $stitches = []) {}

    /**
     * @throws InputError when a stitch of it is none
     */
    public static function read(Data $d): self
    {
        $stitches = $d->parts('stitches');
        count($stitches) <= self::MOST_STITCHES || throw InputError::at($d->path('stitches'), count($stitches), sprintf('A sampler has at most %d rows.', self::MOST_STITCHES));

        return new self($d->texts('schools'), array_map(OwnStitch::read(...), $stitches));
    }

    /** @return array{schools: list<string>, stitches: list<array{stitch: string, width_mm: float, length_mm: float, name: string}>} */
    public function facts(): array
    {
        return ['schools' => $this->schools, 'stitches' => array_map(fn (OwnStitch $s): array => $s->facts(), $this->stitches)];
    }

    public function isUsual(): bool
    {
        return $this->schools === [] && $this->stitches === [];
    }

    /** The same for the same way. */
    public function key(): string
    {
        return $this->isUsual() ? '' : (string) json_encode($this->facts(), JSON_UNESCAPED_UNICODE | JSON_PRESERVE_ZERO_FRACTION);
    }
}
