<?php

declare(strict_types=1);

namespace OpenSeam\Core\Curriculum;

/**
 * What another way of a lesson changes, laid over its JSON as a JSON merge patch
 * does (RFC 7396: objects are merged, null takes away, everything else replaces).
 * A list whose entries have an id (or a name) is patched by an object of entries
 * by that id. An entry that says its own id is new and put at the end; of one that
 * is not there any more nothing is changed, so that a teacher can take it away.
 */
final class LessonPatch
{
    /**
     * @param  array<array-key, mixed>  $target
     * @param  array<array-key, mixed>  $patch
     * @return array<array-key, mixed>
     */
    public static function lay(array $target, array $patch): array
    {
        foreach ($patch as $key => $value) {
            $was = $target[$key] ?? null;
            if ($value === null) {
                unset($target[$key]);
            } elseif (! is_array($value) || $value === [] || array_is_list($value)) {
                $target[$key] = $value;
            } elseif (is_array($was) && $was !== [] && array_is_list($was)) {
                $target[$key] = self::entries($was, $value);
            } else {
                $target[$key] = self::lay(is_array($was) ? $was : [], $value);
            }
        }

        return $target;
    }

    /**
     * @param  list<mixed>  $list
     * @param  array<array-key, mixed>  $patch  by id or name
     * @return list<mixed>
     */
    private static function entries(array $list, array $patch): array
    {
        $by = is_array($list[0]) && isset($list[0]['id']) ? 'id' : 'name';
        $entries = [];
        foreach ($list as $i => $entry) {
            $entries[is_array($entry) && is_string($entry[$by] ?? null) ? $entry[$by] : "#$i"] = $entry;
        }
        foreach ($patch as $key => $value) {
            if (! is_array($value)) {
                unset($entries[$key]);
            } elseif (isset($entries[$key]) || isset($value[$by])) {
                $was = $entries[$key] ?? [];
                $entries[$key] = self::lay(is_array($was) ? $was : [], $value);
            }
        }

        return array_values($entries);
    }
}
