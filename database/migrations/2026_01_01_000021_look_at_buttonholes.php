<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Support\Facades\DB;

/** What a machine does in a buttonhole and a foot has for it: nobody has looked yet, but for what follows from what was known. */
return new class extends Migration
{
    private const MACHINE = [
        'buttonhole_first_side' => '', 'buttonhole_straight_first' => null, 'buttonhole_ties_off' => null, 'buttonhole_stops' => null, 'buttonhole_lever' => null,
        'buttonhole_balance' => null, 'buttonhole_zone' => '', 'buttonhole_dense_end' => '', 'buttonhole_marks' => [], 'buttonhole_step_mm' => 0,
    ];

    private const FOOT = ['hole_holder' => false, 'hole_line_mm' => null, 'hole_longest_mm' => null, 'hole_thread' => false, 'hole_spur' => false];

    /** What a foot of this kind has for its buttonholes wherever it is one: common practice, no source. */
    private const FEET = ['buttonhole-one-step' => ['hole_holder' => true, 'hole_thread' => true], 'buttonhole-four-step' => ['hole_line_mm' => 3.175, 'hole_thread' => true]];

    public function up(): void
    {
        $this->each('machines', fn (array $facts, object $row): array => $facts + (($facts['buttonhole'] ?? 'none') === 'one-step' ? ['buttonhole_lever' => true] : []) + self::MACHINE);
        $this->each('feet', fn (array $facts, object $row): array => $facts + (self::FEET[$row->kind ?? ''] ?? []) + self::FOOT);
    }

    public function down(): void
    {
        $this->each('machines', fn (array $facts): array => array_diff_key($facts, self::MACHINE));
        $this->each('feet', fn (array $facts): array => array_diff_key($facts, self::FOOT));
    }

    private function each(string $table, Closure $to): void
    {
        foreach (DB::table($table)->whereNotNull('facts')->get() as $row) {
            $facts = (array) json_decode((string) $row->facts, true);
            $facts === [] || DB::table($table)->where('id', $row->id)->update(['facts' => json_encode((object) $to($facts, $row))]);
        }
    }
};
