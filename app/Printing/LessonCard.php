<?php

declare(strict_types=1);

namespace App\Printing;

use OpenSeam\Core\Course\Lesson;
use OpenSeam\Core\Course\Setting;
use OpenSeam\Core\Course\SettingSchool;
use OpenSeam\Core\Curriculum\Bundle;
use OpenSeam\Core\Sampler\Row;

/** A lesson on paper: the student's card, or the teacher's with checks and faults. */
final class LessonCard
{
    public static function student(Sheet $sheet, Lesson $lesson, string $address): void
    {
        $sheet->page('card');
        $y = self::head($sheet, $lesson, $address);
        $sheet->flow($y, [
            ...self::larger([...self::list('Mind', $lesson->cautions), ...self::list('Steps', $lesson->steps, true), ...self::list('Set', self::settings($lesson)), ['What to look for', 12.0, true], ...self::looks($lesson)]),
        ], 'card');
    }

    public static function teacher(Sheet $sheet, Lesson $lesson, Bundle $bundle, string $address): void
    {
        $sheet->page('teacher’s card');
        $y = self::head($sheet, $lesson, $address);
        $checks = [];
        foreach ($lesson->sampler->rows as $row) {
            foreach ($row->checks as $check) {
                $changes = implode(' / ', array_unique(array_map(fn ($c): string => $c->text, $check->changes)));
                $checks[] = ["□ {$row->title} · {$check->title}: {$check->allows}. If not: $changes [{$check->source}]", 9.0, false];
            }
        }
        $sheet->flow($y, [
            ["Show {$lesson->minutes->demo}, sew {$lesson->minutes->sew}, look {$lesson->minutes->inspect} min. Teaches: ".implode(', ', array_map(fn (string $s): string => $bundle->skills->get($s)->title, $lesson->teaches)).'.', 9.0, false],
            ...self::list('Cautions', $lesson->cautions), ...self::list('Say', $lesson->points), ...self::list('Steps', $lesson->steps, true), ...self::list('Set', array_map(fn (Setting $s): string => $s->line().($s->schools === [] ? '' : ' (schools differ: '.implode('; ', array_map(fn (SettingSchool $o): string => "{$o->school} {$o->value}", $s->schools)).')'), $lesson->settings)),
            ...self::showing($lesson),
            ['Checks', 12.0, true], ...$checks,
            ...self::list('Usual faults', array_map(fn (string $id): string => $bundle->faults[$id]->seen.self::on($lesson, $id).': '.$bundle->faults[$id]->first->text, $lesson->faults)),
            ...self::list('Drills', array_map(fn ($d): string => "{$d->title}, {$d->minutes} min: {$d->text}", $lesson->drills)),
        ], 'teacher’s card');
    }

    /** @return list<array{string, float, bool}> how it is shown to a room, and what usually goes wrong */
    private static function showing(Lesson $lesson): array
    {
        $acts = array_map(fn (array $a): string => "{$a['show']} “{$a['say']}” Watch: {$a['watch']}", $lesson->demonstration->acts ?? []);

        return [
            ...self::list($lesson->demonstration === null ? 'Show it' : "Show it: {$lesson->demonstration->setup}", $acts, true),
            ...self::list('Usual mistakes', array_map(fn (array $m): string => "{$m['mistake']}: {$m['looks']}", $lesson->mistakes)),
        ];
    }

    private static function head(Sheet $sheet, Lesson $lesson, string $address): float
    {
        $sheet->code($address, $sheet->format->widthMm() - Sheet::MARGIN_MM - 24, Sheet::MARGIN_MM, 24);
        $y = $sheet->text(Sheet::MARGIN_MM, Sheet::MARGIN_MM, $sheet->innerWidth() - 28, $lesson->title, 20, true);

        return max(Sheet::MARGIN_MM + 27, $sheet->text(Sheet::MARGIN_MM, $y + 1, $sheet->innerWidth() - 28, $lesson->why, 11) + 2);
    }

    /**
     * @param  list<string>  $lines
     * @return list<array{string, float, bool}>
     */
    private static function list(string $title, array $lines, bool $numbered = false): array
    {
        if ($lines === []) {
            return [];
        }

        return [[$title, 12.0, true], ...array_map(fn (string $l, int $i): array => [($numbered ? ($i + 1).'. ' : '– ').$l, 10.0, false], $lines, array_keys($lines))];
    }

    /**
     * For a card that lies beside the machine.
     *
     * @param  list<array{string, float, bool}>  $lines
     * @return list<array{string, float, bool}>
     */
    private static function larger(array $lines): array
    {
        return array_map(fn (array $l): array => [$l[0], $l[1] + 2.5, $l[2]], $lines);
    }

    private static function on(Lesson $lesson, string $fault): string
    {
        $rows = implode(', ', array_map(fn (Row $r): string => $r->title, $lesson->rowsWith($fault)));

        return $rows === '' ? '' : " ($rows)";
    }

    /** @return list<string> */
    private static function settings(Lesson $lesson): array
    {
        return array_map(fn (Setting $s): string => $s->line(), $lesson->settings);
    }

    /** @return list<array{string, float, bool}> */
    private static function looks(Lesson $lesson): array
    {
        $lines = [];
        foreach ($lesson->sampler->rows as $row) {
            foreach ($row->checks as $check) {
                $lines[] = ["□ {$check->title}: {$check->allows}", 10.0, false];
            }
        }

        return $lines;
    }
}
