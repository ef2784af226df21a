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
        SchemaStep::columns('classes', ['settle_minutes', 'clear_minutes', 'review_every', 'review_minutes', 'pace_percent'], function (Blueprint $table): void {
            // What a session holds besides lessons, in minutes; a review every so many sessions, 0: none.
            $table->unsignedSmallInteger('settle_minutes')->default(5);
            $table->unsignedSmallInteger('clear_minutes')->default(10);
            $table->unsignedTinyInteger('review_every')->default(0);
            $table->unsignedSmallInteger('review_minutes')->default(20);
            // How long this group takes of the usual time.
            $table->unsignedSmallInteger('pace_percent')->default(100);
        });
        SchemaStep::columns('planned_lessons', ['at_home'], function (Blueprint $table): void {
            // Sewn at home after the session, without class time.
            $table->boolean('at_home')->default(false);
        });
    }

    public function down(): void
    {
        Schema::table('planned_lessons', fn (Blueprint $table) => $table->dropColumn('at_home'));
        Schema::table('classes', fn (Blueprint $table) => $table->dropColumn(['settle_minutes', 'clear_minutes', 'review_every', 'review_minutes', 'pace_percent']));
    }
};
