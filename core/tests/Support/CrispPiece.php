<?php

declare(strict_types=1);

namespace OpenSeam\Core\Tests\Support;

use GdImage;
use Random\Engine\Mt19937;
use Random\Randomizer;

/**
 * A sewn piece of a third make: even shades with sharp edges, a weave without grain, stitches as bars with gaps, every row bare
 * at both ends; as a PGM, a PPM or a PNG. No light, no fray, no lens. The same seed draws the same.
 */
final class CrispPiece
{
    private const SHADES = [[[40, 40, 40], [220, 215, 205], [40, 50, 110]], [[255, 255, 255], [180, 170, 150], [60, 20, 20]], [[250, 250, 250], [70, 80, 110], [230, 225, 210]], [[128, 128, 128], [50, 55, 70], [220, 220, 220]]];

    private const MARGIN_MM = 8.0;

    public readonly int $dpi;

    public readonly float $widthMm;

    public readonly float $heightMm;

    public readonly string $edge;

    /** @var list<array{zigzag: bool, at: float, drift: float, length: float, width: float, from: float, to: float}> lengths in mm, at in the middle of its edge */
    public readonly array $rows;

    /** Stitches sewn back at both ends of each straight row and forward again, hole beside hole and a twentieth shorter. */
    public int $back = 0;

    private Randomizer $lot;

    public function __construct(int $seed)
    {
        $this->lot = new Randomizer(new Mt19937($seed));
        $this->dpi = $this->pick([150, 200, 300]);
        [$this->widthMm, $this->heightMm] = [$this->between(50.0, 80.0), $this->between(60.0, 90.0)];
        $this->edge = $this->pick(['left', 'right', 'top', 'bottom']);
        $rows = [];
        for ($at = $this->between(8.0, 12.0); $at < $this->deep() - 8.0 && count($rows) < 3; $at += $this->between(14.0, 20.0)) {
            $zigzag = $this->lot->getInt(0, 1) === 1;
            $rows[] = ['zigzag' => $zigzag, 'at' => $at, 'drift' => $this->between(-1.0, 1.0), 'length' => $zigzag ? $this->between(1.2, 3.2) : $this->between(1.6, 4.2), 'width' => $zigzag ? $this->between(2.5, 5.0) : 0.0, 'from' => $this->pick([2.0, 5.0, 8.0]), 'to' => $this->long() - $this->pick([2.0, 5.0, 8.0])];
        }
        $this->rows = $rows;
    }

    /** How far from its edge a row lies so far along it, mm. */
    public function allowance(int $row, float $along): float
    {
        return $this->rows[$row]['at'] + $this->rows[$row]['drift'] * ($along / $this->long() - 0.5);
    }

    public function long(): float
    {
        return in_array($this->edge, ['left', 'right'], true) ? $this->heightMm : $this->widthMm;
    }

    private function deep(): float
    {
        return in_array($this->edge, ['left', 'right'], true) ? $this->widthMm : $this->heightMm;
    }

    /** @return string the file */
    public function draw(): string
    {
        [$lid, $cloth, $thread] = $this->pick(self::SHADES);
        $px = $this->dpi / 25.4 * 3;
        [$w, $h] = [(int) round(($this->widthMm + 2 * self::MARGIN_MM) * $px), (int) round(($this->heightMm + 2 * self::MARGIN_MM) * $px)];
        $image = imagecreatetruecolor($w, $h);
        assert($image instanceof GdImage);
        imagefill($image, 0, 0, self::shade($lid));
        $turn = deg2rad($this->between(-4.0, 4.0));
        $place = fn (float $x, float $y): array => [
            $w / 2 + $px * (cos($turn) * ($x - $this->widthMm / 2) - sin($turn) * ($y - $this->heightMm / 2)),
            $h / 2 + $px * (sin($turn) * ($x - $this->widthMm / 2) + cos($turn) * ($y - $this->heightMm / 2)),
        ];
        $shape = fn (array $corners, array $of) => imagefilledpolygon($image, array_merge(...array_map(fn (array $c): array => $place(...$c), $corners)), self::shade($of));
        $shape([[0.0, 0.0], [$this->widthMm, 0.0], [$this->widthMm, $this->heightMm], [0.0, $this->heightMm]], $cloth);
        for ($x = 0.3; $x < $this->widthMm - 0.5; $x += 0.6) {
            $by = $this->lot->getInt(-6, 6);
            $shape([[$x, 0.1], [$x + 0.3, 0.1], [$x + 0.3, $this->heightMm - 0.1], [$x, $this->heightMm - 0.1]], array_map(fn (int $c): int => max(0, min(255, $c + $by)), $cloth));
        }
        foreach (array_keys($this->rows) as $i) {
            $this->sew($i, fn (array $bar) => $shape($bar, $thread));
        }
        $small = imagecreatetruecolor(intdiv($w, 3), intdiv($h, 3));
        assert($small instanceof GdImage);
        imagecopyresampled($small, $image, 0, 0, 0, 0, imagesx($small), imagesy($small), $w, $h);

        return self::file($small, $this->pick(['P5', 'P6', 'PNG']));
    }

