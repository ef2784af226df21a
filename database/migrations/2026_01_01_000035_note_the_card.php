<?php

declare(strict_types=1);

use App\Support\SchemaStep;
use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

/** How large the studio's printer makes the card that samples are photographed on. */
return new class extends Migration
{
    public function up(): void
    {
        SchemaStep::columns('studios', ['card_line_mm'], function (Blueprint $table): void {
            // null: nobody laid a ruler on its line of 100 mm yet.
            $table->decimal('card_line_mm', 5, 2)->nullable();
        });
    }

    public function down(): void
    {
        Schema::table('studios', fn (Blueprint $table) => $table->dropColumn('card_line_mm'));
    }
};
