<?php

declare(strict_types=1);

namespace Tests\Browser;

use OpenSeam\Core\Scan\CardLayout;
use OpenSeam\Core\Scan\CardView;
use OpenSeam\Core\Scan\FoundPiece;
use OpenSeam\Core\Scan\Raster;
use OpenSeam\Core\Scan\ReadRow;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use Tests\Browser\Support\Browser;

/** A second camera of another make: the card with a piece on it, drawn from SVG and turned in space by a browser's own transforms. */
final class CardDrawnTest extends TestCase
{
    private const PX = 5.6;

    private static ?Browser $browser = null;

    public static function tearDownAfterClass(): void
    {
        self::$browser?->close();
        self::$browser = null;
    }

    /** @return iterable<string, array{string, string, string, float, float, string, string}> card, cloth, thread, from the right edge, length, how it is turned, table */
    public static function photographs(): iterable
    {
        yield 'from above' => ['a4', '#f4f1ea', '#203a70', 15.9, 2.5, 'rotateZ(3deg)', '#5a4632'];
        yield 'from the lower side' => ['a4', '#e9e4d8', '#a01c28', 12.7, 2.2, 'rotateX(28deg) rotateZ(-4deg)', '#8a8f99'];
        yield 'aside, upside down, dark cloth' => ['a4', '#2d3950', '#f2efe6', 20.0, 3.0, 'rotateY(-22deg) rotateZ(178deg)', '#d8d2c4'];
        yield 'the other paper' => ['letter', '#f7f5f0', '#1a1a1a', 10.0, 2.0, 'rotateX(-18deg) rotateY(12deg)', '#222222'];
    }

    #[DataProvider('photographs')]
    public function test_it_is_read_as_it_was_drawn(string $card, string $cloth, string $thread, float $at, float $length, string $turned, string $table): void
    {
        if (getenv('SEAM_BASE') === false) {
            self::markTestSkipped('It needs a browser: run ./seam test browser.');
        }
        self::$browser ??= Browser::open('about:blank', 1500, 1980);
        $layout = CardLayout::of($card);
        self::$browser->driver->get('data:text/html;base64,'.base64_encode(self::page($layout, $cloth, $thread, $at, $length, $turned, $table)));
        $view = CardView::of(Raster::read(self::$browser->driver->takeScreenshot()));
        self::assertInstanceOf(CardView::class, $view);
        $piece = FoundPiece::in($view);
        self::assertInstanceOf(FoundPiece::class, $piece);
        self::assertEqualsWithDelta([80.0, 100.0], [$piece->widthMm(), $piece->heightMm()], 0.3);
        $read = ReadRow::find($piece, 'right', $at + 1, false, [15.0, 50.0, 85.0]);
        self::assertNull($read->cannot);
        self::assertCount(3, $read->allowance);
        foreach ($read->allowance as [, $reading]) {
            self::assertEqualsWithDelta($at, $reading->value, 0.3);
            self::assertEqualsWithDelta($at, $reading->value, 3 * $reading->u);
        }
        self::assertEqualsWithDelta(1.0, (float) $read->length?->value / $length, 0.02);
    }

    private static function page(CardLayout $layout, string $cloth, string $thread, float $at, float $length, string $turned, string $table): string
    {
        [$x, $y, $w, $h] = $layout->field();
        $disc = fn (float $cx, float $cy, float $mm, string $fill): string => sprintf('<circle cx="%.3f" cy="%.3f" r="%.3f" fill="%s"/>', $cx, $cy, $mm / 2, $fill);
        $marks = '';
        foreach ($layout->buttons() as $holes => [$bx, $by]) {
            $marks .= $disc($bx, $by, CardLayout::BUTTON_MM, '#1c1c1c');
            foreach (CardLayout::holes($holes) as [$u, $v]) {
                $marks .= $disc($bx + $u, $by + $v, CardLayout::holeMm($holes), '#f6f4ee');
            }
        }
        foreach ($layout->pins() as [$px, $py]) {
            $marks .= $disc($px, $py, CardLayout::PIN_MM, '#1c1c1c');
        }
        $stitches = '';
        for ($s = 2.0; $s + $length < 98; $s += $length) {
            $stitches .= sprintf('<line x1="%1$.3f" y1="%2$.3f" x2="%1$.3f" y2="%3$.3f"/>', 80 - $at, $s + 0.25, $s + $length - 0.25);
        }

        return sprintf(<<<'HTML'
            <body style="margin:0;background:%1$s;width:1500px;height:1980px;overflow:hidden;perspective:2600px;display:flex;align-items:center;justify-content:center">
            <svg width="%2$.1f" height="%3$.1f" viewBox="0 0 %4$.2f %5$.2f" style="transform:%6$s;flex:none"><rect width="100%%" height="100%%" fill="#f6f4ee"/>
            <rect x="%7$.2f" y="%8$.2f" width="%9$.2f" height="%10$.2f" fill="#808080"/>%11$s
            <g transform="translate(%12$.2f %13$.2f) rotate(2)"><rect x="-40" y="-50" width="80" height="100" fill="%14$s"/><g transform="translate(-40 -50)" stroke="%15$s" stroke-width=".42" stroke-linecap="round">%16$s</g></g></svg>
            HTML, $table, $layout->widthMm * self::PX, $layout->heightMm * self::PX, $layout->widthMm, $layout->heightMm, $turned, $x, $y, $w, $h, $marks, $x + $w / 2, $y + $h / 2, $cloth, $thread, $stitches);
    }
}
