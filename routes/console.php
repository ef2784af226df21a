<?php

declare(strict_types=1);

use Illuminate\Support\Facades\Schedule;

// A machine that is off at night makes it up when it is on: each hour it is asked what is due.
Schedule::command('seam:backup --when-due')->hourly()->withoutOverlapping()->runInBackground();
Schedule::command('seam:housekeeping')->dailyAt('03:10')->withoutOverlapping();
