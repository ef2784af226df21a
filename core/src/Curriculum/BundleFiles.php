<?php

declare(strict_types=1);

namespace OpenSeam\Core\Curriculum;

use JsonException;
use OpenSeam\Core\InputError;

/** Puts a bundle's files together: bundle.json, skills.json, faults.json and lessons/*.json. */
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
