<?php

declare(strict_types=1);

namespace OpenSeam\Core\Tests\Scan;

use OpenSeam\Core\Scan\CannotRead;
use OpenSeam\Core\Scan\FoundPiece;
use OpenSeam\Core\Scan\Raster;
use OpenSeam\Core\Scan\ReadRow;
use OpenSeam\Core\Scan\Sampled;
use OpenSeam\Core\Tests\Support\DrawnPiece;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/** Whole pieces as scanners show them, drawn by other code than reads them. What is true is known to the hair. */
final class WholePieceTest extends TestCase
{
    private static function small(string $stitch, string $edge, float $at, float $length, float $width = 0.0): DrawnPiece
    {
        $piece = DrawnPiece::withRow($stitch, $edge, $at, $length, $width, 0.6, 0.15);
        [$piece->widthMm, $piece->heightMm, $piece->marginMm] = [44.0, 56.0, 7.0];

        return $piece;
    }

    private static function found(DrawnPiece $piece, int $seed = 1): FoundPiece|CannotRead
    {
        return FoundPiece::in(new Sampled(Raster::read($piece->draw($seed)), 25.4 / $piece->dpi));
    }

    /** @return iterable<string, array{DrawnPiece}> */
    public static function scans(): iterable
    {
        $with = function (callable $do, string $stitch = 'straight', string $edge = 'right', float $at = 15.9, float $length = 2.5, float $width = 0.0): array {
            $piece = self::small($stitch, $edge, $at, $length, $width);
            $do($piece);

            return [$piece];
        };
        yield 'dark thread, pale cloth, dark lid' => $with(fn (DrawnPiece $p) => $p);
        yield 'dark thread, pale cloth, white lid' => $with(fn (DrawnPiece $p) => $p->lid = [252, 252, 252]);
        yield 'white on white, lit from one side' => $with(fn (DrawnPiece $p) => [$p->lid, $p->cloth, $p->fall] = [[250, 250, 250], [236, 232, 224], 0.25]);
        yield 'light thread on dark cloth' => $with(fn (DrawnPiece $p) => [$p->cloth, $p->thread, $p->lid] = [[60, 58, 66], [240, 238, 230], [150, 150, 152]]);
        yield 'told by colour alone' => $with(fn (DrawnPiece $p) => [$p->cloth, $p->thread] = [[150, 150, 150], [190, 120, 140]]);
        yield 'stripes across the row' => $with(fn (DrawnPiece $p) => $p->stripes = 'across');
        yield 'dark stripes across the row, the first along an edge' => $with(fn (DrawnPiece $p) => [$p->stripes, $p->printed, $p->thread] = ['across', -110.0, [170, 30, 40]], 'straight', 'right', 14.0, 2.2);
        yield 'dark stripes across long stitches' => $with(fn (DrawnPiece $p) => [$p->stripes, $p->printed] = ['across', -90.0], 'straight', 'right', 14.0, 4.2);
        yield 'printed with dots' => $with(fn (DrawnPiece $p) => $p->dots = 60);
        yield 'turned by twelve degrees' => $with(fn (DrawnPiece $p) => [$p->turnDegrees, $p->marginMm] = [12.0, 12.0]);
        yield 'from the upper edge' => $with(fn (DrawnPiece $p) => $p, 'straight', 'top', 20.0, 3.5);
        yield 'from the lower edge' => $with(fn (DrawnPiece $p) => $p, 'straight', 'bottom', 9.5, 1.6);
        yield 'from the left edge, 200 dpi' => $with(fn (DrawnPiece $p) => $p->dpi = 200.0, 'straight', 'left', 12.0, 3.0);
        yield '600 dpi' => $with(fn (DrawnPiece $p) => [$p->dpi, $p->heightMm] = [600.0, 40.0]);
        yield 'much frayed' => $with(fn (DrawnPiece $p) => $p->frayMm = 0.6);
        yield 'little blurred, much compressed' => $with(fn (DrawnPiece $p) => [$p->blur, $p->jpeg] = [6, 55]);
        yield 'zigzag' => $with(fn (DrawnPiece $p) => $p, 'zigzag', 'right', 16.0, 1.5, 4.0);
        yield 'wide zigzag on white' => $with(fn (DrawnPiece $p) => $p->lid = [252, 252, 252], 'zigzag', 'left', 18.0, 2.5, 5.5);
        yield 'zigzag on cloth without grain, bare beyond its end' => $with(fn (DrawnPiece $p) => [$p->noise, $p->weave, $p->jpeg, $p->heightMm, $p->rows[0]['from'], $p->rows[0]['to']] = [0.0, 9.0, 0, 70.0, 5.0, 40.0], 'zigzag', 'right', 16.0, 2.0, 4.0);
        yield 'short steep strokes' => $with(fn (DrawnPiece $p) => $p->jpeg = 0, 'zigzag', 'right', 16.0, 1.1, 4.6);
        yield 'long stitches' => $with(fn (DrawnPiece $p) => $p, 'straight', 'right', 14.0, 3.8);
        yield 'narrow zigzag across' => $with(fn (DrawnPiece $p) => $p, 'zigzag', 'top', 15.0, 1.5, 2.0);
    }

