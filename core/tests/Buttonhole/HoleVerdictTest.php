<?php

declare(strict_types=1);

namespace OpenSeam\Core\Tests\Buttonhole;

use OpenSeam\Core\Buttonhole\HoleChecks;
use OpenSeam\Core\Buttonhole\HolePlan;
use OpenSeam\Core\Buttonhole\HoleReading;
use OpenSeam\Core\Buttonhole\HoleVerdict;
use OpenSeam\Core\Compute\Registry;
use OpenSeam\Core\Data;
use OpenSeam\Core\Machine\ButtonholeWay;
use OpenSeam\Core\Tables;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/** From readings to the one change: every row of the table, common practice, no source. */
final class HoleVerdictTest extends TestCase
{
    private const PLANNED = ['finished_mm' => 21, 'opening_mm' => 18, 'half_wrap_mm' => 18, 'points_per_10' => 25];

    /** @param  array{seen: string|null, way: string, read: array<string, mixed>, skill: string|null, planned?: array<string, float>, by_mm?: float, next_opening_mm?: float}  $case */
    #[DataProvider('rows')]
    public function test_a_row_of_the_table(array $case): void
    {
        $out = Registry::standard()->get('read-buttonhole')->run(Data::of(['planned' => $case['planned'] ?? self::PLANNED, 'machine' => ['way' => $case['way'], 'starts' => 'front'], 'read' => $case['read']]));
        self::assertSame([$case['seen'], $case['skill']], [$out['seen'], $out['skill']]);
        self::assertEqualsWithDelta($case['by_mm'] ?? null, $out['change']['by_mm'] ?? null, 1e-9);
        self::assertEqualsWithDelta($case['next_opening_mm'] ?? null, $out['next_opening_mm'] ?? null, 1e-9);
        self::assertDoesNotMatchRegularExpression('/[{}]/', $out['change']['text']);
    }

    /** @return iterable<int, array{array<string, mixed>}> */
    public static function rows(): iterable
    {
        /** @var list<array<string, mixed>> $cases */
        $cases = json_decode((string) file_get_contents(__DIR__.'/data/table.json'), true, 16, JSON_THROW_ON_ERROR);
        foreach ($cases as $case) {
            yield [$case];
        }
    }

    public function test_no_row_of_the_table_is_left_untried(): void
    {
        $tried = array_unique(array_filter(array_map(fn (array $c): mixed => $c[0]['seen'], iterator_to_array(self::rows()))));
        self::assertEqualsCanonicalizing(array_keys(Tables::read('buttonhole-table')->part('rows')->raw()), $tried);
    }

    public function test_the_first_row_that_holds_goes_before_the_others(): void
    {
        $plan = new HolePlan(21, 18, 18, 25);
        $all = ['button' => 'tight', 'left_mm' => 21, 'right_mm' => 24, 'points_left' => 30, 'points_right' => 20, 'puckered' => true, 'nest' => true, 'bar_cut' => true];
        $order = [['button', 'tight-short', null], ['button', 'one-side-denser', 'snug'], ['points_left', 'overrun', 20], ['right_mm', 'puckered', 21], ['puckered', 'cut', false], ['bar_cut', 'thread-caught', false], ['nest', null, false]];
        $all['left_mm'] = 17;
        $all['right_mm'] = 19.5;
        foreach ($order as [$field, $seen, $to]) {
            $to === null || $all[$field] = $to;
            $field === 'button' && $to === 'snug' && $all['left_mm'] = 21;
            $field === 'button' && $to === 'snug' && $all['right_mm'] = 24;
            self::assertSame($seen, HoleVerdict::of($plan, HoleReading::read(Data::of($all)), ButtonholeWay::FourStep)->seen);
        }
    }

    public function test_the_other_end_is_named_and_balance_is_used_where_there_is_one(): void
    {
        $plan = new HolePlan(21, 18, 18);
        $away = new HoleReading(frontFromMarkMm: 21, backFromMarkMm: -21);
        self::assertStringContainsString('mark of the back', HoleVerdict::of($plan, $away, ButtonholeWay::OneStep, 'front')->text);
        self::assertStringContainsString('mark of the front', HoleVerdict::of($plan, $away, ButtonholeWay::OneStep, 'back')->text);
        $lopsided = new HoleReading(pointsLeft: 20, pointsRight: 28);
        self::assertStringContainsString('right side is denser: one step on the balance control', HoleVerdict::of($plan, $lopsided, ButtonholeWay::OneStep, balance: true)->text);
        self::assertStringContainsString('second side one notch', HoleVerdict::of($plan, $lopsided, ButtonholeWay::FourStep)->text);
    }

    /** Met up to and with the limit, near up to and with the next. */
    #[DataProvider('limits')]
    public function test_limits(string $id, HoleReading $read, string $verdict): void
    {
        $checks = array_column(HoleChecks::of(new HolePlan(21, 18, 18, 25), $read), 'verdict', 'id');
        self::assertSame($verdict, $checks[$id] ?? null);
    }

    /** @return iterable<array{string, HoleReading, string}> */
    public static function limits(): iterable
    {
        foreach (['met' => 22.0, 'near' => 23.0, 'not-yet' => 23.1] as $verdict => $mm) {
            yield ['finished', new HoleReading(leftMm: $mm), $verdict];
            yield ['sides', new HoleReading(leftMm: 21.0, rightMm: $mm), $verdict];
            yield ['skew', new HoleReading(edgeFrontMm: 21.0, edgeBackMm: $mm), $verdict];
            yield ['place', new HoleReading(frontFromMarkMm: $mm - 21, backFromMarkMm: 21 - $mm), $verdict];
        }
        foreach ([[0.5, 'met'], [1.0, 'met'], [0.3, 'near'], [1.5, 'near'], [0.2, 'not-yet'], [1.6, 'not-yet']] as [$gap, $verdict]) {
            yield ['gap', new HoleReading(gapMm: $gap), $verdict];
        }
        // 2·(a − b)/(a + b): 43 and 37 differ by 15 % of 40, 46 and 34 by 30 %.
        foreach ([[43, 37, 'met'], [46, 34, 'near'], [46.1, 33.9, 'not-yet']] as [$left, $right, $verdict]) {
            yield ['points', new HoleReading(pointsLeft: $left, pointsRight: $right), $verdict];
        }
        foreach ([['none', 'met'], ['little', 'near'], ['clear', 'not-yet']] as [$shows, $verdict]) {
            yield ['cloth-left', new HoleReading(showsLeft: $shows), $verdict];
        }
        yield ['tied', new HoleReading(tied: false), 'not-yet'];
        yield ['button', new HoleReading(button: 'snug'), 'met'];
        yield ['button', new HoleReading(button: 'loose'), 'not-yet'];
    }

    public function test_what_was_not_read_is_not_judged(): void
    {
        self::assertSame([], HoleChecks::of(new HolePlan(21, 18, 18), new HoleReading(leftMm: null, frontFromMarkMm: 1.0)));
        self::assertSame(22.5, (new HoleReading(frontFromMarkMm: 1.0, backFromMarkMm: 0.5))->finishedMm(21));
    }
}
