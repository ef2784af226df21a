<?php

declare(strict_types=1);

namespace OpenSeam\Core;

/** The core's reference tables: JSON in resources/, read once. Each names its source. */
final class Tables
{
    public static function read(string $name): Data
    {
        /** @var array<string, Data> $read */
        static $read = [];

        return $read[$name] ??= Data::of((array) json_decode((string) file_get_contents(__DIR__."/../resources/$name.json"), true, 32, JSON_THROW_ON_ERROR));
    }
}
