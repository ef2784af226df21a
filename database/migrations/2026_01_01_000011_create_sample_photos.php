<?php

declare(strict_types=1);

use App\Support\SchemaStep;
use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Schema;

/** Photos of samples, in the database: the web tier keeps nothing, and the backup takes them along. */
return new class extends Migration
{
    public function up(): void
    {
        SchemaStep::table('sample_photos', function (Blueprint $table): void {
            $table->ulid('id')->primary();
            $table->foreignUlid('studio_id')->constrained()->cascadeOnDelete();
            $table->foreignUlid('sample_id')->constrained()->cascadeOnDelete();
            /** Of the lesson's sampler; null: of the whole piece. */
            $table->string('row', 60)->nullable();
            $table->unsignedSmallInteger('width');
            $table->unsignedSmallInteger('height');
            $table->binary('image');
            $table->dateTime('kept_at', 3);
            $table->index(['sample_id', 'kept_at']);
        });
        // A blob of the schema builder holds 64 kB.
        DB::statement('ALTER TABLE sample_photos MODIFY image MEDIUMBLOB NOT NULL');
    }

    public function down(): void
    {
        Schema::dropIfExists('sample_photos');
    }
};
