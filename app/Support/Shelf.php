<?php

declare(strict_types=1);

namespace App\Support;

use OpenSeam\Core\Compute\SchemaCheck;
use OpenSeam\Core\Course\Lesson;
use OpenSeam\Core\Curriculum\Bundle;
use OpenSeam\Core\Curriculum\BundleFiles;
use OpenSeam\Core\Curriculum\BundleReader;
use OpenSeam\Core\NextLesson\Option;

/** The course bundle in use. Read from JSON once; served from a compiled file afterwards. */
final class Shelf
{
    private ?Bundle $bundle = null;

    public function bundle(): Bundle
    {
        if ($this->bundle === null) {
            /** @var array<string, mixed> $json */
            $json = is_file(self::compiled()) ? require self::compiled() : BundleFiles::read(self::folder());
            $this->bundle = BundleReader::read($json);
        }

        return $this->bundle;
    }

    /** @return list<string> lesson ids of a course in order */
    public function order(string $course): array
    {
        return $this->bundle()->courses[$course]['lessons'] ?? [];
    }

    /** @return array<string, Option> */
    public function options(): array
    {
        return array_map(fn (Lesson $lesson): Option => Option::of($lesson), $this->bundle()->lessons);
    }

    /**
     * Checks the bundle against its published schema and compiles it.
     *
     * @throws \OpenSeam\Core\InputError when it does not fit
     */
    public static function compile(): void
    {
        $json = BundleFiles::read(self::folder());
        /** @var array<string, mixed> $schema */
        $schema = json_decode((string) file_get_contents(base_path('docs/formats/course-bundle.schema.json')), true, 64, JSON_THROW_ON_ERROR);
        (new SchemaCheck($schema))->check(json_decode((string) json_encode($json), false, 64, JSON_THROW_ON_ERROR));
        BundleReader::read($json);
        $file = self::compiled();
        file_put_contents("$file.new", '<?php return '.var_export($json, true).';');
        rename("$file.new", $file);
    }

    public static function folder(): string
    {
        return base_path('curriculum/beginner-machine');
    }

    private static function compiled(): string
    {
        return dirname(storage_path()).'/cache/curriculum.php';
    }
}
