<?php

declare(strict_types=1);

namespace OpenSeam\Core\Picture;

use OpenSeam\Core\Data;
use OpenSeam\Core\InputError;
use OpenSeam\Core\Machine\BlindHem;
use OpenSeam\Core\Stitch\NeedlePoints;
use OpenSeam\Core\Stitch\StitchBook;
use OpenSeam\Core\Stitch\StitchSettings;

/** The row of a blind hem on fold and allowance from above, to scale: how deep each swing bites. */
final class BlindHemPicture implements Drawer
{
    private const LONG_MM = 26.0;

    private const SIDE_MM = 9.0;

    public function draw(Data $d, Shown $of): Picture
    {
        return self::of(BlindHem::read($d), $d->flag('stretch'), $d->numberOrNull('length_mm'));
    }

    /** @throws InputError for a length that the stitch has not */
    public static function of(BlindHem $set, bool $stretch, ?float $length = null): Picture
    {
        $kind = StitchBook::standard()->get($stretch ? 'blind-hem-stretch' : 'blind-hem');
        $settings = StitchSettings::of($kind, $length, $set->widthMm);
        $way = $set->mirrored ? -1 : 1;
        $pen = new Pen;
        $fold = $set->bladeMm;
        // The garment lies folded on the left of the blade, its hem's allowance on the right.
        $pen->box('cloth-other', min($fold, $fold - $way * self::SIDE_MM), 0, max($fold, $fold - $way * self::SIDE_MM), self::LONG_MM)
            ->box('cloth-back', min($fold, $fold + $way * self::SIDE_MM), 0, max($fold, $fold + $way * self::SIDE_MM), self::LONG_MM)
            ->line('heavy', $fold, 0, $fold, self::LONG_MM);
        // Sewn away from who sits there: the row runs up the picture.
        $points = array_map(fn (array $p): array => [$set->positionMm + $way * $p[1], self::LONG_MM - 3 - $p[0]], NeedlePoints::along($settings, self::LONG_MM - 4));
        $pen->shape('thread', $points);
        foreach ($points as [$x, $y]) {
            $deep = $way * ($fold - $x);
            $deep > 0 && $pen->oval('mark', $x, $y, 0.45);
        }
        $pen->box('body', min($fold, $fold + $way * 0.7), self::LONG_MM - 2.6, max($fold, $fold + $way * 0.7), self::LONG_MM + 4)->label('blade', $fold, self::LONG_MM + 7.5);
        $reach = $fold - $way * $set->biteMm;
        $pen->line('measure', $fold, -1.6, $reach, -1.6)->line('measure', $fold, -2.4, $fold, -0.8)->line('measure', $reach, -2.4, $reach, -0.8)
            ->label('bite', $fold, -4.0, mm: abs($set->biteMm))->label('fold', $fold - $way * self::SIDE_MM * 0.5, self::LONG_MM + 3.2)->label('allowance', $fold + $way * self::SIDE_MM * 0.6, self::LONG_MM + 3.2);

        return $pen->picture(true);
    }
}
