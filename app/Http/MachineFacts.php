<?php

declare(strict_types=1);

namespace App\Http;

use OpenSeam\Core\Compute\SchemaCheck;
use OpenSeam\Core\InputError;

/** Facts of machines and feet as they are sent. */
final class MachineFacts
{
    /**
     * Of a machine, without what was left empty: that is the usual.
     *
     * @return array<string, mixed>
     */
    public static function said(mixed $sent): array
    {
        // Empty text arrives as nothing, and nothing means the usual.
        $facts = array_filter((array) $sent, fn (mixed $v): bool => $v !== null);
        if (is_array($facts['stitch_names'] ?? null)) {
            $facts['stitch_names'] = array_map(fn (mixed $name): mixed => $name ?? '', $facts['stitch_names']);
        }
        $named = [];
        foreach ($facts as $name => $value) {
            $named[(string) $name] = $value;
        }

        return $named;
    }

    /**
     * @param  array<array-key, mixed>  $facts
     * @param  array<string, mixed>  $schema
     *
     * @throws InputError naming the field below "facts"
     */
    public static function fits(array $facts, array $schema): void
    {
        try {
            (new SchemaCheck($schema))->check(json_decode((string) json_encode($facts === [] ? (object) [] : self::objects($facts)), false, 64, JSON_THROW_ON_ERROR));
        } catch (InputError $e) {
            throw InputError::at('facts.'.$e->field, $e->got, $e->getMessage());
        }
    }

    /**
     * PHP cannot tell an empty object from an empty list; the one object that may be empty is named here.
     *
     * @param  array<array-key, mixed>  $facts
     * @return array<array-key, mixed>
     */
    private static function objects(array $facts): array
    {
        return ($facts['stitch_names'] ?? null) === [] ? ['stitch_names' => (object) []] + $facts : $facts;
    }
}
