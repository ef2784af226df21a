<?php

declare(strict_types=1);

namespace OpenSeam\Core\Compute;

use OpenSeam\Core\Machine\ButtonholeWay;
use OpenSeam\Core\Machine\Drive;
use OpenSeam\Core\Machine\Feed;
use OpenSeam\Core\Machine\Foot;
use OpenSeam\Core\Machine\FootBook;
use OpenSeam\Core\Machine\Machine;
use OpenSeam\Core\Machine\OwnButtonhole;

/** JSON Schemas of the room's things, for calculations and for request bodies. */
final class RoomSchema
{
    /** @return array<string, mixed> of a machine; what is left out is usual for its drive */
    public static function machine(): array
    {
        return Schema::object([
            'name' => ['type' => 'string', 'description' => 'what it is called in the room', 'maxLength' => 60],
            'drive' => Schema::oneOf('what drives it', array_column(Drive::cases(), 'value')),
            'mount' => Schema::oneOf('how feet are fixed', array_keys(FootBook::standard()->mounts())),
            'widest_swing_mm' => Schema::number('widest zigzag, mm', 0, 12),
            'shortest_stitch_mm' => Schema::number('mm', 0, 2),
            'longest_stitch_mm' => Schema::number('mm', 1, 12),
            'fixed_zigzags' => Schema::list('where width is not free: the only zigzags', Schema::object([
                'width_mm' => Schema::number('mm', 0, 12), 'length_mm' => Schema::number('mm for each stroke', 0.1, 12), 'name' => Schema::text('its mark on the dial', 20),
            ]), 0, 40),
            'needle_positions_mm' => Schema::list('from the centre, left negative; 0 is among them', Schema::number('mm', -4.5, 4.5), 1, 99),
            'tension_mark' => Schema::text('the dial’s usual mark', 10),
            'slot_mm' => Schema::number('width of the plate’s slot, mm', 1, 16),
            'plate_lines_mm' => Schema::list('guide lines from the centre needle', Schema::number('mm', null, 100, 0), 0, 40),
            'buttonhole' => Schema::oneOf('kind', array_column(ButtonholeWay::ofMachines(), 'value')),
            'buttonhole_starts' => Schema::oneOf('the end it starts; empty: unknown', ['', 'front', 'back']),
            'longest_buttonhole_mm' => Schema::number('mm', 0, 60),
            'buttonhole_first_side' => Schema::oneOf('the side it sews first; empty: unknown', OwnButtonhole::FIRST_SIDES),
            'buttonhole_straight_first' => self::looked('straight rows come before the zigzag'),
            'buttonhole_ties_off' => self::looked('it ties off by itself'),
            'buttonhole_stops' => self::looked('it stops by itself at the end'),
            'buttonhole_lever' => self::looked('a lever is pulled down before each one'),
            'buttonhole_balance' => self::looked('it has a control that makes both sides alike'),
            'buttonhole_zone' => ['type' => 'string', 'description' => 'where on the length dial its density is set, in the dial’s words', 'maxLength' => 30],
            'buttonhole_dense_end' => Schema::oneOf('the end of that zone that is denser; empty: unknown', OwnButtonhole::DENSE_ENDS),
            'buttonhole_marks' => Schema::list('its own words of the steps, in their order', ['type' => 'string', 'maxLength' => 20], 0, 6),
            'buttonhole_step_mm' => Schema::number('of the length that is typed; 0: by any', 0, 10),
            'feed_drop' => Schema::oneOf('how the feed is put out of work', Feed::DROP),
            'strokes_per_minute' => Schema::number('full speed', 50, 6000),
            'bobbin' => ['type' => 'string', 'description' => 'type', 'maxLength' => 30],
            'bobbin_metres' => Schema::number('metres on a full bobbin', 1, 500),
            'zigzag_length' => Schema::oneOf('what its length dial means by a zigzag’s length', ['per-stroke', 'per-cycle']),
            'magnets_allowed' => ['type' => 'boolean', 'description' => 'the manual allows magnets near it'],
            'stitch_names' => ['type' => 'object', 'description' => 'its own number or letter of each stitch it has, by stitch id', 'additionalProperties' => ['type' => 'string', 'maxLength' => 20]],
            'also' => Schema::list('what else it has and is shown on it', Schema::oneOf('part', Machine::ALSO), 0, count(Machine::ALSO)),
        ], ['name', 'mount', 'widest_swing_mm', 'shortest_stitch_mm', 'longest_stitch_mm', 'fixed_zigzags', 'needle_positions_mm', 'tension_mark', 'slot_mm', 'plate_lines_mm',
            'buttonhole', 'buttonhole_starts', 'longest_buttonhole_mm', 'feed_drop', 'strokes_per_minute', 'bobbin', 'bobbin_metres', 'zigzag_length', 'magnets_allowed', 'stitch_names', 'also', 'buttonhole_first_side', 'buttonhole_straight_first', 'buttonhole_ties_off', 'buttonhole_stops', 'buttonhole_lever', 'buttonhole_balance', 'buttonhole_zone', 'buttonhole_dense_end', 'buttonhole_marks', 'buttonhole_step_mm']);
    }

