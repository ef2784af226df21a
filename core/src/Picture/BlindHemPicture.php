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
    private const LONG_MM = 44.0;

    private const SIDE_MM = 10.0;

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
        // Sewn to the right; what lies to the left of the blade, the folded garment, is above in the picture.
        $side = fn (string $role, float $to): Pen => $pen->box($role, 0, min($fold, $to), self::LONG_MM, max($fold, $to));
        $side('cloth-other', $fold - $way * self::SIDE_MM);
        $side('cloth-back', $fold + $way * self::SIDE_MM);
        $pen->line('heavy', 0, $fold, self::LONG_MM, $fold);
        $points = array_map(fn (array $p): array => [$p[0] + 2, $set->positionMm + $way * $p[1]], NeedlePoints::along($settings, self::LONG_MM - 4));
        $pen->shape('thread', $points);
        foreach ($points as [$x, $y]) {
            $way * ($fold - $y) > 0 && $pen->oval('mark', $x, $y, 0.5);
        }
        $end = self::LONG_MM;
        $pen->box('body', $end - 4, min($fold, $fold + $way * 0.8), $end + 6, max($fold, $fold + $way * 0.8))->label('blade', $end + 7, $fold + $way * 0.4 + 1, 'start');
        $reach = $fold - $way * $set->biteMm;
        $pen->line('measure', -2, $fold, -2, $reach)->line('measure', -3, $fold, -1, $fold)->line('measure', -3, $reach, -1, $reach)
            ->label('bite', -3.6, $fold + 1, 'end', abs($set->biteMm))->label('fold', 4, $fold - $way * self::SIDE_MM * 0.6 + 1, 'start')->label('allowance', 4, $fold + $way * self::SIDE_MM * 0.75 + 1, 'start');

        return $pen->picture(true);
    }
}
