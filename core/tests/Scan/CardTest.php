<?php

declare(strict_types=1);

namespace OpenSeam\Core\Tests\Scan;

use OpenSeam\Core\Compute\Registry;
use OpenSeam\Core\Scan\CannotRead;
use OpenSeam\Core\Scan\CardLayout;
use OpenSeam\Core\Scan\CardMap;
use OpenSeam\Core\Scan\CardView;
use OpenSeam\Core\Scan\FoundPiece;
use OpenSeam\Core\Scan\Raster;
use OpenSeam\Core\Scan\ReadRow;
use OpenSeam\Core\Tests\Support\DrawnPiece;
use OpenSeam\Core\Tests\Support\PhotographedCard;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/** The printed card in photographs by a simulated camera that shares no code with what reads them. */
final class CardTest extends TestCase
{
    private static function photo(?DrawnPiece $piece = null, float $size = 0.6): PhotographedCard
    {
        $photo = new PhotographedCard($piece);
        [$photo->fine, $photo->width, $photo->height, $photo->fills] = [8.0, (int) (1800 * $size), (int) (2400 * $size), 0.8];

        return $photo;
    }

    private static function seam(): DrawnPiece
    {
        $piece = DrawnPiece::withRow('straight', 'right', 16.0, 2.5, 0.0, 1.0, 0.2);
        [$piece->widthMm, $piece->heightMm] = [60.0, 70.0];

        return $piece;
    }

    /** @return iterable<string, array{PhotographedCard}> */
    public static function read(): iterable
    {
        $with = function (callable $do): array {
            $photo = self::photo(self::seam(), 0.7);
            $do($photo);

            return [$photo];
        };
        yield 'from above' => $with(fn (PhotographedCard $p) => $p);
        yield 'upside down, aside, through a lens that bends, warm light' => $with(fn (PhotographedCard $p) => [$p->turn, $p->tilt, $p->bend, $p->lamp] = [195.0, 20.0, -0.06, [1.0, 0.86, 0.62]]);
        yield 'a button covered, 35 degrees' => $with(fn (PhotographedCard $p) => [$p->covered, $p->tilt, $p->tiltTowards, $p->width, $p->height] = [[2], 35.0, -45.0, 1620, 2160]);
        yield 'the shadow of a hand, the light from one side' => $with(fn (PhotographedCard $p) => [$p->shadow, $p->dark] = [0.45, 0.75]);
        yield 'a finger on a corner of the field, in a shadow' => $with(fn (PhotographedCard $p) => [$p->covered, $p->shadow, $p->dark] = [[2], 0.25, 0.85]);
        yield 'a button at the rim of the picture' => $with(fn (PhotographedCard $p) => [$p->turn, $p->fills] = [0.0, 1.03]);
        yield 'a letter card, lying across' => $with(fn (PhotographedCard $p) => [$p->card, $p->turn, $p->width, $p->height, $p->jpeg] = ['letter', 90.0, 2040, 1530, 60]);
    }

    #[DataProvider('read')]
    public function test_a_sample_is_read_as_it_was_sewn(PhotographedCard $photo): void
    {
        $view = CardView::of(Raster::read($photo->take(3)));
        self::assertInstanceOf(CardView::class, $view, $view instanceof CannotRead ? $view->value : '');
        $piece = FoundPiece::in($view);
        self::assertInstanceOf(FoundPiece::class, $piece, $piece instanceof CannotRead ? $piece->value : '');
        self::assertEqualsWithDelta([60.0, 70.0], [$piece->widthMm(), $piece->heightMm()], 0.25);
        $row = ReadRow::find($piece, 'right', 15.5, false, [10.0, 35.0, 60.0]);
        self::assertNull($row->cannot);
        self::assertCount(3, $row->allowance);
        foreach ($row->allowance as [$at, $mm]) {
            $true = $photo->piece?->allowance(0, $at) ?? 0.0;
            self::assertEqualsWithDelta($true, $mm->value, 0.3);
            self::assertLessThan(3.0, abs($mm->value - $true) / $mm->u);
            self::assertGreaterThan(0.005 * 16, $mm->u, 'nobody checked how large the card was printed');
        }
        self::assertEqualsWithDelta(2.5, $row->length->value ?? 0.0, 0.05);
    }

