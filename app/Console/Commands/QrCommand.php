<?php

declare(strict_types=1);

namespace App\Console\Commands;

use App\Support\QrCode;
use Illuminate\Console\Command;

/** An address as a square that a phone reads off the screen. */
final class QrCommand extends Command
{
    protected $signature = 'seam:qr {address}';

    protected $description = 'Draw an address as a QR code in the terminal';

    public function handle(): int
    {
        $address = $this->argument('address');
        $rows = QrCode::rows(is_string($address) ? $address : '');
        $blank = array_fill(0, 2, str_repeat('0', count($rows) + 4));
        $rows = [...$blank, ...array_map(static fn (string $row): string => "00{$row}00", $rows), ...$blank];
        $wide = count($rows);
        $at = fn (int $y, int $x): bool => ($rows[$y][$x] ?? '0') === '1';
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
