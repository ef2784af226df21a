<?php

declare(strict_types=1);

namespace Tests\Feature;

use Illuminate\Testing\TestResponse;
use Symfony\Component\HttpFoundation\Response;

/** Pages rendered at 254 dpi, where a pixel is a tenth of a millimetre. */
trait MeasuresPages
{
    /**
     * @param  TestResponse<Response>  $answer
     * @return array{string, int, int} grey pixels row by row, width, height
     */
    private static function page(TestResponse $answer, int $page = 1): array
    {
        $answer->assertOk()->assertHeader('Content-Type', 'application/pdf');
        $file = (string) tempnam(sys_get_temp_dir(), 'seam-print');
        file_put_contents($file, (string) $answer->getContent());
        exec(sprintf('pdftoppm -r 254 -gray -f %d -l %1$d %s %s', $page, escapeshellarg($file), escapeshellarg($file)), $said, $exit);
        self::assertSame(0, $exit, implode("\n", $said));
        $image = glob("$file-*.pgm")[0] ?? '';
        $bytes = (string) file_get_contents($image);
        array_map(unlink(...), [$file, $image]);
        self::assertSame(1, preg_match('/^P5\s+(\d+)\s+(\d+)\s+255\s/', $bytes, $m));

        return [substr($bytes, strlen($m[0])), (int) $m[1], (int) $m[2]];
    }

    /**
     * The longest dark run of a row of pixels, in mm: from, length.
     *
     * @param  array{string, int, int}  $page
     * @return array{float, float}
     */
    private static function darkRun(array $page, int $y): array
    {
        [$pixels, $width] = $page;
        $best = [0, 0];
        $from = null;
        for ($x = 0; $x <= $width; $x++) {
            $dark = $x < $width && ord($pixels[$y * $width + $x]) < 128;
            if ($dark) {
                $from ??= $x;
            } elseif ($from !== null) {
                $best = $x - $from > $best[1] ? [$from, $x - $from] : $best;
                $from = null;
            }
        }

        return [$best[0] / 10, $best[1] / 10];
    }

    /**
     * Where a column of pixels is dark: from and length of each run, mm.
     *
     * @param  array{string, int, int}  $page
     * @return list<array{float, float}>
     */
    private static function darkRunsDown(array $page, int $x): array
    {
        [$pixels, $width, $height] = $page;
        $runs = [];
        $from = null;
        for ($y = 0; $y <= $height; $y++) {
            $dark = $y < $height && ord($pixels[$y * $width + $x]) < 160;
            if ($dark) {
                $from ??= $y;
            } elseif ($from !== null) {
                $runs[] = [$from / 10, ($y - $from) / 10];
                $from = null;
            }
        }

        return $runs;
    }
}
