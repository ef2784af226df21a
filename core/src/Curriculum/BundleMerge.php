<?php

declare(strict_types=1);

namespace OpenSeam\Core\Curriculum;

use OpenSeam\Core\InputError;
use OpenSeam\Core\Near;
use OpenSeam\Core\Skill\SkillGraphBroken;

/**
 * A bundle laid over a shelf: what is new, what differs and where, and the shelf
 * afterwards. Nothing is ever taken away by it.
 *
 * @phpstan-type Json array<string, mixed>
 */
final readonly class BundleMerge
{
    /** Part of the bundle, what one of it is called, and which field names it. */
    private const PARTS = ['skills' => ['skill', 'title'], 'faults' => ['fault', 'seen'], 'lessons' => ['lesson', 'title'], 'courses' => ['course', 'title']];

    /** More lines than this nobody reads before they agree. */
    private const MOST_PLACES = 40;

    /**
     * @param  Json  $json  the shelf afterwards
     * @param  list<BundleChange>  $changes
     */
    private function __construct(public array $json, public array $changes) {}

    /**
     * @param  Json  $shelf  a bundle that has been read before
     * @param  Json  $in  the bundle to lay over it; fits the schema
     *
     * @throws InputError naming the place in the incoming bundle that does not fit
     */
    public static function of(array $shelf, array $in): self
    {
        PlainText::check($in);
        $in = self::withThreads($shelf, $in);
        // What comes in stands first, so that a place that does not fit is named as the file has it.
        $tried = ['format_version' => $in['format_version'] ?? null] + $shelf;
        $after = $shelf;
        $changes = [];
        foreach (self::PARTS as $part => [$name, $title]) {
            [$old, $new] = [self::byId($shelf[$part] ?? []), self::byId($in[$part] ?? [])];
            $tried[$part] = [...array_values($new), ...array_values(array_diff_key($old, $new))];
            count($new) === count(is_array($in[$part] ?? null) ? $in[$part] : []) || throw InputError::at($part, null, "Two entries of “{$part}” have the same id.");
            foreach ($new as $id => $entry) {
                $change = self::change($name, (string) $id, $title, $old[$id] ?? null, $entry);
                if ($change !== null) {
                    $changes[] = $change;
                    $old[$id] = $entry;
                }
            }
            $after[$part] = array_values($old);
        }
        try {
            BundleReader::read($tried)->checkWays();
        } catch (SkillGraphBroken $e) {
            throw InputError::at('skills', null, $e->getMessage());
        }

        return new self($after, $changes);
    }

    /**
     * One shelf over another, entry by entry; both have been read before.
     *
     * @param  Json  $shelf
     * @param  Json  $over
     * @return Json
     */
    public static function lay(array $shelf, array $over): array
    {
        foreach (array_keys(self::PARTS) as $part) {
            $shelf[$part] = array_values(array_replace(self::byId($shelf[$part] ?? []), self::byId($over[$part] ?? [])));
        }

        return $shelf;
    }

    /**
     * Where two entries differ; the version is not looked at.
     *
     * @param  Json  $before
     * @param  Json  $after
     * @return list<array{place: string, before: string, after: string}>
     */
    public static function differences(array $before, array $after): array
    {
        unset($before['version'], $after['version']);
        $places = [];
        self::compare($before, $after, '', $places);

        return array_slice($places, 0, self::MOST_PLACES);
    }

    /**
     * @param  Json|null  $before
     * @param  Json  $after
     */
    private static function change(string $part, string $id, string $title, ?array $before, array $after): ?BundleChange
    {
        $places = $before === null ? [] : self::differences($before, $after);
        $named = is_string($after[$title] ?? null) ? $after[$title] : $id;

        return $before !== null && $places === [] ? null : new BundleChange($part, $id, $named, $before === null, $places);
    }

    /**
     * A bundle's own colours go with its lessons: the shelf it comes to may have others.
     *
     * @param  Json  $shelf
     * @param  Json  $in
     * @return Json
     */
    private static function withThreads(array $shelf, array $in): array
    {
        $threads = $in['threads'] ?? null;
        if ($threads === null || $threads == ($shelf['threads'] ?? null) || ! is_array($in['lessons'] ?? null)) {
            return $in;
        }
        $in['lessons'] = array_map(fn (mixed $lesson): mixed => is_array($lesson) ? $lesson + ['threads' => $threads] : $lesson, $in['lessons']);

        return $in;
    }

    /** @return array<array-key, Json> */
    private static function byId(mixed $list): array
    {
        $by = [];
        foreach (is_array($list) ? $list : [] as $entry) {
            $id = is_array($entry) ? $entry['id'] ?? null : null;
            if (is_array($entry) && is_string($id)) {
                /** @var Json $entry */
                $by[$id] = $entry;
            }
        }

        return $by;
    }

    /**
     * @param  list<array{place: string, before: string, after: string}>  $places
     *
     * @param-out list<array{place: string, before: string, after: string}> $places
     */
    private static function compare(mixed $before, mixed $after, string $path, array &$places): void
    {
        if (! is_array($before) || ! is_array($after)) {
            // 2 and 2.0 are the same length.
            $same = is_numeric($before) && is_numeric($after) && ! is_string($before) && ! is_string($after) ? abs($before - $after) < Near::DUST : $before === $after;
            $same || $places[] = ['place' => $path, 'before' => self::say($before), 'after' => self::say($after)];

            return;
        }
        [$old, $new] = [self::keyed($before), self::keyed($after)];
        foreach (array_keys($old + $new) as $key) {
            $step = is_int($key) ? "{$path}[".($key + 1).']' : (str_starts_with($key, '#') ? "{$path}[".substr($key, 1).']' : ltrim("$path.$key", '.'));
            self::compare($old[$key] ?? null, $new[$key] ?? null, $step, $places);
        }
    }

    /**
     * Lists of things with ids are compared by id, not by place.
     *
     * @param  array<array-key, mixed>  $list
     * @return array<array-key, mixed>
     */
    private static function keyed(array $list): array
    {
        if (! array_is_list($list)) {
            return $list;
        }
        $keyed = [];
        foreach ($list as $i => $entry) {
            $keyed[is_array($entry) && is_string($entry['id'] ?? null) ? '#'.$entry['id'] : $i] = $entry;
        }

        return $keyed;
    }

    private static function say(mixed $value): string
    {
        $text = is_string($value) ? $value : ($value === null ? '' : (string) json_encode($value, JSON_UNESCAPED_UNICODE | JSON_UNESCAPED_SLASHES));

        return mb_strimwidth($text, 0, 160, '…');
    }
}
