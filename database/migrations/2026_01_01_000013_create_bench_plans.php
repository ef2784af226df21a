<?php

declare(strict_types=1);

use App\Support\SchemaStep;
use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

/** Who sits where in a session, who is there, and what a student needs beyond the class. */
return new class extends Migration
{
    public function up(): void
    {
        SchemaStep::table('bench_plans', function (Blueprint $table): void {
            $this->owned($table);
            $table->foreignUlid('plan_session_id')->unique()->constrained()->cascadeOnDelete();
            $table->unsignedInteger('version');
            $table->unsignedTinyInteger('most_lessons');
            /** Students held to a machine or a lesson by the teacher, who is late, absent or gone, and the seats as they were begun with. */
            $table->json('held');
            $table->json('away');
            $table->json('seats');
            $table->json('tape');
            $table->dateTime('started_at', 3)->nullable();
        });
        SchemaStep::columns('lesson_assignments', ['by_bench'], fn (Blueprint $table) => $table->boolean('by_bench')->default(false));
        SchemaStep::columns('students', ['own_machine'], fn (Blueprint $table) => $table->boolean('own_machine')->default(false));
        SchemaStep::columns('enrolments', ['note', 'page_token'], function (Blueprint $table): void {
            $table->string('note', 1000)->default('');
            /** Of the page that the student sees without signing in; null: there is none. */
            $table->char('page_token', 40)->nullable();
        });
        SchemaStep::index('enrolments', ['page_token'], true);
    }

    public function down(): void
    {
        Schema::table('enrolments', fn (Blueprint $table) => $table->dropColumn(['note', 'page_token']));
        Schema::table('students', fn (Blueprint $table) => $table->dropColumn('own_machine'));
        Schema::table('lesson_assignments', fn (Blueprint $table) => $table->dropColumn('by_bench'));
        Schema::dropIfExists('bench_plans');
    }

    private function owned(Blueprint $table): void
    {
        $table->ulid('id')->primary();
        $table->foreignUlid('studio_id')->constrained()->cascadeOnDelete();
    }
};
