<?php

declare(strict_types=1);

use App\Support\SchemaStep;
use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Schema;

/** When a session really began and ended, where that was said; the plan's own hour stays as it is. */
return new class extends Migration
{
    public function up(): void
    {
        SchemaStep::columns('plan_sessions', ['begun_at', 'ended_at'], function (Blueprint $table): void {
            $table->dateTime('begun_at')->nullable();
            $table->dateTime('ended_at')->nullable();
        });
        // Those that were begun with a bench began then, so far as they were not begun ahead of their hour only to see the seats.
        DB::statement('update plan_sessions s join bench_plans b on b.plan_session_id = s.id set s.begun_at = b.started_at where b.started_at >= s.starts_at');
    }

    public function down(): void
    {
        Schema::table('plan_sessions', fn (Blueprint $table) => $table->dropColumn(['begun_at', 'ended_at']));
    }
};
