<?php

declare(strict_types=1);

namespace App\Printing;

use App\Models\Enrolment;
use App\Views\DialView;

/** One page for each seat: how that machine is set for each lesson, by its own dial. */
final class SeatCards
{
    /**
     * @param  list<Enrolment>  $seats
     * @param  array<string, list<DialView>>  $dials  by the lesson's title
     * @param  array<string, string>  $runs  address of the buttonhole run, by machine
     */
    public static function add(Sheet $sheet, array $seats, array $dials, array $runs = []): void
    {
        foreach ($seats as $seat) {
            $machine = $seat->machine->name ?? 'no machine yet';
            $sheet->page("seat {$seat->seat}");
            $y = $sheet->text(Sheet::MARGIN_MM, Sheet::MARGIN_MM, $sheet->innerWidth(), "Seat {$seat->seat}: $machine", 18, true) + 2;
            if (isset($runs[$seat->machine_id ?? ''])) {
                $sheet->code($runs[$seat->machine_id ?? ''], $sheet->format->widthMm() - Sheet::MARGIN_MM - 24, Sheet::MARGIN_MM, 24);
                $sheet->text($sheet->format->widthMm() - Sheet::MARGIN_MM - 60, Sheet::MARGIN_MM + 25, 60, 'Buttonhole on this machine, act by act', 9, false, 'R');
            }
            $lines = [['Needle out of the cloth before a dial is turned. A full turn of the hand wheel after each change of foot, width or needle position.', 10.0, false]];
            foreach ($dials as $lesson => $machines) {
                foreach ($machines as $dial) {
                    if ($dial->machine === $seat->machine_id) {
                        $lines[] = [$lesson, 12.0, true];
                        foreach ($dial->cannot === null ? $dial->settings : [$dial->cannot] as $line) {
                            $lines[] = ["– $line", 10.0, false];
                        }
                    }
                }
            }
            $sheet->flow($y, $lines, "seat {$seat->seat}");
        }
    }
}
