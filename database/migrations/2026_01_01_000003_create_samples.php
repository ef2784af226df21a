<?php

declare(strict_types=1);

use App\Support\SchemaStep;
use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

return new class extends Migration
{
    /** Written once: a correction is a new sample that points to the old one. */
    private const APPEND_ONLY = ['samples', 'sample_readings', 'sample_faults'];

    public function up(): void
    {
        SchemaStep::table('samples', function (Blueprint $table): void {
            $this->owned($table);
            $table->foreignUlid('class_id')->constrained('classes')->cascadeOnDelete();
            $table->foreignUlid('student_id')->constrained()->cascadeOnDelete();
            $table->foreignUlid('plan_session_id')->nullable()->constrained()->nullOnDelete();
            $table->string('lesson', 60);
            $table->unsignedInteger('lesson_version');
            $table->string('drill', 60)->nullable();
            $table->json('settings');
            $table->foreignUlid('replaces_id')->nullable()->unique()->constrained('samples')->cascadeOnDelete();
            $table->foreignUlid('kept_by')->nullable()->constrained('users')->nullOnDelete();
            $table->dateTime('kept_at', 3);
            $table->index(['student_id', 'class_id', 'kept_at']);
        });
        SchemaStep::table('sample_readings', function (Blueprint $table): void {
            $this->owned($table);
            $table->foreignUlid('sample_id')->constrained()->cascadeOnDelete();
            $table->string('reading', 120);
            $table->unsignedSmallInteger('position');
            // mm, a count, or 1 and 0 for yes and no, as the lesson's reading says.
            $table->double('value');
            $table->unique(['sample_id', 'reading', 'position']);
        });
        SchemaStep::table('sample_faults', function (Blueprint $table): void {
            $this->owned($table);
            $table->foreignUlid('sample_id')->constrained()->cascadeOnDelete();
            $table->string('fault', 60);
            $table->unique(['sample_id', 'fault']);
        });
        SchemaStep::table('skill_standings', function (Blueprint $table): void {
            $this->owned($table);
            $table->foreignUlid('class_id')->constrained('classes')->cascadeOnDelete();
            $table->foreignUlid('student_id')->constrained()->cascadeOnDelete();
            $table->string('skill', 60);
            $table->double('known');
            $table->json('showings');
            $table->dateTime('last_shown_at', 3);
            $table->unique(['class_id', 'student_id', 'skill']);
        });
        SchemaStep::table('lesson_assignments', function (Blueprint $table): void {
            $this->owned($table);
            $table->foreignUlid('class_id')->constrained('classes')->cascadeOnDelete();
            $table->foreignUlid('student_id')->constrained()->cascadeOnDelete();
            $table->foreignUlid('sample_id')->nullable()->constrained()->cascadeOnDelete();
            $table->string('kind', 20);
            $table->string('lesson', 60)->nullable();
            $table->string('drill', 60)->nullable();
            $table->string('proposed_lesson', 60)->nullable();
            $table->string('proposed_drill', 60)->nullable();
            $table->boolean('overruled')->default(false);
            $table->string('overruled_because', 200)->default('');
            $table->dateTime('assigned_at', 3);
            $table->index(['class_id', 'student_id', 'assigned_at']);
        });
        foreach (self::APPEND_ONLY as $table) {
            SchemaStep::appendOnly($table, 'Kept samples are never changed; keep a correction instead.');
        }
    }

    private function owned(Blueprint $table): void
    {
        $table->ulid('id')->primary();
        $table->foreignUlid('studio_id')->constrained()->cascadeOnDelete();
    }

    public function down(): void
    {
        foreach (['lesson_assignments', 'skill_standings', 'sample_faults', 'sample_readings', 'samples'] as $table) {
            Schema::dropIfExists($table);
        }
    }
};
