<?php

declare(strict_types=1);

use App\Support\SchemaStep;
use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Schema;
use Illuminate\Support\Str;

return new class extends Migration
{
    public function up(): void
    {
        SchemaStep::columns('machines', ['facts', 'retired_at'], function (Blueprint $table): void {
            // What it can do, as the core's Machine reads it.
            $table->json('facts')->nullable();
            // Gone from the room; what was sewn on it stays.
            $table->dateTime('retired_at', 3)->nullable();
        });
        SchemaStep::table('feet', function (Blueprint $table): void {
            $this->owned($table);
            $table->string('name', 60);
            $table->string('kind', 40);
            $table->unsignedSmallInteger('count');
            $table->json('facts');
            $table->dateTime('retired_at', 3)->nullable();
            $table->timestamps();
        });
        SchemaStep::table('service_entries', function (Blueprint $table): void {
            $this->owned($table);
            $table->foreignUlid('machine_id')->constrained()->cascadeOnDelete();
            $table->string('kind', 20);
            $table->string('note', 200)->default('');
            $table->dateTime('done_at', 3);
            $table->index(['machine_id', 'kind', 'done_at']);
        });
        SchemaStep::table('kept_answers', function (Blueprint $table): void {
            $this->owned($table);
            $table->foreignUlid('student_id')->nullable()->constrained()->cascadeOnDelete();
            $table->string('lesson', 60)->nullable();
            $table->string('row', 60)->nullable();
            $table->string('tool', 40);
            $table->text('text');
            $table->dateTime('kept_at', 3);
            $table->index(['studio_id', 'lesson']);
        });
        // A room that was kept before feet were: each machine came with its standard foot.
        $rooms = DB::table('machines')->selectRaw('studio_id, count(*) as n')->groupBy('studio_id')->get();
        foreach ($rooms as $room) {
            DB::table('feet')->where('studio_id', $room->studio_id)->exists() || DB::table('feet')->insert([
                'id' => strtolower((string) Str::ulid()), 'studio_id' => $room->studio_id, 'name' => 'Standard', 'kind' => 'standard', 'count' => $room->n,
                'facts' => json_encode(['kind' => 'standard']), 'created_at' => now(), 'updated_at' => now(),
            ]);
        }
    }

    private function owned(Blueprint $table): void
    {
        $table->ulid('id')->primary();
        $table->foreignUlid('studio_id')->constrained()->cascadeOnDelete();
    }

    public function down(): void
    {
        foreach (['kept_answers', 'service_entries', 'feet'] as $table) {
            Schema::dropIfExists($table);
        }
        Schema::table('machines', fn (Blueprint $table) => $table->dropColumn(['facts', 'retired_at']));
    }
};
