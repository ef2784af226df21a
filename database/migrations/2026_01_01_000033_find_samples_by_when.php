<?php

declare(strict_types=1);

use App\Support\SchemaStep;
use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

/** What a studio sewed lately is found without going through all that it ever sewed. */
return new class extends Migration
{
    public function up(): void
    {
        SchemaStep::index('samples', ['studio_id', 'kept_at']);
    }

    public function down(): void
    {
        // The foreign key of the studio stands on it: it gets one of its own first.
        SchemaStep::index('samples', ['studio_id']);
        Schema::table('samples', fn (Blueprint $table) => $table->dropIndex(['studio_id', 'kept_at']));
    }
};
