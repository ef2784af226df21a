<?php

declare(strict_types=1);

namespace OpenSeam\Core\Compute\Calculators;

use OpenSeam\Core\Compute\Calculator;
use OpenSeam\Core\Compute\Schema;
use OpenSeam\Core\Data;
use OpenSeam\Core\Stitch\TensionPicture;

/** Where top and bobbin thread lock; an illustration. */
final class ShowTension implements Calculator
{
    public function name(): string
    {
        return 'tension-picture';
    }

    public function summary(): string
    {
        return 'Where top and bobbin thread lock for given tensions, and the next move. An illustration.';
    }

    public function schema(): array
    {
        return Schema::object([
            'top_notches' => Schema::number('of the top thread from the machine’s usual mark, tighter is positive', -9, 9),
            'bobbin_notches' => Schema::number('the same for the bobbin; default 0', -9, 9),
        ], ['bobbin_notches']);
    }

    public function answer(): array
    {
        $shows = ['even', 'dots', 'loops'];

        return Schema::object([
            'lock' => Schema::number('0 on the underside, 0.5 in the middle, 1 on the right side', 0, 1), 'look' => Schema::oneOf('of both faces', ['balanced', 'top-loose', 'top-tight']),
            'right_side' => Schema::oneOf('what shows', $shows), 'underside' => Schema::oneOf('what shows', $shows),
            'move' => Schema::oneOf('what to do next', ['none', 'notch-up', 'notch-down', 'rethread']),
        ]);
    }

    public function example(): array
    {
        return ['top_notches' => -2, 'bobbin_notches' => 0];
    }

    public function run(Data $in): array
    {
        $p = TensionPicture::of($in->number('top_notches'), $in->number('bobbin_notches', 0.0));

        return ['lock' => $p->lock, 'look' => $p->look, 'right_side' => $p->rightSide, 'underside' => $p->underside, 'move' => $p->move];
    }
}
