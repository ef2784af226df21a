<?php

declare(strict_types=1);

namespace OpenSeam\Core\Compute\Calculators;

use OpenSeam\Core\Buttonhole\ButtonShape;
use OpenSeam\Core\Buttonhole\Cloth;
use OpenSeam\Core\Buttonhole\HeldButton;
use OpenSeam\Core\Buttonhole\HoleChoice;
use OpenSeam\Core\Compute\Calculator;
use OpenSeam\Core\Compute\Schema;
use OpenSeam\Core\Data;
use OpenSeam\Core\Machine\ButtonholeWay;
use OpenSeam\Core\Machine\OwnButtonhole;

/** Kind, direction and stabiliser of a buttonhole. */
final class ChooseButtonhole implements Calculator
{
    public function name(): string
    {
        return 'choose-buttonhole';
    }

    public function summary(): string
    {
        return 'Which kind of buttonhole suits cloth, button and part, which way it lies, and what is put under it, with the reasons.';
    }

    public function schema(): array
    {
        $flag = fn (string $what): array => ['type' => 'boolean', 'description' => $what];

        return Schema::object([
            'cloth' => Schema::object(['weight' => Schema::oneOf('of it', Cloth::WEIGHTS), 'stretch' => Schema::oneOf('in how many ways', Cloth::STRETCH), 'delicate' => $flag('fine: silk, voile'), 'fraying' => $flag('it frays')], ['stretch', 'delicate', 'fraying']),
            'button' => Schema::object(['shape' => Schema::oneOf('of it', array_column(ButtonShape::cases(), 'value')), 'shank' => $flag('on a shank'), 'diameter_mm' => Schema::number('across', null, 200, 0), 'thickness_mm' => Schema::number('through', null, 200, 0)], ['shape', 'shank', 'diameter_mm', 'thickness_mm']),
            'part' => Schema::oneOf('of the garment', HoleChoice::PARTS), 'wear' => Schema::oneOf('it gets', ['light', 'hard']),
            'pattern_says' => Schema::oneOf('its own instruction', ['horizontal', 'vertical']),
            'machine' => Schema::object(['way' => Schema::oneOf('it sews them', array_column(ButtonholeWay::cases(), 'value')), 'kinds' => Schema::list('it sews', Schema::oneOf('kind', OwnButtonhole::KINDS)), 'spur' => $flag('on its foot, for a cord')], ['kinds', 'spur']),
        ], ['wear', 'pattern_says']);
    }

    public function answer(): array
    {
        return Schema::object([
            'kind' => Schema::oneOf('to sew', OwnButtonhole::KINDS), 'direction' => Schema::oneOf('on the garment', ['horizontal', 'vertical']),
            'also' => ['type' => ['string', 'null'], 'description' => 'the direction of the other school, where teachers differ'],
            'stabiliser' => Schema::texts('to take'), 'why' => Schema::list('reasons', Schema::text('in words', 400)),
            'refused' => Schema::list('kinds that would be better and cannot be sewn here', Schema::object(['kind' => Schema::text('id'), 'why' => Schema::text('in words', 400)])),
            'by_hand' => ['type' => 'boolean', 'description' => 'the machine has no way of its own: every part is set up by hand'],
        ]);
    }

    public function example(): array
    {
        return [
            'cloth' => ['weight' => 'medium', 'stretch' => 'none', 'delicate' => false, 'fraying' => false], 'button' => ['shape' => 'flat', 'shank' => false, 'diameter_mm' => 15, 'thickness_mm' => 3],
            'part' => 'front', 'wear' => 'light', 'machine' => ['way' => 'four-step', 'kinds' => ['rectangular'], 'spur' => false],
        ];
    }

    public function run(Data $in): array
    {
        $cloth = $in->part('cloth');
        $button = $in->part('button');
        $machine = $in->part('machine');
        $way = ButtonholeWay::from($machine->text('way'));
        $chosen = HoleChoice::of(
            new Cloth($cloth->text('weight'), $cloth->text('stretch', 'none'), $cloth->flag('delicate', false), $cloth->flag('fraying', false)),
            new HeldButton($button->number('thickness_mm', 0.0), $button->flag('shank', false)),
            $in->text('part'), $in->text('wear', 'light') === 'hard', $in->has('pattern_says') ? $in->text('pattern_says') : null,
            $way === ButtonholeWay::None || $way === ButtonholeWay::ByHand ? [] : ($machine->has('kinds') ? $machine->texts('kinds') : []), $machine->flag('spur', false),
        );

        return ['kind' => $chosen->kind, 'direction' => $chosen->direction, 'also' => $chosen->also, 'stabiliser' => $chosen->stabiliser, 'why' => $chosen->why, 'refused' => $chosen->refused, 'by_hand' => $way === ButtonholeWay::None || $way === ButtonholeWay::ByHand];
    }
}
