<?php

declare(strict_types=1);

namespace App\Printing;

use App\Views\BenchView;
use App\Views\SeatView;

/** A card to cut out for each student of a session: where, what, with which foot, what to change. */
final class BenchCards
{
    private const ACROSS = 2;

    private const HIGH_MM = 62.0;

    public static function add(Sheet $sheet, BenchView $bench): void
    {
        $machines = array_column($bench->machines, 'title', 'id');
        $wide = $sheet->innerWidth() / self::ACROSS;
        $down = max(1, (int) floor($sheet->innerHeight() / self::HIGH_MM));
        $seated = array_values(array_filter($bench->students, fn (SeatView $s): bool => $s->round > 0));
        usort($seated, fn (SeatView $a, SeatView $b): int => [$a->round, $a->number] <=> [$b->round, $b->number]);
        foreach ($seated as $i => $s) {
            $place = $i % (self::ACROSS * $down);
            $place === 0 && $sheet->page("session {$bench->number}");
            [$x, $y] = [Sheet::MARGIN_MM + $place % self::ACROSS * $wide, Sheet::MARGIN_MM + intdiv($place, self::ACROSS) * self::HIGH_MM];
            $sheet->rect($x, $y, $wide, self::HIGH_MM, 0.2, 150);
            $in = $wide - 10;
            $at = $sheet->text($x + 5, $y + 4, $in, $s->name, 18, true);
            $at = $sheet->text($x + 5, $at + 1, $in, ($s->machine === null ? 'At the table' : $machines[$s->machine] ?? '').($s->round > 1 ? ", round {$s->round}" : ''), 12);
            $at = $sheet->text($x + 5, $at + 2, $in, $s->title, 13, true);
            $s->foot === null || $at = $sheet->text($x + 5, $at + 1, $in, "{$s->foot} foot: power off to change it, then a full turn of the hand wheel.", 10);
            $s->change === '' || $sheet->text($x + 5, $at + 1, $in, $s->change, 10);
        }
        $seated === [] && $sheet->page("session {$bench->number}")->text(Sheet::MARGIN_MM, Sheet::MARGIN_MM, $sheet->innerWidth(), 'Nobody is seated in this session.', 14);
    }
}
