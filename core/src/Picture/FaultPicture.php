<?php

declare(strict_types=1);

namespace OpenSeam\Core\Picture;

use OpenSeam\Core\Data;
use OpenSeam\Core\Fault\Fault;
use OpenSeam\Core\InputError;
use OpenSeam\Core\Tables;

/** A fault beside what should be there: the known ones are drawn by resources/causes.json, a bundle draws its own. */
final class FaultPicture
{
    /**
     * Null where nobody has drawn it.
     *
     * @throws InputError naming what cannot be drawn
     */
    public static function of(Fault $fault): ?Picture
    {
        $drawn = $fault->picture ?? self::known()[$fault->id] ?? null;

        return $drawn === null ? null : (new PictureBook)->draw($drawn, new Shown);
    }

    /** @return array<string, Data> */
    private static function known(): array
    {
        /** @var array<string, Data>|null $known */
        static $known = null;
        if ($known === null) {
            $known = [];
            foreach (Tables::read('causes')->parts('faults') as $f) {
                $f->has('picture') && $known[$f->text('id')] = $f->part('picture');
            }
        }

        return $known;
    }
}
