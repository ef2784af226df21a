<?php

declare(strict_types=1);

use Illuminate\Support\Facades\Schedule;

// Where several servers ask, one of them does it: they agree about that in the database, which is there whatever else is away.
Schedule::useCache('database');
// A machine that is off at night makes it up when it is on: each hour it is asked what is due.
Schedule::command('seam:backup --when-due')->hourly()->onOneServer()->withoutOverlapping()->runInBackground();
Schedule::command('seam:photos')->everyTenMinutes()->onOneServer()->withoutOverlapping(60)->runInBackground();
Schedule::command('seam:photos --sweep')->dailyAt('03:40')->onOneServer()->withoutOverlapping(60)->runInBackground();
Schedule::command('seam:housekeeping')->dailyAt('03:10')->onOneServer()->withoutOverlapping();
