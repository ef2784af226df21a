<?php

declare(strict_types=1);

namespace App\Support;

use GdImage;
use OpenSeam\Core\InputError;

/**
 * A picture drawn anew: upright, no side longer than a screen needs, and nothing
 * in the file but what is seen: no place, no camera, no time.
 */
final readonly class CleanPicture
{
    private const LONGEST_PIXELS = 1600;

    /** Refused by the size it declares, before it is unpacked: four bytes a pixel while it is drawn. The screen sends far smaller ones. */
    private const MOST_PIXELS = 8_000_000;

    private const QUALITY = 82;

    private function __construct(public string $jpeg, public int $width, public int $height) {}

    /** @throws InputError for what is no JPEG, PNG or WebP, or is too large to draw */
    public static function of(string $bytes): self
    {
        [$width, $height, $type] = @getimagesizefromstring($bytes) ?: [0, 0, 0];
        in_array($type, [IMAGETYPE_JPEG, IMAGETYPE_PNG, IMAGETYPE_WEBP], true) || throw InputError::at('(body)', strlen($bytes), 'This is no picture that can be kept: JPEG, PNG or WebP.');
        $width * $height <= self::MOST_PIXELS || throw InputError::at('(body)', "$width × $height", sprintf('The picture is too large: at most %d million pixels.', self::MOST_PIXELS / 1_000_000));
        $image = @imagecreatefromstring($bytes);
        $image instanceof GdImage || throw InputError::at('(body)', strlen($bytes), 'The picture is broken; take it again.');
        $scale = min(1, self::LONGEST_PIXELS / max($width, $height));
        [$w, $h] = [max(1, (int) round($width * $scale)), max(1, (int) round($height * $scale))];
        $clean = imagecreatetruecolor($w, $h) ?: throw InputError::at('(body)', strlen($bytes), 'The picture cannot be drawn.');
        // What is see-through lies on white.
        imagefill($clean, 0, 0, (int) imagecolorallocate($clean, 255, 255, 255));
        imagecopyresampled($clean, $image, 0, 0, 0, 0, $w, $h, $width, $height);
        $clean = self::upright($clean, $type === IMAGETYPE_JPEG ? self::orientation($bytes) : 1);
        ob_start();
        imagejpeg($clean, null, self::QUALITY);

        return new self((string) ob_get_clean(), imagesx($clean), imagesy($clean));
    }

    /** Cameras note how they were held instead of turning the picture. */
    private static function orientation(string $bytes): int
    {
        $stream = fopen('php://memory', 'r+b');
        if ($stream === false) {
            return 1;
        }
        fwrite($stream, $bytes);
        rewind($stream);
        $notes = @exif_read_data($stream);
        fclose($stream);
        $found = is_array($notes) ? $notes['Orientation'] ?? 1 : 1;

        return is_numeric($found) ? (int) $found : 1;
    }

    /** @param  int  $held  1 to 8 as the camera notes it (Exif 2.3, tag 274) */
    private static function upright(GdImage $image, int $held): GdImage
    {
        if (in_array($held, [2, 4, 5, 7], true)) {
            imageflip($image, $held === 4 ? IMG_FLIP_VERTICAL : IMG_FLIP_HORIZONTAL);
        }
        $turn = match ($held) {
            3 => 180,
            5, 8 => 90,
            6, 7 => 270,
            default => 0,
        };

        return $turn === 0 ? $image : (imagerotate($image, $turn, 0) ?: $image);
    }
}
