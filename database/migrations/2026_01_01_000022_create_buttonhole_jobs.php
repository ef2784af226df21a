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
        SchemaStep::table('buttonhole_jobs', function (Blueprint $table): void {
            $table->ulid('id')->primary();
            $table->foreignUlid('studio_id')->constrained()->cascadeOnDelete();
            $table->foreignUlid('class_id')->nullable()->constrained()->cascadeOnDelete();
            $table->foreignUlid('student_id')->nullable()->constrained()->cascadeOnDelete();
            $table->foreignUlid('machine_id')->nullable()->constrained()->nullOnDelete();
            $table->foreignUlid('foot_id')->nullable()->constrained('feet')->nullOnDelete();
            // As it was typed, whole or not yet.
            $table->json('job');
            $table->string('title', 120);
            // The settings that may go on the garment; null while they may not.
            $table->json('recipe')->nullable();
            $table->dateTime('released_at', 3)->nullable();
            $table->boolean('overruled')->default(false);
            $table->dateTime('begun_at', 3);
            $table->dateTime('changed_at', 3);
            $table->index(['studio_id', 'changed_at']);
        });
        SchemaStep::table('buttonhole_tests', function (Blueprint $table): void {
            $table->ulid('id')->primary();
            $table->foreignUlid('studio_id')->constrained()->cascadeOnDelete();
            $table->foreignUlid('job_id')->constrained('buttonhole_jobs')->cascadeOnDelete();
            $table->foreignUlid('machine_id')->nullable()->constrained()->nullOnDelete();
            $table->string('way', 20);
            // The job as it was when it was sewn: another stack is another test.
            $table->json('job');
            $table->json('planned');
            $table->double('set_mm');
            // What ruler and eye said, raw; what follows from it is worked out anew.
            $table->json('read');
            $table->dateTime('sewn_at', 3);
            $table->index(['machine_id', 'way', 'sewn_at']);
        });
    }

    public function down(): void
    {
        Schema::dropIfExists('buttonhole_tests');
        Schema::dropIfExists('buttonhole_jobs');
    }
};
