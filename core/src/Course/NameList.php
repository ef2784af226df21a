<?php

declare(strict_types=1);

namespace OpenSeam\Core\Course;

use OpenSeam\Core\Tables;

/**
 * Names as they are typed or pasted: one a line, with commas between them, "last, first",
 * or a table with headings (core/resources/name-list.json). What was understood is shown
 * before anybody is added; what cannot be is said with the line it stands in.
 *
 * @phpstan-type Person array{line: int, name: string, hand: string, own_machine: bool, problem: string|null}
 */
final readonly class NameList
{
    /** A class is no larger. */
    public const MOST = 40;

    /** Letters of a name. */
    public const LONGEST = 60;

    private const BETWEEN = ["\t", ';', ','];

    /**
     * @param  list<Person>  $people
     * @param  list<string>  $unread  headings that say nothing to us
     */
    private function __construct(
        public array $people,
        /** By the headings of its first line. */
        public bool $table,
        public array $unread,
    ) {}

    /** @param  array<string, int>  $taken  seats of those in the class already, by name */
    public static function read(string $text, array $taken = []): self
    {
        $lines = [];
        foreach (preg_split('/\R/u', str_replace("\u{FEFF}", '', $text)) ?: [] as $i => $line) {
            trim($line) === '' || $lines[$i + 1] = $line;
        }
        [$rows, $table, $unread] = self::table($lines) ?? [self::plain($lines), false, []];

        return new self(self::checked($rows, array_combine(array_map(mb_strtolower(...), array_keys($taken)), array_values($taken))), $table, $unread);
    }

    /**
     * @param  array<int, string>  $lines  by number
     * @return array{list<Person>, bool, list<string>}|null  null: it has no headings
     */
    private static function table(array $lines): ?array
    {
        if ($lines === []) {
            return null;
        }
        $first = $lines[array_key_first($lines)];
        foreach (self::BETWEEN as $between) {
            $headings = array_map(self::heading(...), str_getcsv($first, $between, '"', ''));
            if (! in_array('name', $headings, true) && ! in_array('first', $headings, true)) {
                continue;
            }
            $rows = [];
            foreach (array_slice($lines, 1, null, true) as $number => $line) {
                $cells = array_map(fn (?string $cell): string => self::tidy((string) $cell), str_getcsv($line, $between, '"', ''));
                $cell = fn (string $of): string => ($at = array_search($of, $headings, true)) === false ? '' : $cells[$at] ?? '';
                $rows[] = [
                    'line' => $number, 'name' => self::tidy($cell('name') !== '' ? self::turned($cell('name')) : $cell('first').' '.$cell('last')),
                    'hand' => self::hand($cell('hand'), $cell('left_handed')), 'own_machine' => ! self::isAmong($cell('own_machine'), 'no'), 'problem' => null,
                ];
            }
            $unread = array_values(array_filter(array_map(self::tidy(...), array_map(strval(...), str_getcsv($first, $between, '"', ''))), fn (string $h): bool => $h !== '' && self::heading($h) === ''));

            return [$rows, true, $unread];
        }

        return null;
    }

    /** What a heading stands for; empty: nothing we know. */
    private static function heading(?string $said): string
    {
        $plain = trim(preg_replace('/[^\p{L}]+/u', ' ', mb_strtolower((string) $said)) ?? '');
        foreach (Tables::read('name-list')->part('headings')->raw() as $id => $words) {
            if (is_array($words) && in_array($plain, $words, true)) {
                return (string) $id;
            }
        }

        return '';
    }

    /**
     * @param  array<int, string>  $lines  by number
     * @return list<Person>
     */
    private static function plain(array $lines): array
    {
        // On one line they stand with something between them; "last, first; last, first" is understood by the semicolons.
        if (count($lines) === 1) {
            $line = (string) reset($lines);
            $lines = preg_split(str_contains($line, ';') ? '/;/' : (str_contains($line, "\t") ? '/\t/' : '/,/'), $line) ?: [];
            $number = array_fill(0, count($lines), 1);
        } else {
            $number = array_keys($lines);
            $lines = array_values($lines);
        }
        $rows = [];
        foreach ($lines as $i => $line) {
            // Numbers and points of a list are none of the name.
            $name = self::turned(preg_replace('/^\s*(?:\d{1,3}\s*[.)]|[-–•*])\s*/u', '', $line) ?? $line);
            $name === '' || $rows[] = ['line' => $number[$i], 'name' => $name, 'hand' => '', 'own_machine' => false, 'problem' => null];
        }

        return $rows;
    }

    /** "Last, first" as it is said. */
    private static function turned(string $name): string
    {
        $parts = array_map(self::tidy(...), explode(',', $name));

        return count($parts) === 2 && $parts[0] !== '' && $parts[1] !== '' ? "$parts[1] $parts[0]" : self::tidy(str_replace(',', ' ', $name));
    }

    private static function hand(string $said, string $leftHanded): string
    {
        return match (true) {
            self::isAmong($said, 'left'), $said === '' && ! self::isAmong($leftHanded, 'no') && ! self::isAmong($leftHanded, 'right') => 'left',
            self::isAmong($said, 'right') => 'right',
            default => '',
        };
    }

    private static function isAmong(string $said, string $list): bool
    {
        return in_array(trim(preg_replace('/-+(?=\p{L})/u', ' ', mb_strtolower($said)) ?? ''), Tables::read('name-list')->texts($list), true);
    }

    private static function tidy(string $text): string
    {
        return trim(preg_replace('/[\s\p{C}]+/u', ' ', $text) ?? '', " \"'");
    }

    /**
     * @param  list<Person>  $rows
     * @param  array<string, int>  $taken  by lower-case name
     * @return list<Person>
     */
    private static function checked(array $rows, array $taken): array
    {
        $before = [];
        foreach ($rows as $i => ['line' => $line, 'name' => $name]) {
            $key = mb_strtolower($name);
            $rows[$i]['problem'] = match (true) {
                $name === '' => "Line $line has no name.",
                mb_strlen($name) > self::LONGEST => sprintf('A name has at most %d letters; this one has %d.', self::LONGEST, mb_strlen($name)),
                isset($before[$key]) => "“{$name}” stands in line {$before[$key]} already: add something that tells them apart.",
                isset($taken[$key]) => "“{$name}” is in this class already, at seat {$taken[$key]}: add something that tells them apart.",
                $i >= self::MOST => sprintf('At most %d at a time: this is number %d.', self::MOST, $i + 1),
                default => null,
            };
            $before[$key] ??= $line;
        }

        return $rows;
    }
}
