<?php

declare(strict_types=1);

namespace OpenSeam\Core\Tests\Scan;

use OpenSeam\Core\Scan\FoundPiece;
use OpenSeam\Core\Scan\Lid;
use OpenSeam\Core\Scan\Raster;
use OpenSeam\Core\Scan\Sampled;
use OpenSeam\Core\Tests\Support\DrawnPiece;
use OpenSeam\Core\ValueRefused;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/** Pixels as they lie in files of several kinds, and what is no picture. */
final class RasterTest extends TestCase
{
    /** @return array{string, string, string} the same 61 × 47 pixels as PNG, PPM and (its first channel) PGM */
    private static function files(): array
    {
        $image = imagecreatetruecolor(61, 47);
        self::assertNotFalse($image);
        [$ppm, $pgm] = ["P6\n# made by a test\n61 47\n255\n", "P5 61 47 255\n"];
        for ($y = 0; $y < 47; $y++) {
            for ($x = 0; $x < 61; $x++) {
                [$r, $g, $b] = [($x * 4) % 256, ($y * 5) % 256, ($x * $y) % 256];
                imagesetpixel($image, $x, $y, $r << 16 | $g << 8 | $b);
                $ppm .= chr($r).chr($g).chr($b);
                $pgm .= chr($r);
            }
        }
        ob_start();
        imagepng($image);

        return [(string) ob_get_clean(), $ppm, $pgm];
    }

    public function test_every_pixel_is_where_it_was(): void
    {
        [$png, $ppm, $pgm] = array_map(Raster::read(...), self::files());
        foreach ([0, 1, 23, 46] as $y) {
            foreach ([0, 7, 60] as $x) {
                $seen = fn (Raster $r): array => array_slice($r->row($y), 3 * $x, 3);
                $is = [($x * 4) % 256, ($y * 5) % 256, ($x * $y) % 256];
                // A bitmap in memory begins with blue; what came as PPM is taken as it lies.
                self::assertSame(array_reverse($is), $seen($png), "$x, $y");
                self::assertSame($is, $seen($ppm), "$x, $y");
                self::assertSame([$is[0], $is[0], $is[0]], $seen($pgm), "$x, $y");
            }
        }
        self::assertSame([61, 47], [$png->width, $png->height]);
    }

    public function test_a_piece_is_the_same_in_each_kind_of_file(): void
    {
        $drawn = DrawnPiece::withRow('straight', 'right', 12.0, 2.5);
        [$drawn->widthMm, $drawn->heightMm, $drawn->marginMm, $drawn->jpeg, $drawn->dpi] = [36.0, 40.0, 6.0, 0, 200.0];
        $png = $drawn->draw(4);
        $image = imagecreatefromstring($png);
        self::assertNotFalse($image);
        $ppm = sprintf("P6 %d %d 255\n", imagesx($image), imagesy($image));
        for ($y = 0; $y < imagesy($image); $y++) {
            for ($x = 0; $x < imagesx($image); $x++) {
                $p = imagecolorat($image, $x, $y);
                $ppm .= chr($p >> 16 & 255).chr($p >> 8 & 255).chr($p & 255);
            }
        }
        $of = fn (string $file): array => ($piece = FoundPiece::in(new Sampled(Raster::read($file), 0.127))) instanceof FoundPiece ? $piece->corners : [];
        self::assertCount(4, $of($png));
        self::assertEqualsWithDelta($of($png), $of($ppm), 1e-6);
    }

    /** @return iterable<string, array{string, string}> */
    public static function none(): iterable
    {
        [$png, $ppm, $pgm] = self::files();
        yield 'nothing' => ['', 'no picture'];
        yield 'a page' => ['<html><body>a cat</body></html>', 'no picture'];
        yield 'another kind of picture' => ["GIF89a\x01\0\x01\0\0\0\0;", 'no picture'];
        yield 'cut short' => [substr($png, 0, (int) (strlen($png) / 3)), 'broken'];
        yield 'fewer bytes than it says' => [substr($ppm, 0, -200), 'fewer bytes'];
        yield 'sixteen bits a value' => [str_replace('61 47 255', '61 47 65535', $pgm), '255'];
        // A head that says it is enormous, and nothing behind it.
        yield 'a bomb' => ["\x89PNG\r\n\x1a\n".pack('N', 13).'IHDR'.pack('NNC5', 60_000, 60_000, 8, 2, 0, 0, 0).pack('N', crc32('IHDR'.pack('NNC5', 60_000, 60_000, 8, 2, 0, 0, 0))), 'too much'];
        yield 'a bomb of the other kind' => ['P6 60000 60000 255 ', 'too much'];
        yield 'hardly a picture' => ['P5 20 20 255 '.str_repeat('a', 400), 'at least 40'];
    }

    #[DataProvider('none')]
    public function test_what_is_no_picture_is_said_in_a_sentence(string $file, string $because): void
    {
        $this->expectException(ValueRefused::class);
        $this->expectExceptionMessage($because);
        Raster::read($file);
    }

    public function test_a_lid_is_told_from_the_rim_whatever_lies_on_it(): void
    {
        $image = imagecreatetruecolor(300, 240);
        self::assertNotFalse($image);
        mt_srand(5);
        $shade = fn (float $x, float $y): float => 90 + 60 * $x - 30 * $y + 25 * $x * $x - 18 * $x * $y;
        for ($y = 0; $y < 240; $y++) {
            for ($x = 0; $x < 300; $x++) {
                $v = (int) round($shade($x / 300, $y / 240)) + mt_rand(-3, 3);
                imagesetpixel($image, $x, $y, $v << 16 | $v << 8 | $v);
            }
        }
        imagefilledrectangle($image, 60, 50, 240, 190, 0xF0F0E8);
        // A thread over the rim.
        imagefilledrectangle($image, 0, 100, 60, 102, 0x101010);
        ob_start();
        imagepng($image);
        $lid = Lid::of(Raster::read((string) ob_get_clean()));
        foreach ([[0.0, 0.0], [1.0, 0.0], [0.0, 1.0], [0.9, 0.9], [0.5, 0.5]] as [$x, $y]) {
            self::assertEqualsWithDelta($shade($x, $y), $lid->at($x, $y)[0], 2.0, "$x, $y");
        }
        self::assertLessThan(0.03, $lid->strange);
        self::assertEqualsWithDelta(2.0, $lid->noise, 0.8);
    }
}
