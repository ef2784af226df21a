<?php

declare(strict_types=1);

use App\Support\SchemaStep;
use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Schema;

/** What a teacher wishes of a plan, the dates it was laid on and the repeats that were reckoned lay in one; each has its own place now. */
return new class extends Migration
{
    private const DATES = ['starts_on', 'time', 'minutes', 'closed', 'weekdays', 'every_weeks', 'made_up', 'lengths'];

    private const REPEATS = ['sure', 'repeats', 'samples', 'repeat_sessions'];

    public function up(): void
    {
        SchemaStep::columns('course_plans', ['dates'], fn (Blueprint $table) => $table->json('dates')->nullable());
        SchemaStep::columns('course_plans', ['repeats'], fn (Blueprint $table) => $table->json('repeats')->nullable());
        foreach (DB::table('course_plans')->whereNotNull('wishes')->get(['id', 'wishes']) as $plan) {
            $all = json_decode((string) $plan->wishes, true);
            $of = fn (array $names): array => array_intersect_key(is_array($all) ? $all : [], array_flip($names));
            [$dates, $repeats] = [$of(self::DATES), $of(self::REPEATS)];
            // Parted already: run again, nothing is lost.
            if ($dates !== [] || $repeats !== []) {
                DB::table('course_plans')->where('id', $plan->id)->update([
                    'wishes' => json_encode((object) array_diff_key((array) $all, $dates, $repeats)), 'dates' => $dates === [] ? null : json_encode($dates), 'repeats' => $repeats === [] ? null : json_encode($repeats),
                ]);
            }
        }
    }

    public function down(): void
    {
        foreach (DB::table('course_plans')->get(['id', 'wishes', 'dates', 'repeats']) as $plan) {
            $parts = array_map(fn (?string $json): array => (array) json_decode((string) $json, true), [$plan->wishes, $plan->dates, $plan->repeats]);
            DB::table('course_plans')->where('id', $plan->id)->update(['wishes' => json_encode((object) array_merge(...$parts))]);
        }
        Schema::table('course_plans', fn (Blueprint $table) => $table->dropColumn(['dates', 'repeats']));
    }
};
