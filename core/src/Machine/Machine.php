<?php

declare(strict_types=1);

namespace OpenSeam\Core\Machine;

use OpenSeam\Core\Data;
use OpenSeam\Core\InputError;
use OpenSeam\Core\Stitch\StitchBook;

/**
 * What a sewing machine can do. Lengths in mm; lengths of a zigzag for each
 * needle stroke, whatever the machine's own dial means by them.
 */
final readonly class Machine
{
    /** On a full bobbin, where nothing else is known; common practice, no source. */
    public const BOBBIN_METRES = 30.0;

    /** What else some machines have and a teacher shows: common practice, no source. */
    public const ALSO = ['start-stop', 'speed-slide', 'needle-threader', 'stretch-lever', 'free-arm', 'drop-in-bobbin', 'side-threading', 'hand-crank'];

    /** @param  list<string>  $also  of ALSO */
    private function __construct(
        public string $name,
        public Drive $drive,
        public string $mount,
        public Swing $swing,
        public Feed $feed,
        public OwnButtonhole $buttonhole,
        public Marks $marks,
        public float $strokesPerMinute,
        public string $bobbin,
        public float $bobbinMetres,
        /** The manual allows magnets near it. */
        public bool $magnetsAllowed,
        public array $also = [],
    ) {}

    /**
     * A whole machine from what is known of it; what is not said is what most machines of its drive have.
     *
     * @throws InputError naming what does not fit
     */
    public static function read(Data $d): self
    {
        $drive = Drive::tryFrom($d->text('drive')) ?? throw InputError::at($d->path('drive'), $d->text('drive'), 'It must be one of: '.implode(', ', array_column(Drive::cases(), 'value')).'.');
        $mount = $d->among('mount', array_keys(FootBook::standard()->mounts()), 'snap-low');

        return new self(
            $d->text('name', ''), $drive, $mount, Swing::read($d, $drive), Feed::read($d), OwnButtonhole::read($d), Marks::read($d, $drive),
            $d->numberWithin('strokes_per_minute', 800.0, 50, 6000, 'strokes a minute'), $d->text('bobbin', ''), $d->numberWithin('bobbin_metres', self::BOBBIN_METRES, 1, 500, 'm'),
            $d->flag('magnets_allowed', $drive !== Drive::Computerised), self::also($d),
        );
    }

    /** @return array<string, mixed> all of it, as read() takes it */
    public function facts(): array
    {
        return [
            'name' => $this->name, 'drive' => $this->drive->value, 'mount' => $this->mount, ...$this->swing->facts(), ...$this->feed->facts(), ...$this->buttonhole->facts(), ...$this->marks->facts(),
            'strokes_per_minute' => $this->strokesPerMinute, 'bobbin' => $this->bobbin, 'bobbin_metres' => $this->bobbinMetres, 'magnets_allowed' => $this->magnetsAllowed, 'also' => $this->also,
        ];
    }

    public function has(string $stitch): bool
    {
        return isset($this->marks->stitchNames[$this->sewnFrom($stitch)]);
    }

    /** Its own number or letter of a stitch it has, or of the one it is set up from; empty when it has no name for it. */
    public function nameOf(string $stitch): string
    {
        return $this->marks->stitchNames[$this->sewnFrom($stitch)] ?? '';
    }

    /** @return list<string> kinds of buttonhole it sews of its own, of OwnButtonhole::KINDS */
    public function holeKinds(): array
    {
        $book = StitchBook::standard()->all();

        return $this->buttonhole->isThere() ? array_values(array_filter(array_map(fn (string $id): string => $book[$id]->hole, array_keys($this->marks->stitchNames)))) : [];
    }

    private function sewnFrom(string $stitch): string
    {
        return StitchBook::standard()->all()[$stitch]->madeOf ?? $stitch;
    }

    /** @return list<string> */
    private static function also(Data $d): array
    {
        $also = $d->has('also') ? $d->texts('also') : [];
        foreach ($also as $i => $one) {
            in_array($one, self::ALSO, true) || throw InputError::at($d->path("also[$i]"), $one, 'It must be one of: '.implode(', ', self::ALSO).'.');
        }

        return array_values(array_unique($also));
    }
}