    /** @return iterable<string, array{callable(): string, string}> */
    public static function refused(): iterable
    {
        $of = fn (callable $do): callable => function () use ($do): string {
            $photo = self::photo(null, 0.4);
            $photo->fine = 5.0;
            $do($photo);

            return $photo->take(1);
        };
        yield 'a mirror' => [$of(fn (PhotographedCard $p) => $p->mirrored = true), 'mirrored'];
        yield 'too steep' => [$of(fn (PhotographedCard $p) => [$p->tilt, $p->fills] = [44.0, 0.7]), 'too-steep'];
        yield 'two buttons covered' => [$of(fn (PhotographedCard $p) => $p->covered = [1, 3]), 'no-card'];
        yield 'the card alone' => [$of(fn (PhotographedCard $p) => $p), 'no-piece'];
        yield 'two cards' => [function (): string {
            $photo = self::photo(null, 0.4);
            $photo->fine = 5.0;
            $one = imagecreatefromstring($photo->take(1));
            $two = imagecreatetruecolor(2 * $photo->width, $photo->height);
            assert($one !== false && $two !== false);
            imagecopy($two, $one, 0, 0, 0, 0, $photo->width, $photo->height);
            imagecopy($two, $one, $photo->width, 0, 0, 0, $photo->width, $photo->height);
            ob_start();
            imagejpeg($two);

            return (string) ob_get_clean();
        }, 'several-cards'];
        yield 'so blurred that no stitch is seen' => [$of(fn (PhotographedCard $p) => $p->blur = 10), 'blurred'];
        yield 'cloth printed with buttons by the hundred' => [function (): string {
            $cloth = imagecreatetruecolor(1000, 800);
            assert($cloth !== false);
            imagefill($cloth, 0, 0, 0xF0F0F0);
            for ($k = 0; $k < 270; $k++) {
                [$x, $y] = [30 + ($k % 18) * 54, 30 + intdiv($k, 18) * 52];
                imagefilledellipse($cloth, $x, $y, 40, 40, 0x101010);
                for ($j = 0; $j < $k % 5; $j++) {
                    imagefilledellipse($cloth, (int) ($x + 8 * cos($j * 2 * M_PI / ($k % 5))), (int) ($y + 8 * sin($j * 2 * M_PI / ($k % 5))), 9, 9, 0xF0F0F0);
                }
            }
            ob_start();
            imagejpeg($cloth, null, 90);

            return (string) ob_get_clean();
        }, 'no-card'];
        yield 'a cat, or what is about as round' => [function (): string {
            $cat = imagecreatetruecolor(600, 500);
            assert($cat !== false);
            imagefill($cat, 0, 0, 0xC8B890);
            foreach ([[300, 300, 240, 300], [300, 130, 160, 150], [265, 115, 30, 36], [335, 115, 30, 36], [300, 150, 22, 14]] as $i => [$x, $y, $w, $h]) {
                imagefilledellipse($cat, $x, $y, $w, $h, $i < 2 ? 0x5A4632 : 0x101010);
            }
            ob_start();
            imagepng($cat);

            return (string) ob_get_clean();
        }, 'no-card'];
    }

    /** @param  callable(): string  $draw */
    #[DataProvider('refused')]
    public function test_what_cannot_be_told_is_said(callable $draw, string $why): void
    {
        $out = Registry::standard()->run('read-picture', (string) json_encode(['picture' => base64_encode($draw()), 'scale' => ['kind' => 'card'], 'rows' => [['id' => 'seam', 'stitch' => 'straight', 'edge' => 'right', 'about_mm' => 16]]]));
        self::assertSame($why, $out['cannot']);
        self::assertNull($out['piece']);
    }

    public function test_what_the_line_measures_scales_everything(): void
    {
        $photo = self::photo(self::seam(), 0.7);
        $asked = ['picture' => base64_encode($photo->take(5)), 'rows' => [['id' => 'seam', 'stitch' => 'straight', 'edge' => 'right', 'about_mm' => 16, 'marks_mm' => [35]]]];
        $run = fn (array $scale): array => Registry::standard()->run('read-picture', (string) json_encode($asked + ['scale' => ['kind' => 'card'] + $scale]));
        [$plain, $shrunk] = [$run([]), $run(['line_mm' => 96])];
        self::assertIsArray($plain['piece']);
        self::assertIsArray($shrunk['piece']);
        self::assertEqualsWithDelta(0.96 * $plain['piece']['width_mm'], $shrunk['piece']['width_mm'], 0.05);
        $told = fn (array $out): array => $out['rows'][0]['allowance'][0];
        self::assertEqualsWithDelta(0.96 * $told($plain)['mm'], $told($shrunk)['mm'], 0.1);
        self::assertLessThan($told($plain)['u_mm'], $told($shrunk)['u_mm'], 'somebody looked');
    }

    public function test_no_two_cards_are_taken_for_each_other(): void
    {
        $pins = array_map(fn (CardLayout $l): int => count($l->pins()), CardLayout::all());
        self::assertSame($pins, array_unique($pins));
        foreach (CardLayout::all() as $layout) {
            [$x, $y, $w, $h] = $layout->field();
            self::assertGreaterThan(150.0, min($w, $h), $layout->id);
            foreach ([...array_values($layout->buttons()), ...$layout->pins()] as [$bx, $by]) {
                self::assertTrue($bx < $x - 4 || $bx > $x + $w + 4 || $by < $y - 4 || $by > $y + $h + 4, 'no mark lies in the field');
            }
        }
    }

    /** Pixels worked out by hand: a plane of 200 × 300 mm, ten pixels a millimetre, then through a lens of k₁ = 0.1. */
    public function test_the_lens_is_found_from_marks_alone(): void
    {
        $places = CardLayout::of('a4')->pins();
        $half = hypot(2400, 3200) / 2;
        $pixels = array_map(function (array $p) use ($half): array {
            [$u, $v] = [(10 * $p[0] - 1050) / $half, (10 * $p[1] - 1485) / $half];
            $bend = 1 + 0.1 * ($u * $u + $v * $v);

            return [1200 + $half * $u * $bend, 1600 + $half * $v * $bend];
        }, $places);
        $map = CardMap::through($places, $pixels, 2400, 3200)?->bent($places, $pixels);
        self::assertNotNull($map);
        self::assertEqualsWithDelta([1200.0, 1600.0], $map->pixel(105.0, 148.5), 0.01);
        foreach ($places as $i => $place) {
            self::assertEqualsWithDelta($pixels[$i], $map->pixel(...$place), 0.01);
        }
        self::assertEqualsWithDelta([10.0, 10.0], $map->fineness(105.0, 148.5), 0.01);
    }
}
