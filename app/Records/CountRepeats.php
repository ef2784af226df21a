<?php

declare(strict_types=1);

namespace App\Records;

use App\Models\SewingClass;
use App\Support\Clock;
use OpenSeam\Core\Course\RepeatMinutes;
use OpenSeam\Core\Course\Repeats;
use OpenSeam\Core\Measure\Unit;
use OpenSeam\Core\Skill\FinishForecast;
use OpenSeam\Core\Skill\LearningWays;

/** How much class time sewing again takes, so that a share of the class has the course done: by the forecast's own model. */
final readonly class CountRepeats
{
    /** Samples one student sews of a course at most. */
    private const MOST_SAMPLES = 240;

    public function __construct(private Shelf $shelf, private Standings $standings, private ReadClass $read, private ForecastClass $forecast) {}

    /**
     * @param  list<string>  $rest  lessons still to be laid
     * @param  float  $longest  usable minutes of the longest session
     */
    public function __invoke(SewingClass $class, ClassRoom $room, array $rest, float $longest, float $sure): Repeats
    {
        $forecasts = array_column($class->exists ? $this->forecast->each(($this->read)($class, Unit::Millimetre), range(1, self::MOST_SAMPLES)) : [], 'forecast');

        return $this->of($class, $room, $rest, $longest, $sure, $forecasts === [] ? [$this->newcomer($class)] : $forecasts);
    }

    /**
     * @param  list<string>  $rest
     * @param  non-empty-list<FinishForecast>  $forecasts
     */
    private function of(SewingClass $class, ClassRoom $room, array $rest, float $longest, float $sure, array $forecasts): Repeats
    {
        $samples = FinishForecast::samplesFor($forecasts, range(1, self::MOST_SAMPLES), $sure);
        $minutes = $more = [];
        foreach ($rest as $id) {
            $minutes[$id] = $room->minutes($this->shelf, $id)->minutes;
            $more[$id] = $room->again($this->shelf, $id);
        }

        $again = RepeatMinutes::of($minutes, $more, $this->expected($class, $rest), (float) $samples, $longest);

        return new Repeats($sure, $again->beside, $samples, $again->sessions($longest));
    }

    /**
     * Samples a newcomer is expected to sew of each lesson.
     *
     * @param  list<string>  $lessons
     * @return array<string, float>
     */
    public function expected(SewingClass $class, array $lessons): array
    {
        return array_combine($lessons, $this->ahead($class, $lessons, [1])->expected);
    }

    private function newcomer(SewingClass $class): FinishForecast
    {
        return $this->ahead($class, $this->shelf->order($class->course), range(1, self::MOST_SAMPLES));
    }

    /**
     * @param  list<string>  $lessons
     * @param  list<int>  $samples
     */
    private function ahead(SewingClass $class, array $lessons, array $samples): FinishForecast
    {
        $taught = $this->shelf->taught($class);

        return LearningWays::of($this->shelf->bundle()->skills, $this->standings->table())
            ->forecast([], Clock::now(), array_map(fn (string $id): array => $taught->lesson($id)->teaches, $lessons), array_fill(0, count($lessons), false), $samples);
    }
}
