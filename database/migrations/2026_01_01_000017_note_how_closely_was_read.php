<?php

declare(strict_types=1);

use App\Support\SchemaStep;
use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

/** How closely a length was read goes with it. What was kept before is judged as the lesson says its tool reads. */
return new class extends Migration
{
    public function up(): void
    {
        SchemaStep::columns('sample_readings', ['limit_mm'], fn (Blueprint $table) => $table->double('limit_mm')->nullable());
    }

    public function down(): void
    {
        Schema::table('sample_readings', fn (Blueprint $table) => $table->dropColumn('limit_mm'));
    }
};
