<?php

declare(strict_types=1);

namespace App\Printing;

/** How a part of a picture is drawn on paper: black on white, told apart by weight, dashes and grey. */
final readonly class PictureInk
{
    /** Grey of what is an area; 255 is the paper. */
    private const FILLS = [
        'cloth-face' => 235, 'cloth-back' => 255, 'cloth-other' => 215, 'paper' => 255, 'body' => 245, 'metal' => 205, 'wood' => 220, 'skin' => 240, 'dark' => 0,
        'glass' => 242, 'thread-wound' => 190, 'zone' => 230, 'arrow-head' => 0, 'mark' => 60, 'above-right' => 235, 'above-wrong' => 255,
    ];

    /** Weight of a line for a hundredth of the picture. */
    private const WEIGHTS = [
        'heavy' => 0.85, 'right-side' => 0.85, 'needle' => 0.85, 'thin' => 0.2, 'thread' => 0.7, 'sewn' => 0.7, 'row-sewn' => 0.7, 'thread-under' => 0.7, 'lit' => 1.1, 'arrow' => 0.9,
        'cut-line' => 0.8, 'ghost' => 0.25, 'wrong' => 1.6, 'pin' => 0.6, 'pinned' => 0.6, 'row-pinned' => 0.6, 'basted' => 0.6, 'row-basted' => 0.6, 'cord' => 1.6,
    ];

    private const DASHES = [
        'chalk' => [1.6, 1.2], 'basted' => [3.0, 1.8], 'row-basted' => [3.0, 1.8], 'cut-line' => [2.0, 1.0], 'crease' => [2.4, 0.9, 0.5, 0.9], 'ghost' => [0.9, 0.9], 'zone' => [1.2, 1.0], 'row-sewn' => [2.0, 1.0], 'thread-under' => [1.4, 0.5],
    ];

    private const GREYS = ['ghost' => 110, 'chalk' => 70, 'thin' => 60];

    /** @param  list<float>  $dash  in hundredths of the picture */
    private function __construct(public ?int $fill, public float $weight, public array $dash, public int $grey) {}

    public static function of(string $role): self
    {
        return new self(self::FILLS[$role] ?? null, self::WEIGHTS[$role] ?? 0.35, self::DASHES[$role] ?? [], self::GREYS[$role] ?? 0);
    }
}
