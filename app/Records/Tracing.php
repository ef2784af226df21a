<?php

declare(strict_types=1);

namespace App\Records;

use OpenSeam\Core\Skill\TracingParameters;

/** A studio's own numbers of the skill model, as they are kept beside it. */
final class Tracing
{
    /** @return array<string, TracingParameters> by kind of skill */
    public static function read(?string $kept): array
    {
        $own = [];
        foreach ((array) json_decode($kept ?? '[]', true) as $kind => $n) {
            $n = array_map(fn (mixed $v): float => is_numeric($v) ? (float) $v : 0.0, is_array($n) ? $n : []);
            // Numbers fitted to single checks, before a showing was a sample's required checks together, say something else: the usual ones stand in.
            if (! isset($n['demo'])) {
                continue;
            }
            $own[(string) $kind] = TracingParameters::of($n['start'] ?? 0.0, $n['slip'] ?? 0.0, $n['guess'] ?? 0.0, $n['transit'] ?? 0.0, $n['demo']);
        }

        return $own;
    }

    /** @param  array<string, TracingParameters>  $own */
    public static function write(array $own): ?string
    {
        return $own === [] ? null : json_encode(array_map(fn (TracingParameters $p): array => ['start' => $p->start, 'slip' => $p->slip, 'guess' => $p->guess, 'transit' => $p->transit, 'demo' => $p->demo], $own), JSON_THROW_ON_ERROR);
    }
}
