<?php

declare(strict_types=1);

// Fills a studio with ten years: 50 students a year, a million readings. Invented, by lot.
// Usage: php ops/bench-years.php (inside the set-up of ./seam bench).

use App\Places\Plan\PlanCourse;
use App\Records\CourseDates;
use App\Records\OpenStudio;
use App\Support\CurrentStudio;
use Carbon\CarbonImmutable;
use Illuminate\Contracts\Console\Kernel;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Str;

require dirname(__DIR__).'/vendor/autoload.php';
$app = require dirname(__DIR__).'/bootstrap/app.php';
$app->make(Kernel::class)->bootstrap();
mt_srand(7);
$app->make(CurrentStudio::class)->reachAll();
$user = $app->make(OpenStudio::class)('Ten years', 'R. Years', 'years@loft.example', 'calico madder chalk', 'UTC');
$readings = ['seam.allowance' => 5, 'seam.start-in' => 1, 'seam.back-start' => 1, 'seam.back-end' => 1, 'seam.pull' => 1, 'seam.tails-held' => 1, 'seam.highest' => 1, 'seam.tail' => 1];
$each = array_sum($readings);
$perStudent = intdiv(1_000_000, 500 * $each) + 1;
for ($year = 0; $year < 10; $year++) {
    for ($half = 0; $half < 2; $half++) {
        $names = array_map(fn (int $n): string => "Student $year.$half.$n", range(1, 25));
        $first = CarbonImmutable::parse('2016-02-04 18:30', 'UTC')->addYears($year)->addMonths(6 * $half);
        $class = $app->make(PlanCourse::class)($user->studio_id, "Course $year.$half", 'first-steps', $names, new CourseDates($first, 10, 120), 0, 8);
        foreach ($class->enrolments()->pluck('student_id') as $student) {
            $samples = $values = [];
            for ($k = 0; $k < $perStudent; $k++) {
                $id = strtolower((string) Str::ulid($at = $first->addMinutes($k * 600)));
                $samples[] = ['id' => $id, 'studio_id' => $user->studio_id, 'class_id' => $class->id, 'student_id' => $student, 'lesson' => 'first-seam', 'lesson_version' => 1, 'settings' => '{}', 'kept_by' => $user->id, 'kept_at' => $at->format('Y-m-d H:i:s.v'), 'turn' => $k + 1];
                foreach ($readings as $reading => $n) {
                    for ($p = 0; $p < $n; $p++) {
                        $values[] = ['id' => strtolower((string) Str::ulid()), 'studio_id' => $user->studio_id, 'sample_id' => $id, 'reading' => $reading, 'position' => $p, 'value' => in_array($reading, ['seam.pull', 'seam.tails-held', 'seam.highest'], true) ? 1 : ($n === 5 ? 14 + mt_rand(0, 40) / 10 : mt_rand(2, 5))];
                    }
                }
            }
            DB::table('samples')->insert($samples);
            foreach (array_chunk($values, 2000) as $chunk) {
                DB::table('sample_readings')->insert($chunk);
            }
        }
    }
}
printf("  ten years: %d students, %d samples, %d readings\n", DB::table('students')->where('studio_id', $user->studio_id)->count(), DB::table('samples')->where('studio_id', $user->studio_id)->count(), DB::table('sample_readings')->where('studio_id', $user->studio_id)->count());
