<?php

declare(strict_types=1);

namespace OpenSeam\Core\Curriculum;

use stdClass;

/** A bundle, or a part of it, as JSON text. */
final class BundleJson
{
    /** What is an object also where it is empty. */
    private const OBJECTS = ['changes' => true, 'met' => true, 'near' => true, 'threads' => true, 'path' => true];

    /** @param  array<array-key, mixed>  $json */
    public static function encode(array $json, int $flags = 0): string
    {
        return json_encode(self::objects($json), JSON_THROW_ON_ERROR | JSON_UNESCAPED_UNICODE | JSON_UNESCAPED_SLASHES | $flags);
    }

    /**
     * @param  array<array-key, mixed>  $json
     * @return array<array-key, mixed>
     */
    private static function objects(array $json): array
    {
        foreach ($json as $name => $value) {
            if (is_array($value)) {
                $json[$name] = $value === [] && isset(self::OBJECTS[$name]) ? new stdClass : self::objects($value);
            }
        }

        return $json;
    }
}
