<?php

declare(strict_types=1);

namespace OpenSeam\Core\Picture;

/** A row of stitches, seen along it: where its needle went through the cloth. It goes with the cloth, however it is folded after. */
final readonly class Seam
{
    /** Cloth bends this far from its crease; a seam further in cannot be opened, mm. */
    private const BENDS_MM = 4.0;

    /**
     * @param  'sewn'|'basted'|'pinned'  $how
     * @param  non-empty-list<array{strip: int, at: float}>  $places  along each strip, mm; the top one first
     */
    public function __construct(
        public string $how,
        public array $places,
        /** It runs to nothing at a fold, as a dart's does. */
        public bool $toNothing = false,
    ) {}

    /** What it holds still lies together. */
    public function holds(FoldedCloth $cloth): bool
    {
        $x = $this->xs($cloth);

        return max($x) - min($x) <= self::BENDS_MM;
    }

    /** @return non-empty-list<float> where each place lies across the table, mm */
    public function xs(FoldedCloth $cloth): array
    {
        return array_map(fn (array $p): float => $cloth->x($p['at'], $p['strip']), $this->places);
    }

    /** A dart that was opened: on both sides of what it takes in the cloth runs the same way. */
    public function isOpenDart(FoldedCloth $cloth): bool
    {
        $strip = $this->places[0]['strip'];
        $at = array_column($this->places, 'at');

        return $this->toNothing && count($at) === 2 && $cloth->pieceAt(min($at), $strip)->way === $cloth->pieceAt(max($at) + FoldedCloth::NEAR_MM * 2, $strip)->way;
    }

    /** The piece is part of what lies between both places of the seam. */
    public function takesIn(FoldedPiece $piece): bool
    {
        $at = array_column(array_filter($this->places, fn (array $p): bool => $p['strip'] === $piece->strip), 'at');

        return $at !== [] && $piece->from >= min($at) - FoldedCloth::NEAR_MM && $piece->to <= max($at) + FoldedCloth::NEAR_MM;
    }
}
