<?php

declare(strict_types=1);

use App\Support\SchemaStep;
use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

/** A sample that was sent later than it was looked at stands after the one that was kept before it, whose number it takes. */
return new class extends Migration
{
    public function up(): void
    {
        SchemaStep::columns('samples', ['late'], fn (Blueprint $table) => $table->boolean('late')->default(false)->comment('it stands after the one of its number'));
    }

    public function down(): void
    {
        Schema::table('samples', fn (Blueprint $table) => $table->dropColumn('late'));
    }
};
