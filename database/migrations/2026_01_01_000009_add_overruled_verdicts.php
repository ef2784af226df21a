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
        // The teacher's own verdicts with their reasons, by check; the readings stay beside them.
        SchemaStep::columns('samples', ['overruled'], fn (Blueprint $table) => $table->json('overruled')->nullable());
    }

    public function down(): void
    {
        Schema::table('samples', fn (Blueprint $table) => $table->dropColumn('overruled'));
    }
};
