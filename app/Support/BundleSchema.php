<?php

declare(strict_types=1);

namespace App\Support;

use OpenSeam\Core\Compute\SchemaCheck;

/** The published schema of course bundles, and of one lesson in them. */
final class BundleSchema
{
    /**
     * @param  mixed  $json  decoded with objects as objects
     *
     * @throws \OpenSeam\Core\InputError naming the first field that does not fit
     */
    public static function check(mixed $json): void
    {
        (new SchemaCheck(self::schema()))->check($json);
    }

    /**
     * @param  mixed  $json  decoded with objects as objects
     *
     * @throws \OpenSeam\Core\InputError naming the first field that does not fit
     */
    public static function checkLesson(mixed $json): void
    {
        $lesson = data_get(self::schema(), 'properties.lessons.items');
        /** @var array<string, mixed> $lesson */
        (new SchemaCheck($lesson))->check($json);
    }

    /** @return array<string, mixed> */
    private static function schema(): array
    {
        /** @var array<string, mixed> $schema */
        $schema = json_decode((string) file_get_contents(base_path('docs/formats/course-bundle.schema.json')), true, 64, JSON_THROW_ON_ERROR);

        return $schema;
    }
}
