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
        // What the cupboard holds and what things cost, by the shopping list's item.
        SchemaStep::table('cupboard_items', function (Blueprint $table): void {
            $table->ulid('id')->primary();
            $table->foreignUlid('studio_id')->constrained()->cascadeOnDelete();
            $table->string('item', 60);
            $table->double('have')->default(0);
            $table->double('price')->default(0);
            $table->unique(['studio_id', 'item']);
            $table->timestamps();
        });
        SchemaStep::table('material_ticks', function (Blueprint $table): void {
            $table->ulid('id')->primary();
            $table->foreignUlid('studio_id')->constrained()->cascadeOnDelete();
            $table->foreignUlid('class_id')->constrained('classes')->cascadeOnDelete();
            $table->string('item', 60);
            $table->unique(['class_id', 'item']);
            $table->timestamps();
        });
    }

    public function down(): void
    {
        Schema::dropIfExists('material_ticks');
        Schema::dropIfExists('cupboard_items');
    }
};
