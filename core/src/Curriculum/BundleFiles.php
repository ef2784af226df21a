<?php

declare(strict_types=1);

namespace OpenSeam\Core\Curriculum;

use JsonException;
use OpenSeam\Core\InputError;

/** Puts a bundle's files together: bundle.json, skills.json, faults.json and lessons/*.json; earlier/ keeps lessons as they were. */
final class BundleFiles
{
    /**
     * @return array<string, mixed> as described by docs/formats/course-bundle.schema.json
     *
     * @throws InputError when a file is missing or is not JSON
     */
    public static function read(string $folder): array
    {
        $bundle = self::json("$folder/bundle.json");
        $bundle['skills'] = self::json("$folder/skills.json");
        $bundle['faults'] = self::json("$folder/faults.json");
        $files = glob("$folder/lessons/*.json") ?: [];
        sort($files);
        $bundle['lessons'] = array_map(self::json(...), $files);

        return $bundle;
    }

    /**
     * A lesson as it was shipped once: samples are judged by what was sewn.
     *
     * @return array<string, mixed>|null null where it never was
     */
    public static function earlier(string $folder, string $id, int $version): ?array
    {
        $file = "$folder/earlier/$id.$version.json";

        return preg_match('/^[a-z0-9-]+$/', $id) === 1 && is_file($file) ? self::json($file) : null;
    }

    /** @return list<int> versions of a lesson that were shipped before today's, oldest first */
    public static function earlierVersions(string $folder, string $id): array
    {
        $found = [];
        foreach (glob("$folder/earlier/*.json") ?: [] as $file) {
            preg_match('/^([a-z0-9-]+)\.(\d+)\.json$/', basename($file), $m) === 1 && $m[1] === $id && $found[] = (int) $m[2];
        }
        sort($found);

        return $found;
    }

    /** @return array<string, mixed> */
    private static function json(string $file): array
    {
        $text = is_file($file) ? file_get_contents($file) : false;
        if ($text === false) {
            throw InputError::at(basename($file), null, 'This file of the bundle is missing.');
        }
        try {
            $data = json_decode($text, true, 64, JSON_THROW_ON_ERROR);
        } catch (JsonException $e) {
            throw InputError::at(basename($file), null, 'This file is not JSON: '.$e->getMessage().'.');
        }
        if (! is_array($data)) {
            throw InputError::at(basename($file), null, 'This file must hold an object or a list.');
        }

        /** @var array<string, mixed> $data */
        return $data;
    }
}
