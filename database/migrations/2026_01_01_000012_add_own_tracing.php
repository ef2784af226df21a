<?php

declare(strict_types=1);

use App\Support\SchemaStep;
use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

/** What a studio's own samples say of how its students learn; null: the usual numbers. */
return new class extends Migration
{
    public function up(): void
    {
        SchemaStep::columns('studios', ['tracing'], fn (Blueprint $table) => $table->json('tracing')->nullable());
    }

    public function down(): void
    {
        Schema::table('studios', fn (Blueprint $table) => $table->dropColumn('tracing'));
    }
};
