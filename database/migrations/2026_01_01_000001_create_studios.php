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
        SchemaStep::table('studios', function (Blueprint $table): void {
            $table->ulid('id')->primary();
            $table->string('name', 80);
            $table->string('timezone', 64)->default('UTC');
            $table->boolean('demo')->default(false);
            $table->timestamps();
        });
        SchemaStep::table('users', function (Blueprint $table): void {
            $table->ulid('id')->primary();
            $table->foreignUlid('studio_id')->constrained()->cascadeOnDelete();
            $table->string('name', 80);
            $table->string('email', 190)->unique();
            $table->string('password');
            $table->string('role', 20)->default('teacher');
            $table->string('unit', 2)->default('mm');
            $table->rememberToken();
            $table->timestamps();
        });
        SchemaStep::table('sessions', function (Blueprint $table): void {
            $table->string('id')->primary();
            $table->char('user_id', 26)->nullable()->index();
            $table->string('ip_address', 45)->nullable();
            $table->text('user_agent')->nullable();
            $table->longText('payload');
            $table->integer('last_activity')->index();
        });
        SchemaStep::table('cache', function (Blueprint $table): void {
            $table->string('key')->primary();
            $table->mediumText('value');
            $table->integer('expiration')->index();
        });
        SchemaStep::table('cache_locks', function (Blueprint $table): void {
            $table->string('key')->primary();
            $table->string('owner');
            $table->integer('expiration')->index();
        });
    }

    public function down(): void
    {
        foreach (['cache_locks', 'cache', 'sessions', 'users', 'studios'] as $table) {
            Schema::dropIfExists($table);
        }
    }
};
