<?php

declare(strict_types=1);

namespace App\Printing;

use OpenSeam\Core\Picture\Picture;
use OpenSeam\Core\Stitch\Path;
use OpenSeam\Core\Words;
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

    /** Nothing is smaller: it is read beside the machine. */
    public const SMALLEST_PT = 9.0;

    /** Our type; what it has no letters for is set in one that has. */
    private const FONT = 'atkinson';

    private const OTHER_FONT = 'dejavusans';

    private const MM_PER_PT = 25.4 / 72;

    private readonly TCPDF $pdf;

    /** Of the page in hand, mm. */
    private float $wide;

    private float $high;

    public function __construct(public readonly Format $format, private readonly string $title)
    {
        [$this->wide, $this->high] = [$format->widthMm(), $format->heightMm()];
        $this->pdf = new TCPDF('P', 'mm', [$this->wide, $this->high], true, 'UTF-8');
        foreach (['', 'b'] as $weight) {
            $this->pdf->AddFont(self::FONT.$weight, '', self::fontFile($weight));
        }
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
        return $this->wide - 2 * self::MARGIN_MM;
    }

    public function innerHeight(): float
    {
        return $this->high - 2 * self::MARGIN_MM - self::FOOT_MM;
    }

    public function width(): float
    {
        return $this->wide;
    }

    public function height(): float
    {
        return $this->high;
    }

    /** A new page with its check bar. */
    public function page(string $what): self
    {
        $this->blank($this->format->widthMm(), $this->format->heightMm());
        $y = $this->high - self::MARGIN_MM - 4;
        $x = self::MARGIN_MM;
        $this->pdf->setLineStyle(['width' => 0.3, 'color' => [0, 0, 0], 'dash' => 0]);
        $this->pdf->Line($x, $y, $x + 100, $y);
        // The end marks stand inside, so that the bar is 100 mm from outer edge to outer edge.
        foreach ([0.15, 50, 99.85] as $at) {
            $this->pdf->Line($x + $at, $y - 2, $x + $at, $y + 2);
        }
        $this->text($x + 103, $y - 2, $this->innerWidth() - 103, '100 mm: print at 100 %, not “fit to page”.', self::SMALLEST_PT);
        $this->text($x, $y - 7.5, $this->innerWidth(), $what === '' ? $this->title : "$this->title · $what", self::SMALLEST_PT);

        return $this;
    }

    /** A page of any size with nothing on it yet: a card, a chart. */
    public function blank(float $wide, float $high): self
    {
        [$this->wide, $this->high] = [$wide, $high];
        $this->pdf->AddPage($wide > $high ? 'L' : 'P', [$wide, $high]);

        return $this;
    }

    /** @return float where the text ends, mm from the top */
    public function text(float $x, float $y, float $width, string $text, float $size = 10, bool $bold = false, string $align = 'L'): float
    {
        $this->type($text, $size, $bold);
        $this->pdf->MultiCell($width, 0, $text, 0, $align, false, 1, $x, $y, true, 0, false, true, 0, 'T');

        return $this->pdf->GetY();
    }

    /** How high a text becomes in so much width, mm. */
    public function highOf(string $text, float $width, float $size = 10, bool $bold = false): float
    {
        $this->type($text, $size, $bold);

        return $this->pdf->getStringHeight($width, $text);
    }

    private function type(string $text, float $size, bool $bold): void
    {
        $weight = $bold ? 'b' : '';
        $this->pdf->setFont((self::hasAll($text) ? self::FONT : self::OTHER_FONT).$weight, '', max(self::SMALLEST_PT, $size));
    }

    private static function fontFile(string $weight): string
    {
        return resource_path('fonts/'.self::FONT."$weight.php");
    }

    private static function hasAll(string $text): bool
    {
        /** @var array<int, int>|null $letters */
        static $letters = null;
        if ($letters === null) {
            /** @var array<int, int> $cw filled by the file */
            $cw = [];
            require self::fontFile('');
            $letters = $cw;
        }
        foreach (mb_str_split($text) as $letter) {
            if ($letter !== "\n" && ! isset($letters[(int) mb_ord($letter)])) {
                return false;
            }
        }

        return true;
    }

    /**
     * A picture of the core in a box, as large as it can be and in its middle; true to size where that is asked and it is drawn to scale.
     *
     * @return float mm on paper for one of the picture
     */
    public function drawing(Picture $picture, Words $words, float $x, float $y, float $width, float $height, bool $trueSize = false): float
    {
        $box = $picture->box();
        $scale = $trueSize && $picture->toScale ? 1.0 : min($width / $box['width'], $height / $box['height']);
        $left = $x + ($width - $box['width'] * $scale) / 2 - $box['left'] * $scale;
        $top = $y + ($height - $box['height'] * $scale) / 2 - $box['top'] * $scale;
        $unit = max($box['width'], $box['height'] * 1.5) / 100 * $scale;
        $this->clipped($x, $y, $width, $height, function () use ($picture, $words, $scale, $left, $top, $unit): void {
            foreach ($picture->shapes as $shape) {
                $ink = PictureInk::of($shape->role);
                $flat = [];
                foreach ($shape->points as [$px, $py]) {
                    array_push($flat, $left + $px * $scale, $top + $py * $scale);
                }
                $this->pdf->setLineStyle(['width' => $ink->weight * $unit, 'color' => [$ink->grey, $ink->grey, $ink->grey], 'dash' => $ink->dash === [] ? 0 : implode(',', array_map(fn (float $d): string => sprintf('%.3F', $d * $unit), $ink->dash)), 'cap' => 'round', 'join' => 'round']);
                $shape->isArea()
                    ? $this->pdf->Polygon($flat, 'DF', [], array_fill(0, 3, $ink->fill ?? 255))
                    : $this->pdf->PolyLine($flat, 'D');
            }
            foreach ($picture->labels as $label) {
                $text = $label->text($words);
                $this->type($text, $picture->wordMm() * $scale / self::MM_PER_PT, false);
                $long = $this->pdf->GetStringWidth($text);
                $this->pdf->Text($left + $label->x * $scale - ['start' => 0.0, 'middle' => 0.5, 'end' => 1.0][$label->anchor] * $long, $top + $label->y * $scale, $text, 0, false, true, 0, 0, '', false, '', 0, false, 'L');
            }
        });

        return $scale;
    }

    /**
     * Rows of text under each other, a new page where one is full.
     *
     * @param  list<array{string, float, bool}>  $lines  text, size, bold
     */
    public function flow(float $y, array $lines, string $what): float
    {
        foreach ($lines as $i => [$text, $size, $bold]) {
            $high = $this->highOf($text, $this->innerWidth(), $size, $bold);
            // A heading is not left behind by what it stands over.
            $with = $bold && isset($lines[$i + 1]) ? $this->highOf($lines[$i + 1][0], $this->innerWidth(), $lines[$i + 1][1], $lines[$i + 1][2]) : 0.0;
            if ($y + $high + $with > $this->high - self::MARGIN_MM - self::FOOT_MM) {
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

    /** Without a rim of its own, so that it is as large as it says. */
    public function disc(float $x, float $y, float $radius, int $grey): void
    {
        $this->pdf->Circle($x, $y, $radius, 0, 360, 'F', [], [$grey, $grey, $grey]);
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
