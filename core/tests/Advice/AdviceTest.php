<?php

declare(strict_types=1);

namespace OpenSeam\Core\Tests\Advice;

use OpenSeam\Core\Advice\FeetAdviser;
use OpenSeam\Core\Advice\NeedleAdviser;
use OpenSeam\Core\Advice\Thread;
use OpenSeam\Core\Data;
use OpenSeam\Core\InputError;
use OpenSeam\Core\Machine\FootBook;
use OpenSeam\Core\Tables;
use PHPUnit\Framework\TestCase;

final class AdviceTest extends TestCase
{
    /** Needle size pairs, metric = 100 × shaft diameter in mm beside the other number on the packet; from memory. */
    public function test_needle_size_pairs(): void
    {
        $pairs = [];
        foreach (Tables::read('needles')->parts('sizes') as $size) {
            $pairs[$size->whole('metric')] = $size->whole('number');
        }
        self::assertSame([60 => 8, 65 => 9, 70 => 10, 75 => 11, 80 => 12, 90 => 14, 100 => 16, 110 => 18, 120 => 20], $pairs);
    }

    /** tex and denier by definition (ISO 1144: tex = g/km; denier = g/9 km); weight number and ticket from memory. */
    public function test_thread_units(): void
    {
        $t = Thread::of(30, 'tex');
        self::assertEqualsWithDelta(270.0, $t->denier(), 1e-9);
        self::assertEqualsWithDelta(100.0, $t->ticket(), 1e-9);
        self::assertEqualsWithDelta(33.333, $t->weight(), 1e-3);
        foreach (['denier' => 270, 'ticket' => 100, 'weight' => 100 / 3] as $unit => $value) {
            self::assertEqualsWithDelta(30.0, Thread::of($value, $unit)->tex, 1e-9);
        }
        // A cylinder of that mass: ρφ·π(d/2)²·1 km = tex grams.
        $d = $t->diameterMm();
        self::assertEqualsWithDelta(30.0, 1.38 * 0.6 * M_PI * ($d / 2) ** 2 * 1000, 1e-9);
        self::assertGreaterThan($t->diameterMm('cotton'), $t->diameterMm('nylon'), 'the lighter fibre is the thicker thread');
    }

    /** Craft: 80 for cottons, ballpoint or stretch for knits, larger for weight-12 cotton; common practice, no source. */
    public function test_needles_as_a_teacher_would_say(): void
    {
        $plain = NeedleAdviser::advise('medium', 'woven', 0.6, Thread::of(30, 'tex'));
        self::assertSame([80, 12, 'universal', []], [$plain->metric, $plain->number, $plain->point, $plain->warnings]);
        self::assertStringContainsString('ballpoint', NeedleAdviser::advise('medium', 'knit', 0.6)->point);
        self::assertSame('stretch', NeedleAdviser::advise('light', 'stretch', 0.6)->point);
        self::assertSame(70, NeedleAdviser::advise('light', 'woven', 0.4)->metric);
        $thick = NeedleAdviser::advise('medium', 'woven', 0.6, Thread::of(12, 'weight'), 80, 3);
        self::assertGreaterThanOrEqual(90, $thick->metric);
        self::assertStringContainsString('too thick for the eye of the 80', $thick->warnings[0]);
        self::assertSame(90, NeedleAdviser::advise('medium', 'denim', 3.0)->metric, 'a stack one step up');
    }

    public function test_an_old_needle_is_said_from_eight_hours_on(): void
    {
        self::assertSame([], NeedleAdviser::advise('medium', 'woven', 0.6, null, 80, 7.9)->warnings);
        self::assertStringContainsString('8 hours', NeedleAdviser::advise('medium', 'woven', 0.6, null, 80, 8.0)->warnings[0]);
    }

    public function test_nonsense_is_named(): void
    {
        foreach ([
            'thread' => fn () => Thread::of(-1, 'tex'), 'thread_unit' => fn () => Thread::of(3, 'ell'), 'weight' => fn () => NeedleAdviser::advise('lead', 'woven', 1),
            'cloth' => fn () => NeedleAdviser::advise('light', 'felted', 1), 'stack_mm' => fn () => NeedleAdviser::advise('light', 'woven', 21), 'fibre' => fn () => Thread::of(30, 'tex')->diameterMm('wire'),
            'wants[0]' => fn () => FeetAdviser::advise(['sails'], []),
        ] as $field => $act) {
            try {
                $act();
                self::fail("$field was taken.");
            } catch (InputError $e) {
                self::assertSame($field, $e->field);
            }
        }
        $this->expectExceptionMessage('from 5 to 400 tex');
        Thread::of(2, 'tex');
    }

