<?php

declare(strict_types=1);

namespace App\Places\Plan;

use App\Models\PlanSession;
use App\Models\SewingClass;
use App\Models\Studio;
use App\Records\ClassRoom;
use App\Records\Shelf;
use App\Support\Clock;
use App\Support\Csv;
use Sabre\VObject\Component\VCalendar;

/** A plan for other programs: a calendar (RFC 5545), a table (RFC 4180). No student is in either. */
final readonly class ExportPlan
{
    public function __construct(private Shelf $shelf) {}

    /** Each session keeps its UID for good; SEQUENCE grows with every change of the plan, so that a calendar follows. */
    public function calendar(SewingClass $class): string
    {
        $class->load('plan.sessions.lessons');
        $calendar = new VCalendar(['PRODID' => '-//Open Seam//Plan//EN', 'METHOD' => 'PUBLISH', 'X-WR-CALNAME' => $class->name]);
        foreach ($class->plan->sessions ?? [] as $i => $session) {
            $titles = $this->titles($session);
            $calendar->add('VEVENT', [
                'UID' => "{$session->id}@open-seam", 'SEQUENCE' => $class->plan->version ?? 0,
                'DTSTAMP' => Clock::now()->utc(), 'DTSTART' => $session->starts_at->utc(), 'DTEND' => $session->endsAt()->utc(),
                'SUMMARY' => "{$class->name}: session ".($i + 1),
                'DESCRIPTION' => $titles === [] ? 'Nothing laid yet.' : implode("\n", $titles),
            ]);
        }

        return $calendar->serialize();
    }

    /** One line for each lesson, dates in the studio's own zone. */
    public function table(SewingClass $class): string
    {
        $class->load('plan.sessions.lessons');
        $zone = Studio::query()->findOrFail($class->studio_id)->timezone;
        $room = ClassRoom::of($class);
        $rows = [];
        foreach ($class->plan->sessions ?? [] as $i => $session) {
            $start = $session->starts_at->setTimezone($zone);
            $when = [$i + 1, $start->format('Y-m-d'), $start->format('H:i'), $session->endsAt()->setTimezone($zone)->format('H:i')];
            foreach ($session->lessonIds() as $id) {
                $lesson = $this->shelf->taught($class)->lesson($id);
                $minutes = $room->minutes($this->shelf, $id);
                $rows[] = [...$when, $lesson->title, $minutes->minutes, $minutes->rounds, $lesson->foot];
            }
            foreach ($session->homeIds() as $id) {
                $rows[] = [$i + 1, 'at home', '', '', $this->shelf->taught($class)->lesson($id)->title, 0, 0, $this->shelf->taught($class)->lesson($id)->foot];
            }
            if ($session->lessonIds() === []) {
                $rows[] = [...$when, '', 0, 0, ''];
            }
        }

        return Csv::write(['session', 'date', 'begins', 'ends', 'lesson', 'minutes', 'rounds', 'foot'], $rows);
    }

    /** @return list<string> */
    private function titles(PlanSession $session): array
    {
        $title = fn (string $id): string => $this->shelf->bundle()->lesson($id)->title;

        return [...array_map($title, $session->lessonIds()), ...array_map(fn (string $id): string => "At home: {$title($id)}", $session->homeIds())];
    }
}
