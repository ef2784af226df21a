<?php

declare(strict_types=1);

use App\Support\SchemaStep;
use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Schema;

/**
 * What was said later counts, also where the computer's clock was set back: samples and
 * choices of a student are numbered as they come. And notes on kept samples, with what
 * was withdrawn and brought back.
 */
return new class extends Migration
{
    private const SAMPLES_WHY = 'Kept samples are never changed; keep a correction instead.';

    public function up(): void
    {
        SchemaStep::columns('samples', ['turn'], fn (Blueprint $table) => $table->unsignedInteger('turn')->default(0)->comment('number among the samples of the student'));
        SchemaStep::columns('lesson_assignments', ['turn'], fn (Blueprint $table) => $table->unsignedInteger('turn')->default(0)->comment('number among what the student was given'));
        SchemaStep::columns('lesson_assignments', ['set_aside'], fn (Blueprint $table) => $table->boolean('set_aside')->default(false)->comment('its sample is withdrawn'));
        SchemaStep::writable('samples');
        // Those that are there are numbered by their times; run again, they get the same numbers.
        foreach (['samples' => 'kept_at', 'lesson_assignments' => 'assigned_at'] as $table => $at) {
            DB::statement("UPDATE $table JOIN (SELECT id, ROW_NUMBER() OVER (PARTITION BY student_id ORDER BY $at, id) AS n FROM $table) AS numbered ON numbered.id = $table.id SET $table.turn = numbered.n");
        }
        SchemaStep::appendOnly('samples', self::SAMPLES_WHY);
        SchemaStep::index('samples', ['student_id', 'turn']);
        SchemaStep::index('lesson_assignments', ['student_id', 'turn']);
        SchemaStep::table('sample_notes', function (Blueprint $table): void {
            $table->ulid('id')->primary();
            $table->foreignUlid('studio_id')->constrained()->cascadeOnDelete();
            $table->foreignUlid('sample_id')->constrained()->cascadeOnDelete();
            $table->unsignedInteger('turn')->comment('number among the notes of the sample');
            $table->string('kind', 20)->comment('note, withdrawn or brought-back');
            $table->string('text', 1000)->default('');
            $table->foreignUlid('made_by')->nullable()->constrained('users')->nullOnDelete();
            $table->dateTime('made_at', 3);
            $table->unique(['sample_id', 'turn']);
        });
        SchemaStep::appendOnly('sample_notes', 'A kept note is never changed; write another one.');
    }

    public function down(): void
    {
        Schema::dropIfExists('sample_notes');
        Schema::table('samples', fn (Blueprint $table) => $table->dropColumn('turn'));
        Schema::table('lesson_assignments', fn (Blueprint $table) => $table->dropColumn(['turn', 'set_aside']));
    }
};
