<?php

declare(strict_types=1);

use App\Support\SchemaStep;
use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

/** What students sew and read by themselves: at home, or in class before the teacher looks. */
return new class extends Migration
{
    public function up(): void
    {
        SchemaStep::table('own_looks', function (Blueprint $table): void {
            $table->ulid('id')->primary();
            $table->foreignUlid('studio_id')->constrained()->cascadeOnDelete();
            $table->foreignUlid('class_id')->constrained()->cascadeOnDelete();
            $table->foreignUlid('student_id')->constrained()->cascadeOnDelete();
            $table->string('lesson', 60);
            $table->unsignedInteger('lesson_version');
            $table->string('place', 5)->comment('home or class');
            $table->json('readings')->comment('in mm, by reading');
            $table->json('verdicts')->comment('by check');
            $table->json('weights')->comment('of what was shown, by skill');
            $table->dateTime('looked_at', 3);
            $table->index(['student_id', 'looked_at']);
        });
    }

    public function down(): void
    {
        Schema::dropIfExists('own_looks');
    }
};
