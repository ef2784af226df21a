<?php

declare(strict_types=1);

use App\Support\SchemaStep;
use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

/** What the studio's prices are in. */
return new class extends Migration
{
    public function up(): void
    {
        SchemaStep::columns('studios', ['currency'], fn (Blueprint $table) => $table->string('currency', 3)->default('')->comment('ISO 4217; empty: not said'));
    }

    public function down(): void
    {
        Schema::table('studios', fn (Blueprint $table) => $table->dropColumn('currency'));
    }
};
