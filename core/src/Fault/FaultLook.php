<?php

declare(strict_types=1);

namespace OpenSeam\Core\Fault;

use OpenSeam\Core\Data;
use OpenSeam\Core\Stitch\NeedlePoints;
use OpenSeam\Core\Stitch\StitchBook;
use OpenSeam\Core\Stitch\StitchSettings;
use OpenSeam\Core\Tables;

/** How a fault looks on a short row, drawn from the stitch's own geometry; an illustration, not a measurement. */
final readonly class FaultLook
{
    /** Length of the row that is drawn, mm. */
    public const ROW_MM = 40.0;

    /**
     * @param  list<list<array{float, float}>>  $runs  needle points along and across the row, mm; a new run where the thread leaves the cloth
     * @param  list<array{float, float}>  $nest  top thread lying under the start, mm
     */
    private function __construct(
        public array $runs,
        public array $nest,
        /** What shows on the right side and on the underside: "even", "dots" or "loops". */
        public string $rightSide,
        public string $underside,
    ) {}

    /** Null for a fault that cannot be shown on a row. */
    public static function of(string $fault): ?self
    {
        foreach (Tables::read('causes')->parts('faults') as $f) {
            if ($f->text('id') === $fault) {
                return $f->has('look') ? self::draw($f->part('look')) : null;
            }
        }

        return null;
    }

    private static function draw(Data $look): self
    {
        $kind = StitchBook::standard()->get($look->text('stitch', 'straight'));
        $points = NeedlePoints::along(StitchSettings::of($kind, $look->numberOrNull('length_mm'), $look->numberOrNull('width_mm')), self::ROW_MM);
        $runs = [[]];
        foreach ($points as $i => [$along, $across]) {
            $share = $along / self::ROW_MM;
            if ($look->has('skip_every') && $i % $look->whole('skip_every') === $look->whole('skip_every') - 1) {
                // The needle went in and took no thread along: the next stitch is as long as two.
                continue;
            }
            if ($look->has('gone_after') && $share > $look->number('gone_after')) {
                break;
            }
            $runs[count($runs) - 1][] = [
                $along, $across + $look->number('offset_mm', 0.0) + $look->number('slant_mm', 0.0) * $share
                    + $look->number('wobble_mm', 0.0) * sin(2 * M_PI * 3 * $share) + ($share > 0.5 ? $look->number('step_mm', 0.0) : 0.0),
            ];
            if ($look->has('break_every') && $i % $look->whole('break_every') === $look->whole('break_every') - 1) {
                $runs[] = [];
            }
        }
        // A nest lies on the underside of the first stitches.
        $nest = array_map(fn (int $i): array => [1.5 + 2.6 * sin($i * 2.4), 1.1 * cos($i * 1.7)], $look->whole('nest', 0) > 0 ? range(0, $look->whole('nest')) : []);

        return new self(array_values(array_filter($runs, fn (array $r): bool => count($r) > 1)), $nest, $look->text('right', 'even'), $look->text('under', 'even'));
    }
}
