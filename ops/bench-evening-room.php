<?php

declare(strict_types=1);

// Studios for ops/bench-evening.php: each with a teacher, and a class of ten whose session is running.

use App\Places\Plan\PlanCourse;
use App\Records\CourseDates;
use App\Records\OpenStudio;
use App\Support\Clock;
use App\Support\CurrentStudio;
use Illuminate\Contracts\Console\Kernel;

require dirname(__DIR__).'/vendor/autoload.php';
$app = require dirname(__DIR__).'/bootstrap/app.php';
$app->make(Kernel::class)->bootstrap();
$app->make(CurrentStudio::class)->reachAll();
for ($i = 0; $i < (int) ($argv[1] ?? 50); $i++) {
    $user = $app->make(OpenStudio::class)("Evening $i", "Teacher $i", "evening$i@loft.example", 'calico madder chalk', 'UTC');
    $app->make(PlanCourse::class)($user->studio_id, 'Evening', 'first-steps', array_map(fn (int $n): string => "Student $n", range(1, 10)), new CourseDates(Clock::now()->subHour(), 6, 120), 0, 8);
}
