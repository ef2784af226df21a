<?php

declare(strict_types=1);

namespace OpenSeam\Core\Material;

use OpenSeam\Core\Sampler\Threads;
use OpenSeam\Core\Words;

/** Thread of a class by colour: metres sewn, spools to buy, bobbins to wind. */
final class ThreadCount
{
    /** Tails, rethreading and what is cut away; common practice, no source. */
    public const MARGIN = 1.5;

    /** @var array<string, float> metres by colour, top and bobbin together */
    private array $metres = [];

    /** @var array<string, float> metres on bobbins by colour */
    private array $bobbin = [];

    /** @param  float  $mm  of each of the two threads */
    public function add(Threads $threads, float $mm): void
    {
        if ($mm <= 0.0) {
            return;
        }
        $this->metres[$threads->top] = ($this->metres[$threads->top] ?? 0.0) + $mm / 1000;
        $this->metres[$threads->bobbin] = ($this->metres[$threads->bobbin] ?? 0.0) + $mm / 1000;
        $this->bobbin[$threads->bobbin] = ($this->bobbin[$threads->bobbin] ?? 0.0) + $mm / 1000;
    }

    /**
     * @param  int  $machines  that sew at the same time: each has a spool on it and a bobbin in it
     * @return list<Need> spools of each colour, then bobbins
     */
    public function needs(Bought $bought, int $machines, Words $words): array
    {
        $needs = [];
        foreach ($this->metres as $colour => $sewn) {
            $metres = ceil($sewn * self::MARGIN);
            $needs[] = new Need('thread.'.self::id($colour), $words->say('material.thread', ['colour' => $colour]), max((float) $machines, ceil($metres / $bought->spoolMetres)), 'spools', $words->say('material.thread-how', [
                'sewn' => $words->thread($sewn), 'margin' => $words->number(self::MARGIN), 'metres' => $words->thread($metres), 'spool' => $words->thread($bought->spoolMetres), 'machines' => (string) $machines,
            ]));
        }
        $bobbins = 0.0;
        $parts = [];
        foreach ($this->bobbin as $colour => $sewn) {
            $metres = ceil($sewn * self::MARGIN);
            $bobbins += $wound = max((float) $machines, ceil($metres / $bought->bobbinMetres));
            $parts[] = $words->say('material.bobbin-part', ['n' => $words->number($wound), 'colour' => $colour, 'metres' => $words->thread($metres)]);
        }
        if ($parts !== []) {
            $needs[] = new Need('bobbin', $words->say('material.bobbin'), $bobbins, 'pieces', $words->say('material.bobbin-how', ['parts' => implode(', ', $parts), 'full' => $words->thread($bought->bobbinMetres), 'machines' => (string) $machines]));
        }

        return $needs;
    }

    private static function id(string $colour): string
    {
        return trim((string) preg_replace('/[^a-z0-9]+/', '-', strtolower($colour)), '-');
    }
}
