<?php

declare(strict_types=1);

namespace OpenSeam\Core\Tests\Support;

use OpenSeam\Core\Scan\CardView;
use OpenSeam\Core\Scan\PictureValue;
use OpenSeam\Core\Scan\Raster;
use OpenSeam\Core\Scan\SamplerScan;
use OpenSeam\Core\Scan\ScannedRow;

/** What is read of many photographs, beside what was drawn: how many rows, how far off, and how sure of it. */
final class PhotographsRead
{
    /**
     * @param  resource  $beside  what was refused or far off is told there
     * @return array{hard: ?string, asked: int, refused: list<string>, off: list<array{string, float, float}>, time: float, mb: float} off: of which kind, by how much (mm; length: %), and by how many of its own u
     */
    public static function one(PhotographedSampler $sampler, mixed $beside): array
    {
        $file = $sampler->take();
        $began = microtime(true);
        memory_reset_peak_usage();
        $scan = SamplerScan::read(CardView::of(Raster::read($file), 100.0), $sampler->lesson->sampler, $sampler->piece);
        $told = ['hard' => $sampler->hard, 'asked' => count($sampler->ids), 'refused' => [], 'off' => [], 'time' => microtime(true) - $began, 'mb' => memory_get_peak_usage() / 1e6];
        foreach ($sampler->ids as $i => $id) {
            $found = array_values(array_filter($scan->rows, fn (ScannedRow $r): bool => $r->row === $id))[0] ?? null;
            if ($found === null || $found->cannot !== null) {
                $told['refused'][] = $why = ($scan->cannot ?? $found?->cannot)->value ?? 'not asked';
                fprintf($beside, "\n%s: %s; %s\n", $id, $why, $sampler->told());

                continue;
            }
            foreach (self::off($sampler, $i, $found) as [$kind, $is, $u]) {
                $told['off'][] = [$kind, $is, abs($is) / $u];
                abs($is) > 3 * $u && fprintf($beside, "\n%s: %s off by %.3f, u %.3f; %s\n", $id, $kind, $is, $u, $sampler->told());
            }
        }

        return $told;
    }

    /** @return iterable<array{string, float, float}> kind, how far off, its u */
    private static function off(PhotographedSampler $sampler, int $i, ScannedRow $found): iterable
    {
        [$row, $asked] = [$sampler->drawn->rows[$i], $sampler->lesson->sampler->rows[$sampler->ids[$i]]];
        foreach ($found->readings as $reading => $of) {
            $field = $asked->fields[$reading];
            foreach ($of as $k => $value) {
                if ($value === null || ($field->kind->value === 'stitches' && $k === 0)) {
                    continue;
                }
                $what = PictureValue::askedBy($asked, $field);
                yield [$what->value ?? '', ...match ($what) {
                    PictureValue::Length => [$value->value / ($of[0]->value ?? 1.0) / ($field->oneSide ? 2 : 1) / $row['length'] * 100 - 100, $value->u / $value->value * 100],
                    PictureValue::Width => [$value->value - $row['width'], $value->u],
                    PictureValue::Start => [$value->value - ($sampler->drawn->began[$i] ?? 0.0), $value->u],
                    default => [$value->value - $sampler->drawn->allowance($i, $field->marks[$k]->atMm ?? 0.0), $value->u],
                }];
            }
        }
    }

    /** @param  list<string>  $lines what was told of each, as JSON */
    public static function report(array $lines): string
    {
        $all = array_map(fn (string $line): array => (array) json_decode($line, true, 8, JSON_THROW_ON_ERROR), $lines);
        $report = '';
        foreach (array_unique(array_column($all, 'hard')) as $hard) {
            $some = array_values(array_filter($all, fn (array $one): bool => $one['hard'] === $hard));
            [$asked, $refused, $times] = [array_sum(array_column($some, 'asked')), array_merge(...array_column($some, 'refused')), array_column($some, 'time')];
            $report .= sprintf("%d photographs%s, %d rows: %d read (%.1f %%)\n", count($some), $hard === null ? '' : ", $hard", $asked, $asked - count($refused), 100 - 100 * count($refused) / max(1, $asked));
            foreach (array_count_values($refused) as $why => $count) {
                $report .= sprintf("  not told, %-16s %d\n", $why, $count);
            }
            $kinds = [];
            foreach (array_merge(...array_column($some, 'off')) as [$kind, $is, $ofU]) {
                $kinds[$kind]['far'][] = abs($is);
                $kinds[$kind]['beyond'][] = $ofU > 3;
            }
            foreach ($kinds as $kind => ['far' => $far, 'beyond' => $beyond]) {
                sort($far);
                [$unit, $most] = $kind === 'length' ? ['%', 5.0] : ['mm', 1.0];
                $report .= sprintf("  %-10s %d values, 90 %% within %.3f %s, most %.3f, beyond three u: %d, beyond %.0f %s: %d\n", $kind, count($far), $far[(int) (0.9 * count($far))], $unit, end($far), count(array_filter($beyond)), $most, $unit, count(array_filter($far, fn (float $f): bool => $f > $most)));
            }
            sort($times);
            $report .= sprintf("  time: median %.2f s, most %.2f s; %.0f MB\n", $times[intdiv(count($times), 2)], end($times), max(array_column($some, 'mb')));
        }

        return $report;
    }
}
