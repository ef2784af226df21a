<?php

declare(strict_types=1);

namespace App\Places\Plan;

use App\Http\Keyed;
use App\Records\CourseDates;
use App\Support\Clock;
use Carbon\CarbonImmutable;
use OpenSeam\Core\InputError;

/** When the sessions are, in a body: the weekly rule, closed days, make-up dates and lengths, in the studio's own zone. */
trait HasCourseDates
{
    /** @return array<string, list<string|Keyed>> */
    protected function dateRules(): array
    {
        return [
            'starts_on' => ['required', 'string', 'date_format:Y-m-d', 'after:2000-01-01', 'before:2100-01-01'],
            'time' => ['required', 'string', 'date_format:H:i'],
            'sessions' => ['required', 'integer', 'min:1', 'max:60'],
            'minutes' => ['required', 'integer', 'min:30', 'max:600'],
            'closed' => ['sometimes', 'array', 'max:200'],
            'closed.*' => ['required', 'string', 'date_format:Y-m-d'],
            'weekdays' => ['sometimes', 'array', 'max:7'],
            'weekdays.*' => ['required', 'integer', 'min:1', 'max:7', 'distinct'],
            'every_weeks' => ['sometimes', 'integer', 'min:1', 'max:8'],
            'made_up' => ['sometimes', 'array', new Keyed, 'max:60'],
            'made_up.*' => ['required', 'string', 'date_format:Y-m-d H:i'],
            'lengths' => ['sometimes', 'array', new Keyed, 'max:60'],
            'lengths.*' => ['required', 'integer', 'min:30', 'max:600'],
        ];
    }

    /** @param  CourseDates|null  $known  those the plan has: what is not sent stays */
    public function dates(?CourseDates $known = null): CourseDates
    {
        $first = CarbonImmutable::createFromFormat('!Y-m-d H:i', $this->word('starts_on').' '.$this->word('time'), $this->teacher()->studio->timezone);

        return new CourseDates(
            $first ?? Clock::now(), $this->whole('sessions'), $this->whole('minutes'),
            $this->has('closed') ? $this->words('closed') : $known->closed ?? [],
            $this->has('weekdays') ? array_values($this->numbers('weekdays')) : $known->weekdays ?? [],
            $this->whole('every_weeks', $known->everyWeeks ?? 1),
            $this->has('made_up') ? $this->madeUp() : $known->madeUp ?? [],
            $this->has('lengths') ? $this->numbers('lengths') : $known->lengths ?? [],
        );
    }

    /**
     * Whole numbers by name or place, as they were sent.
     *
     * @return array<array-key, int>
     */
    protected function numbers(string $name): array
    {
        $sent = $this->input($name);

        return is_array($sent) ? array_map(fn (mixed $n): int => is_numeric($n) ? (int) $n : 0, $sent) : [];
    }

    /** @return array<string, string> */
    private function madeUp(): array
    {
        $made = [];
        $sent = $this->input('made_up');
        foreach (is_array($sent) ? $sent : [] as $day => $at) {
            preg_match('/^\d{4}-\d{2}-\d{2}$/', (string) $day) === 1 || throw InputError::at("made_up.$day", $at, 'Make-up dates go by the day they stand for, such as 2030-12-25.');
            $made[(string) $day] = is_string($at) ? $at : '';
        }

        return $made;
    }
}
