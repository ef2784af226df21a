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
        SchemaStep::columns('course_plans', ['wishes', 'proof'], function (Blueprint $table): void {
            // What the teacher wants of the plan: pins by lesson, days without a class.
            $table->json('wishes')->nullable();
            // How few sessions there can be, and why each lesson stands where it does; of the version it was laid at.
            $table->json('proof')->nullable();
        });
    }

    public function down(): void
    {
        Schema::table('course_plans', fn (Blueprint $table) => $table->dropColumn(['wishes', 'proof']));
    }
};
