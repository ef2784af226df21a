<?php

declare(strict_types=1);

namespace OpenSeam\Core\Tests\Support;

use GdImage;
use Random\Engine\Mt19937;
use Random\Randomizer;

/**
 * A sewn piece as a scanner or a camera would show it, with everything about it known: woven or printed cloth with frayed
 * edges on a lid, rows of single stitches with shine and slips, light that falls off, blur, grain, JPEG. Drawn with GD at
 * three times its size and made smaller; it shares nothing with what reads it. The same seed draws the same picture.
 */
final class DrawnPiece
{
    private const OVER = 3;

    public float $dpi = 300.0;

    public float $widthMm = 100.0;

    public float $heightMm = 150.0;

    public float $marginMm = 14.0;

    public float $turnDegrees = 1.2;

    /** @var array{int, int, int} */
    public array $lid = [40, 42, 46];

    /** @var array{int, int, int} */
    public array $cloth = [226, 218, 204];

    /** @var array{int, int, int} */
    public array $thread = [30, 60, 120];

    public float $weave = 6.0;

    public float $noise = 4.0;

    public float $frayMm = 0.25;

    /** Stripes of another shade: along (the long side), across, or none. */
    public string $stripes = '';

    /** Of stripes and dots, beside the cloth. */
    public float $printed = -60.0;

    public int $dots = 0;

    public float $fall = 0.0;

    public int $blur = 0;

    public int $jpeg = 90;

    /** @var array<int, float> where the first stitch of each row was drawn, mm along its edge */
    public array $began = [];

    /** @var array<int, list<int>> stitches of a row that the machine missed, by number */
    public array $missed = [];

    /** @var array<int, array{int, int}> of each row: back stitches at its start and at its end */
    public array $tied = [];

    /** @var list<list<array{float, float}>> ends of thread that hang from the piece or lie on it: from place to place, mm from its upper left corner */
    public array $tails = [];

    /** @var list<array{edge: string, at: float, drift: float, shade: float}> folds that lie on it, with a shadow of half a millimetre beyond them, or above 0 with as much light on them */
    public array $folds = [];

    /** Of each stitch’s length, as a part of it, from one to the next. */
    public float $uneven = 0.04;

    /** @var list<array{stitch: string, edge: string, at: float, length: float, width: float, drift: float, wobble: float, from?: float, to?: float}> along its edge from and to; from end to end where not said */
    public array $rows = [];

    public static function withRow(string $stitch, string $edge, float $at, float $length, float $width = 0.0, float $drift = 0.0, float $wobble = 0.0): self
    {
        $piece = new self;
        $piece->rows[] = compact('stitch', 'edge', 'at', 'length', 'width', 'drift', 'wobble');

        return $piece;
    }

    /** How far from its edge a row lies so far along it. */
    public function allowance(int $row, float $along): float
    {
        $r = $this->rows[$row];

        return $r['at'] + $r['drift'] * ($along / $this->long($r['edge']) - 0.5) + $r['wobble'] * sin(2 * M_PI * $along / 37.0);
    }

    private function long(string $edge): float
    {
        return in_array($edge, ['left', 'right'], true) ? $this->heightMm : $this->widthMm;
    }

    /** As it lies there, before anything looked at it. */
    public function image(int $seed): GdImage
    {
        $lot = new Randomizer(new Mt19937($seed));
        $share = fn (): float => $lot->getInt(0, 1_000_000) / 1_000_000;
        $px = $this->dpi / 25.4 * self::OVER;
        [$w, $h] = [(int) round(($this->widthMm + 2 * $this->marginMm) * $px), (int) round(($this->heightMm + 2 * $this->marginMm) * $px)];
        $image = imagecreatetruecolor($w, $h);
        assert($image instanceof GdImage);
        imagefill($image, 0, 0, self::colour($image, $this->lid));
        [$c, $s] = [cos(deg2rad($this->turnDegrees)), sin(deg2rad($this->turnDegrees))];
        $place = fn (float $x, float $y): array => [
            $w / 2 + $px * ($c * ($x - $this->widthMm / 2) - $s * ($y - $this->heightMm / 2)),
            $h / 2 + $px * ($s * ($x - $this->widthMm / 2) + $c * ($y - $this->heightMm / 2)),
        ];
        $this->layCloth($image, $place, $share, $px);
        foreach ($this->folds as $fold) {
            $this->fold($image, $fold, $place, $share, $px);
        }
        foreach ($this->rows as $i => $row) {
            $this->sew($image, $i, $place, $share, $px);
        }
        imagesetthickness($image, max(2, (int) round(0.36 * $px)));
        foreach ($this->tails as $tail) {
            for ($i = 1; $i < count($tail); $i++) {
                imageline($image, ...[...array_map(intval(...), $place(...$tail[$i - 1])), ...array_map(intval(...), $place(...$tail[$i])), self::colour($image, $this->thread)]);
            }
        }
        $small = imagecreatetruecolor(intdiv($w, self::OVER), intdiv($h, self::OVER));
        assert($small instanceof GdImage);
        imagecopyresampled($small, $image, 0, 0, 0, 0, imagesx($small), imagesy($small), $w, $h);
        for ($i = 0; $i < $this->blur; $i++) {
            imagefilter($small, IMG_FILTER_GAUSSIAN_BLUR);
        }
        $this->light($small, $lot);

        return $small;
    }

