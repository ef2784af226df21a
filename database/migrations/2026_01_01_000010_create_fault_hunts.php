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
        SchemaStep::table('fault_hunts', function (Blueprint $table): void {
            $table->ulid('id')->primary();
            $table->foreignUlid('studio_id')->constrained()->cascadeOnDelete();
            $table->foreignUlid('machine_id')->nullable()->constrained()->nullOnDelete();
            $table->foreignUlid('student_id')->nullable()->constrained()->cascadeOnDelete();
            $table->json('seen');
            $table->json('known');
            // One change at a time, in order, each with what came of it.
            $table->json('trials');
            // Found in the end; null while it is looked for, or when it was none of these.
            $table->string('cause', 80)->nullable();
            $table->dateTime('opened_at', 3);
            $table->dateTime('closed_at', 3)->nullable();
            $table->index(['studio_id', 'cause', 'opened_at']);
        });
    }

    public function down(): void
    {
        Schema::dropIfExists('fault_hunts');
    }
};
