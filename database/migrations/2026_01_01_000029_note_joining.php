<?php

declare(strict_types=1);

use App\Support\SchemaStep;
use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

/** When somebody came into a class; of those who were there before this was noted it is not known. */
return new class extends Migration
{
    public function up(): void
    {
        SchemaStep::columns('enrolments', ['joined_at'], fn (Blueprint $table) => $table->dateTime('joined_at')->nullable());
    }

    public function down(): void
    {
        Schema::table('enrolments', fn (Blueprint $table) => $table->dropColumn('joined_at'));
    }
};
