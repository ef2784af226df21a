<?php

declare(strict_types=1);

namespace App\Printing;

use App\Views\StudentSkillView;
use Carbon\CarbonImmutable;
use OpenSeam\Core\Skill\Level;

/** What somebody has shown, to take home at the end of a course. No marks: what is not shown yet is not on it. */
final class Certificate
{
    private const LINE_MM = 7.4;

    /** @param  list<StudentSkillView>  $skills */
    public static function add(Sheet $sheet, string $name, string $class, string $studio, ?CarbonImmutable $from, ?CarbonImmutable $to, array $skills): void
    {
        $shown = array_values(array_filter($skills, fn (StudentSkillView $s): bool => Level::from($s->level)->isShown()));
        $sheet->page($name);
        $y = $sheet->text(Sheet::MARGIN_MM, Sheet::MARGIN_MM + 14, $sheet->innerWidth(), $studio, 12, false, 'C') + 10;
        $y = $sheet->text(Sheet::MARGIN_MM, $y, $sheet->innerWidth(), $name, 30, true, 'C') + 4;
        $when = $from === null || $to === null ? '' : ', '.$from->format('j F Y').' to '.$to->format('j F Y');
        $y = $sheet->text(Sheet::MARGIN_MM, $y, $sheet->innerWidth(), "took part in “{$class}”{$when}, and has shown on sewn samples, more than once:", 12, false, 'C') + 8;
        $left = Sheet::MARGIN_MM + 18;
        $half = ($sheet->innerWidth() - 36) / 2;
        $top = $y;
        $rows = (int) ceil(count($shown) / 2);
        foreach ($shown as $i => $skill) {
            $x = $left + ($i < $rows ? 0 : $half);
            $y = $top + ($i % max(1, $rows)) * self::LINE_MM;
            // A row that is sewn fast at both ends.
            $sheet->line($x, $y + 2.6, $x + 8, $y + 2.6, 0.6, [1.6, 0.8]);
            $sheet->text($x + 11, $y, $half - 14, $skill->title, 11);
        }
        $shown === [] && $sheet->text($left, $top, $sheet->innerWidth() - 36, 'The first stitches are sewn; the rest comes with the next course.', 12, false, 'C');
        $foot = Sheet::MARGIN_MM + $sheet->innerHeight() - 26;
        $sheet->line($left, $foot, $left + 60, $foot, 0.3);
        $sheet->line($left + $half, $foot, $left + $half + 60, $foot, 0.3);
        $sheet->text($left, $foot + 1.5, 60, 'day', 9);
        $sheet->text($left + $half, $foot + 1.5, 60, 'teacher', 9);
    }
}
