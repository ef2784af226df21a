<?php

declare(strict_types=1);

namespace OpenSeam\Core\Picture;

/**
 * Something a practitioner shows, as shapes and words. A browser makes SVG of it
 * and a printer PDF, from these same shapes.
 */
final readonly class Picture
{
    /** Height of a word for the larger of width and one and a half heights: legible when the picture is 60 mm wide. */
    public const WORD = 0.056;

    /** Wide enough for any letter on average, for the height of a word. */
    private const LETTER = 0.55;

    /**
     * @param  list<Shape>  $shapes  what is drawn first lies below
     * @param  list<Label>  $labels
     * @param  bool  $toScale  one mm in it is one mm of what it shows
     * @param  array{float, float, float, float}|null  $window  only this is seen: left, top, right, bottom
     */
    public function __construct(public array $shapes, public array $labels = [], public bool $toScale = false, public ?array $window = null) {}

    /** @return array{left: float, top: float, width: float, height: float} mm, with room for its words */
    public function box(): array
    {
        $x = $y = [];
        if ($this->window !== null) {
            [$x, $y] = [[$this->window[0], $this->window[2]], [$this->window[1], $this->window[3]]];
        } else {
            foreach ($this->shapes as $shape) {
                foreach ($shape->points as $point) {
                    $x[] = $point[0];
                    $y[] = $point[1];
                }
            }
        }
        $word = self::word(max($x ?: [1.0]) - min($x ?: [0.0]), max($y ?: [1.0]) - min($y ?: [0.0]));
        foreach ($this->labels as $label) {
            // How long the words are is known to the language alone; sixteen letters is what they keep to.
            $long = ($label->key === '' ? strlen($label->number) : 16) * $word * self::LETTER;
            $from = $label->x - ['start' => 0.0, 'middle' => 0.5, 'end' => 1.0][$label->anchor] * $long;
            array_push($x, $from, $from + $long);
            array_push($y, $label->y - $word, $label->y + $word * 0.3);
        }
        $room = $word * 0.5;
        $left = min($x ?: [0.0]) - $room;
        $top = min($y ?: [0.0]) - $room;

        return ['left' => $left, 'top' => $top, 'width' => max($x ?: [1.0]) + $room - $left, 'height' => max($y ?: [1.0]) + $room - $top];
    }

    /** Height of its words, mm of the picture. */
    public function wordMm(): float
    {
        $box = $this->box();

        return self::word($box['width'], $box['height']);
    }

    /** The same without what lies outside its window and is never seen. */
    public function trimmed(): self
    {
        if ($this->window === null) {
            return $this;
        }
        [$left, $top, $right, $bottom] = $this->window;
        $seen = array_filter($this->shapes, function (Shape $s) use ($left, $top, $right, $bottom): bool {
            $x = array_column($s->points, 0);
            $y = array_column($s->points, 1);

            return $x !== [] && $y !== [] && max($x) >= $left && min($x) <= $right && max($y) >= $top && min($y) <= $bottom;
        });

        return new self(array_values($seen), $this->labels, $this->toScale, $this->window);
    }

    public function mirrored(): self
    {
        return new self(
            array_map(fn (Shape $s): Shape => $s->mirrored(), $this->shapes), array_map(fn (Label $l): Label => $l->mirrored(), $this->labels), $this->toScale,
            $this->window === null ? null : [-$this->window[2], $this->window[1], -$this->window[0], $this->window[3]],
        );
    }

    private static function word(float $width, float $height): float
    {
        return max($width, $height * 1.5) * self::WORD;
    }
}
