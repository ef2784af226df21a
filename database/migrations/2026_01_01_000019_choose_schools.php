<?php

declare(strict_types=1);

use App\Support\SchemaStep;
use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

/**
 * A class chooses the school it follows where a lesson names several; a sample keeps the way it was sewn.
 * What was kept before was sewn the usual way.
 */
return new class extends Migration
{
    public function up(): void
    {
        SchemaStep::columns('classes', ['lesson_schools'], fn (Blueprint $table) => $table->json('lesson_schools')->nullable());
        SchemaStep::columns('samples', ['way'], fn (Blueprint $table) => $table->json('way')->nullable());
    }

    public function down(): void
    {
        Schema::table('classes', fn (Blueprint $table) => $table->dropColumn('lesson_schools'));
        Schema::table('samples', fn (Blueprint $table) => $table->dropColumn('way'));
    }
};
