<?php

declare(strict_types=1);

use App\Support\SchemaStep;
use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

/** Of the private address by which a calendar follows a class's plan; null: there is none. */
return new class extends Migration
{
    public function up(): void
    {
        SchemaStep::columns('classes', ['calendar_hash'], fn (Blueprint $table) => $table->char('calendar_hash', 64)->nullable());
        SchemaStep::index('classes', ['calendar_hash'], true);
    }

    public function down(): void
    {
        Schema::table('classes', fn (Blueprint $table) => $table->dropColumn('calendar_hash'));
    }
};
