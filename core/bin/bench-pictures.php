<?php

declare(strict_types=1);

// Photographs of whole samplers on the printed card, drawn by lot, and what is read of them: bench-pictures.php [number] [seed] [from].

use OpenSeam\Core\Scan\CardView;
use OpenSeam\Core\Scan\PictureValue;
use OpenSeam\Core\Scan\Raster;
use OpenSeam\Core\Scan\SamplerScan;
use OpenSeam\Core\Scan\ScannedRow;
use OpenSeam\Core\Tests\Support\DrawnPiece;
use OpenSeam\Core\Tests\Support\Fixtures;
use OpenSeam\Core\Tests\Support\PhotographedCard;

require __DIR__.'/../../vendor/autoload.php';
ini_set('memory_limit', '1G');

$number = (int) ($argv[1] ?? 60);
$seed = (int) ($argv[2] ?? 1);
// From which on: one of them can be looked at alone.
$first = (int) ($argv[3] ?? 0);
$kinds = ['first-seam', 'guides', 'quarter-seam', 'zigzag-ladder', 'length-ladder', 'sticky-materials'];
$asked = $read = 0;
/** @var array<string, int> $refused */
$refused = [];
/** @var array<string, list<array{float, bool}>> $off how far off each value is, and whether by more than three of its own u */
$off = [];
[$times, $wrong] = [[], []];
for ($n = $first; $n < $first + $number; $n++) {
    mt_srand($seed * 10_000 + $n);
    $share = fn (float $from, float $to): float => $from + ($to - $from) * mt_rand() / mt_getrandmax();
    $lesson = Fixtures::bundle()->lesson($kinds[$n % count($kinds)]);
    $piece = SamplerScan::pieces($lesson->sampler)[0];
    $cut = $lesson->sampler->pieces[$piece];
    $drawn = new DrawnPiece;
    [$drawn->widthMm, $drawn->heightMm] = [$cut->widthMm + $share(-1.5, 1.5), $cut->heightMm + $share(-1.5, 1.5)];
    [$cloth, $thread] = [[[226, 218, 204], [30, 60, 120]], [[214, 206, 188], [120, 30, 40]], [[60, 58, 66], [240, 238, 230]], [[92, 120, 150], [245, 240, 225]], [[236, 232, 224], [90, 80, 70]]][mt_rand(0, 4)];
    [$drawn->cloth, $drawn->thread, $drawn->frayMm, $drawn->turnDegrees, $drawn->weave] = [$cloth, $thread, $share(0.1, 0.4), $share(-4, 4), $share(3, 9)];
    $ids = [];
    foreach ($lesson->sampler->rows as $row) {
        $corners = $row->path->corners ?? [];
        if ($row->piece !== $piece || count($corners) !== 2 || $corners[0][0] !== $corners[1][0]) {
            continue;
        }
        $right = $corners[0][0] > $cut->widthMm / 2;
        $drawn->rows[] = [
            'stitch' => $row->stitch->kind->plainZigzag ? 'zigzag' : 'straight', 'edge' => $right ? 'right' : 'left', 'at' => ($right ? $cut->widthMm - $corners[0][0] : $corners[0][0]) + $share(-0.7, 0.7),
            'length' => $row->stitch->lengthMm * $share(0.9, 1.1), 'width' => $row->stitch->widthMm, 'drift' => $share(-1, 1), 'wobble' => $share(0, 0.2),
            'from' => min($corners[0][1], $corners[1][1]), 'to' => max($corners[0][1], $corners[1][1]),
        ];
        $ids[] = $row->id;
    }
    $photo = new PhotographedCard($drawn);
    [$photo->width, $photo->height, $photo->fine, $photo->fills] = [1800, 2400, 10.0, $share(0.72, 0.8)];
    [$photo->tilt, $photo->tiltTowards, $photo->turn, $photo->bend] = [$share(0, 30), $share(0, 360), [0, 180][mt_rand(0, 1)] + $share(-12, 12), $share(-0.06, 0.06)];
    [$photo->dark, $photo->lamp, $photo->blur, $photo->jpeg, $photo->noise] = [$share(0.7, 1), [1.0, $share(0.85, 1), $share(0.65, 1)], mt_rand(0, 2), mt_rand(60, 92), $share(1, 4)];
    mt_rand(0, 4) === 0 && $photo->covered = [mt_rand(1, 4)];
    mt_rand(0, 4) === 0 && $photo->shadow = $share(0.1, 0.35);
    $file = $photo->take($seed * 1000 + $n);
    $began = microtime(true);
    $picture = CardView::of(Raster::read($file), 100.0);
    $scan = SamplerScan::read($picture, $lesson->sampler, $piece);
    $times[] = microtime(true) - $began;
    foreach ($drawn->rows as $i => $row) {
        $id = $ids[$i];
        $found = array_values(array_filter($scan->rows, fn (ScannedRow $r): bool => $r->row === $id))[0] ?? null;
        $fields = $lesson->sampler->rows[$id]->fields;
        $asked++;
        if ($found === null || $found->cannot !== null) {
            $why = ($scan->cannot ?? $found?->cannot)->value ?? 'not asked';
            $refused[$why] = ($refused[$why] ?? 0) + 1;
            fprintf(STDERR, "\n%d %s %s: %s; cloth %s, shadow %.2f, light %.2f, tilt %.0f\n", $n, $lesson->id, $id, $why, implode(' ', $cloth), $photo->shadow, $photo->dark, $photo->tilt);

            continue;
        }
        $read++;
        foreach ($found->readings as $reading => $of) {
            $field = $fields[$reading];
            foreach ($of as $k => $value) {
                if ($value === null || ($field->kind->value === 'stitches' && $k === 0)) {
                    continue;
                }
                $what = PictureValue::askedBy($lesson->sampler->rows[$id], $field);
                [$kind, $is, $u] = [$what->value ?? '', ...match ($what) {
                    PictureValue::Length => [$value->value / ($of[0]->value ?? 1.0) / ($field->oneSide ? 2 : 1) / $row['length'] * 100 - 100, $value->u / $value->value * 100],
                    PictureValue::Width => [$value->value - $row['width'], $value->u],
                    PictureValue::Start => [$value->value - ($drawn->began[$i] ?? 0.0), $value->u],
                    default => [$value->value - $drawn->allowance($i, $field->marks[$k]->atMm ?? 0.0), $value->u],
                }];
                $off[$kind][] = [abs($is), abs($is) > 3 * $u];
                $kind !== 'length' && abs($is) > 1.0 && $wrong[] = "$n $id $kind ".round($is, 2);
            }
        }
    }
    fwrite(STDERR, '.');
}
sort($times);
printf("\n%d photographs, %d rows: %d read (%.1f %%)\n", $number, $asked, $read, 100 * $read / max(1, $asked));
foreach ($refused as $why => $count) {
    printf("  not told, %-16s %d\n", $why, $count);
}
foreach ($off as $kind => $all) {
    $far = array_column($all, 0);
    sort($far);
    printf("  %-10s %d values, 90 %% within %.3f %s, most %.3f, beyond three u: %d\n", $kind, count($far), $far[(int) (0.9 * count($far))] ?? 0.0, $kind === 'length' ? '%' : 'mm', $far[count($far) - 1] ?? 0.0, count(array_filter(array_column($all, 1))));
}
printf("  off by more than 1 mm: %s\n  time: median %.2f s, most %.2f s; %.0f MB\n", $wrong === [] ? 'none' : implode('; ', $wrong), $times[intdiv(count($times), 2)], end($times), memory_get_peak_usage() / 1e6);
