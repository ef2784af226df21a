<?php

declare(strict_types=1);

namespace App\Printing;

use App\Views\StudentView;

/** What a student can do so far, in thread lines, to take home. */
final class ProgressCard
{
    /** Stitch and gap in mm: the surer, the closer. */
    private const STITCHES = ['begun' => [5.0, 3.2], 'coming' => [2.8, 1.6], 'sure' => [1.4, 0.6], 'refresh-due' => [1.4, 0.6]];

    private const WORDS = ['not-tried' => 'not tried', 'begun' => 'begun', 'coming' => 'coming', 'sure' => 'sure', 'refresh-due' => 'to refresh'];

    private const LINE_MM = 6.6;

    public static function add(Sheet $sheet, string $class, StudentView $s): void
    {
        $sheet->page($s->name);
        $y = $sheet->text(Sheet::MARGIN_MM, Sheet::MARGIN_MM, $sheet->innerWidth(), $s->name, 20, true);
        $y = $sheet->text(Sheet::MARGIN_MM, $y + 1, $sheet->innerWidth(), "{$class}: {$s->forecast->done} of {$s->lessons} lessons sewn well, ".count($s->seam).' samples kept.', 11) + 2;
        $y = $sheet->text(Sheet::MARGIN_MM, $y, $sheet->innerWidth(), 'Next: '.($s->in_hand->title === '' ? 'the course is done' : $s->in_hand->title).'. '.$s->in_hand->change, 11) + 3;
        $strand = '';
        $bottom = Sheet::MARGIN_MM + $sheet->innerHeight() - 6;
        foreach ($s->skills as $skill) {
            if ($y + 2 * self::LINE_MM > $bottom) {
                $sheet->page($s->name);
                $y = Sheet::MARGIN_MM + 2.0;
            }
            if ($skill->strand !== $strand) {
                $strand = $skill->strand;
                $y = $sheet->text(Sheet::MARGIN_MM, $y + 1, $sheet->innerWidth(), $strand, 11, true) + 1;
            }
            $sheet->text(Sheet::MARGIN_MM + 4, $y, 70, $skill->title, 10);
            self::thread($sheet, Sheet::MARGIN_MM + 78, $y + 2.4, 50, $skill->level);
            $sheet->text(Sheet::MARGIN_MM + 132, $y, 40, self::WORDS[$skill->level] ?? $skill->level, 10);
            $y += self::LINE_MM;
        }
    }

    private static function thread(Sheet $sheet, float $x, float $y, float $long, string $level): void
    {
        if (! isset(self::STITCHES[$level])) {
            for ($at = 0.0; $at <= $long; $at += 4) {
                $sheet->dot($x + $at, $y, 0.35);
            }

            return;
        }
        [$stitch, $gap] = self::STITCHES[$level];
        for ($at = 0.0; $at + $stitch <= $long; $at += $stitch + $gap) {
            // Refresh due: a gap in the row.
            if ($level !== 'refresh-due' || $at < 0.38 * $long || $at > 0.62 * $long) {
                $sheet->line($x + $at, $y, $x + $at + $stitch, $y, 0.6);
            }
        }
        if ($level === 'sure' || $level === 'refresh-due') {
            $sheet->line($x, $y + 1, $x + 5, $y + 1, 0.6);
            $sheet->line($x + $long - 5, $y + 1, $x + $long, $y + 1, 0.6);
        }
    }
}
