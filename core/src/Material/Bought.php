<?php

declare(strict_types=1);

namespace OpenSeam\Core\Material;

use OpenSeam\Core\InputError;
use OpenSeam\Core\Machine\Machine;

/** How things come from the shop: the bolt's width, its selvedges, thread on a spool and on a full bobbin. */
final readonly class Bought
{
    private function __construct(public float $clothWidthMm, public float $selvedgeMm, public float $spoolMetres, public float $bobbinMetres) {}

    /**
     * @param  float  $clothWidthMm  300 to 3000
     * @param  float  $selvedgeMm  each side, 0 to 50; not cut into pieces
     * @param  float  $spoolMetres  10 to 10000
     * @param  float  $bobbinMetres  5 to 200; a usual one holds about 30 (common practice, no source)
     *
     * @throws InputError for something no shop sells
     */
    public static function of(float $clothWidthMm = 1400.0, float $selvedgeMm = 15.0, float $spoolMetres = 200.0, float $bobbinMetres = Machine::BOBBIN_METRES): self
    {
        foreach ([
            ['cloth_width_mm', $clothWidthMm, 300.0, 3000.0, 'A bolt of cloth is %g to %g mm wide.'],
            ['selvedge_mm', $selvedgeMm, 0.0, 50.0, 'A selvedge is %g to %g mm wide.'],
            ['spool_m', $spoolMetres, 10.0, 10000.0, 'A spool holds %g to %g m.'],
            ['bobbin_m', $bobbinMetres, 5.0, 200.0, 'A full bobbin holds %g to %g m.'],
        ] as [$field, $value, $least, $most, $said]) {
            $value >= $least && $value <= $most || throw InputError::at($field, $value, sprintf($said, $least, $most));
        }

        return new self($clothWidthMm, $selvedgeMm, $spoolMetres, $bobbinMetres);
    }
}
