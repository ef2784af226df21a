<?php

declare(strict_types=1);

namespace App\Records;

use App\Models\PlanSession;
use App\Models\SewingClass;
use App\Views\ForecastSessionView;
use App\Views\ForecastStudentView;
use App\Views\ForecastView;
use Carbon\CarbonImmutable;
use OpenSeam\Core\Course\SampleRoom;
use OpenSeam\Core\Measure\Unit;
use OpenSeam\Core\Measure\Verdict;
use OpenSeam\Core\Skill\Evidence;
use OpenSeam\Core\Skill\FinishForecast;
use OpenSeam\Core\Skill\LearningWays;
use OpenSeam\Core\Words;

/** Who finishes the course by its last session, how far the class gets, and which lesson will take longest. */
final readonly class ForecastClass
{
    /** The band of the fan: eight students in ten are in it. */
    private const BAND = [0.9, 0.5, 0.1];

    public function __construct(private ReadClass $read, private Shelf $shelf, private Standings $standings) {}

    public function __invoke(SewingClass $class, Unit $unit): ForecastView
    {
        $reading = ($this->read)($class, $unit, planned: true);

        return $this->of($reading, ClassRoom::of($class, count($reading->students)));
    }

    /** @param  ClassAsRead  $reading  with what is planned; one student of it or all */
    public function of(ClassAsRead $reading, ClassRoom $room): ForecastView
    {
        $class = $reading->class;
        $coming = array_values(array_filter($reading->sessions, fn (PlanSession $s): bool => $s->endsAt() > $reading->now));
        $samples = $this->samples($class, $room, $coming, $reading->now);
        $order = $this->shelf->order($class->course);
        $students = [];
        $forecasts = [];
        $takes = [];
        foreach ($this->each($reading, $samples) as $id => ['left' => $left, 'forecast' => $forecast]) {
            $s = $reading->students[$id];
            foreach ($left as $i => $lesson) {
                $takes[$lesson][] = $forecast->expected[$i];
            }
            $done = count($order) - count($left);
            $forecasts[] = [$done, $forecast];
            $students[] = new ForecastStudentView((string) $id, $s->enrolment->student->name, $done, count($left), $forecast->chance(), array_sum($forecast->expected));
        }

        return new ForecastView(count($order), $this->sessions($coming, $samples, $forecasts), $students, $this->stall($takes));
    }

    /**
     * What is to come for each student.
     *
     * @param  list<int>  $samples  that can be sewn by the end of each session to come
     * @return array<array-key, array{left: list<string>, forecast: FinishForecast}> by student: the lessons without a good sample, and how they will go
     */
    public function each(ClassAsRead $reading, array $samples): array
    {
        $order = $this->shelf->order($reading->class->course);
        $ways = LearningWays::of($this->shelf->bundle()->skills, $this->standings->table());
        $shown = array_map(fn (StudentAsRead $s): array => array_map(fn (KeptSample $k): Evidence => $k->past()->evidence, $s->samples), $reading->students);
        $together = $ways->ofClass(array_values($shown));
        $taught = $this->shelf->taught($reading->class);
        $each = [];
        $newcomer = null;
        foreach ($reading->students as $id => $s) {
            if ($s->samples === [] && $newcomer !== null) {
                // Who has sewn nothing yet stands as all others who have not.
                $each[$id] = $newcomer;

                continue;
            }
            $left = array_values(array_diff($order, self::met($s)));
            $tried = array_map(fn (KeptSample $k): string => $k->sample->lesson, $s->samples);
            $each[$id] = ['left' => $left, 'forecast' => $ways->forecast(
                $shown[$id], $reading->now, array_map(fn (string $l): array => $taught->lesson($l)->teaches, $left), array_map(fn (string $l): bool => in_array($l, $tried, true), $left), $samples, $together,
            )];
            $newcomer = $s->samples === [] ? $each[$id] : $newcomer;
        }

        return $each;
    }

    /** @return list<string> lessons with a good sample */
    private static function met(StudentAsRead $s): array
    {
        $met = [];
        foreach ($s->samples as $kept) {
            $kept->verdict() === Verdict::Met && $met[] = $kept->sample->lesson;
        }

        return array_values(array_unique($met));
    }

    /**
     * Samples a student can sew by the end of each session to come.
     *
     * @param  list<PlanSession>  $coming
     * @return list<int>
     */
    private function samples(SewingClass $class, ClassRoom $room, array $coming, CarbonImmutable $now): array
    {
        $minutes = fn (string $id): float => $room->minutes($this->shelf, $id)->minutes;
        $more = array_map(fn (string $id): float => $room->again($this->shelf, $id), $this->shelf->order($class->course));
        $frame = $class->frame();

        return SampleRoom::by(array_map(fn (PlanSession $s): array => [
            'lessons' => count($s->lessonIds()), 'used' => array_sum(array_map($minutes, $s->lessonIds())), 'usable' => $frame->usable($s->position, $s->minutes),
            'left' => $now->diffInMinutes($s->endsAt(), false) / max(1, $s->lasts()),
        ], $coming), $more);
    }

    /**
     * How many lessons a student of the class has done by each session: at least, in the middle, at most.
     *
     * @param  list<PlanSession>  $coming
     * @param  list<int>  $samples
     * @param  list<array{int, FinishForecast}>  $forecasts  with the lessons done already
     * @return list<ForecastSessionView>
     */
    private function sessions(array $coming, array $samples, array $forecasts): array
    {
        $views = [];
        foreach ($coming as $k => $session) {
            $at = array_map(fn (float $share): int => FinishForecast::ofClass($forecasts, $k, $share), self::BAND);
            $views[] = new ForecastSessionView($session->position + 1, $session->starts_at->toIso8601ZuluString(), $samples[$k], ...$at);
        }

        return $views;
    }

    /** @param  array<string, list<float>>  $takes  samples each student needs, by lesson */
    private function stall(array $takes): ?string
    {
        if ($takes === []) {
            return null;
        }
        $sums = array_map(array_sum(...), $takes);
        $lesson = (string) array_search(max($sums), $sums, true);
        $words = Words::in();

        return $words->say('forecast.stall', [
            'lesson' => $this->shelf->bundle()->lesson($lesson)->title, 'each' => $words->number(round($sums[$lesson] / count($takes[$lesson]), 1), 1), 'students' => (string) count($takes[$lesson]),
        ]);
    }
}
