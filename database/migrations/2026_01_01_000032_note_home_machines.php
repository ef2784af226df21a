<?php

declare(strict_types=1);

use App\Support\SchemaStep;
use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

/** A student's own machine and its feet. Samples sewn on it say so: they wear no machine of the room. */
return new class extends Migration
{
    public function up(): void
    {
        SchemaStep::columns('students', ['home'], function (Blueprint $table): void {
            $table->json('home')->nullable()->comment('machine and feet, as the core reads them; null: nothing is known of it');
        });
        SchemaStep::columns('samples', ['on_own'], function (Blueprint $table): void {
            $table->boolean('on_own')->default(false)->comment('sewn on a machine of their own');
        });
    }

    public function down(): void
    {
        Schema::table('students', fn (Blueprint $table) => $table->dropColumn('home'));
        Schema::table('samples', fn (Blueprint $table) => $table->dropColumn('on_own'));
    }
};
