<?php

declare(strict_types=1);

namespace OpenSeam\Core\Compute\Calculators;

use OpenSeam\Core\Buttonhole\ButtonOn;
use OpenSeam\Core\Buttonhole\ButtonSwing;
use OpenSeam\Core\Compute\Calculator;
use OpenSeam\Core\Compute\Schema;
use OpenSeam\Core\Data;
use OpenSeam\Core\Machine\Clearance;

/** How wide the swing is that sews a button on. */
final class ButtonWidth implements Calculator
{
    private const FEED = ['drops', 'cover', 'zero-length'];

    public function name(): string
    {
        return 'button-width';
    }

    public function summary(): string
    {
        return 'The swing for a button’s holes as this dial has it, and the needle’s room in them: clear, close or strike.';
    }

    public function schema(): array
    {
        return Schema::object([
            'holes' => ['type' => 'integer', 'description' => 'in the button', 'enum' => [2, 4]], 'spacing_mm' => Schema::number('of two holes, centre to centre', null, 30, 0), 'hole_mm' => Schema::number('a hole across', null, 20, 0),
            'needle_size' => Schema::number('metric size, hundredths of a mm', Clearance::SMALLEST_NEEDLE, Clearance::LARGEST_NEEDLE),
            'dial_step_mm' => Schema::number('from one width to the next', 0, 5), 'widest_mm' => Schema::number('swing', 0, 12),
            'feed' => Schema::oneOf('how it is put out of work', self::FEED),
        ], ['dial_step_mm', 'feed']);
    }

    public function answer(): array
    {
        return Schema::object([
            'width_mm' => Schema::number('nearest that the dial has'), 'margin_mm' => Schema::number('at each wall; below 0: it strikes'), 'verdict' => Schema::oneOf('by that margin', ['clear', 'close', 'strike']),
            'patterns' => Schema::texts('in which it can be sewn'), 'set_up' => Schema::list('before the first stitch', Schema::text('in words', 400)),
        ]);
    }

    public function example(): array
    {
        return ['holes' => 2, 'spacing_mm' => 3.4, 'hole_mm' => 1.8, 'needle_size' => 80, 'dial_step_mm' => 0.5, 'widest_mm' => 5, 'feed' => 'drops'];
    }

    public function run(Data $in): array
    {
        $swing = ButtonSwing::of($in->whole('holes'), $in->number('spacing_mm'), $in->number('hole_mm'), $in->number('needle_size') / 100, $in->number('dial_step_mm', 0.0), $in->number('widest_mm'));

        return [
            'width_mm' => $swing->widthMm, 'margin_mm' => $swing->marginMm, 'verdict' => $swing->verdict, 'patterns' => $swing->patterns,
            'set_up' => ButtonOn::setUp($swing, $in->text('feed', 'zero-length')),
        ];
    }
}
