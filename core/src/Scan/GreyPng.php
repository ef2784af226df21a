<?php

declare(strict_types=1);

namespace OpenSeam\Core\Scan;

/** A grey picture as a PNG file (ISO/IEC 15948), with its resolution. */
final class GreyPng
{
    public static function of(GreyImage $image): string
    {
        $rows = '';
        for ($y = 0; $y < $image->height; $y++) {
            // No filter: scans are noise to a filter.
            $rows .= "\0".substr($image->pixels, $y * $image->width, $image->width);
        }
        $perMetre = (int) round($image->dpi / 0.0254);

        return "\x89PNG\r\n\x1a\n"
            .self::chunk('IHDR', pack('NNCCCCC', $image->width, $image->height, 8, 0, 0, 0, 0))
            .self::chunk('pHYs', pack('NNC', $perMetre, $perMetre, 1))
            .self::chunk('IDAT', (string) gzcompress($rows, 6))
            .self::chunk('IEND', '');
    }

    private static function chunk(string $type, string $data): string
    {
        return pack('N', strlen($data)).$type.$data.pack('N', crc32($type.$data));
    }
}
