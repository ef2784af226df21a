<?php

declare(strict_types=1);

use App\Support\SchemaStep;
use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

/** The picture of a photo may lie on a disk instead of in its row. */
return new class extends Migration
{
    public function up(): void
    {
        SchemaStep::columns('sample_photos', ['stored_on'], function (Blueprint $table): void {
            // null: in the row itself; a disk of config/filesystems.php otherwise, and the row's picture is empty.
            $table->string('stored_on', 20)->nullable();
        });
        SchemaStep::index('sample_photos', ['stored_on']);
    }

    public function down(): void
    {
        Schema::table('sample_photos', function (Blueprint $table): void {
            $table->dropIndex(['stored_on']);
            $table->dropColumn('stored_on');
        });
    }
};
