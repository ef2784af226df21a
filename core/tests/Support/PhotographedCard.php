<?php

declare(strict_types=1);

namespace OpenSeam\Core\Tests\Support;

use GdImage;
use OpenSeam\Core\Scan\CardLayout;
use Random\Engine\Mt19937;
use Random\Randomizer;

/**
 * A simulated camera: the printed card with a drawn piece on it, photographed from above, aside or upside down, through a
 * lens that bends, in uneven, warm or shaded light, blurred, with grain and JPEG. A pinhole and its rays; it shares with what
 * reads it only where the card has its marks.
 */
final class PhotographedCard
{
    public string $card = 'a4';

    /** Pixels a millimetre of the card as it is drawn. */
    public float $fine = 11.0;

    public int $width = 1800;

    public int $height = 2400;

    /** Of the camera from straight above, degrees, and towards where. */
    public float $tilt = 0.0;

    public float $tiltTowards = 30.0;

    public float $turn = 0.0;

    /** Half the diagonal of the picture is so many times the distance of the picture plane. */
    public float $wide = 0.72;

    /** k₁ of the usual radial model, by half the diagonal. */
    public float $bend = 0.0;

    /** Of the card in the picture. */
    public float $fills = 0.9;

    /** Light at the dark corner, beside the light one. */
    public float $dark = 1.0;

    /** Of a hand: a soft band over the card. */
    public float $shadow = 0.0;

    /** @var array{float, float, float} of the lamp, by channel */
    public array $lamp = [1.0, 1.0, 1.0];

    public int $blur = 0;

    public float $noise = 2.5;

    public int $jpeg = 88;

    /** @var list<int> buttons that something lies on, by their holes */
    public array $covered = [];

    public bool $mirrored = false;

    /** @var array{int, int, int} */
    public array $table = [112, 86, 62];

    /** @var array{float, float} of the piece’s middle from that of the field, mm */
    public array $aside = [0.0, 0.0];

    /** @var list<string> code on a slip in the box, row by row of 1 and 0; empty: no slip */
    public array $slip = [];

    /** As it was laid, degrees, and aside of the box, mm. */
    public float $slipTurn = 3.0;

    /** @var array{float, float} */
    public array $slipAside = [1.5, -1.0];

    public function __construct(public ?DrawnPiece $piece = null) {}

    /**
     * A first seam of 100 × 150 mm, as most tests need one: small, so that it is soon drawn.
     *
     * @param  list<string>  $slip  code on a slip, see above
     */
    public static function firstSeam(float $atMm = 15.6, float $tilt = 8.0, float $turn = 4.0, array $slip = []): string
    {
        $piece = DrawnPiece::withRow('straight', 'right', $atMm, 2.4, 0.0, 1.2, 0.2);
        [$piece->widthMm, $piece->heightMm] = [100.0, 150.0];
        $photo = new self($piece);
        [$photo->width, $photo->height, $photo->fine, $photo->tilt, $photo->turn, $photo->fills, $photo->slip] = [1260, 1680, 8.0, $tilt, $turn, 0.85, $slip];

        return $photo->take(3);
    }

