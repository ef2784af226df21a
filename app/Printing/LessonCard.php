<?php

declare(strict_types=1);

namespace App\Printing;

use OpenSeam\Core\Course\Lesson;
use OpenSeam\Core\Course\LessonPictures;
use OpenSeam\Core\Course\Setting;
use OpenSeam\Core\Course\SettingSchool;
use OpenSeam\Core\Curriculum\Bundle;
use OpenSeam\Core\Picture\FaultPicture;
use OpenSeam\Core\Picture\MachineLook;
use OpenSeam\Core\Sampler\Row;
use OpenSeam\Core\Words;

/** A lesson on paper: the student's card, half a page of pictures with a line each, or the teacher's with script, checks and faults. */
final readonly class LessonCard
{
    private const MARGIN_MM = 8.0;

    private const GAP_MM = 4.0;

    /** A picture on the teacher's card. */
    private const ACT_MM = [44.0, 29.0];

    private const FAULT_MM = [44.0, 22.0];

    /** Faults beside each other. */
    private const FAULTS = 4;

    public function __construct(private Sheet $sheet, private Words $words, private MachineLook $machine = new MachineLook, private bool $leftHanded = false) {}

    /** One side, half of the paper that is in the printer: it is used to its end. */
    public function student(Lesson $lesson, string $address): void
    {
        $format = $this->sheet->format;
        $this->sheet->blank($format->halfWidthMm(), $format->halfHeightMm());
        [$left, $wide, $end] = [self::MARGIN_MM, $this->sheet->width() - 2 * self::MARGIN_MM, $this->sheet->height() - self::MARGIN_MM];
        $this->sheet->code($address, $left + $wide - 16, self::MARGIN_MM, 16);
        $y = $this->sheet->text($left, self::MARGIN_MM, $wide - 19, $lesson->title, 17, true);
        $y = $this->sheet->text($left, $y, $wide - 19, implode(' ', $lesson->cautions), Sheet::SMALLEST_PT, true);
        $y = max($y, self::MARGIN_MM + 17) + 1.5;
        $settings = implode(' · ', array_map(fn (Setting $s): string => $s->line(), $lesson->settings));
        $looks = $this->looks($lesson);
        $foot = array_values(array_filter([$settings, $looks], fn (string $t): bool => $t !== ''));
        $high = array_sum(array_map(fn (string $t): float => $this->sheet->highOf($t, $wide, Sheet::SMALLEST_PT) + 1, $foot));
        $this->steps($lesson, $left, $y, $wide, $end - $high - $y);
        $at = $end - $high;
        foreach ($foot as $text) {
            $at = $this->sheet->text($left, $at, $wide, $text, Sheet::SMALLEST_PT) + 1;
        }
    }

    /** Pictures in two columns, each as high as the page allows. */
    private function steps(Lesson $lesson, float $left, float $top, float $wide, float $high): void
    {
        $pictures = LessonPictures::of($lesson, $this->machine, $this->leftHanded)->steps;
        if ($pictures === []) {
            return;
        }
        $columns = count($pictures) > 2 ? 2 : 1;
        $cell = ($wide - ($columns - 1) * self::GAP_MM) / $columns;
        $rows = array_chunk(array_keys($pictures), $columns);
        $said = fn (int $i): string => ($i + 1).'  '.$lesson->steps[$i];
        $texts = array_map(fn (array $row): float => max(array_map(fn (int $i): float => $this->sheet->highOf($said($i), $cell, Sheet::SMALLEST_PT), $row)), $rows);
        $each = max(10.0, ($high - array_sum($texts)) / count($rows) - 2.5);
        $y = $top;
        foreach ($rows as $r => $row) {
            foreach ($row as $c => $i) {
                $x = $left + $c * ($cell + self::GAP_MM);
                $this->sheet->rect($x, $y, $cell, $each, 0.15, 170);
                $this->sheet->drawing($pictures[$i], $this->words, $x + 0.6, $y + 0.6, $cell - 1.2, $each - 1.2);
                $this->sheet->text($x, $y + $each + 0.4, $cell, $said($i), Sheet::SMALLEST_PT);
            }
            $y += $each + $texts[$r] + 2.5;
        }
    }

    public function teacher(Lesson $lesson, Bundle $bundle, string $address): void
    {
        $sheet = $this->sheet->page('teacher’s card');
        $sheet->code($address, $sheet->width() - Sheet::MARGIN_MM - 20, Sheet::MARGIN_MM, 20);
        $y = $sheet->text(Sheet::MARGIN_MM, Sheet::MARGIN_MM, $sheet->innerWidth() - 24, $lesson->title, 18, true);
        $y = $sheet->text(Sheet::MARGIN_MM, $y, $sheet->innerWidth() - 24, $lesson->why, 10);
        $y = $sheet->flow(max(Sheet::MARGIN_MM + 21, $y + 1), [
            ["Show {$lesson->minutes->demo}, sew {$lesson->minutes->sew}, look {$lesson->minutes->inspect} min. Teaches: ".implode(', ', array_map(fn (string $s): string => $bundle->skills->get($s)->title, $lesson->teaches)).'.', 9.0, false],
            [implode(' ', $lesson->cautions), 10.0, true],
            [$lesson->demonstration->setup ?? '', 9.0, false],
        ], 'teacher’s card');
        $y = $this->acts($lesson, $y);
        $checks = [];
        foreach ($lesson->sampler->rows as $row) {
            foreach ($row->checks as $check) {
                $changes = implode(' / ', array_unique(array_map(fn ($c): string => $c->text, $check->changes)));
                $checks[] = "{$row->title} · {$check->title}: {$check->allows}. If not: $changes [{$check->source}]";
            }
        }
        $y = $sheet->flow($y, [
            ...self::list('Say', $lesson->points), ...self::list('Steps', $lesson->steps, true),
            ...self::list('Set', $lesson->settings === [] ? [] : [implode(' · ', array_map(fn (Setting $s): string => $s->line().($s->schools === [] ? '' : ' (schools differ: '.implode('; ', array_map(fn (SettingSchool $o): string => "{$o->school} {$o->value}", $s->schools)).')'), $lesson->settings))]),
            ...self::list('Checks', $checks),
            ...self::list('Usual mistakes', array_map(fn (array $m): string => "{$m['mistake']}: {$m['looks']}", $lesson->mistakes)),
            ...self::list('Drills', array_map(fn ($d): string => "{$d->title}, {$d->minutes} min: {$d->text}", $lesson->drills)),
        ], 'teacher’s card');
        $this->faults($lesson, $bundle, $y);
    }

    /** The script: each act with its picture, two beside each other. */
    private function acts(Lesson $lesson, float $y): float
    {
        $acts = $lesson->demonstration->acts ?? [];
        $pictures = LessonPictures::of($lesson, $this->machine, $this->leftHanded)->acts;
        [$wide, $high] = self::ACT_MM;
        $column = ($this->sheet->innerWidth() - self::GAP_MM) / 2;
        foreach (array_chunk(array_keys($acts), 2) as $row) {
            $said = fn (int $i): string => ($i + 1).'  '.$acts[$i]['show'];
            $also = fn (int $i): string => "“{$acts[$i]['say']}” Watch: {$acts[$i]['watch']}";
            $words = max(array_map(fn (int $i): float => $this->sheet->highOf($said($i), $column - $wide - 2, 10, true) + $this->sheet->highOf($also($i), $column - $wide - 2, 9), $row));
            $y = $this->room($y, max($high, $words));
            foreach ($row as $c => $i) {
                $x = Sheet::MARGIN_MM + $c * ($column + self::GAP_MM);
                $this->sheet->rect($x, $y, $wide, $high, 0.15, 170);
                $this->sheet->drawing($pictures[$i], $this->words, $x + 0.5, $y + 0.5, $wide - 1, $high - 1);
                $at = $this->sheet->text($x + $wide + 2, $y, $column - $wide - 2, $said($i), 10, true);
                $this->sheet->text($x + $wide + 2, $at, $column - $wide - 2, $also($i), 9);
            }
            $y += max($high, $words) + 2;
        }

        return $y;
    }

    /** Faults that are usual here as they are seen, with the first thing to change. */
    private function faults(Lesson $lesson, Bundle $bundle, float $y): void
    {
        if ($lesson->faults === []) {
            return;
        }
        [$wide, $high] = self::FAULT_MM;
        $column = ($this->sheet->innerWidth() - (self::FAULTS - 1) * self::GAP_MM) / self::FAULTS;
        $y = $this->sheet->text(Sheet::MARGIN_MM, $this->room($y, $high + 20), $this->sheet->innerWidth(), 'Usual faults', 12, true);
        foreach (array_chunk($lesson->faults, self::FAULTS) as $row) {
            $said = fn (string $id): string => $bundle->faults[$id]->seen.self::on($lesson, $id).': '.$bundle->faults[$id]->first->text;
            $words = max(array_map(fn (string $id): float => $this->sheet->highOf($said($id), $column, 9), $row));
            $y = $this->room($y, $high + $words);
            foreach ($row as $c => $id) {
                $x = Sheet::MARGIN_MM + $c * ($column + self::GAP_MM);
                $picture = FaultPicture::of($bundle->faults[$id]);
                $picture === null || $this->sheet->drawing($picture, $this->words, $x, $y, min($wide, $column), $high);
                $this->sheet->text($x, $y + $high + 0.5, $column, $said($id), 9);
            }
            $y += $high + $words + 3;
        }
    }

    /** Where so much more fits: here, or on top of the next page. */
    private function room(float $y, float $high): float
    {
        if ($y + $high <= $this->sheet->height() - Sheet::MARGIN_MM - Sheet::FOOT_MM) {
            return $y;
        }
        $this->sheet->page('teacher’s card');

        return Sheet::MARGIN_MM;
    }

    /**
     * @param  list<string>  $lines
     * @return list<array{string, float, bool}>
     */
    private static function list(string $title, array $lines, bool $numbered = false): array
    {
        return $lines === [] ? [] : [[$title, 12.0, true], ...array_map(fn (string $l, int $i): array => [($numbered ? ($i + 1).'. ' : '– ').$l, 9.5, false], $lines, array_keys($lines))];
    }

    private static function on(Lesson $lesson, string $fault): string
    {
        $rows = implode(', ', array_map(fn (Row $r): string => $r->title, $lesson->rowsWith($fault)));

        return $rows === '' ? '' : " ($rows)";
    }

    private function looks(Lesson $lesson): string
    {
        $looks = [];
        foreach ($lesson->sampler->rows as $row) {
            foreach ($row->checks as $check) {
                $looks["$check->title $check->allows"] = "{$check->title} {$check->allows}";
            }
        }

        return $looks === [] ? '' : 'Look for: '.implode('; ', array_slice($looks, 0, 5)).'.';
    }
}
