<?php

declare(strict_types=1);

namespace App\Printing;

use App\Models\Enrolment;
use App\Support\SlipCode;
use OpenSeam\Core\Course\Lesson;
use OpenSeam\Core\Scan\CardLayout;
use OpenSeam\Core\Words;

/** A slip for each student, to be cut out: laid in the box of the photo card it says whose sample is in the picture. */
final class SlipPages
{
    private const HIGH_MM = CardLayout::BOX_MM - 1.0;

    private const WIDE_MM = 84.0;

    /** Of the code itself: the rest of the square is the white that it needs about it. */
    private const CODE_MM = 22.5;

    /**
     * @param  list<Enrolment>  $seats
     * @param  Lesson|null  $lesson  whose samples they are for; null: of any
     */
    public static function add(Sheet $sheet, array $seats, string $class, Words $words, ?Lesson $lesson = null): void
    {
        $across = max(1, (int) floor($sheet->innerWidth() / self::WIDE_MM));
        $top = Sheet::MARGIN_MM + 12;
        $down = max(1, (int) floor(($sheet->height() - Sheet::MARGIN_MM - Sheet::FOOT_MM - $top) / self::HIGH_MM));
        foreach (array_chunk($seats, $across * $down) as $page) {
            $sheet->page($words->say('slip.page'));
            $sheet->text(Sheet::MARGIN_MM, Sheet::MARGIN_MM, $sheet->innerWidth(), $words->say('slip.how'), 10);
            foreach ($page as $i => $seat) {
                self::slip($sheet, $seat, $lesson === null ? $class : "$class, $lesson->title", Sheet::MARGIN_MM + $i % $across * self::WIDE_MM, $top + intdiv($i, $across) * self::HIGH_MM, $words, $lesson);
            }
        }
    }

    private static function slip(Sheet $sheet, Enrolment $seat, string $class, float $x, float $y, Words $words, ?Lesson $lesson): void
    {
        $sheet->rect($x, $y, self::WIDE_MM, self::HIGH_MM, 0.1);
        $about = (self::HIGH_MM - self::CODE_MM) / 2;
        // At the right end, so that the name lies beside the card’s box and not on the pins.
        $sheet->code(SlipCode::of($seat->student_id, $lesson?->id), $x + self::WIDE_MM - self::HIGH_MM + $about, $y + $about, self::CODE_MM);
        $wide = self::WIDE_MM - self::HIGH_MM - 5;
        $below = $sheet->text($x + 4, $y + 5, $wide, $seat->student->name, 14, true);
        $sheet->text($x + 4, $below + 1, $wide, $class.', '.$words->say('slip.seat', ['n' => (string) $seat->seat]), 9);
    }
}