    public function take(int $seed): string
    {
        $lot = new Randomizer(new Mt19937($seed));
        $layout = CardLayout::of($this->card);
        $flat = $this->lay($layout, $seed);
        [$fw, $fh] = [imagesx($flat), imagesy($flat)];
        $photo = imagecreatetruecolor($this->width, $this->height);
        assert($photo instanceof GdImage);
        $half = hypot($this->width, $this->height) / 2;
        $focal = $half / $this->wide;
        [$n, $u, $v] = $this->camera();
        // So far away that the card fills the picture.
        $away = $focal * max($layout->widthMm / $this->width, $layout->heightMm / $this->height) / $this->fills;
        [$mx, $my] = [$layout->widthMm / 2, $layout->heightMm / 2];
        $table = $this->table[0] << 16 | $this->table[1] << 8 | $this->table[2];
        $grains = array_map(fn (): float => $this->noise * ($lot->getInt(-100, 100) + $lot->getInt(-100, 100)) / 82, range(0, 8190));
        [$n0, $n1, $n2] = $n;
        [$lr, $lg, $lb] = $this->lamp;
        $k = 0;
        for ($y = 0; $y < $this->height; $y++) {
            for ($x = 0; $x < $this->width; $x++) {
                [$dx, $dy] = [($x + 0.5 - $this->width / 2) / $half, ($y + 0.5 - $this->height / 2) / $half];
                // The lens: where the ray would have gone without its bend.
                $r2 = $dx * $dx + $dy * $dy;
                $un = 1.0 / (1.0 + $this->bend * $r2 / (1.0 + $this->bend * $r2) ** 2);
                $px = $dx * $un * $this->wide;
                $py = $dy * $un * $this->wide;
                // Where its ray comes to lie on the table.
                $t = $away * $n2 / ($n2 + $px * $u[2] + $py * $v[2]);
                $ix = (int) floor(($mx - $away * $n0 + $t * ($n0 + $px * $u[0] + $py * $v[0])) * $this->fine);
                $iy = (int) floor(($my - $away * $n1 + $t * ($n1 + $px * $u[1] + $py * $v[1])) * $this->fine);
                $p = $ix >= 0 && $iy >= 0 && $ix < $fw && $iy < $fh ? (int) imagecolorat($flat, $ix, $iy) : $table;
                $light = 1 - (1 - $this->dark) * ($x / $this->width + $y / $this->height) / 2;
                if ($this->shadow > 0) {
                    $light *= 1 - $this->shadow / (1 + exp(-(0.35 * $this->height + 0.3 * $x - $y) / 25));
                }
                $grain = $grains[$k = ($k * 5 + 3 + $x) % 8191] + 0.5;
                $red = (int) (($p >> 16) * $light * $lr + $grain);
                $green = (int) (($p >> 8 & 255) * $light * $lg + $grain);
                $blue = (int) (($p & 255) * $light * $lb + $grain);
                imagesetpixel($photo, $this->mirrored ? $this->width - 1 - $x : $x, $y, ($red < 0 ? 0 : ($red > 255 ? 255 : $red)) << 16 | ($green < 0 ? 0 : ($green > 255 ? 255 : $green)) << 8 | ($blue < 0 ? 0 : ($blue > 255 ? 255 : $blue)));
            }
        }
        for ($i = 0; $i < $this->blur; $i++) {
            imagefilter($photo, IMG_FILTER_GAUSSIAN_BLUR);
        }
        ob_start();
        imagejpeg($photo, null, $this->jpeg);

        return (string) ob_get_clean();
    }

    /** @return array{array{float, float, float}, array{float, float, float}, array{float, float, float}} where it looks, its right and its down, in the card’s directions with depth */
    private function camera(): array
    {
        [$a, $b, $r] = [deg2rad($this->tilt), deg2rad($this->tiltTowards), deg2rad($this->turn)];
        $n = [sin($a) * cos($b), sin($a) * sin($b), cos($a)];
        $right = [cos($r), sin($r), 0.0];
        // Square to where it looks.
        $d = $right[0] * $n[0] + $right[1] * $n[1];
        $u = [$right[0] - $d * $n[0], $right[1] - $d * $n[1], -$d * $n[2]];
        $l = sqrt($u[0] ** 2 + $u[1] ** 2 + $u[2] ** 2);
        $u = [$u[0] / $l, $u[1] / $l, $u[2] / $l];

        return [$n, $u, [$n[1] * $u[2] - $n[2] * $u[1], $n[2] * $u[0] - $n[0] * $u[2], $n[0] * $u[1] - $n[1] * $u[0]]];
    }

