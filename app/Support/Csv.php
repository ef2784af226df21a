<?php

declare(strict_types=1);

namespace App\Support;

use OpenSeam\Core\InputError;
use RuntimeException;

/** Tables as other programs read and write them (RFC 4180): headings first, a comma, semicolon or tab between. */
final class Csv
{
    private const MOST_ROWS = 20_000;

    /**
     * @param  list<string>  $headings
     * @param  iterable<list<scalar|null>>  $rows
     */
    public static function write(array $headings, iterable $rows): string
    {
        $file = self::file();
        fputcsv($file, $headings, escape: '', eol: "\r\n");
        foreach ($rows as $row) {
            fputcsv($file, array_map(self::cell(...), $row), escape: '', eol: "\r\n");
        }
        rewind($file);

        return (string) stream_get_contents($file);
    }

    /**
     * @param  list<string>  $needs  headings that must be there
     * @return array<int, array<string, string>> by line of the text, each by its heading in small letters
     *
     * @throws InputError for a table without these headings, or one that is too long
     */
    public static function read(string $text, array $needs, string $field): array
    {
        $text = (string) preg_replace('/^\x{FEFF}/u', '', $text);
        $first = strtok($text, "\r\n");
        $first !== false || throw InputError::at($field, null, 'The table is empty.');
        $counts = array_map(fn (string $mark): int => substr_count($first, $mark), [',' => ',', ';' => ';', "\t" => "\t"]);
        arsort($counts);
        $between = (string) array_key_first($counts);
        $file = self::file();
        fwrite($file, $text);
        rewind($file);
        $headings = array_map(fn (?string $h): string => mb_strtolower(trim((string) $h)), fgetcsv($file, null, $between, escape: '') ?: []);
        $missing = array_diff($needs, $headings);
        $missing === [] || throw InputError::at($field, implode(', ', $headings), 'The first line must name the columns; missing: '.implode(', ', $missing).'.');
        $rows = [];
        for ($line = 2; ($cells = fgetcsv($file, null, $between, escape: '')) !== false; $line++) {
            if ($cells === [null]) {
                continue;
            }
            count($rows) < self::MOST_ROWS || throw InputError::at($field, $line, sprintf('At most %d lines at once.', self::MOST_ROWS));
            $rows[$line] = [];
            foreach ($headings as $i => $heading) {
                // What was made plain for table programs is as it was.
                $rows[$line][$heading] = (string) preg_replace("/^'(?=[=+\-@])/", '', trim((string) ($cells[$i] ?? '')));
            }
        }

        return $rows;
    }

    /** What a table program would take for a formula is made plain text. */
    private static function cell(mixed $value): string
    {
        $text = match (true) {
            is_bool($value) => $value ? 'yes' : 'no',
            is_float($value) => rtrim(rtrim(number_format($value, 4, '.', ''), '0'), '.'),
            default => is_scalar($value) ? (string) $value : '',
        };

        return preg_match('/^[=+\-@\t\r]/', $text) === 1 && ! is_numeric($text) ? "'$text" : $text;
    }

    /** @return resource */
    private static function file()
    {
        return fopen('php://temp', 'r+') ?: throw new RuntimeException('No room for the table.');
    }
}
