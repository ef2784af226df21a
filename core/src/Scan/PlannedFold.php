<?php

declare(strict_types=1);

namespace OpenSeam\Core\Scan;

use OpenSeam\Core\Sampler\Line;
use OpenSeam\Core\Sampler\Piece;
use OpenSeam\Core\Sampler\Sampler;

/** A fold that lies on a piece beside one of its rows and level with it: the row is topstitched to it. */
final readonly class PlannedFold
{
    /** A place so near to it is meant to lie on it, mm. */
    private const ON_MM = 0.5;

    /**
     * @param  int  $beside  which stretch
     * @param  float  $at  from the left, or from the top, mm
     * @param  bool  $isUpright  runs down the piece
     * @param  bool  $isInwards  further from the edge of the stretch than that is
     */
    private function __construct(public int $beside, private float $at, private bool $isUpright, public bool $isInwards) {}

    /**
     * @param  list<Stretch>  $all
     * @return list<self>
     */
    public static function of(Sampler $sampler, Piece $piece, array $all): array
    {
        $found = [];
        foreach ($sampler->lines as $line) {
            $fold = $line->kind === 'fold' && $line->piece === $piece->id ? self::beside($line, $piece, $all) : null;
            $fold === null || $found[] = $fold;
        }

        return $found;
    }

    /** @param  list<Stretch>  $all */
    private static function beside(Line $line, Piece $piece, array $all): ?self
    {
        foreach ($all as $k => $stretch) {
            [$across, $deep] = $stretch->isUpright() ? [0, $piece->widthMm] : [1, $piece->heightMm];
            $at = $line->from[$across];
            $away = in_array($stretch->side, ['right', 'bottom'], true) ? $deep - $at : $at;
            if ($stretch->isPlain() && ! $stretch->isZigzag() && abs($line->to[$across] - $at) < self::ON_MM && $away > self::ON_MM && abs($away - $stretch->about) <= FoldBeside::FURTHEST_MM) {
                return new self($k, $at, $stretch->isUpright(), $away > $stretch->about);
            }
        }

        return null;
    }

    /** @param  array{float, float}  $place */
    public function has(array $place): bool
    {
        return abs($place[$this->isUpright ? 0 : 1] - $this->at) <= self::ON_MM;
    }
}
