<?php

declare(strict_types=1);

namespace OpenSeam\Core\Material;

/** When something runs out: the first session whose needs, with all before it, are more than what is there. */
final class Shortage
{
    /**
     * @param  list<ClassMaterials>  $sums  needs of the first session, of the first two, and so on
     * @param  array<array-key, float>  $have  by item, in the unit of the need
     * @return array<array-key, int> by item, counted from 0; what never runs short is left out
     */
    public static function first(array $sums, array $have): array
    {
        $short = [];
        foreach ($sums as $session => $sum) {
            foreach ($sum->needs as $need) {
                if (! isset($short[$need->item]) && $need->amount > ($have[$need->item] ?? 0.0) + 1e-9) {
                    $short[$need->item] = $session;
                }
            }
        }

        return $short;
    }
}