    public function draw(int $seed): string
    {
        $small = $this->image($seed);
        ob_start();
        $this->jpeg > 0 ? imagejpeg($small, null, $this->jpeg) : imagepng($small);

        return (string) ob_get_clean();
    }

    private function layCloth(GdImage $image, callable $place, callable $share, float $px): void
    {
        // Its outline, frayed.
        $outline = [];
        $corners = [[0.0, 0.0], [$this->widthMm, 0.0], [$this->widthMm, $this->heightMm], [0.0, $this->heightMm]];
        foreach ($corners as $k => [$x, $y]) {
            [$x2, $y2] = $corners[($k + 1) % 4];
            $long = hypot($x2 - $x, $y2 - $y);
            $n = (int) round($long / 0.5);
            for ($i = 0; $i < $n; $i++) {
                $f = $this->frayMm * ($share() + $share() - 1);
                [$nx, $ny] = [($y2 - $y) / $long, -($x2 - $x) / $long];
                array_push($outline, ...$place($x + ($x2 - $x) * $i / $n + $f * $nx, $y + ($y2 - $y) * $i / $n + $f * $ny));
            }
        }
        imagefilledpolygon($image, array_map(intval(...), $outline), self::colour($image, $this->cloth));
        // Woven: threads of slightly other shades both ways, within the outline only.
        imagesetthickness($image, max(1, (int) round(0.25 * $px)));
        for ($x = 0.25; $x < $this->widthMm; $x += 0.5) {
            imageline($image, ...[...array_map(intval(...), $place($x, 0.4)), ...array_map(intval(...), $place($x, $this->heightMm - 0.4)), self::colour($image, $this->shade($this->cloth, $this->weave * ($share() - 0.3)))]);
        }
        for ($y = 0.25; $y < $this->heightMm; $y += 0.5) {
            for ($x = 0.4 + 0.5 * ($share() > 0.5 ? 1 : 0); $x < $this->widthMm - 0.9; $x += 1.0) {
                imageline($image, ...[...array_map(intval(...), $place($x, $y)), ...array_map(intval(...), $place($x + 0.5, $y)), self::colour($image, $this->shade($this->cloth, $this->weave * ($share() - 0.6)))]);
            }
        }
        $printed = self::colour($image, $this->shade($this->cloth, $this->printed));
        imagesetthickness($image, max(1, (int) round(1.8 * $px)));
        for ($x = 3.0; $this->stripes === 'along' && $x < $this->widthMm - 1; $x += 6.0) {
            imageline($image, ...[...array_map(intval(...), $place($x, 0.5)), ...array_map(intval(...), $place($x, $this->heightMm - 0.5)), $printed]);
        }
        for ($y = 3.0; $this->stripes === 'across' && $y < $this->heightMm - 1; $y += 6.0) {
            imageline($image, ...[...array_map(intval(...), $place(0.5, $y)), ...array_map(intval(...), $place($this->widthMm - 0.5, $y)), $printed]);
        }
        for ($i = 0; $i < $this->dots; $i++) {
            [$x, $y] = $place(2 + $share() * ($this->widthMm - 4), 2 + $share() * ($this->heightMm - 4));
            imagefilledellipse($image, (int) $x, (int) $y, (int) (2.2 * $px), (int) (2.2 * $px), $printed);
        }
    }

    /** @param  array{edge: string, at: float, drift: float, shade: float}  $fold */
    private function fold(GdImage $image, array $fold, callable $place, callable $share, float $px): void
    {
        $long = $this->long($fold['edge']);
        for ($along = 0.5; $along < $long - 1.0; $along += 1.0) {
            $off = $fold['at'] + $fold['drift'] * ($along / $long - 0.5) + 0.04 * ($share() - 0.5);
            foreach ($fold['shade'] < 0 ? [[0.25, $fold['shade']], [-0.15, -0.2 * $fold['shade']]] : [[-0.25, $fold['shade']]] as [$aside, $shade]) {
                imagesetthickness($image, max(1, (int) round(2 * abs($aside) * $px)));
                $ends = array_map(fn (float $a): array => $this->beside($fold['edge'], $a, $off + $aside, $place), [$along, $along + 1.0]);
                imageline($image, ...[...array_map(intval(...), $ends[0]), ...array_map(intval(...), $ends[1]), self::colour($image, $this->shade($this->cloth, $shade * (0.8 + 0.4 * $share())))]);
            }
        }
    }