    /** @param  callable(list<array{float, float}>): mixed  $bar */
    private function sew(int $i, callable $bar): void
    {
        $row = $this->rows[$i];
        $swing = $row['width'] / 2;
        for ($s = $row['from']; $s + $row['length'] <= $row['to']; $s += $row['length']) {
            $this->stitch($i, $bar, $s, $row['length'], $swing, 0.0);
            $swing = -$swing;
        }
        foreach ($row['zigzag'] || $this->back === 0 ? [] : [0.95 * $row['length'], 1.0 * $row['length']] as $pass => $long) {
            for ($k = 0; $k < $this->back; $k++) {
                $this->stitch($i, $bar, $row['from'] + $this->back * $row['length'] - ($k + 1) * $long, $long, 0.0, $pass === 0 ? 0.16 : -0.14);
                $this->stitch($i, $bar, $s - $this->back * $row['length'] + $k * $long, $long, 0.0, $pass === 0 ? -0.15 : 0.12);
            }
        }
    }

    /** @param  callable(list<array{float, float}>): mixed  $bar */
    private function stitch(int $i, callable $bar, float $s, float $length, float $swing, float $aside): void
    {
        $row = $this->rows[$i];
        [$a, $b] = [[$s, $this->allowance($i, $s) + $swing + $aside], [$s + $length, $this->allowance($i, $s + $length) - $swing + $aside]];
        $long = hypot($b[0] - $a[0], $b[1] - $a[1]);
        [$u, $v] = [($b[0] - $a[0]) / $long, ($b[1] - $a[1]) / $long];
        $gap = $row['zigzag'] ? 0.05 : 0.2;
        $bar(array_map(fn (array $p): array => match ($this->edge) {
            'left' => [$p[1], $p[0]], 'right' => [$this->widthMm - $p[1], $p[0]], 'top' => $p, default => [$p[0], $this->heightMm - $p[1]]
        }, [[$a[0] + $gap * $u - 0.18 * $v, $a[1] + $gap * $v + 0.18 * $u], [$b[0] - $gap * $u - 0.18 * $v, $b[1] - $gap * $v + 0.18 * $u], [$b[0] - $gap * $u + 0.18 * $v, $b[1] - $gap * $v - 0.18 * $u], [$a[0] + $gap * $u + 0.18 * $v, $a[1] + $gap * $v - 0.18 * $u]]));
    }

    private static function file(GdImage $image, string $kind): string
    {
        if ($kind === 'PNG') {
            ob_start();
            imagepng($image);

            return (string) ob_get_clean();
        }
        $bytes = sprintf("%s\n%d %d\n255\n", $kind, imagesx($image), imagesy($image));
        for ($y = 0; $y < imagesy($image); $y++) {
            for ($x = 0; $x < imagesx($image); $x++) {
                $p = (int) imagecolorat($image, $x, $y);
                [$r, $g, $b] = [$p >> 16 & 255, $p >> 8 & 255, $p & 255];
                $bytes .= $kind === 'P6' ? chr($r).chr($g).chr($b) : chr(intdiv($r + 2 * $g + $b, 4));
            }
        }

        return $bytes;
    }

    private function between(float $from, float $to): float
    {
        return $from + ($to - $from) * $this->lot->getInt(0, 1_000_000) / 1_000_000;
    }

    /**
     * @template T
     *
     * @param  non-empty-list<T>  $of
     * @return T
     */
    private function pick(array $of): mixed
    {
        return $of[$this->lot->getInt(0, count($of) - 1)];
    }

    /** @param  array{int, int, int}|array<int>  $of */
    private static function shade(array $of): int
    {
        return $of[0] << 16 | $of[1] << 8 | $of[2];
    }
}
