<?php

declare(strict_types=1);

namespace App\Http\Requests;

use App\Support\Clock;
use App\Support\CourseDates;
use Carbon\CarbonImmutable;

/** The weekly rule in a body: "starts_on", "time", "sessions", "minutes", in the studio's own zone. */
trait HasCourseDates
{
    /** @return array<string, list<string>> */
    protected function dateRules(): array
    {
        return [
            'starts_on' => ['required', 'string', 'date_format:Y-m-d', 'after:2000-01-01', 'before:2100-01-01'],
            'time' => ['required', 'string', 'date_format:H:i'],
            'sessions' => ['required', 'integer', 'min:1', 'max:60'],
            'minutes' => ['required', 'integer', 'min:30', 'max:600'],
            'closed' => ['sometimes', 'array', 'max:200'],
            'closed.*' => ['required', 'string', 'date_format:Y-m-d'],
        ];
    }

    public function dates(): CourseDates
    {
        $first = CarbonImmutable::createFromFormat('!Y-m-d H:i', $this->word('starts_on').' '.$this->word('time'), $this->teacher()->studio->timezone);

        return new CourseDates($first ?? Clock::now(), $this->whole('sessions'), $this->whole('minutes'), $this->has('closed') ? $this->words('closed') : null);
    }
}
