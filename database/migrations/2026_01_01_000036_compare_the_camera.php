<?php

declare(strict_types=1);

use App\Support\SchemaStep;
use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

/** Samples that a studio read by ruler and by camera, value by value: how sure its camera is. */
return new class extends Migration
{
    public function up(): void
    {
        SchemaStep::table('camera_comparisons', function (Blueprint $table): void {
            $table->ulid('id')->primary();
            $table->foreignUlid('studio_id')->constrained()->cascadeOnDelete();
            $table->ulid('sample')->comment('values of one sample share it; it is none of a student');
            $table->string('what', 10)->comment('allowance, length or width');
            foreach (['ruler_mm', 'ruler_u_mm', 'camera_mm', 'camera_u_mm'] as $value) {
                $table->double($value);
            }
            $table->dateTime('compared_at', 3);
            $table->index(['studio_id', 'sample']);
        });
    }

    public function down(): void
    {
        Schema::dropIfExists('camera_comparisons');
    }
};