    /** The card with the piece on it, as it lies there. */
    public function lay(CardLayout $layout, int $seed): GdImage
    {
        $f = $this->fine;
        $image = imagecreatetruecolor((int) ceil($layout->widthMm * $f), (int) ceil($layout->heightMm * $f));
        assert($image instanceof GdImage);
        $grey = fn (int $g): int => $g << 16 | $g << 8 | $g;
        imagefill($image, 0, 0, $grey(244));
        [$l, $t, $w, $h] = array_map(fn (float $mm): int => (int) round($mm * $f), $layout->field());
        imagefilledrectangle($image, $l, $t, $l + $w - 1, $t + $h - 1, $grey(CardLayout::GREY));
        $disc = fn (float $x, float $y, float $mm, int $shade) => imagefilledellipse($image, (int) round($x * $f), (int) round($y * $f), (int) round($mm * $f), (int) round($mm * $f), $grey($shade));
        foreach ($layout->buttons() as $holes => [$x, $y]) {
            if (in_array($holes, $this->covered, true)) {
                imagefilledrectangle($image, (int) (($x - 14) * $f), (int) (($y - 12) * $f), (int) (($x + 12) * $f), (int) (($y + 15) * $f), 0xB08A70);

                continue;
            }
            $disc($x, $y, CardLayout::BUTTON_MM, 28);
            foreach (CardLayout::holes($holes) as [$u, $v]) {
                $disc($x + $u, $y + $v, CardLayout::holeMm($holes), 244);
            }
        }
        foreach ($layout->pins() as [$x, $y]) {
            $disc($x, $y, CardLayout::PIN_MM, 28);
        }
        // Words and the line, as on paper.
        imagefilledrectangle($image, $l, $t + $h + (int) (8 * $f), $l + (int) (100 * $f), $t + $h + (int) (8.4 * $f), $grey(60));
        for ($i = 0; $i < 26; $i++) {
            imagefilledrectangle($image, $l + (int) ((2 + 3.1 * $i) * $f), $t + $h + (int) (14 * $f), $l + (int) ((3.6 + 3.1 * $i) * $f), $t + $h + (int) (16.5 * $f), $grey(50));
        }
        $this->slip === [] || $this->laySlip($image, $layout);
        if ($this->piece !== null) {
            $piece = clone $this->piece;
            [$piece->lid, $piece->noise, $piece->dpi, $piece->marginMm] = [[CardLayout::GREY, CardLayout::GREY, CardLayout::GREY], 0.0, $f * 25.4, 6.0];
            $drawn = $piece->image($seed);
            // Where its rows began is known from now on.
            $this->piece->began = $piece->began;
            imagecopy($image, $drawn, $l + intdiv($w - imagesx($drawn), 2) + (int) ($this->aside[0] * $f), $t + intdiv($h - imagesy($drawn), 2) + (int) ($this->aside[1] * $f), 0, 0, imagesx($drawn), imagesy($drawn));
        }

        return $image;
    }

    /** The end of it with the code; it is as high as the box. */
    private function laySlip(GdImage $image, CardLayout $layout): void
    {
        [$x, $y, $w, $h] = $layout->box();
        $side = (int) (($h - 1) * $this->fine);
        $slip = imagecreatetruecolor($side, $side);
        assert($slip instanceof GdImage);
        imagefill($slip, 0, 0, 0xF8F8F8);
        $cell = 22.5 * $this->fine / count($this->slip);
        $about = ($side - 22.5 * $this->fine) / 2;
        foreach ($this->slip as $j => $row) {
            foreach (str_split($row) as $i => $dark) {
                $dark === '1' && imagefilledrectangle($slip, (int) round($about + $i * $cell), (int) round($about + $j * $cell), (int) round($about + ($i + 1) * $cell) - 1, (int) round($about + ($j + 1) * $cell) - 1, 0x181818);
            }
        }
        $turned = imagerotate($slip, $this->slipTurn, 0xF4F4F4);
        assert($turned instanceof GdImage);
        imagecopy($image, $turned, (int) (($x + $w / 2 + $this->slipAside[0]) * $this->fine - imagesx($turned) / 2), (int) (($y + $h / 2 + $this->slipAside[1]) * $this->fine - imagesy($turned) / 2), 0, 0, imagesx($turned), imagesy($turned));
    }
}
