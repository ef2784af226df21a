<?php

declare(strict_types=1);

use App\Support\SchemaStep;
use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

/** The hand somebody sews with, where it was said. */
return new class extends Migration
{
    public function up(): void
    {
        SchemaStep::columns('students', ['hand'], fn (Blueprint $table) => $table->string('hand', 5)->default('')->comment('left, right, or not said'));
    }

    public function down(): void
    {
        Schema::table('students', fn (Blueprint $table) => $table->dropColumn('hand'));
    }
};