    #[DataProvider('scans')]
    public function test_read_to_its_own_uncertainty(DrawnPiece $drawn): void
    {
        $row = $drawn->rows[0];
        $piece = self::found($drawn);
        self::assertInstanceOf(FoundPiece::class, $piece);
        self::assertEqualsWithDelta($drawn->widthMm, $piece->widthMm(), 0.25);
        self::assertEqualsWithDelta($drawn->heightMm, $piece->heightMm(), 0.25);
        // Where it should be is known to a millimetre or two only.
        $read = ReadRow::find($piece, $row['edge'], $row['at'] + 1.2, $row['stitch'] === 'zigzag', [8.0, 20.0, 32.0]);
        self::assertNull($read->cannot);
        self::assertSame([8.0, 20.0, 32.0], array_column($read->allowance, 0));
        foreach ($read->allowance as [$at, $reading]) {
            self::assertLessThan(0.15, $reading->u);
            self::assertEqualsWithDelta($drawn->allowance(0, $at), $reading->value, min(0.3, 3 * $reading->u), "at $at");
        }
        self::assertEqualsWithDelta(1.0, (float) $read->length?->value / $row['length'], 0.02);
        self::assertSame($row['stitch'] === 'zigzag', $read->width !== null);
        $read->width === null || self::assertEqualsWithDelta($row['width'], $read->width->value, min(0.2, 3 * $read->width->u));
    }

    public function test_nothing_is_told_of_a_row_that_is_not_there(): void
    {
        foreach (['' => 0.0, 'along' => 0.0, 'across' => 0.0, 'dots' => 40.0, 'weave' => 26.0] as $what => $much) {
            $piece = self::small('straight', 'right', 15.9, 2.5);
            $piece->rows = [];
            match ($what) {
                'dots' => $piece->dots = (int) $much,
                'weave' => $piece->weave = $much,
                default => $piece->stripes = (string) $what,
            };
            $found = self::found($piece, 3);
            self::assertInstanceOf(FoundPiece::class, $found, (string) $what);
            foreach ([false, true] as $zigzag) {
                $read = ReadRow::find($found, 'right', 15.9, $zigzag, []);
                self::assertNotNull($read->cannot, "$what ".($zigzag ? 'zigzag' : 'straight'));
                self::assertSame([[], null, null], [$read->allowance, $read->length, $read->width], (string) $what);
            }
        }
    }

    public function test_a_row_of_another_kind_or_place_is_not_taken_for_it(): void
    {
        $seam = self::found(self::small('straight', 'right', 15.9, 2.5));
        $zigzag = self::found(self::small('zigzag', 'right', 16.0, 2.0, 4.0));
        self::assertInstanceOf(FoundPiece::class, $seam);
        self::assertInstanceOf(FoundPiece::class, $zigzag);
        foreach ([ReadRow::find($seam, 'right', 28.0, false, []), ReadRow::find($seam, 'top', 20.0, false, []), ReadRow::find($seam, 'right', 15.9, true, []), ReadRow::find($zigzag, 'right', 16.0, false, [])] as $i => $read) {
            self::assertNotNull($read->cannot, "asked wrongly, $i");
            self::assertNull($read->length, "asked wrongly, $i");
        }
        self::assertSame(CannotRead::OffPiece, ReadRow::find($seam, 'right', 43.8, false, [])->cannot);
        // Threads that touch are no strokes.
        $satin = self::found(self::small('zigzag', 'right', 16.0, 0.4, 4.0));
        self::assertInstanceOf(FoundPiece::class, $satin);
        self::assertSame(CannotRead::NoStitches, ReadRow::find($satin, 'right', 16.0, true, [])->cannot);
    }

