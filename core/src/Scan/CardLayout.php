<?php

declare(strict_types=1);

namespace OpenSeam\Core\Scan;

/**
 * The printed card that a sample is laid on to be photographed: a button in each corner, which tells by its holes which
 * corner it is, pins between them that tell the lens and the size of the card, and a grey field for the sample. All in mm
 * from the card's upper left corner.
 */
final readonly class CardLayout
{
    public const BUTTON_MM = 14.0;

    public const PIN_MM = 5.0;

    /** From the middle of a button to the field. */
    public const TO_FIELD_MM = 12.0;

    /** Below the field: for the line to check, the arrow’s words and the place of the code. */
    public const FOOT_MM = 46.0;

    /** The code on a slip with the white about it. */
    public const BOX_MM = 31.0;

    /** Of the field: as far from white as from black, so that pale and dark cloth both differ from it. */
    public const GREY = 128;

    /** The line to check the print by. */
    public const LINE_MM = 100.0;

    /** Holes of a button by how many it has: how far from its middle, and their radius. */
    private const HOLES = [1 => [0.0, 2.2], 2 => [2.7, 1.7], 3 => [2.9, 1.5], 4 => [3.1, 1.4]];

    /**
     * @param  string  $id  a4, letter, or double: of two sheets of either
     * @param  float  $edgeMm  from the edges of the card to the middles of the buttons
     * @param  int  $across  pins between two buttons of the short sides
     * @param  int  $down  and of the long ones: no two cards have the same
     */
    private function __construct(public string $id, public float $widthMm, public float $heightMm, public float $edgeMm, private int $across, private int $down) {}

    /** @return list<self> */
    public static function all(): array
    {
        return [new self('a4', 210.0, 297.0, 14.0, 3, 5), new self('letter', 215.9, 279.4, 14.0, 4, 6), new self('double', 262.0, 374.0, 9.0, 5, 8)];
    }

    public static function of(string $id): self
    {
        return array_values(array_filter(self::all(), fn (self $l): bool => $l->id === $id))[0] ?? self::all()[0];
    }

    /** @return array<int, array{float, float}> middles of the buttons by how many holes they have: from the upper left clockwise */
    public function buttons(): array
    {
        [$l, $t, $r, $b] = [$this->edgeMm, $this->edgeMm, $this->widthMm - $this->edgeMm, $this->heightMm - $this->edgeMm];

        return [1 => [$l, $t], 2 => [$r, $t], 3 => [$r, $b], 4 => [$l, $b]];
    }

    /** @return list<array{float, float}> places and radii of the holes of a button that has so many, about its middle */
    public static function holes(int $holes): array
    {
        [$out] = self::HOLES[$holes];
        // Not level with the sides of the card: a thread laid along one hides none of them.
        $turn = $holes === 4 ? M_PI / 4 : ($holes === 2 ? M_PI / 4 : M_PI / 6);

        return array_map(fn (int $i): array => [$out * cos($turn + 2 * M_PI * $i / $holes), $out * sin($turn + 2 * M_PI * $i / $holes)], range(0, $holes - 1));
    }

    public static function holeMm(int $holes): float
    {
        return 2 * self::HOLES[$holes][1];
    }

    /**
     * @param  list<int>|null  $between  of sides whose both buttons, by their holes, are among these; null: all
     * @return list<array{float, float}> middles of the pins, evenly between the buttons
     */
    public function pins(?array $between = null): array
    {
        $pins = [];
        $corners = array_values($this->buttons());
        foreach ($corners as $i => [$x, $y]) {
            [$u, $v] = $corners[($i + 1) % 4];
            $n = $i % 2 === 0 ? $this->across : $this->down;
            if ($between !== null && array_diff([$i + 1, ($i + 1) % 4 + 1], $between) !== []) {
                continue;
            }
            for ($k = 1; $k <= $n; $k++) {
                $pins[] = [$x + ($u - $x) * $k / ($n + 1), $y + ($v - $y) * $k / ($n + 1)];
            }
        }

        return $pins;
    }

    /** @return array{float, float, float, float} left, top, width and height of the grey field */
    public function field(): array
    {
        $in = $this->edgeMm + self::TO_FIELD_MM;

        return [$in, $in, $this->widthMm - 2 * $in, $this->heightMm - 2 * $in - self::FOOT_MM];
    }

    /** @return array{float, float, float, float} left, top, width and height of the box for the slip that says whose sample it is */
    public function box(): array
    {
        [$x, $y, $w, $h] = $this->field();

        return [$x + $w - self::BOX_MM, $y + $h + self::FOOT_MM - self::BOX_MM - 1.0, self::BOX_MM, self::BOX_MM];
    }

    /** Between two pins of a side at most. */
    public function apartMm(): float
    {
        return max(($this->widthMm - 2 * $this->edgeMm) / ($this->across + 1), ($this->heightMm - 2 * $this->edgeMm) / ($this->down + 1));
    }
}
