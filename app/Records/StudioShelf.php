<?php

declare(strict_types=1);

namespace App\Records;

use App\Models\LessonText;
use App\Models\ShelfEdition;
use OpenSeam\Core\Curriculum\BundleJson;

/**
 * What a studio has laid over the course's own shelf, and the versions of its
 * lessons that came before. Read from the database once for each edition; from a
 * file under var/cache/ afterwards, so that a request needs no query for it.
 *
 * @phpstan-type Json array<string, mixed>
 */
final readonly class StudioShelf
{
    /**
     * @param  array{lessons: list<Json>, skills: list<Json>, faults: list<Json>, courses: list<Json>}  $over
     */
    private function __construct(private string $file, public array $over) {}

    public static function of(string $studio, string $edition): self
    {
        $file = self::folder($studio)."/$edition.json";
        /** @var array{lessons: list<Json>, skills: list<Json>, faults: list<Json>, courses: list<Json>}|null $over */
        $over = self::decode($file);
        if ($over === null) {
            // Not there yet, or cleared away by a request that had a newer edition.
            self::write($studio, $edition, $file);
            /** @var array{lessons: list<Json>, skills: list<Json>, faults: list<Json>, courses: list<Json>} $over */
            $over = self::decode($file) ?? ShelfEdition::NOTHING;
        }

        return new self($file, $over);
    }

    /** @return Json|null a lesson as it once was */
    public function earlier(string $lesson, int $version): ?array
    {
        /** @var array<string, array<int, Json>>|null $all */
        $all = self::decode(self::earlierFile($this->file));

        return $all[$lesson][$version] ?? null;
    }

    private static function write(string $studio, string $edition, string $file): void
    {
        $manifest = ShelfEdition::query()->withoutGlobalScopes()->where('studio_id', $studio)->findOrFail($edition)->manifest;
        $texts = [];
        foreach (LessonText::query()->withoutGlobalScopes()->where('studio_id', $studio)->orderBy('version')->get() as $text) {
            $texts[$text->lesson][$text->version] = json_decode($text->body, true, 64, JSON_THROW_ON_ERROR);
        }
        $lessons = [];
        foreach ($manifest['lessons'] as $id => $version) {
            $lessons[] = $texts[$id][$version];
        }
        $folder = self::folder($studio);
        is_dir($folder) || mkdir($folder, 0755, true);
        // Of older editions nobody asks again.
        array_map(fn (string $old): bool => @unlink($old), glob("$folder/*.json") ?: []);
        self::put(self::earlierFile($file), $texts);
        self::put($file, ['lessons' => $lessons] + $manifest);
    }

    /** @param  array<array-key, mixed>  $json */
    private static function put(string $file, array $json): void
    {
        $new = $file.'.'.getmypid();
        file_put_contents($new, BundleJson::encode($json));
        rename($new, $file);
    }

    /** @return array<array-key, mixed>|null null when there is no such file */
    private static function decode(string $file): ?array
    {
        $text = @file_get_contents($file);

        return $text === false ? null : (array) json_decode($text, true, 64, JSON_THROW_ON_ERROR);
    }

    private static function earlierFile(string $file): string
    {
        return preg_replace('/\.json$/', '-earlier.json', $file) ?? $file;
    }

    private static function folder(string $studio): string
    {
        return dirname(storage_path()).'/cache/shelves/'.$studio;
    }
}