    public function test_stripes_along_the_row_are_never_taken_for_it(): void
    {
        $piece = self::small('straight', 'right', 15.9, 2.5);
        $piece->stripes = 'along';
        $found = self::found($piece);
        self::assertInstanceOf(FoundPiece::class, $found);
        $read = ReadRow::find($found, 'right', 15.9, false, [20.0]);
        // It may be refused; what is told is right.
        foreach ($read->allowance as [$at, $reading]) {
            self::assertEqualsWithDelta($piece->allowance(0, $at), $reading->value, 0.4);
        }
        self::assertTrue($read->cannot !== null || $read->allowance !== []);
    }

    public function test_what_is_no_piece_is_said(): void
    {
        $draw = function (callable $do): FoundPiece|CannotRead {
            $image = imagecreatetruecolor(500, 600);
            self::assertNotFalse($image);
            imagefill($image, 0, 0, 0x30302E);
            $do($image);
            ob_start();
            imagepng($image);

            return FoundPiece::in(new Sampled(Raster::read((string) ob_get_clean()), 0.1));
        };
        self::assertSame(CannotRead::NoPiece, $draw(fn () => null), 'nothing on the lid');
        self::assertSame(CannotRead::NoPiece, $draw(fn ($i) => imagefilledellipse($i, 250, 300, 380, 380, 0xF0E8E0)), 'a disc');
        self::assertSame(CannotRead::NoPiece, $draw(fn ($i) => imagefilledpolygon($i, [100, 500, 250, 100, 400, 500], 0xF0E8E0)), 'a triangle');
        self::assertSame(CannotRead::CutOff, $draw(fn ($i) => imagefilledrectangle($i, 0, 100, 400, 500, 0xF0E8E0)), 'over the left rim');
        self::assertSame(CannotRead::SeveralPieces, $draw(fn ($i) => [imagefilledrectangle($i, 40, 100, 220, 500, 0xF0E8E0), imagefilledrectangle($i, 260, 100, 450, 500, 0xF0E8E0)]));
        self::assertSame(CannotRead::TooSmall, $draw(fn ($i) => imagefilledrectangle($i, 200, 200, 320, 320, 0xF0E8E0)), 'twelve millimetres');
        // As coarse as that nothing of a thread is seen.
        self::assertSame(CannotRead::TooSmall, FoundPiece::in(new Sampled(Raster::read(self::small('straight', 'right', 15.9, 2.5)->draw(1)), 0.3)));
    }

    public function test_by_lot(): void
    {
        [$asked, $read, $values, $wrong] = [0, 0, 0, 0];
        mt_srand(20);
        $between = fn (float $a, float $b): float => $a + ($b - $a) * mt_rand() / mt_getrandmax();
        for ($seed = 1; $seed <= 16; $seed++) {
            $zigzag = $seed % 3 === 0;
            $piece = self::small($zigzag ? 'zigzag' : 'straight', ['left', 'right', 'top', 'bottom'][$seed % 4], round($between(8, 24), 1), round($zigzag ? $between(1.0, 3.0) : $between(1.5, 4.5), 1), $zigzag ? round($between(2.5, 5.5), 1) : 0.0);
            $piece->turnDegrees = $between(-5, 5);
            $piece->noise = $between(1, 6);
            $piece->weave = $between(2, 9);
            $piece->fall = $between(0, 0.2);
            $piece->jpeg = [0, 75, 90][$seed % 3];
            $piece->lid = [[30, 30, 34], [252, 252, 252], [120, 122, 126]][$seed % 3];
            $found = self::found($piece, $seed);
            $asked++;
            $row = $piece->rows[0];
            $got = $found instanceof FoundPiece ? ReadRow::find($found, $row['edge'], $row['at'] + $between(-1.5, 1.5), $zigzag, []) : null;
            if ($got === null || $got->cannot !== null) {
                continue;
            }
            $read++;
            $off = array_map(fn (array $a): array => [abs($a[1]->value - $piece->allowance(0, $a[0])), $a[1]->u], $got->allowance);
            $off[] = [abs((float) $got->length?->value - $row['length']), (float) $got->length?->u + 0.008 * $row['length']];
            $got->width === null || $off[] = [abs($got->width->value - $row['width']), $got->width->u];
            foreach ($off as [$by, $u]) {
                $values++;
                $wrong += $by > 3 * $u ? 1 : 0;
                self::assertLessThan(1.0, $by, "seed $seed");
            }
        }
        self::assertGreaterThanOrEqual(0.9 * $asked, $read);
        self::assertLessThanOrEqual(0.02 * $values, $wrong);
    }
}
