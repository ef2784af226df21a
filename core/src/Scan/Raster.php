<?php

declare(strict_types=1);

namespace OpenSeam\Core\Scan;

use GdImage;
use OpenSeam\Core\ValueRefused;

/**
 * A picture's pixels, three bytes each, as they lie in memory: JPEG, PNG, or binary PGM and PPM (netpbm, P5 and P6).
 * Which of the three is red is told nowhere, for nothing depends on it.
 */
final readonly class Raster
{
    /** Larger ones are made smaller before they are sent; and a picture that says it is enormous is never unpacked. */
    public const MOST_PIXELS = 12_000_000;

    public const LEAST_SIDE = 40;

    /** Of a Windows bitmap: where its pixels begin. */
    private const BMP_START = 10;

    private function __construct(private GdImage $image, public int $width, public int $height, public string $bytes, private int $start, private int $stride) {}

    /** @throws ValueRefused for what is no picture, or too small or large a one */
    public static function read(string $file): self
    {
        $known = preg_match('/^P[56]\s/', $file) === 1 ? self::netpbm($file) : self::drawn($file);

        return self::of($known);
    }

    private static function of(GdImage $image): self
    {
        ob_start();
        imagebmp($image, null, false);
        $bytes = (string) ob_get_clean();
        /** @var array{1: int} $head */
        $head = unpack('V', $bytes, self::BMP_START);
        $start = $head[1];
        [$width, $height] = [imagesx($image), imagesy($image)];

        return new self($image, $width, $height, $bytes, $start, (3 * $width + 3) & ~3);
    }

    private static function drawn(string $file): GdImage
    {
        [$width, $height, $type] = @getimagesizefromstring($file) ?: [0, 0, 0];
        in_array($type, [IMAGETYPE_JPEG, IMAGETYPE_PNG], true) || throw new ValueRefused('This is no picture that can be read: JPEG, PNG, or binary PGM or PPM.');
        self::fits($width, $height);
        $image = @imagecreatefromstring($file);
        $image instanceof GdImage || throw new ValueRefused('The picture is broken: it cannot be read to its end.');
        $plain = imagecreatetruecolor(max(1, $width), max(1, $height));
        $plain !== false || throw new ValueRefused('The picture cannot be unpacked.');
        // What is see-through lies on white.
        imagefill($plain, 0, 0, 0xFFFFFF);
        imagecopy($plain, $image, 0, 0, 0, 0, $width, $height);

        return $plain;
    }

    /** Made a bitmap of, which is the same but for its head, its lowest row first and each row filled up to four bytes. */
    private static function netpbm(string $file): GdImage
    {
        if (preg_match('/^(P[56])(?:\s+#[^\n]*)*\s+(\d{1,6})(?:\s+#[^\n]*)*\s+(\d{1,6})(?:\s+#[^\n]*)*\s+(\d{1,5})\s/', substr($file, 0, 2_000), $m) !== 1 || (int) $m[4] !== 255) {
            throw new ValueRefused('A PGM or PPM says its width, height and 255, the greatest value it is read with.');
        }
        [$width, $height, $each] = [(int) $m[2], (int) $m[3], $m[1] === 'P6' ? 3 : 1];
        self::fits($width, $height);
        $start = strlen($m[0]);
        strlen($file) - $start >= $width * $height * $each || throw new ValueRefused('The picture is broken: it has fewer bytes than its size says.');
        $rows = [];
        $pad = str_repeat("\0", (4 - $width * $each % 4) % 4);
        for ($y = $height - 1; $y >= 0; $y--) {
            $rows[] = substr($file, $start + $y * $width * $each, $width * $each).$pad;
        }
        $shades = '';
        for ($i = 0; $each === 1 && $i < 256; $i++) {
            $shades .= chr($i).chr($i).chr($i)."\0";
        }
        $pixels = implode('', $rows);
        $from = 54 + strlen($shades);
        $image = @imagecreatefromstring('BM'.pack('VvvVVVVvvVVVVVV', $from + strlen($pixels), 0, 0, $from, 40, $width, $height, 1, 8 * $each, 0, strlen($pixels), 2_835, 2_835, $each === 1 ? 256 : 0, 0).$shades.$pixels);
        $image instanceof GdImage && imagepalettetotruecolor($image) || throw new ValueRefused('The picture is broken: it cannot be read to its end.');

        return $image;
    }

    private static function fits(int $width, int $height): void
    {
        min($width, $height) >= self::LEAST_SIDE || throw new ValueRefused(sprintf('The picture is %d × %d pixels; each side has at least %d.', $width, $height, self::LEAST_SIDE));
        $width * $height <= self::MOST_PIXELS || throw new ValueRefused(sprintf('The picture is %d × %d pixels, which is too much: at most %d million.', $width, $height, self::MOST_PIXELS / 1_000_000));
    }

    /** @param  int  $longest  side, pixels; never larger than it is */
    public function small(int $longest): self
    {
        $scale = min(1.0, $longest / max($this->width, $this->height));
        [$w, $h] = [max(1, (int) round($this->width * $scale)), max(1, (int) round($this->height * $scale))];
        $small = imagecreatetruecolor($w, $h);
        $small !== false || throw new ValueRefused('The picture cannot be made smaller.');
        // Each pixel the mean of those it stands for.
        imagecopyresampled($small, $this->image, 0, 0, 0, 0, $w, $h, $this->width, $this->height);

        return self::of($small);
    }

    /**
     * Along a line: each shade between the four pixels about its place.
     *
     * @param  float  $dx  pixels from one place to the next
     * @return list<array{float, float, float}|null> as many as places; null beside the picture
     */
    public function line(float $x, float $y, float $dx, float $dy, int $places): array
    {
        // All in one place: this is what reading a picture does most.
        $seen = [];
        $bytes = $this->bytes;
        [$right, $low] = [$this->width - 1, $this->height - 1];
        for ($n = 0; $n < $places; $n++) {
            $px = $x + $n * $dx - 0.5;
            $py = $y + $n * $dy - 0.5;
            if ($px < 0.0 || $py < 0.0 || $px >= $right || $py >= $low) {
                $seen[] = null;

                continue;
            }
            $i = (int) $px;
            $j = (int) $py;
            $u = $px - $i;
            $v = $py - $j;
            $p = $this->start + ($low - $j) * $this->stride + 3 * $i;
            $q = $p - $this->stride;
            $f = $u * (1 - $v);
            $g = (1 - $u) * $v;
            $h = $u * $v;
            $e = 1 - $u - $g;
            $seen[] = [
                $e * ord($bytes[$p]) + $f * ord($bytes[$p + 3]) + $g * ord($bytes[$q]) + $h * ord($bytes[$q + 3]),
                $e * ord($bytes[$p + 1]) + $f * ord($bytes[$p + 4]) + $g * ord($bytes[$q + 1]) + $h * ord($bytes[$q + 4]),
                $e * ord($bytes[$p + 2]) + $f * ord($bytes[$p + 5]) + $g * ord($bytes[$q + 2]) + $h * ord($bytes[$q + 5]),
            ];
        }

        return $seen;
    }

    /** Where a row of pixels begins in the bytes. */
    public function from(int $y): int
    {
        return $this->start + ($this->height - 1 - $y) * $this->stride;
    }

    /** @return list<int> a row, three values a pixel */
    public function row(int $y): array
    {
        /** @var list<int> $row */
        $row = array_values((array) unpack('C*', substr($this->bytes, $this->from($y), 3 * $this->width)));

        return $row;
    }
}
