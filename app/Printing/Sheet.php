<?php

declare(strict_types=1);

namespace App\Printing;

use OpenSeam\Core\Stitch\Path;
use TCPDF;

/**
 * A PDF in millimetres, black on white, true to size: what is drawn 100 mm long
 * is 100 mm on paper printed at 100 %. Each page carries a bar to check that.
 *
 * @phpstan-type Point array{float, float}
 */
final class Sheet
{
    public const MARGIN_MM = 10.0;

    /** The foot of each page: check bar and title. */
    public const FOOT_MM = 16.0;

    private const FONT = 'dejavusans';

    private readonly TCPDF $pdf;

    public function __construct(public readonly Format $format, private readonly string $title)
    {
        $this->pdf = new TCPDF('P', 'mm', [$format->widthMm(), $format->heightMm()], true, 'UTF-8');
        $this->pdf->setPrintHeader(false);
        $this->pdf->setPrintFooter(false);
        $this->pdf->setMargins(self::MARGIN_MM, self::MARGIN_MM, self::MARGIN_MM);
        $this->pdf->setAutoPageBreak(false);
        $this->pdf->setCreator('Open Seam');
        $this->pdf->setTitle($title);
        $this->pdf->setFontSubsetting(true);
        $this->pdf->setViewerPreferences(['PrintScaling' => 'None']);
        $this->pdf->setCellPadding(0);
    }

    public function innerWidth(): float
    {
        return $this->format->widthMm() - 2 * self::MARGIN_MM;
    }

    public function innerHeight(): float
    {
        return $this->format->heightMm() - 2 * self::MARGIN_MM - self::FOOT_MM;
    }

    /** A new page with its check bar. */
    public function page(string $what): self
    {
        $this->pdf->AddPage();
        $y = $this->format->heightMm() - self::MARGIN_MM - 4;
        $x = self::MARGIN_MM;
        $this->pdf->setLineStyle(['width' => 0.3, 'color' => [0, 0, 0], 'dash' => 0]);
        $this->pdf->Line($x, $y, $x + 100, $y);
        // The end marks stand inside, so that the bar is 100 mm from outer edge to outer edge.
        foreach ([0.15, 50, 99.85] as $at) {
            $this->pdf->Line($x + $at, $y - 2, $x + $at, $y + 2);
        }
        $this->text($x + 103, $y - 2, 90, 'This bar is 100 mm: print at 100 %, not “fit to page”.', 7);
        $this->text($x, $y - 7, $this->innerWidth(), $what === '' ? $this->title : "$this->title · $what", 8);

        return $this;
    }

    /** @return float where the text ends, mm from the top */
    public function text(float $x, float $y, float $width, string $text, float $size = 10, bool $bold = false, string $align = 'L'): float
    {
        $this->pdf->setFont(self::FONT.($bold ? 'b' : ''), '', $size);
        $this->pdf->MultiCell($width, 0, $text, 0, $align, false, 1, $x, $y, true, 0, false, true, 0, 'T');

        return $this->pdf->GetY();
    }

    /**
     * Rows of text under each other, a new page where one is full.
     *
     * @param  list<array{string, float, bool}>  $lines  text, size, bold
     */
    public function flow(float $y, array $lines, string $what): float
    {
        foreach ($lines as [$text, $size, $bold]) {
            $this->pdf->setFont(self::FONT.($bold ? 'b' : ''), '', $size);
            $high = $this->pdf->getStringHeight($this->innerWidth(), $text);
            if ($y + $high > $this->format->heightMm() - self::MARGIN_MM - self::FOOT_MM) {
                $this->page($what);
                $y = self::MARGIN_MM;
            }
            $y = $this->text(self::MARGIN_MM, $y, $this->innerWidth(), $text, $size, $bold) + ($bold ? 0.5 : 1.2);
        }

        return $y;
    }

    /** A photo, as large as the page allows. */
    public function picture(string $jpeg, int $width, int $height): void
    {
        $scale = min($this->innerWidth() / max(1, $width), $this->innerHeight() / max(1, $height));
        $this->pdf->Image('@'.$jpeg, self::MARGIN_MM, self::MARGIN_MM, $width * $scale, $height * $scale, 'JPEG');
    }

    /** @param  list<float>  $dash mm on, mm off; empty: whole */
    public function line(float $x1, float $y1, float $x2, float $y2, float $width = 0.3, array $dash = [], int $grey = 0): void
    {
        $this->pdf->setLineStyle(['width' => $width, 'color' => [$grey, $grey, $grey], 'dash' => $dash === [] ? 0 : implode(',', $dash), 'cap' => 'butt']);
        $this->pdf->Line($x1, $y1, $x2, $y2);
    }

    public function rect(float $x, float $y, float $width, float $height, float $line = 0.2, int $grey = 0, ?int $fill = null): void
    {
        $this->pdf->setLineStyle(['width' => $line, 'color' => [$grey, $grey, $grey], 'dash' => 0]);
        $this->pdf->Rect($x, $y, $width, $height, $fill === null ? 'D' : 'DF', [], $fill === null ? [] : [$fill, $fill, $fill]);
    }

    public function dot(float $x, float $y, float $radius, bool $filled = true): void
    {
        $this->pdf->setLineStyle(['width' => 0.3, 'color' => [0, 0, 0], 'dash' => 0]);
        $this->pdf->Circle($x, $y, $radius, 0, 360, $filled ? 'DF' : 'D', [], $filled ? [0, 0, 0] : []);
    }

    public function path(Path $path, float $width = 0.35): void
    {
        $this->pdf->setLineStyle(['width' => $width, 'color' => [0, 0, 0], 'dash' => 0, 'cap' => 'round', 'join' => 'round']);
        $flat = [];
        foreach ($path->corners as [$x, $y]) {
            array_push($flat, $x, $y);
        }
        $this->pdf->PolyLine($flat, 'D');
    }

    /** Everything drawn inside is cut off at this box. */
    public function clipped(float $x, float $y, float $width, float $height, callable $draw): void
    {
        $this->pdf->StartTransform();
        $this->pdf->Rect($x, $y, $width, $height, 'CNZ');
        $draw();
        $this->pdf->StopTransform();
    }

    public function code(string $address, float $x, float $y, float $size): void
    {
        $this->pdf->write2DBarcode($address, 'QRCODE,M', $x, $y, $size, $size);
    }

    public function bytes(): string
    {
        return $this->pdf->Output('', 'S');
    }
}
