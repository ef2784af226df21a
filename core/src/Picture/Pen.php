<?php

declare(strict_types=1);

namespace OpenSeam\Core\Picture;

/** Draws: gathers the shapes and words of a picture. */
final class Pen
{
    private const ROUND = 24;

    /** @var list<Shape> */
    private array $shapes = [];

    /** @var list<Label> */
    private array $labels = [];

    /** @param  list<array{float, float}>  $points */
    public function shape(string $role, array $points): self
    {
        $this->shapes[] = new Shape($role, $points);

        return $this;
    }

    public function line(string $role, float $x1, float $y1, float $x2, float $y2): self
    {
        return $this->shape($role, [[$x1, $y1], [$x2, $y2]]);
    }

    public function box(string $role, float $left, float $top, float $right, float $bottom): self
    {
        $points = [[$left, $top], [$right, $top], [$right, $bottom], [$left, $bottom]];

        return $this->shape($role, in_array($role, Shape::AREAS, true) ? $points : [...$points, $points[0]]);
    }

    public function oval(string $role, float $x, float $y, float $rx, ?float $ry = null): self
    {
        return $this->arc($role, $x, $y, $rx, $ry ?? $rx, 0.0, 2 * M_PI);
    }

    /** @param  float  $from  radians from the right, clockwise as y runs down */
    public function arc(string $role, float $x, float $y, float $rx, float $ry, float $from, float $to): self
    {
        $points = [];
        for ($i = 0; $i <= self::ROUND; $i++) {
            $turn = $from + ($to - $from) * $i / self::ROUND;
            $points[] = [$x + $rx * cos($turn), $y + $ry * sin($turn)];
        }

        return $this->shape($role, $points);
    }

    /** An arrow along a line, its head at the end. */
    public function arrow(float $head, float ...$xy): self
    {
        $points = array_chunk(array_values($xy), 2);
        /** @var list<array{float, float}> $points */
        [$x, $y] = $points[count($points) - 1];
        [$px, $py] = $points[count($points) - 2];
        $long = hypot($x - $px, $y - $py) ?: 1.0;
        [$dx, $dy] = [($x - $px) / $long * $head, ($y - $py) / $long * $head];
        $this->shape('arrow', $points);

        return $this->shape('arrow-head', [[$x, $y], [$x - $dx - $dy * 0.5, $y - $dy + $dx * 0.5], [$x - $dx + $dy * 0.5, $y - $dy - $dx * 0.5]]);
    }

    /** A length between two places of one height, with its number below. */
    public function measure(float $x1, float $x2, float $y, float $tick, ?string $key = 'length', ?float $mm = null): self
    {
        $this->line('measure', $x1, $y, $x2, $y)->line('measure', $x1, $y - $tick, $x1, $y + $tick)->line('measure', $x2, $y - $tick, $x2, $y + $tick);

        return $key === null ? $this : $this->label($key, ($x1 + $x2) / 2, $y + $tick * 3.2, mm: $mm ?? abs($x2 - $x1));
    }

    /** @param  'start'|'middle'|'end'  $anchor */
    public function label(string $key, float $x, float $y, string $anchor = 'middle', ?float $mm = null, string $number = ''): self
    {
        $this->labels[] = new Label($key, $x, $y, $anchor, $mm, $number);

        return $this;
    }

    /** Not so. */
    public function cross(float $x, float $y, float $size): self
    {
        return $this->line('wrong', $x - $size, $y - $size, $x + $size, $y + $size)->line('wrong', $x - $size, $y + $size, $x + $size, $y - $size);
    }

    /** All of another picture, so much larger and moved. */
    public function add(Picture $other, float $scale = 1.0, float $x = 0.0, float $y = 0.0): self
    {
        foreach ($other->shapes as $shape) {
            $this->shapes[] = $shape->placed($scale, $x, $y);
        }
        foreach ($other->labels as $label) {
            $this->labels[] = $label->placed($scale, $x, $y);
        }

        return $this;
    }

    /** @param  array{float, float, float, float}|null  $window */
    public function picture(bool $toScale = false, ?array $window = null): Picture
    {
        return new Picture($this->shapes, $this->labels, $toScale, $window);
    }
}
