<?php

declare(strict_types=1);

namespace OpenSeam\Core\Machine;

use OpenSeam\Core\Data;
use OpenSeam\Core\InputError;
use OpenSeam\Core\Stitch\StitchBook;
use OpenSeam\Core\Stitch\StitchKind;
use OpenSeam\Core\Stitch\StitchSettings;

/** A stitch of one machine as its own dial or list offers it: its mark there, and what it sews. */
final readonly class OwnStitch
{
    /** The zigzags of a dial where width is not free. */
    public const FIXED = 'fixed-zigzags';

    /** Everything on the machine's list. */
    public const LIST = 'stitches';

    /** @param  string  $name  its number or letter on the machine; may be empty */
    public function __construct(public StitchSettings $settings, public string $name) {}

    /**
     * @param  string  $each  FIXED or LIST
     * @return list<self> in the order of the dial or of the list; empty where the machine has none
     */
    public static function of(Machine $m, string $each): array
    {
        $book = StitchBook::standard();
        if ($each === self::FIXED) {
            return array_map(fn (array $z): self => new self(StitchSettings::of($book->get('zigzag'), $z['length_mm'], $z['width_mm']), $z['name']), $m->swing->fixed);
        }
        $named = array_filter($m->marks->stitchNames, fn (string $name, string $id): bool => ! self::hasLessonOfItsOwn($book->get($id)), ARRAY_FILTER_USE_BOTH);
        // Numbers in their order, 9 before 10; what has no number keeps the book's order behind them.
        uksort($named, fn (string $a, string $b): int => [$named[$a] === '', 0] <=> [$named[$b] === '', 0] ?: strnatcasecmp($named[$a], $named[$b]));

        return array_map(fn (string $id): self => new self((new Room([$m], []))->usual($m, $id), $named[$id]), array_keys($named));
    }

    /**
     * Two of a kind, to see whether a lesson can be made from such.
     *
     * @return list<self>
     */
    public static function examples(string $each): array
    {
        $of = fn (string $id, string $name): self => new self(StitchSettings::of(StitchBook::standard()->get($id)), $name);

        return $each === self::FIXED ? [$of('zigzag', '1'), $of('zigzag', '2')] : [$of('straight', '1'), $of('zigzag', '2')];
    }

    /**
     * @throws InputError when it names no stitch, or a setting out of its range
     */
    public static function read(Data $d): self
    {
        $kind = StitchBook::standard()->get($d->text('stitch'), $d->path('stitch'));
        try {
            return new self(StitchSettings::of($kind, $d->number('length_mm'), $d->number('width_mm')), mb_substr($d->text('name', ''), 0, 20));
        } catch (InputError $e) {
            throw InputError::at($d->path($e->field), $e->got, $e->getMessage());
        }
    }

    /** @return array{stitch: string, width_mm: float, length_mm: float, name: string} */
    public function facts(): array
    {
        return ['stitch' => $this->settings->kind->id, 'width_mm' => $this->settings->widthMm, 'length_mm' => $this->settings->lengthMm, 'name' => $this->name];
    }

    /** Buttonholes and buttons are measured and cut, not sewn in a row beside the others. */
    private static function hasLessonOfItsOwn(StitchKind $kind): bool
    {
        return $kind->generator !== 'pattern';
    }
}
