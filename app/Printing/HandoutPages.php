<?php

declare(strict_types=1);

namespace App\Printing;

use App\Models\PlanSession;
use App\Models\Studio;
use OpenSeam\Core\Course\Lesson;
use OpenSeam\Core\Course\LessonPictures;
use OpenSeam\Core\Data;
use OpenSeam\Core\Picture\PictureBook;
use OpenSeam\Core\Picture\Shown;
use OpenSeam\Core\Words;

/** The course for a student to take home: when, what, and why. */
final class HandoutPages
{
    private const SAMPLER_MM = [24.0, 18.0];

    /**
     * @param  list<PlanSession>  $sessions  with their lessons
     * @param  callable(string): Lesson  $lesson
     */
    public static function add(Sheet $sheet, string $class, array $sessions, Studio $studio, callable $lesson, Words $words): void
    {
        $sheet->page('the course');
        $y = $sheet->text(Sheet::MARGIN_MM, Sheet::MARGIN_MM, $sheet->innerWidth(), $class, 18, true) + 2;
        foreach ($sessions as $i => $session) {
            $from = $session->starts_at->setTimezone($studio->timezone);
            $y = $sheet->flow($y, [[sprintf('%d. %s, %s to %s', $i + 1, $from->format('l j F'), $from->format('H:i'), $session->endsAt()->setTimezone($studio->timezone)->format('H:i')), 13.0, true]], 'the course');
            foreach ($session->lessonIds() as $id) {
                $y = self::lesson($sheet, $y, $lesson($id), '', $words);
            }
            foreach ($session->homeIds() as $id) {
                $y = self::lesson($sheet, $y, $lesson($id), 'At home, before the next session: ', $words);
            }
            $session->lessonIds() === [] && $y = $sheet->flow($y, [['Time for what is not sure yet.', 10.5, false]], 'the course');
        }
        $sheet->flow($y, [['Sleeves and hair tied back. The machine’s manual and your teacher decide.', 10.0, false]], 'the course');
    }

    /** A lesson with its sampler as it will look, or where nothing is sewn with its first picture. */
    private static function lesson(Sheet $sheet, float $y, Lesson $lesson, string $before, Words $words): float
    {
        [$wide, $high] = self::SAMPLER_MM;
        $text = "$before{$lesson->title}: {$lesson->why}";
        $room = $sheet->innerWidth() - $wide - 4;
        $needs = max($high, $sheet->highOf($text, $room, 10.5)) + 2;
        if ($y + $needs > $sheet->height() - Sheet::MARGIN_MM - Sheet::FOOT_MM) {
            $sheet->page('the course');
            $y = Sheet::MARGIN_MM;
        }
        $picture = $lesson->sampler->pieces !== []
            ? (new PictureBook)->draw(Data::of(['kind' => 'row']), new Shown($lesson->sampler))
            : LessonPictures::of($lesson)->steps[0] ?? null;
        $picture === null || $sheet->drawing($picture, $words, Sheet::MARGIN_MM, $y, $wide, $high);
        $sheet->text(Sheet::MARGIN_MM + $wide + 4, $y, $room, $text, 10.5);

        return $y + $needs;
    }
}