    /** @return array<string, mixed> of a foot; what is left out is usual for its kind */
    public static function foot(): array
    {
        $mm = fn (string $what, float $max): array => Schema::number("$what, mm from the centre needle", 0, $max);

        return Schema::object([
            'name' => ['type' => 'string', 'description' => 'what it is called in the room', 'maxLength' => 60],
            'kind' => Schema::oneOf('kind of foot', array_keys(FootBook::standard()->all())),
            'mount' => Schema::oneOf('how it is fixed', array_keys(FootBook::standard()->mounts())),
            'opening_left_mm' => $mm('opening to the left', 15), 'opening_right_mm' => $mm('opening to the right', 15),
            'sole' => Schema::oneOf('flat or with a groove beneath', ['flat', 'grooved']),
            'edge_left_mm' => $mm('left edge', 60), 'edge_right_mm' => $mm('right edge', 60),
            'edge_inner_mm' => ['type' => ['number', 'null'], 'description' => 'inside edge of the toe, mm from the centre needle', 'minimum' => 0, 'maximum' => 60],
            'largest_swing_mm' => Schema::number('widest zigzag it takes, mm', 0, 12),
            'smallest_swing_mm' => Schema::number('narrowest zigzag it takes, mm; below it the needle strikes its finger', 0, 12),
            'open_side' => ['type' => ['string', 'null'], 'enum' => [...Foot::OPEN_SIDES, null], 'description' => 'the side without an edge to strike'],
            'positions' => Schema::oneOf('needle positions allowed', ['all', 'centre']),
            'guide' => ['type' => ['object', 'null'], 'description' => 'blade or ruler arm: min_mm, max_mm, step_mm', 'properties' => [
                'min_mm' => Schema::number('mm', 0, 200), 'max_mm' => Schema::number('mm', 0, 200), 'step_mm' => Schema::number('mm', null, 50, 0),
            ], 'required' => ['min_mm', 'max_mm', 'step_mm'], 'additionalProperties' => false],
            'materials' => Schema::list('what it is for, in words', Schema::text('a kind of cloth', 40), 0, 12),
            'count' => Schema::whole('how many there are', 0, 200),
            'tape_mm' => ['type' => ['number', 'null'], 'description' => 'width of the tape a binder takes, mm', 'minimum' => 6, 'maximum' => 80],
            'hole_holder' => ['type' => 'boolean', 'description' => 'the button lies in it and sets the length'],
            'hole_line_mm' => ['type' => ['number', 'null'], 'description' => 'distance of the lines of its slider, mm', 'minimum' => 0.5, 'maximum' => 20],
            'hole_longest_mm' => ['type' => ['number', 'null'], 'description' => 'longest buttonhole it can be set to, mm', 'minimum' => 5, 'maximum' => 100],
            'hole_thread' => ['type' => 'boolean', 'description' => 'it has a hole for the top thread'],
            'hole_spur' => ['type' => 'boolean', 'description' => 'it has a spur for the loop of a cord'],
            'price' => ['type' => ['number', 'null'], 'description' => 'what one of them cost', 'minimum' => 0, 'maximum' => 100_000],
        ], ['name', 'mount', 'opening_left_mm', 'opening_right_mm', 'sole', 'edge_left_mm', 'edge_right_mm', 'edge_inner_mm', 'largest_swing_mm', 'smallest_swing_mm', 'open_side', 'positions', 'guide', 'materials', 'count', 'tape_mm', 'hole_holder', 'hole_line_mm', 'hole_longest_mm', 'hole_thread', 'hole_spur', 'price']);
    }

    /** @return array<string, mixed> yes, no, or nobody has looked yet */
    private static function looked(string $what): array
    {
        return ['type' => ['boolean', 'null'], 'description' => "$what; null: unknown"];
    }
}
