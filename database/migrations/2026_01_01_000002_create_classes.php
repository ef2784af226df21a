<?php

declare(strict_types=1);

use App\Support\SchemaStep;
use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

return new class extends Migration
{
    public function up(): void
    {
        SchemaStep::table('machines', function (Blueprint $table): void {
            $this->owned($table);
            $table->string('name', 60);
            $table->string('drive', 20);
            $table->string('tension_mark', 10)->default('4');
            $table->boolean('usable')->default(true);
            $table->string('note', 200)->default('');
            $table->timestamps();
        });
        SchemaStep::table('classes', function (Blueprint $table): void {
            $this->owned($table);
            $table->string('name', 80);
            $table->string('course', 60);
            $table->string('policy', 20)->default('gate');
            $table->string('school', 20)->default('tracing');
            $table->unsignedTinyInteger('helpers')->default(0);
            $table->timestamps();
        });
        SchemaStep::table('students', function (Blueprint $table): void {
            $this->owned($table);
            // The name they are called by in the room; nothing more is asked.
            $table->string('name', 60);
            $table->json('wishes');
            $table->timestamps();
        });
        SchemaStep::table('enrolments', function (Blueprint $table): void {
            $this->owned($table);
            $table->foreignUlid('class_id')->constrained('classes')->cascadeOnDelete();
            $table->foreignUlid('student_id')->constrained()->cascadeOnDelete();
            $table->foreignUlid('machine_id')->nullable()->constrained()->nullOnDelete();
            $table->unsignedSmallInteger('seat');
            $table->unique(['class_id', 'student_id']);
            $table->timestamps();
        });
        SchemaStep::table('course_plans', function (Blueprint $table): void {
            $this->owned($table);
            $table->foreignUlid('class_id')->unique()->constrained('classes')->cascadeOnDelete();
            // Grows with each change: two people cannot overwrite each other unseen.
            $table->unsignedInteger('version')->default(1);
            $table->timestamps();
        });
        SchemaStep::table('plan_sessions', function (Blueprint $table): void {
            $this->owned($table);
            $table->foreignUlid('course_plan_id')->constrained()->cascadeOnDelete();
            $table->unsignedSmallInteger('position');
            $table->dateTime('starts_at');
            $table->unsignedSmallInteger('minutes');
            $table->unique(['course_plan_id', 'position']);
            $table->timestamps();
        });
        SchemaStep::table('planned_lessons', function (Blueprint $table): void {
            $this->owned($table);
            $table->foreignUlid('plan_session_id')->constrained()->cascadeOnDelete();
            $table->string('lesson', 60);
            $table->unsignedSmallInteger('position');
            $table->unique(['plan_session_id', 'lesson']);
            $table->timestamps();
        });
    }

    private function owned(Blueprint $table): void
    {
        $table->ulid('id')->primary();
        $table->foreignUlid('studio_id')->constrained()->cascadeOnDelete();
    }

    public function down(): void
    {
        foreach (['planned_lessons', 'plan_sessions', 'course_plans', 'enrolments', 'students', 'classes', 'machines'] as $table) {
            Schema::dropIfExists($table);
        }
    }
};
