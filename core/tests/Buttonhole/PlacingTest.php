<?php

declare(strict_types=1);

namespace OpenSeam\Core\Tests\Buttonhole;

use OpenSeam\Core\Buttonhole\Placing;
use OpenSeam\Core\Compute\Registry;
use OpenSeam\Core\Data;
use OpenSeam\Core\InputError;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

final class PlacingTest extends TestCase
{
    public function test_the_worked_value_of_the_design_paper(): void
    {
        $found = array_map(fn (Placing $p): array => [$p->count, round((float) $p->worstMm, 9)], Placing::choices(20, 420, 10, 5, 7, [190]));
        self::assertSame([[6, 0.0], [5, 20.0], [7, 20.0]], $found);
        $best = Placing::choices(20, 420, 10, 5, 7, [190])[0];
        self::assertEqualsWithDelta([30.0, 110.0, 190.0, 270.0, 350.0, 430.0], $best->positionsMm, 1e-9);
    }

    /** No shift of a fine grid is better than the one found, and it keeps every bound. */
    public function test_against_trying_every_shift(): void
    {
        $lot = new \Random\Randomizer(new \Random\Engine\Mt19937(1837));
        for ($round = 0; $round < 80; $round++) {
            $first = $lot->getInt(0, 50);
            $last = $first + $lot->getInt(100, 500);
            [$slack, $count, $apart] = [$lot->getInt(0, 30), $lot->getInt(2, 8), $lot->getInt(0, 1) * 15];
            $anchors = array_map(fn (): float => (float) $lot->getInt($first, $last), range(1, $lot->getInt(1, 3)));
            $found = Placing::choices($first, $last, $slack, $count, $count, $anchors, $apart)[0] ?? null;
            [$worst, $shift] = self::tried($first, $last, $slack, $count, $anchors, $apart);
            $said = json_encode([$first, $last, $slack, $count, $anchors, $apart]);
            self::assertSame(is_finite($worst), $found !== null, (string) $said);
            if ($found === null) {
                continue;
            }
            self::assertLessThanOrEqual($worst + 1e-6, $found->worstMm, (string) $said);
            // A grid of 1/40 of the slack misses the best by that at most.
            self::assertGreaterThanOrEqual($worst - $slack / 20 - 1e-6, $found->worstMm, (string) $said);
            abs($worst - $found->worstMm) < 1e-9 && self::assertLessThanOrEqual($shift + 1e-6, $found->shiftMm, (string) $said);
            self::assertLessThanOrEqual($slack + 1e-6, max(abs($found->firstMm - $first), abs($found->lastMm - $last)), (string) $said);
            self::assertGreaterThanOrEqual($apart - 1e-6, $found->spacingMm, (string) $said);
            self::assertTrue($found->proven);
        }
    }

    /**
     * @param  list<float>  $anchors
     * @return array{float, float} the least worst distance on a grid, and the least shift that has it
     */
    private static function tried(float $first, float $last, float $slack, int $count, array $anchors, float $apart): array
    {
        $best = [INF, INF];
        for ($i = -40; $i <= 40; $i++) {
            for ($j = -40; $j <= 40; $j++) {
                [$a, $b] = [$slack * $i / 40, $slack * $j / 40];
                $spacing = ($last + $b - $first - $a) / ($count - 1);
                if ($spacing < $apart - 1e-9 || $spacing <= 0.001) {
                    continue;
                }
                $worst = 0.0;
                foreach ($anchors as $anchor) {
                    $hole = max(0, min($count - 1, (int) round(($anchor - $first - $a) / $spacing)));
                    $worst = max($worst, abs($first + $a + $hole * $spacing - $anchor));
                }
                if ($worst < $best[0] - 1e-9 || ($worst < $best[0] + 1e-9 && abs($a) + abs($b) < $best[1])) {
                    $best = [$worst, abs($a) + abs($b)];
                }
            }
        }

        return $best;
    }

    public function test_without_a_named_point_nothing_moves_and_the_fewest_come_first(): void
    {
        $choices = Placing::choices(20, 420, 10, 4, 6, []);
        self::assertSame([4, 5, 6], array_map(fn (Placing $p): int => $p->count, $choices));
        self::assertSame([20.0, 420.0, null, 0.0], [$choices[0]->firstMm, $choices[0]->lastMm, $choices[0]->worstMm, $choices[0]->shiftMm]);
    }

    public function test_one_alone_lies_at_the_named_point(): void
    {
        self::assertSame([[190.0], 0.0], [Placing::choices(20, 420, 0, 1, 1, [190.0])[0]->positionsMm, Placing::choices(20, 420, 0, 1, 1, [190.0])[0]->spacingMm]);
        self::assertSame([20.0], Placing::choices(20, 420, 0, 1, 1, [])[0]->positionsMm);
    }

    public function test_the_ends_move_apart_where_a_button_needs_the_room(): void
    {
        // Five gaps of 20 are 100: four more than there are.
        $found = Placing::choices(0, 96, 5, 6, 6, [], 20)[0];
        self::assertEqualsWithDelta([20.0, 4.0], [$found->spacingMm, $found->shiftMm], 1e-6);
    }

    /** @param  array<string, mixed>  $in */
    #[DataProvider('askedBack')]
    public function test_what_cannot_be_is_asked_back(array $in, string $field): void
    {
        try {
            Registry::standard()->get('place-buttons')->run(Data::of($in + ['first_mm' => 20, 'last_mm' => 420, 'slack_mm' => 10, 'counts' => [5, 7]]));
            self::fail('It was taken.');
        } catch (InputError $e) {
            self::assertSame($field, $e->field);
        }
    }

    /** @return iterable<string, array{array<string, mixed>, string}> */
    public static function askedBack(): iterable
    {
        yield 'no room for a button' => [['least_spacing_mm' => 150], 'least_spacing_mm'];
        yield 'the last before the first' => [['last_mm' => 10], 'last_mm'];
        yield 'a point off the band' => [['anchors_mm' => [190, 440]], 'anchors_mm[1]'];
        yield 'the most under the fewest' => [['counts' => [7, 5]], 'counts[1]'];
    }
}
