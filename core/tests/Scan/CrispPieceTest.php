<?php

declare(strict_types=1);

namespace OpenSeam\Core\Tests\Scan;

use OpenSeam\Core\Compute\Registry;
use OpenSeam\Core\Scan\FoundPiece;
use OpenSeam\Core\Scan\Raster;
use OpenSeam\Core\Scan\RowEnds;
use OpenSeam\Core\Scan\Sampled;
use OpenSeam\Core\Tests\Support\CrispPiece;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/** Pieces of a third make through the command line’s contract: what is easy for the eye must not be refused, and never told wrong. */
final class CrispPieceTest extends TestCase
{
    /** @return iterable<string, array{int}> */
    public static function lots(): iterable
    {
        // The last: cloth so even that nothing of it may be taken away from the row.
        foreach ([...range(1, 11), 74] as $seed) {
            yield "lot $seed" => [$seed];
        }
    }

    #[DataProvider('lots')]
    public function test_every_row_is_read_as_it_was_drawn(int $seed): void
    {
        $piece = new CrispPiece($seed);
        $marks = array_map(fn (float $part): float => round($part * $piece->long(), 1), [0.25, 0.5, 0.75]);
        $out = Registry::standard()->run('read-picture', (string) json_encode([
            'picture' => base64_encode($piece->draw()), 'scale' => ['kind' => 'dpi', 'dpi' => $piece->dpi],
            // Where a row should be is known to a millimetre.
            'rows' => array_map(fn (array $r, int $i): array => ['id' => "r$i", 'stitch' => $r['zigzag'] ? 'zigzag' : 'straight', 'edge' => $piece->edge, 'about_mm' => round($r['at'] + ($i % 2 === 0 ? 1.0 : -1.0), 1), 'marks_mm' => $marks], $piece->rows, array_keys($piece->rows)),
        ]));
        self::assertNull($out['cannot']);
        self::assertIsArray($out['piece']);
        self::assertEqualsWithDelta([$piece->widthMm, $piece->heightMm], [$out['piece']['width_mm'], $out['piece']['height_mm']], 0.2);
        /** @var list<array{allowance: list<array{at_mm: float, mm: float, u_mm: float}>, length: array{mm: float, u_mm: float}|null, width: array{mm: float, u_mm: float}|null, cannot: string|null}> $rows */
        $rows = $out['rows'];
        foreach ($piece->rows as $i => $row) {
            $what = sprintf('%s of %.2f, %.2f wide, %d dpi', $row['zigzag'] ? 'zigzag' : 'straight', $row['length'], $row['width'], $piece->dpi);
            self::assertNull($rows[$i]['cannot'], $what);
            self::assertCount(3, $rows[$i]['allowance'], $what);
            foreach ($rows[$i]['allowance'] as $mark) {
                self::assertEqualsWithDelta($piece->allowance($i, $mark['at_mm']), $mark['mm'], min(0.3, 3 * $mark['u_mm']), $what);
            }
            self::assertEqualsWithDelta(1.0, (float) ($rows[$i]['length']['mm'] ?? 0.0) / $row['length'], 0.02, $what);
            $row['zigzag'] ? self::assertEqualsWithDelta($row['width'], (float) ($rows[$i]['width']['mm'] ?? 0.0), 0.25, $what) : self::assertNull($rows[$i]['width'], $what);
        }
    }

    public function test_stitches_sewn_back_at_both_ends_are_counted(): void
    {
        $told = $asked = 0;
        foreach ([1, 2, 3, 7, 11] as $seed) {
            $piece = new CrispPiece($seed);
            $once = new Sampled(Raster::read($piece->draw()), 25.4 / $piece->dpi);
            $piece = new CrispPiece($seed);
            $piece->back = [2, 3, 4][$seed % 3];
            $tied = new Sampled(Raster::read($piece->draw()), 25.4 / $piece->dpi);
            foreach ([[$once, null], [$tied, $piece->back]] as [$picture, $back]) {
                $found = FoundPiece::in($picture);
                self::assertInstanceOf(FoundPiece::class, $found);
                foreach ($piece->rows as $row) {
                    if (! $row['zigzag']) {
                        $ends = RowEnds::in($found, $piece->edge, $row['at']);
                        self::assertNotNull($ends);
                        foreach ([false, true] as $atEnd) {
                            $is = $ends->back($atEnd, $row['length']);
                            // That there are none is never told; nor is a wrong number.
                            self::assertContains($is, [null, $back], "lot $seed, {$row['length']} mm");
                            $told += $is === null ? 0 : 1;
                            $asked += $back === null ? 0 : 1;
                        }
                    }
                }
            }
        }
        self::assertGreaterThan(0.75 * $asked, $told);
    }
}
