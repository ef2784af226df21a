<?php

declare(strict_types=1);

use App\Support\SchemaStep;
use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Schema;

/**
 * People with roles, invitations, links that are kept as digests and end; what is deleted stays
 * for thirty days; a student's history is theirs and outlives the class it was sewn in.
 */
return new class extends Migration
{
    /** A student's page ends so long after the course. */
    private const PAGE_WEEKS = 4;

    public function up(): void
    {
        SchemaStep::columns('users', ['hand', 'language'], function (Blueprint $table): void {
            $table->string('hand', 5)->default('right');
            $table->string('language', 8)->default('en');
        });
        // Whoever opened a studio owns it.
        DB::statement("UPDATE users JOIN (SELECT MIN(id) AS id FROM users GROUP BY studio_id) AS firsts ON firsts.id = users.id SET users.role = 'owner' WHERE NOT EXISTS (SELECT 1 FROM (SELECT studio_id FROM users WHERE role = 'owner') AS owned WHERE owned.studio_id = users.studio_id)");
        SchemaStep::columns('studios', ['archive_after_days', 'delete_after_days', 'page_weeks', 'deleted_at'], function (Blueprint $table): void {
            $table->unsignedSmallInteger('archive_after_days')->default(365);
            $table->unsignedSmallInteger('delete_after_days')->nullable()->comment('after the course ended; null: never by itself');
            $table->unsignedTinyInteger('page_weeks')->default(self::PAGE_WEEKS)->comment('a student’s page ends so long after the course');
            $table->dateTime('deleted_at', 3)->nullable();
        });
        SchemaStep::columns('classes', ['made_by', 'shared', 'archived_at', 'deleted_at'], function (Blueprint $table): void {
            $table->ulid('made_by')->nullable();
            $table->boolean('shared')->default(true);
            $table->dateTime('archived_at', 3)->nullable();
            $table->dateTime('deleted_at', 3)->nullable();
        });
        SchemaStep::columns('students', ['deleted_at'], fn (Blueprint $table) => $table->dateTime('deleted_at', 3)->nullable());
        SchemaStep::columns('enrolments', ['deleted_at', 'page_hash', 'page_until'], function (Blueprint $table): void {
            $table->dateTime('deleted_at', 3)->nullable();
            $table->char('page_hash', 64)->nullable()->comment('SHA-256 of the private link of the student’s page');
            $table->dateTime('page_until', 3)->nullable();
        });
        SchemaStep::index('enrolments', ['page_hash'], true);
        if (Schema::hasColumn('enrolments', 'page_token')) {
            // Links that were handed out go on working, until four weeks after their course.
            DB::statement('UPDATE enrolments SET page_hash = SHA2(page_token, 256), page_until = COALESCE((SELECT DATE_ADD(MAX(s.starts_at), INTERVAL ? WEEK) FROM plan_sessions s JOIN course_plans p ON p.id = s.course_plan_id WHERE p.class_id = enrolments.class_id), DATE_ADD(UTC_TIMESTAMP(), INTERVAL ? WEEK)) WHERE page_token IS NOT NULL', [self::PAGE_WEEKS, self::PAGE_WEEKS]);
            Schema::hasIndex('enrolments', ['page_token'], 'unique') && Schema::table('enrolments', fn (Blueprint $table) => $table->dropUnique(['page_token']));
            Schema::table('enrolments', fn (Blueprint $table) => $table->dropColumn('page_token'));
        }
        // What a student sewed is theirs: it stays when the class goes.
        foreach (Schema::getForeignKeys('samples') as $key) {
            if ($key['columns'] === ['class_id'] && $key['on_delete'] !== 'set null') {
                Schema::table('samples', fn (Blueprint $table) => $table->dropForeign($key['name']));
            }
        }
        DB::statement('ALTER TABLE samples MODIFY class_id CHAR(26) NULL');
        if (array_filter(Schema::getForeignKeys('samples'), fn (array $k): bool => $k['columns'] === ['class_id']) === []) {
            Schema::table('samples', fn (Blueprint $table) => $table->foreign('class_id')->references('id')->on('classes')->nullOnDelete());
        }
        SchemaStep::table('invitations', function (Blueprint $table): void {
            $table->ulid('id')->primary();
            $table->foreignUlid('studio_id')->constrained()->cascadeOnDelete();
            $table->string('email', 190)->default('');
            $table->string('role', 20);
            $table->char('token_hash', 64)->unique();
            $table->foreignUlid('invited_by')->nullable()->constrained('users')->nullOnDelete();
            $table->dateTime('expires_at');
            $table->dateTime('accepted_at')->nullable();
            $table->timestamps();
        });
        SchemaStep::table('password_reset_tokens', function (Blueprint $table): void {
            $table->string('email')->primary();
            $table->string('token');
            $table->timestamp('created_at')->nullable();
        });
    }

    public function down(): void
    {
        Schema::dropIfExists('password_reset_tokens');
        Schema::dropIfExists('invitations');
    }
};
