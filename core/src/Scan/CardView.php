<?php

declare(strict_types=1);

namespace OpenSeam\Core\Scan;

/** The grey field of a card in a photograph, laid flat: places are mm from its upper left corner as the card is read. */
final readonly class CardView implements LaidFlat
{
    /** At the field’s rim its border is not looked at, mm. */
    private const RIM_MM = 1.0;

    /** Between two looks at the card’s print a printer is out by so much, of a millimetre a millimetre, where nobody checked it; and where somebody did, with a ruler. */
    private const UNCHECKED = 0.005;

    private const CHECKED = 0.002;

    /** Where a photographed place lies for all the bends of the card and thickness of the cloth, mm. */
    private const PLACE_MM = 0.06;

    /** Less light than that at one of the card’s marks, of that at another, is a shadow. */
    private const SHADOW = 0.62;

    private const ABOUT_SLIP_MM = 8.0;

    /** A lens and a tilt bend so little of a line by less than a hundredth of a pixel, mm. */
    private const STRAIGHT_MM = 1.6;

    private float $left;

    private float $top;

    private float $mm;

    private float $true;

    /** @param  float|null  $lineMm  what the card’s line of 100 mm measures by a ruler; null: nobody looked */
    public function __construct(private Raster $picture, private FoundCard $card, private ?float $lineMm = null)
    {
        [$x, $y, $w, $h] = $card->layout->field();
        [$this->left, $this->top] = [$x + self::RIM_MM, $y + self::RIM_MM];
        $this->true = ($lineMm ?? CardLayout::LINE_MM) / CardLayout::LINE_MM;
        $this->mm = $this->mm($w / 2, $h / 2);
    }

    /** @param  float|null  $lineMm  see above */
    public static function of(Raster $picture, ?float $lineMm = null): self|CannotRead
    {
        $card = FoundCard::in($picture);

        return $card instanceof FoundCard ? new self($picture, $card, $lineMm) : $card;
    }

    /**
     * Where a slip that lies in the card’s box is in the picture, with as much about it as a hand is out.
     *
     * @return list<array{float, float}> corners, pixels, from the upper left clockwise
     */
    public function slip(): array
    {
        [$x, $y, $w, $h] = $this->card->layout->box();
        $about = self::ABOUT_SLIP_MM;

        return array_map(fn (array $c): array => $this->card->map->pixel(...$c), [[$x - $about, $y - $about], [$x + $w + $about, $y - $about], [$x + $w + $about, $y + $h + $about], [$x - $about, $y + $h + $about]]);
    }

    public function because(CannotRead $why): CannotRead
    {
        return $this->card->evenly < self::SHADOW ? CannotRead::Shadow : $why;
    }

    public function line(float $x, float $y, float $dx, float $dy, int $places): array
    {
        return $this->lineIn($this->picture, 1.0, $x, $y, $dx, $dy, $places);
    }

    public function pixel(float $x, float $y): array
    {
        return $this->card->map->pixel($this->left + $x / $this->true, $this->top + $y / $this->true);
    }

    public function mm(float $x, float $y): float
    {
        return $this->true / $this->card->map->fineness($this->left + $x / $this->true, $this->top + $y / $this->true)[1];
    }

    public function step(): float
    {
        return max(0.06, $this->mm);
    }

    public function widthMm(): float
    {
        return ($this->card->layout->field()[2] - 2 * self::RIM_MM) * $this->true;
    }

    public function heightMm(): float
    {
        return ($this->card->layout->field()[3] - 2 * self::RIM_MM) * $this->true;
    }

    public function small(int $longest): Raster
    {
        $step = max($this->widthMm(), $this->heightMm()) / $longest;
        // As coarse as what is asked for, so that each place is the mean of what it stands for.
        $by = max($this->mm / $step, 0.05);
        $coarse = $this->picture->small((int) round(max($this->picture->width, $this->picture->height) * min(1.0, $by)));
        $scale = $coarse->width / $this->picture->width;
        [$w, $h] = [(int) floor($this->widthMm() / $step), (int) floor($this->heightMm() / $step)];
        $bytes = '';
        for ($y = 0; $y < $h; $y++) {
            foreach ($this->lineIn($coarse, $scale, 0.5 * $step, ($y + 0.5) * $step, $step, 0.0, $w) as $shade) {
                [$a, $b, $c] = $shade ?? [0.0, 0.0, 0.0];
                $bytes .= chr((int) round($a)).chr((int) round($b)).chr((int) round($c));
            }
        }

        return Raster::read("P6 $w $h 255\n$bytes");
    }

    /**
     * A line of the card bends in the picture: it is followed in straight parts, short enough that nothing is seen of that.
     *
     * @param  float  $scale  of the picture, beside the one that the card was found in
     * @return list<array{float, float, float}|null>
     */
    private function lineIn(Raster $picture, float $scale, float $x, float $y, float $dx, float $dy, int $places): array
    {
        $parts = [];
        $each = max(1, (int) floor(self::STRAIGHT_MM / max(1e-6, hypot($dx, $dy))));
        for ($i = 0; $i < $places; $i += $each) {
            [$u, $v] = $this->pixel($x + $i * $dx, $y + $i * $dy);
            [$p, $q] = $this->pixel($x + ($i + $each) * $dx, $y + ($i + $each) * $dy);
            $parts[] = $picture->line($scale * $u, $scale * $v, $scale * ($p - $u) / $each, $scale * ($q - $v) / $each, min($each, $places - $i));
        }

        return array_merge(...$parts);
    }

    public function scaleU(): float
    {
        return $this->lineMm === null ? self::UNCHECKED : self::CHECKED;
    }

    public function placeU(): float
    {
        return hypot(self::PLACE_MM, $this->card->offMm / 2);
    }
}
