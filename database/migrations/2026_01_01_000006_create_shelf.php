<?php

declare(strict_types=1);

use App\Support\SchemaStep;
use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

return new class extends Migration
{
    /** Written once: samples point to them. */
    private const APPEND_ONLY = ['lesson_texts', 'shelf_editions'];

    public function up(): void
    {
        // A studio's own lessons, each version as it was kept.
        SchemaStep::table('lesson_texts', function (Blueprint $table): void {
            $this->owned($table);
            $table->string('lesson', 60);
            $table->unsignedInteger('version');
            $table->longText('body');
            $table->ulid('kept_by')->nullable();
            $table->dateTime('kept_at', 3);
            $table->unique(['studio_id', 'lesson', 'version']);
        });
        // What lies over the course's own shelf, edition by edition; going back is one more edition.
        SchemaStep::table('shelf_editions', function (Blueprint $table): void {
            $this->owned($table);
            $table->unsignedInteger('number');
            $table->string('what', 200);
            $table->longText('manifest');
            $table->ulid('made_by')->nullable();
            $table->dateTime('made_at', 3);
            $table->unique(['studio_id', 'number']);
        });
        SchemaStep::columns('studios', ['shelf_edition', 'cloth_width_mm', 'selvedge_mm', 'spool_m'], function (Blueprint $table): void {
            // The edition in use; null: the shelf as it is shipped.
            $table->ulid('shelf_edition')->nullable();
            // How things come from the studio's shop.
            $table->double('cloth_width_mm')->default(1400);
            $table->double('selvedge_mm')->default(15);
            $table->double('spool_m')->default(200);
        });
        foreach (self::APPEND_ONLY as $table) {
            SchemaStep::appendOnly($table, 'A kept version is never changed; keep a new one instead.');
        }
    }

    private function owned(Blueprint $table): void
    {
        $table->ulid('id')->primary();
        $table->foreignUlid('studio_id')->constrained()->cascadeOnDelete();
    }

    public function down(): void
    {
        Schema::table('studios', fn (Blueprint $table) => $table->dropColumn(['shelf_edition', 'cloth_width_mm', 'selvedge_mm', 'spool_m']));
        foreach (['shelf_editions', 'lesson_texts'] as $table) {
            Schema::dropIfExists($table);
        }
    }
};
