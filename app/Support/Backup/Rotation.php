<?php

declare(strict_types=1);

namespace App\Support\Backup;

use DateTimeImmutable;

/** Which backups stay: the newest of each of the last days, weeks and months. */
final readonly class Rotation
{
    public function __construct(private int $days, private int $weeks, private int $months) {}

    /**
     * @param  array<string, DateTimeImmutable>  $made  when each was made, by name
     * @return list<string> names that can go
     */
    public function gone(array $made): array
    {
        arsort($made);
        $kept = [];
        foreach ([['Y-m-d', $this->days], ['o-W', $this->weeks], ['Y-m', $this->months]] as [$period, $most]) {
            $seen = [];
            foreach ($made as $name => $at) {
                $of = $at->format($period);
                if (! isset($seen[$of]) && count($seen) < $most) {
                    $seen[$of] = true;
                    $kept[$name] = true;
                }
            }
        }

        return array_map(strval(...), array_keys(array_diff_key($made, $kept)));
    }
}
