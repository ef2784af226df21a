<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Support\Facades\DB;

/** Schools of a buttonhole's length are named as the rule that each goes by; a class keeps the one it chose. */
return new class extends Migration
{
    private const LESSON = 'buttonhole-sizing';

    private const NAMES = ['quarter-more' => 'diameter-plus-quarter', 'thickness-and-eighth' => 'diameter-thickness-eighth', 'in-the-foot' => 'button-in-foot'];

    public function up(): void
    {
        $this->rename(self::NAMES);
    }

    public function down(): void
    {
        $this->rename(array_flip(self::NAMES));
    }

    /** @param  array<string, string>  $names */
    private function rename(array $names): void
    {
        foreach (DB::table('classes')->whereNotNull('lesson_schools')->get(['id', 'lesson_schools']) as $class) {
            $all = (array) json_decode((string) $class->lesson_schools, true);
            $of = (array) ($all[self::LESSON] ?? []);
            $now = array_map(fn (mixed $school): mixed => is_string($school) ? $names[$school] ?? $school : $school, $of);
            $now === $of || DB::table('classes')->where('id', $class->id)->update(['lesson_schools' => json_encode([self::LESSON => $now] + $all)]);
        }
    }
};
