<?php

declare(strict_types=1);

namespace App\Console\Commands;

use Illuminate\Console\Command;
use TCPDF2DBarcode;

/** An address as a square that a phone reads off the screen. */
final class QrCommand extends Command
{
    protected $signature = 'seam:qr {address}';

    protected $description = 'Draw an address as a QR code in the terminal';

    public function handle(): int
    {
        $address = $this->argument('address');
        $code = (new TCPDF2DBarcode(is_string($address) ? $address : '', 'QRCODE,M'))->getBarcodeArray();
        /** @var list<list<int>> $rows */
        $rows = is_array($code['bcode'] ?? null) ? $code['bcode'] : [];
        $wide = count($rows) + 4;
        $at = fn (int $y, int $x): bool => ($rows[$y - 2][$x - 2] ?? 0) === 1;
        for ($y = 0; $y < $wide; $y += 2) {
            $line = '  ';
            for ($x = 0; $x < $wide; $x++) {
                // Two rows a line, dark on light whatever the terminal's colours: light is drawn.
                $line .= match ([$at($y, $x), $at($y + 1, $x)]) {
                    [true, true] => ' ', [true, false] => '▄', [false, true] => '▀', default => '█'
                };
            }
            $this->line($line);
        }

        return self::SUCCESS;
    }
}
