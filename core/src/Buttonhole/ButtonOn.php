<?php

declare(strict_types=1);

namespace OpenSeam\Core\Buttonhole;

use OpenSeam\Core\Data;
use OpenSeam\Core\Machine\Machine;
use OpenSeam\Core\Tables;

/**
 * A button sewn on by a machine: its swing, what is set up, and the thread as
 * it lies in each pattern. What is not measured yet is a usual shirt button's.
 * Lengths in mm.
 */
final readonly class ButtonOn
{
    /** Common practice, no source; ours to start from. */
    public const SPACING_MM = 3.4;

    public const HOLE_MM = 1.8;

    public const NEEDLE = 80;

    /** A width dial is set to so much where nobody has said otherwise. */
    private const DIAL_STEP_MM = 0.5;

    /** Of a machine that nobody has chosen yet. */
    private const WIDEST_MM = 5.0;

    private function __construct(
        public int $holes,
        public float $spacingMm,
        public float $holeMm,
        public float $needleMm,
        public ButtonSwing $swing,
        /** @var list<string> before the first stitch */
        public array $setUp,
        /** @var array<string, list<array{array{float, float}, array{float, float}}>> the thread by pattern: from and to, from the middle of the button */
        public array $thread,
    ) {}

    /** @param  Data  $d  holes, spacing_mm, hole_mm and needle_size, as far as they are known */
    public static function of(Data $d, ?Machine $machine): self
    {
        $holes = $d->whole('holes', 2) === 4 ? 4 : 2;
        $spacing = self::known($d, 'spacing_mm', self::SPACING_MM);
        $hole = self::known($d, 'hole_mm', self::HOLE_MM);
        $needle = self::known($d, 'needle_size', self::NEEDLE) / 100;
        $swing = ButtonSwing::of($holes, $spacing, $hole, $needle, self::DIAL_STEP_MM, $machine->swing->widestMm ?? self::WIDEST_MM);
        $thread = [];
        foreach ($swing->patterns as $pattern) {
            $thread[$pattern] = self::lies($pattern, $spacing, $holes);
        }

        return new self($holes, $spacing, $hole, $needle, $swing, self::setUp($swing, $machine === null || $machine->feed->drop === 'none' ? 'zero-length' : $machine->feed->drop), $thread);
    }

    /**
     * @param  string  $feed  drops, cover or zero-length
     * @return list<string>
     */
    public static function setUp(ButtonSwing $swing, string $feed): array
    {
        $table = Tables::read('button-look');

        return $swing->verdict === 'strike' ? [$table->text('not_by_machine')] : [$table->part('feed')->text($feed), $table->text('always')];
    }

    private static function known(Data $d, string $name, float $usual): float
    {
        $value = $d->numberOrNull($name);

        return $value === null || $value <= 0 ? $usual : $value;
    }

    /** @return list<array{array{float, float}, array{float, float}}> from hole to hole, as the thread shows on top */
    private static function lies(string $pattern, float $spacing, int $holes): array
    {
        [$x, $y] = [$spacing / 2, $holes === 4 ? $spacing / 2 : 0.0];

        return match ($pattern) {
            'cross' => [[[-$x, -$y], [$x, $y]], [[$x, -$y], [-$x, $y]]],
            'two-rows-along' => [[[-$x, -$y], [-$x, $y]], [[$x, -$y], [$x, $y]]],
            'two-rows-across' => [[[-$x, -$y], [$x, -$y]], [[-$x, $y], [$x, $y]]],
            default => [[[-$x, 0.0], [$x, 0.0]]],
        };
    }
}