    /** @return array{float, float} */
    private function beside(string $edge, float $along, float $off, callable $place): array
    {
        return match ($edge) {
            'left' => $place($off, $along),
            'right' => $place($this->widthMm - $off, $along),
            'top' => $place($along, $off),
            default => $place($along, $this->heightMm - $off),
        };
    }

    private function sew(GdImage $image, int $index, callable $place, callable $share, float $px): void
    {
        $row = $this->rows[$index];
        $long = $this->long($row['edge']);
        $at = fn (float $along, float $off): array => $this->beside($row['edge'], $along, $off, $place);
        $before = null;
        $swing = 1;
        $number = 0;
        $holes = [];
        for ($along = ($row['from'] ?? 2.0) + $share() * $row['length']; $along < ($row['to'] ?? $long - 2.0); $along += $row['length'] * (1 + $this->uneven * ($share() - 0.5))) {
            $swing = -$swing;
            $this->began[$index] ??= $along;
            if (in_array($number++, $this->missed[$index] ?? [], true)) {
                continue;
            }
            $off = $this->allowance($index, $along) + ($row['stitch'] === 'zigzag' ? $swing * $row['width'] / 2 : 0.03 * ($share() - 0.5));
            $here = $holes[] = [$along, $off];
            if ($before !== null) {
                $this->stitch($image, $at, $before, $here, $share, $px);
            }
            $before = $here;
        }
        $this->tie($image, $at, $index, $holes, $share, $px);
    }

    /**
     * Back over its first and its last stitches and forward again, a little beside them and not hole in hole.
     *
     * @param  list<array{float, float}>  $holes
     */
    private function tie(GdImage $image, callable $at, int $index, array $holes, callable $share, float $px): void
    {
        foreach ($this->tied[$index] ?? [] as $end => $many) {
            $from = $end === 0 ? array_slice($holes, 0, $many + 1) : array_slice($holes, -$many - 1);
            foreach ($many < 1 ? [] : [0, 1] as $pass) {
                [$aside, $off] = [0.12 * (2 * $share() - 1), 0.25 * $share() * $this->rows[$index]['length']];
                for ($i = 1; $i <= $many; $i++) {
                    $moved = fn (array $h): array => [$h[0] + $off * ($end === 0 ? 1 : -1) * ($pass === 0 ? 1 : 0.5), $h[1] + $aside + 0.05 * (2 * $share() - 1)];
                    $this->stitch($image, $at, $moved($from[$i - 1]), $moved($from[$i]), $share, $px);
                }
            }
        }
    }

    /**
     * Each stitch dips into the cloth at both ends.
     *
     * @param  array{float, float}  $before
     * @param  array{float, float}  $here
     */
    private function stitch(GdImage $image, callable $at, array $before, array $here, callable $share, float $px): void
    {
        $hidden = 0.24 / max(0.3, hypot($here[0] - $before[0], $here[1] - $before[1]));
        [$a, $b] = [$at($before[0] + $hidden * ($here[0] - $before[0]), $before[1] + $hidden * ($here[1] - $before[1])), $at($here[0] - $hidden * ($here[0] - $before[0]), $here[1] - $hidden * ($here[1] - $before[1]))];
        imagesetthickness($image, max(2, (int) round(0.36 * $px)));
        imageline($image, (int) $a[0], (int) $a[1], (int) $b[0], (int) $b[1], self::colour($image, $this->shade($this->thread, 10 * ($share() - 0.5))));
        // Its shine.
        imagesetthickness($image, max(1, (int) round(0.1 * $px)));
        imageline($image, (int) $a[0], (int) $a[1], (int) $b[0], (int) $b[1], self::colour($image, $this->shade($this->thread, 28)));
    }

    /** Light that falls off to one corner, and grain. */
    private function light(GdImage $image, Randomizer $lot): void
    {
        [$w, $h] = [imagesx($image), imagesy($image)];
        for ($y = 0; $y < $h; $y++) {
            for ($x = 0; $x < $w; $x++) {
                $p = imagecolorat($image, $x, $y);
                $gain = 1 - $this->fall * ($x / $w + $y / $h) / 2;
                $grain = $this->noise * ($lot->getInt(-100, 100) + $lot->getInt(-100, 100)) / 115;
                $v = fn (int $c): int => (int) max(0, min(255, round($c * $gain + $grain)));
                imagesetpixel($image, $x, $y, $v($p >> 16 & 255) << 16 | $v($p >> 8 & 255) << 8 | $v($p & 255));
            }
        }
    }

    /**
     * @param  array{int, int, int}  $of
     * @return array{int, int, int}
     */
    private function shade(array $of, float $by): array
    {
        return array_map(fn (int $c): int => (int) max(0, min(255, round($c + $by))), $of);
    }

    /** @param  array{int, int, int}  $of */
    private static function colour(GdImage $image, array $of): int
    {
        return (int) imagecolorallocate($image, ...$of);
    }
}
