<?php

declare(strict_types=1);

namespace OpenSeam\Core\Compute\Calculators;

use OpenSeam\Core\Compute\Calculator;
use OpenSeam\Core\Compute\Schema;
use OpenSeam\Core\Data;
use OpenSeam\Core\Stitch\ThreadUse;

/** Thread of a seam, top and bobbin. */
final class ThreadUseOf implements Calculator
{
    public function name(): string
    {
        return 'thread-use';
    }

    public function summary(): string
    {
        return 'Thread a seam takes from top and bobbin, and both together for each length of seam.';
    }

    public function schema(): array
    {
        return Schema::object([
            'stitch' => Schema::oneOf('kind', ['straight', 'zigzag']),
            'length_mm' => Schema::number('stitch length for each stroke, mm', null, 100, 0),
            'width_mm' => Schema::number('width of a zigzag, mm; a straight stitch has none', 0, 100),
            'stack_mm' => Schema::number('thickness of all layers, mm', 0, 100),
            'seam_mm' => Schema::number('length of the seam, mm', 0, 10_000_000),
        ], ['width_mm']);
    }

    public function answer(): array
    {
        return Schema::object(['top_mm' => Schema::number('mm'), 'bobbin_mm' => Schema::number('mm'), 'ratio' => Schema::number('both threads to seam')]);
    }

    public function example(): array
    {
        return ['stitch' => 'straight', 'length_mm' => 2.5, 'width_mm' => 0, 'stack_mm' => 0.6, 'seam_mm' => 1000];
    }

    public function run(Data $in): array
    {
        $width = $in->text('stitch') === 'zigzag' ? $in->number('width_mm', 0.0) : 0.0;
        $use = ThreadUse::ofSeam($in->number('length_mm'), $width, $in->number('stack_mm'), $in->number('seam_mm'));

        return ['top_mm' => $use->topMm, 'bobbin_mm' => $use->bobbinMm, 'ratio' => $use->ratio];
    }
}
