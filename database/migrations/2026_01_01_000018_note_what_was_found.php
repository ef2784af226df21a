<?php

declare(strict_types=1);

use App\Support\SchemaStep;
use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

/**
 * The sample a fault was seen on goes with the search for its cause, so that what was found counts for the
 * student. It may be noted before the sample is kept: the id is made where the sample is looked at.
 */
return new class extends Migration
{
    public function up(): void
    {
        SchemaStep::columns('fault_hunts', ['sample_id'], fn (Blueprint $table) => $table->char('sample_id', 26)->nullable());
        SchemaStep::index('fault_hunts', ['sample_id']);
    }

    public function down(): void
    {
        Schema::table('fault_hunts', fn (Blueprint $table) => $table->dropColumn('sample_id'));
    }
};