    /** Craft: no zips planned, no zip foot; leather planned, non-stick and walking foot. Common practice, no source. */
    public function test_feet_only_for_what_is_wished(): void
    {
        $leather = FeetAdviser::advise(['leather'], ['walking' => 1]);
        self::assertSame(['non-stick', 'walking'], array_column($leather['need'], 'kind'));
        self::assertSame([0, 1], array_column($leather['need'], 'have'));
        self::assertContains('zip', array_column($leather['leave'], 'kind'));
        self::assertSame(['leather'], $leather['needles']);
        // Of two that do, the one that is there.
        self::assertContains('roller', array_column(FeetAdviser::advise(['leather'], ['roller' => 2])['need'], 'kind'));
        $all = FeetAdviser::advise(array_column(FeetAdviser::wants(), 'id'), []);
        self::assertSame([], array_intersect(array_column($all['need'], 'kind'), array_column($all['helps'], 'kind')));
    }

    public function test_every_wish_names_feet_that_exist(): void
    {
        $kinds = FootBook::standard()->all();
        foreach (Tables::read('feet')->parts('wants') as $want) {
            foreach ([...array_merge([], ...array_map(fn (string $n): array => explode('|', $n), $want->texts('needs'))), ...$want->texts('helps')] as $kind) {
                self::assertArrayHasKey($kind, $kinds, $want->text('id'));
            }
        }
        self::assertGreaterThan(10, count(array_map(fn (Data $d): string => $d->text('id'), Tables::read('feet')->parts('wants'))));
    }

    /** Worked by hand: binding saves 12 min each time; 10 times are 2 hours; at 24 an hour of it costs 12, and at 8 an hour it pays after one and a half years. */
    public function test_what_makes_it_easier_is_weighed_by_the_minutes_it_saves(): void
    {
        $line = FeetAdviser::advise(['binding'], [], ['binding' => 24.0], ['binding' => 10.0], 8.0)['helps'][0];
        self::assertSame(['binding', 120.0, 24.0, 12.0, 1.5, 'in-time'], [$line['kind'], $line['minutes_a_year'], $line['price'], $line['price_per_hour'], $line['pays_after_years'], $line['verdict']]);
        $verdict = fn (?float $price, ?float $worth, float $times = 10, int $have = 0): string => FeetAdviser::advise(['binding'], ['binding' => $have], $price === null ? [] : ['binding' => $price], ['binding' => $times], $worth)['helps'][0]['verdict'];
        self::assertSame(['worth-it', 'in-time', 'not-worth', 'unweighed', 'unweighed', 'unweighed', 'here'], [
            $verdict(16, 8), $verdict(48, 8), $verdict(49, 8), $verdict(null, 8), $verdict(24, null), $verdict(24, 8, 0), $verdict(24, 8, 10, 1),
        ]);
        self::assertSame('worth-it', $verdict(0, 8), 'what is free');
    }

    public function test_what_gives_most_for_its_price_comes_first(): void
    {
        $order = fn (array $prices, array $have = [], array $times = []): array => array_column(FeetAdviser::advise(['curtains', 'knits'], $have, $prices, $times)['helps'], 'kind');
        // Without prices: walking saves 12 and 4, blind hem 10, guide 8, overcast 3 minutes, each once a month.
        self::assertSame(['walking', 'blind-hem', 'guide', 'overcast'], $order([]));
        self::assertSame(['guide', 'walking', 'blind-hem', 'overcast'], $order(['walking' => 40.0, 'guide' => 5.0]), '3.1 and 12.5 for an hour; then those without a price');
        self::assertSame(['walking', 'guide', 'overcast', 'blind-hem'], $order([], ['blind-hem' => 1]), 'what is here comes last');
        self::assertSame('overcast', $order([], [], ['curtains' => 0.0, 'knits' => 50.0])[1], 'who never sews curtains has no use for what helps there');
        $minutes = array_column(FeetAdviser::advise(['curtains', 'knits'], [])['helps'], 'minutes_a_year', 'kind');
        self::assertSame(16.0 * 12, $minutes['walking'], 'it helps with both');
    }

    public function test_what_is_needed_is_not_weighed_but_its_price_is_known_or_not(): void
    {
        $cost = fn (array $prices, array $have = []): ?float => FeetAdviser::advise(['leather', 'zips'], $have, $prices)['price_of_need'];
        self::assertNull($cost(['zip' => 6.0]));
        self::assertSame(46.0, $cost(['zip' => 6.0, 'non-stick' => 12.0, 'walking' => 28.0]));
        self::assertSame(18.0, $cost(['zip' => 6.0, 'non-stick' => 12.0, 'walking' => 28.0], ['walking' => 1]), 'what is there is not bought again');
        self::assertSame(0.0, $cost([], ['zip' => 1, 'non-stick' => 1, 'roller' => 1]));
    }

    public function test_every_foot_that_helps_says_what_it_saves(): void
    {
        foreach (Tables::read('feet')->parts('wants') as $want) {
            foreach ($want->texts('helps') as $kind) {
                self::assertGreaterThan(0.0, $want->part('saves')->number($kind), $want->text('id')." $kind");
            }
        }
    }
}
