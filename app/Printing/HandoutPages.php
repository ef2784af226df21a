<?php

declare(strict_types=1);

namespace App\Printing;

use App\Models\PlanSession;
use App\Models\Studio;
use OpenSeam\Core\Course\Lesson;

/** The course for a student to take home: when, what, and why. */
final class HandoutPages
{
    /**
     * @param  list<PlanSession>  $sessions  with their lessons
     * @param  callable(string): Lesson  $lesson
     */
    public static function add(Sheet $sheet, string $class, array $sessions, Studio $studio, callable $lesson): void
    {
        $sheet->page('the course');
        $y = $sheet->text(Sheet::MARGIN_MM, Sheet::MARGIN_MM, $sheet->innerWidth(), $class, 18, true) + 2;
        $lines = [];
        foreach ($sessions as $i => $session) {
            $from = $session->starts_at->setTimezone($studio->timezone);
            $lines[] = [sprintf('%d. %s, %s to %s', $i + 1, $from->format('l j F'), $from->format('H:i'), $session->endsAt()->setTimezone($studio->timezone)->format('H:i')), 13.0, true];
            foreach ($session->lessonIds() as $id) {
                $found = $lesson($id);
                $lines[] = ["{$found->title}: {$found->why}", 10.5, false];
            }
            foreach ($session->homeIds() as $id) {
                $lines[] = ["At home, before the next session: {$lesson($id)->title}. {$lesson($id)->why}", 10.5, false];
            }
            $session->lessonIds() === [] && $lines[] = ['Time for what is not sure yet.', 10.5, false];
        }
        $sheet->flow($y, [...$lines, ['Sleeves and hair tied back. The machine’s manual and your teacher decide.', 10.0, false]], 'the course');
    }
}
