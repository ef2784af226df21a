<?php

declare(strict_types=1);

namespace OpenSeam\Core\Stitch;

use OpenSeam\Core\Data;

/**
 * A kind of stitch as resources/stitches.json describes it. Its pattern is one
 * cycle of strokes: feed in stitch lengths (back is negative), across in half
 * widths from the middle of the swing, left negative.
 */
final readonly class StitchKind
{
    /**
     * @param  list<string>  $feet  kinds of foot that sew it, the usual one first
     * @param  list<array{float, float}>  $strokes  [feed, across] of one cycle
     */
    private function __construct(
        public string $id,
        public string $title,
        /** Number in ISO 4915 where one is known to us. */
        public ?string $iso4915,
        public string $isoSource,
        public string $about,
        /** "pattern", "buttonhole" or "button". */
        public string $generator,
        public Span $length,
        public Span $width,
        /** From side to side and nothing else: what a dial with fixed zigzags offers. */
        public bool $plainZigzag,
        /** So close that a flat sole jams on it. */
        public bool $dense,
        public bool $feedDropped,
        public array $feet,
        public float $start,
        public array $strokes,
        /** Of a buttonhole: rectangular, round or keyhole. */
        public string $end,
        /** Of a buttonhole of the machine’s own: the kind it is; empty for all else. */
        public string $hole,
        /** A stitch of the machine that it is set up from by hand; null where the machine sews it of its own. */
        public ?string $madeOf,
    ) {}

    public static function read(Data $data): self
    {
        $pattern = $data->part('pattern');
        $strokes = [];
        foreach ($pattern->items('strokes') as $stroke) {
            /** @var array{int|float, int|float} $stroke */
            $strokes[] = [(float) $stroke[0], (float) $stroke[1]];
        }

        return new self(
            $data->text('id'), $data->text('title'), $data->has('iso_4915') ? $data->text('iso_4915') : null, $data->text('iso_source'), $data->text('about'),
            $data->text('generator'), Span::read($data->part('length_mm')), Span::read($data->part('width_mm')),
            $data->flag('plain_zigzag'), $data->flag('dense'), $data->text('feed') === 'dropped', $data->texts('feet'),
            $pattern->number('start', 0.0), $strokes, $data->text('end', ''), $data->text('hole', ''), $data->has('made_of') ? $data->text('made_of') : null,
        );
    }

    /** It swings from side to side. */
    public function swings(): bool
    {
        return $this->width->max > 0.0;
    }

    /** Sewn on the spot: the feed is out of work, or set to nothing. */
    public function staysInPlace(): bool
    {
        return $this->length->max <= 0.0;
    }

    /** Strokes from one point of the pattern to the same point of the next; 1 for a straight stitch. */
    public function strokesPerCycle(): int
    {
        return max(1, count($this->strokes));
    }
}
