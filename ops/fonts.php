<?php

declare(strict_types=1);

/**
 * Makes what the printer needs of our type: php ops/fonts.php FOLDER, where FOLDER
 * holds files/ of the npm package @fontsource/atkinson-hyperlegible-next. What it
 * makes lies in resources/fonts and is shipped: nothing of this runs at set-up.
 */

require __DIR__.'/../vendor/autoload.php';

/** A WOFF 1.0 file holds the tables of a TrueType file, each compressed with zlib (W3C, WOFF File Format 1.0, 2012). */
function unpackWoff(string $woff): string
{
    /** @var array{flavor: int, length: int, tables: int} $head */
    $head = unpack('Nflavor/Nlength/ntables', substr($woff, 4, 10));
    $count = $head['tables'];
    $largest = 2 ** (int) floor(log($count, 2));
    $directory = pack('Nnnnn', $head['flavor'], $count, $largest * 16, (int) log($largest, 2), ($count - $largest) * 16);
    $offset = 12 + $count * 16;
    $body = '';
    for ($i = 0; $i < $count; $i++) {
        $entry = substr($woff, 44 + $i * 20, 20);
        /** @var array{offset: int, packed: int, length: int, sum: int} $table */
        $table = unpack('Noffset/Npacked/Nlength/Nsum', substr($entry, 4));
        $data = substr($woff, $table['offset'], $table['packed']);
        $data = $table['packed'] < $table['length'] ? (string) gzuncompress($data) : $data;
        $directory .= substr($entry, 0, 4).pack('NNN', $table['sum'], $offset + strlen($body), $table['length']);
        $body .= $data.str_repeat("\0", (4 - strlen($data) % 4) % 4);
    }

    return $directory.$body;
}

$from = rtrim($argv[1] ?? exit("php ops/fonts.php FOLDER\n"), '/');
$to = __DIR__.'/../resources/fonts/';
foreach (['atkinson' => '400', 'atkinsonb' => '700'] as $name => $weight) {
    $ttf = sys_get_temp_dir()."/$name.ttf";
    file_put_contents($ttf, unpackWoff((string) file_get_contents("$from/files/atkinson-hyperlegible-next-latin-$weight-normal.woff")));
    TCPDF_FONTS::addTTFfont($ttf, 'TrueTypeUnicode', '', 32, $to) !== false || exit("$ttf could not be read.\n");
    unlink($ttf);
}
copy("$from/LICENSE", $to.'LICENSE');
