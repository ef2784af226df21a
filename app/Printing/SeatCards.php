<?php

declare(strict_types=1);

namespace App\Printing;

use App\Models\Enrolment;
use App\Views\DialView;
use OpenSeam\Core\Machine\Foot;
use OpenSeam\Core\Picture\FootPicture;
use OpenSeam\Core\Words;

/** One page for each seat: how that machine is set for each lesson, by its own dial. */
final class SeatCards
{
    /** Room for a foot at true size, mm. */
    private const FOOT_MM = [31.0, 40.0];

    private const CODE_MM = 24.0;

    /**
     * @param  list<Enrolment>  $seats
     * @param  array<string, list<DialView>>  $dials  by the lesson's title
     * @param  array<string, string>  $runs  address of the buttonhole run, by machine
     * @param  array<string, Foot>  $feet  that the lessons are sewn with, by kind
     */
    public static function add(Sheet $sheet, array $seats, array $dials, array $runs = [], array $feet = []): void
    {
        foreach ($seats as $seat) {
            $machine = $seat->machine->name ?? 'no machine yet';
            $sheet->page("seat {$seat->seat}");
            $y = $sheet->text(Sheet::MARGIN_MM, Sheet::MARGIN_MM, $sheet->innerWidth(), "Seat {$seat->seat}: $machine", 18, true) + 2;
            $run = $runs[$seat->machine_id ?? ''] ?? null;
            $y = $sheet->text(Sheet::MARGIN_MM, $y, $sheet->innerWidth() - ($run === null ? 0 : self::CODE_MM + 6), 'Needle out of the cloth before a dial is turned. A full turn of the hand wheel after each change of foot, width or needle position.') + 2;
            if ($run !== null) {
                $sheet->code($run, $sheet->width() - Sheet::MARGIN_MM - self::CODE_MM, Sheet::MARGIN_MM, self::CODE_MM);
                $y = max($y, $sheet->text($sheet->width() - Sheet::MARGIN_MM - 70, Sheet::MARGIN_MM + self::CODE_MM + 1, 70, 'Buttonhole on this machine, act by act', 9, false, 'R') - 2);
            }
            $lines = [];
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
            self::feet($sheet, $sheet->flow($y, $lines, "seat {$seat->seat}") + 4, array_values($feet), "seat {$seat->seat}");
        }
    }

    /** @param  list<Foot>  $feet  drawn at true size, so that one can be laid on its picture */
    private static function feet(Sheet $sheet, float $y, array $feet, string $what): void
    {
        [$wide, $high] = self::FOOT_MM;
        foreach (array_chunk($feet, max(1, (int) floor($sheet->innerWidth() / $wide))) as $row) {
            if ($y + $high + 10 > $sheet->height() - Sheet::MARGIN_MM - Sheet::FOOT_MM) {
                $sheet->page($what);
                $y = Sheet::MARGIN_MM;
            }
            foreach ($row as $i => $foot) {
                $sheet->drawing(FootPicture::of($foot, 'above'), Words::in(), Sheet::MARGIN_MM + $i * $wide, $y, $wide - 2, $high, true);
                $sheet->text(Sheet::MARGIN_MM + $i * $wide, $y + $high, $wide - 2, $foot->kind->title, 9, false, 'C');
            }
            $y += $high + 11;
        }
    }
}
