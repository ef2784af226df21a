<?php

declare(strict_types=1);

namespace Tests\Browser;

use OpenSeam\Core\Scan\FoundPiece;
use OpenSeam\Core\Scan\Raster;
use OpenSeam\Core\Scan\ReadRow;
use OpenSeam\Core\Scan\Sampled;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use Tests\Browser\Support\Browser;

/** A second renderer of another make: pieces that a browser drew from SVG, with its own antialiasing, noise and gradients, read by the core. */
final class PieceDrawnTest extends TestCase
{
    private const DPI = 240;

    private static ?Browser $browser = null;

    public static function tearDownAfterClass(): void
    {
        self::$browser?->close();
        self::$browser = null;
    }

    /** @return iterable<string, array{string, string, string, float, float, float, float}> cloth, lid, thread, from the right edge, length, width of a zigzag or 0, turned by */
    public static function pieces(): iterable
    {
        yield 'navy on cream on white' => ['#f4f1ea', '#ffffff', '#203a70', 15.9, 2.5, 0.0, 3.0];
        yield 'red on sand on black' => ['#e9e4d8', '#2b2b2b', '#a01c28', 10.0, 1.8, 0.0, -2.0];
        yield 'cream on blue on grey' => ['#3b4a66', '#dddddd', '#f2efe6', 12.5, 3.5, 0.0, 5.0];
        yield 'black zigzag' => ['#f7f5f0', '#777777', '#1a1a1a', 18.0, 1.5, 4.5, 1.0];
        yield 'striped across' => ['url(#stripes)', '#222222', '#b02020', 15.0, 2.2, 0.0, 1.0];
        yield 'hardly darker than the cloth' => ['#efe8da', '#fafafa', '#d9cdb8', 15.0, 2.5, 0.0, 0.0];
    }

    #[DataProvider('pieces')]
    public function test_it_is_read_as_it_was_drawn(string $cloth, string $lid, string $thread, float $at, float $length, float $width, float $turn): void
    {
        if (getenv('SEAM_BASE') === false) {
            self::markTestSkipped('It needs a browser: run ./seam test browser.');
        }
        self::$browser ??= Browser::open('about:blank', 900, 1000);
        self::$browser->driver->get('data:text/html;base64,'.base64_encode(self::page($cloth, $lid, $thread, $at, $length, $width, $turn)));
        $piece = FoundPiece::in(new Sampled(Raster::read(self::$browser->driver->takeScreenshot()), 25.4 / self::DPI));
        self::assertInstanceOf(FoundPiece::class, $piece);
        self::assertEqualsWithDelta([70.0, 80.0], [$piece->widthMm(), $piece->heightMm()], 0.15);
        $read = ReadRow::find($piece, 'right', $at + 1, $width > 0, [10.0, 40.0, 70.0]);
        self::assertNull($read->cannot);
        self::assertCount(3, $read->allowance);
        foreach ($read->allowance as [, $reading]) {
            self::assertEqualsWithDelta($at, $reading->value, 3 * $reading->u);
        }
        self::assertEqualsWithDelta(1.0, (float) $read->length?->value / $length, 0.02);
        $width > 0 ? self::assertEqualsWithDelta($width, (float) $read->width?->value, 0.2) : self::assertNull($read->width);
    }

    private static function page(string $cloth, string $lid, string $thread, float $at, float $length, float $width, float $turn): string
    {
        $px = self::DPI / 25.4;
        $stitches = '';
        $before = null;
        for ($y = 1.5, $side = 1; $y < 78.5; $y += $length, $side = -$side) {
            $x = 70 - $at + $side * $width / 2;
            if ($before !== null) {
                [$x0, $y0] = $before;
                // Its ends dip into the cloth.
                $dip = min(0.35, 0.22 / hypot($x - $x0, $y - $y0));
                $stitches .= sprintf('<line x1="%.3f" y1="%.3f" x2="%.3f" y2="%.3f"/>', $x0 + $dip * ($x - $x0), $y0 + $dip * ($y - $y0), $x - $dip * ($x - $x0), $y - $dip * ($y - $y0));
            }
            $before = [$x, $y];
        }

        return sprintf(<<<'SVG'
            <body style="margin:0;background:%1$s"><svg width="900" height="1000" viewBox="0 0 %2$.5f %3$.5f"><defs>
            <pattern id="stripes" width="7" height="7" patternUnits="userSpaceOnUse"><rect width="7" height="7" fill="#f0ead8"/><rect width="7" height="2" fill="#8888aa"/></pattern>
            <filter id="weave"><feTurbulence type="fractalNoise" baseFrequency="2.2" numOctaves="2" seed="4"/><feColorMatrix values="0 0 0 0 .5 0 0 0 0 .5 0 0 0 0 .5 0 0 0 .25 0"/><feComposite operator="in" in2="SourceGraphic"/><feBlend in2="SourceGraphic" mode="multiply"/></filter>
            <linearGradient id="light"><stop offset="0" stop-opacity="0"/><stop offset="1" stop-opacity=".18"/></linearGradient></defs>
            <g transform="translate(%4$.5f %5$.5f) rotate(%6$s) translate(-35 -40)"><rect width="70" height="80" fill="%7$s" filter="url(#weave)"/><g stroke="%8$s" stroke-width=".38" stroke-linecap="round">%9$s</g></g>
            <rect width="100%%" height="100%%" fill="url(#light)"/></svg>
            SVG, $lid, 900 / $px, 1000 / $px, 450 / $px, 500 / $px, $turn, $cloth, $thread, $stitches);
    }
}
