<?php

declare(strict_types=1);

use App\Support\SchemaStep;
use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

/** What a student asks from their own page, until somebody has looked. */
return new class extends Migration
{
    public function up(): void
    {
        SchemaStep::columns('enrolments', ['asks', 'asked_at'], function (Blueprint $table): void {
            $table->string('asks', 300)->default('')->comment('in their own words; empty: please look');
            $table->dateTime('asked_at')->nullable();
        });
    }

    public function down(): void
    {
        Schema::table('enrolments', fn (Blueprint $table) => $table->dropColumn(['asks', 'asked_at']));
    }
};
