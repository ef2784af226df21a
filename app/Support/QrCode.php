<?php

declare(strict_types=1);

namespace App\Support;

use TCPDF2DBarcode;

/** An address as a square that a phone reads: for the terminal and for the screen. */
final class QrCode
{
    /** @return list<string> rows of 1 (dark) and 0, without the quiet margin of four cells that belongs around it */
    public static function rows(string $address): array
    {
        $code = (new TCPDF2DBarcode($address, 'QRCODE,M'))->getBarcodeArray();
        /** @var list<list<int>> $rows */
        $rows = is_array($code['bcode'] ?? null) ? $code['bcode'] : [];

        return array_map(static fn (array $row): string => implode('', $row), $rows);
    }
}
