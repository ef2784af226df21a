<?php

declare(strict_types=1);

use App\Support\SchemaStep;
use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

/** What the installation itself remembers: by which rules its standings were worked out, when the last good backup was made. */
return new class extends Migration
{
    public function up(): void
    {
        SchemaStep::table('facts', function (Blueprint $table): void {
            $table->string('name', 60)->primary();
            $table->text('value');
            $table->dateTime('noted_at');
        });
    }

    public function down(): void
    {
        Schema::dropIfExists('facts');
    }
};
