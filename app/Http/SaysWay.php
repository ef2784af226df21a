<?php

declare(strict_types=1);

namespace App\Http;

use OpenSeam\Core\Course\Way;
use OpenSeam\Core\Data;
use OpenSeam\Core\InputError;

/** For bodies that say in which way a lesson was sewn. */
trait SaysWay
{
    /** @return array<string, list<string>> */
    private static function wayRules(): array
    {
        return [
            'way' => ['nullable', 'array:schools,stitches'],
            'way.schools' => ['sometimes', 'array', 'max:20'], 'way.schools.*' => ['string', 'max:60'],
            'way.stitches' => ['sometimes', 'array', 'max:100'], 'way.stitches.*' => ['array:stitch,width_mm,length_mm,name'],
        ];
    }

    /**
     * The way it was sewn in; null where it is not said.
     *
     * @throws InputError naming a stitch that is none
     */
    public function way(): ?Way
    {
        $way = $this->input('way');

        return is_array($way) ? Way::read(Data::of(['way' => $way])->part('way')) : null;
    }
}
