<?php

declare(strict_types=1);

namespace OpenSeam\Core\Compute\Calculators;

use OpenSeam\Core\Compute\Calculator;
use OpenSeam\Core\Compute\Schema;
use OpenSeam\Core\Data;
use OpenSeam\Core\Fault\CheckOrder;
use OpenSeam\Core\InputError;
use OpenSeam\Core\Near;

/** In what order to try causes. */
final class OrderChecks implements Calculator
{
    public function name(): string
    {
        return 'order-checks';
    }

    public function summary(): string
    {
        return 'The order of checks that finds the cause in the least expected time.';
    }

    public function schema(): array
    {
        return Schema::object(['checks' => Schema::list('one cause each', Schema::object([
            'id' => Schema::text('its name'), 'probability' => Schema::number('that this is the cause', 0, 1), 'minutes' => Schema::number('the check takes', null, 10_000, 0),
        ]), 1, 200)]);
    }

    public function answer(): array
    {
        return Schema::object(['order' => Schema::texts('ids, first to try first'), 'expected_minutes' => Schema::number('until the cause is found; where it is none of these, all are spent')]);
    }

    public function example(): array
    {
        return ['checks' => [['id' => 'needle', 'probability' => 0.5, 'minutes' => 10], ['id' => 'rethread', 'probability' => 0.3, 'minutes' => 2], ['id' => 'tension', 'probability' => 0.2, 'minutes' => 1]]];
    }

    public function run(Data $in): array
    {
        $checks = [];
        $sum = 0.0;
        foreach ($in->parts('checks') as $i => $c) {
            isset($checks[$c->text('id')]) && throw InputError::at("checks[$i].id", $c->text('id'), 'Each check once.');
            $checks[$c->text('id')] = ['id' => $c->text('id'), 'probability' => $c->number('probability'), 'minutes' => $c->number('minutes')];
            $sum += $c->number('probability');
            $sum <= 1 + Near::DUST || throw InputError::at("checks[$i].probability", $c->number('probability'), sprintf('Only one cause is behind it: the probabilities add up to 1 at most, and here to %g.', $sum));
        }
        $order = CheckOrder::of(array_values($checks));

        return ['order' => $order->order, 'expected_minutes' => $order->expectedMinutes];
    }
}
