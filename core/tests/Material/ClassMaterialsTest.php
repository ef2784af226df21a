<?php

declare(strict_types=1);

namespace OpenSeam\Core\Tests\Material;

use OpenSeam\Core\Material\Bought;
use OpenSeam\Core\Material\ButtonStock;
use OpenSeam\Core\Material\ClassMaterials;
use OpenSeam\Core\Material\Need;
use OpenSeam\Core\Material\Shortage;
use OpenSeam\Core\Material\ThreadCount;
use OpenSeam\Core\Sampler\Threads;
use OpenSeam\Core\Skill\ExpectedSamples;
use OpenSeam\Core\Skill\TracingParameters;
use OpenSeam\Core\Tests\Support\Fixtures;
use OpenSeam\Core\Words;
use PHPUnit\Framework\TestCase;

final class ClassMaterialsTest extends TestCase
{
    /** By hand for a learner who knows it and never slips, and for one who only ever guesses half. */
    public function test_expected_samples_by_hand(): void
    {
        self::assertSame(1.0, ExpectedSamples::untilGood(TracingParameters::of(1, 0, 0, 0)));
        self::assertEqualsWithDelta(2.0, ExpectedSamples::untilGood(TracingParameters::of(0, 0, 0.5, 0)), 1e-9, 'a fair coin: 1/p');
    }

    /** Against simulated learners of the same model, seeded: within three standard errors. */
    public function test_expected_samples_against_simulation(): void
    {
        mt_srand(3);
        $chance = fn (float $p): bool => mt_rand() / mt_getrandmax() < $p;
        $runs = [];
        for ($i = 0; $i < 20_000; $i++) {
            $knows = $chance(0.3);
            for ($n = 1; ! $chance($knows ? 0.9 : 0.1); $n++) {
                $knows = $knows || $chance(0.2);
            }
            $runs[] = $n;
        }
        $mean = array_sum($runs) / count($runs);
        $sd = sqrt(array_sum(array_map(fn (int $n): float => ($n - $mean) ** 2, $runs)) / count($runs));
        self::assertEqualsWithDelta($mean, ExpectedSamples::untilGood(TracingParameters::of(0.3, 0.1, 0.1, 0.2)), 3 * $sd / sqrt(count($runs)));
    }

    public function test_a_class_of_ten_for_its_first_lessons(): void
    {
        $lessons = array_map(fn (string $id) => Fixtures::bundle()->lesson($id), Fixtures::order());
        $materials = ClassMaterials::of($lessons, 10, 8);
        $needs = array_column(array_map(fn (Need $n): array => ['item' => $n->item, 'need' => $n], $materials->needs), 'need', 'item');
        self::assertSame(['cloth', 'thread.dark-blue', 'thread.red', 'bobbin', 'needle', 'pin'], array_keys($needs));
        self::assertSame([8.0, 200.0], [$needs['needle']->amount, $needs['pin']->amount]);
        self::assertSame([8.0, 8.0, 'spools'], [$needs['thread.dark-blue']->amount, $needs['thread.red']->amount, $needs['thread.red']->unit], 'one on each machine that sews');
        // Each sample: first seam 2 × 100 × 150, ladder 2 × 100 × 150, guides 4 × 100 × 150, spiral 2 × 150 × 150.
        $samples = (int) ceil(10 * $materials->samplesEach);
        $area = $samples * (8 * 100 * 150 + 2 * 150 * 150) / 1370;
        self::assertGreaterThanOrEqual($area / 1000, $needs['cloth']->amount);
        self::assertLessThanOrEqual(1.15 * $area / 1000 + 0.1, $needs['cloth']->amount);
        self::assertStringContainsString(8 * $samples.' samples of all lessons (10 students', $needs['cloth']->how);
    }

    /** What one lesson is expected to take is cut for that lesson alone. */
    public function test_each_lesson_is_cut_for_as_often_as_it_is_expected(): void
    {
        $lesson = Fixtures::bundle()->lesson('square-spiral');
        $pieces = fn (float $each): int => count(ClassMaterials::of([$lesson, Fixtures::bundle()->lesson('safe-seat')], 10, 8, samplesEach: ['square-spiral' => $each, 'safe-seat' => 9.0])->layouts['cloth']->placed);
        self::assertSame([20, 34], [$pieces(1.0), $pieces(1.7)], 'two layers of each sample');
    }

    public function test_zips_buttons_and_stabiliser_come_with_their_lessons(): void
    {
        $of = fn (string $id): array => array_map(fn (Need $n): string => $n->item, ClassMaterials::of([Fixtures::bundle()->lesson($id)], 4, 4)->needs);
        self::assertContains('zip-180-mm', $of('zip'));
        self::assertContains('button-four-hole', $of('sew-a-button'));
        self::assertContains('interfacing', $of('satin-bar'));
        self::assertContains('knit', $of('stretch-seam'));
        self::assertSame([], array_diff($of('safe-seat'), ['needle', 'pin']), 'spoken and shown: no cloth');
    }

    /** Metres by hand: 301 at 7 stitches a cm takes 2.5 times the seam (thread maker's consumption table, memory), half of it below. */
    public function test_thread_is_counted_by_colour_into_spools_and_bobbins(): void
    {
        $count = new ThreadCount;
        // 400 m of seam: 1,000 m of thread, 500 of each colour; half as much once more in another top colour.
        $count->add(new Threads('dark blue', 'red'), 500_000);
        $count->add(new Threads('red', 'Thick cotton'), 250_000);
        $count->add(new Threads('green', 'green'), 0.0);
        $needs = array_column(array_map(fn (Need $n): array => [$n->item, $n->amount], $count->needs(Bought::of(spoolMetres: 200, bobbinMetres: 30), 4, Words::in())), 1, 0);
        self::assertSame(['thread.dark-blue' => 4.0, 'thread.red' => 6.0, 'thread.thick-cotton' => 4.0, 'bobbin' => 25.0 + 13.0], $needs);
        $big = $count->needs(Bought::of(spoolMetres: 5000), 1, Words::in());
        self::assertSame([1.0, 1.0, 1.0], array_map(fn (Need $n): float => $n->amount, array_slice($big, 0, 3)));
    }

    public function test_no_shop_sells_cloth_of_no_width(): void
    {
        $this->expectExceptionMessage('A bolt of cloth is 300 to 3000 mm wide.');
        Bought::of(clothWidthMm: 0.0);
    }

    public function test_the_day_something_runs_short_is_the_first_that_needs_more_than_there_is(): void
    {
        $lessons = array_map(fn (string $id) => Fixtures::bundle()->lesson($id), ['first-seam', 'length-ladder', 'square-spiral', 'zip']);
        $counted = 0;
        $count = function (int $from, int $to) use ($lessons, &$counted): ClassMaterials {
            $counted++;

            return ClassMaterials::of(array_slice($lessons, $from, $to - $from), 6, 4, samplesEach: 1.0);
        };
        $sums = array_map(fn (int $i): ClassMaterials => $count(0, $i + 1), array_keys($lessons));
        $amount = fn (int $i, string $item): float => array_column(array_map(fn (Need $n): array => [$n->item, $n->amount], $sums[$i]->needs), 1, 0)[$item];
        $have = ['cloth' => $amount(1, 'cloth'), 'thread.dark-blue' => 4.0, 'thread.red' => 3.0, 'bobbin' => 100.0, 'needle' => 4.0, 'pin' => 120.0];
        $counted = 0;
        $short = Shortage::first(4, $count, $have);
        self::assertLessThanOrEqual(7, $counted, 'not every day is counted for every item');
        self::assertSame(2, $short['cloth'], 'enough for two lessons, not for the third');
        self::assertSame(0, $short['thread.red']);
        self::assertSame(3, $short['zip-180-mm'], 'asked for with the zip');
        // The same, item by item and day by day.
        foreach ($short as $item => $day) {
            self::assertGreaterThan($have[$item] ?? 0.0, $amount($day, (string) $item));
            $day === 0 || self::assertLessThanOrEqual($have[$item] ?? 0.0, array_column(array_map(fn (Need $n): array => [$n->item, $n->amount], $sums[$day - 1]->needs), 1, 0)[$item] ?? 0.0);
        }
        self::assertSame([], Shortage::first(0, $count, $have));
        self::assertArrayNotHasKey('pin', $short);
        self::assertArrayNotHasKey('thread.dark-blue', $short);
    }

    public function test_the_real_buttons_and_their_test_pieces_are_counted(): void
    {
        $lesson = Fixtures::bundle()->lesson('first-seam');
        $without = ClassMaterials::of([$lesson], 4, 4);
        $with = ClassMaterials::of([$lesson], 4, 4, buttons: [new ButtonStock('flat, 15 mm, front', 6, 2, 2, 2)]);
        $needs = array_column($with->needs, null, 'item');
        self::assertSame([6.0, 'pieces'], [$needs['buttons-flat-15-mm-front']->amount, $needs['buttons-flat-15-mm-front']->unit]);
        // Two tests of two layers of cloth and two of interfacing.
        self::assertCount(count($without->layouts['cloth']->placed) + 4, $with->layouts['cloth']->placed);
        self::assertCount(count(($without->layouts['interfacing'] ?? null)->placed ?? []) + 4, $with->layouts['interfacing']->placed);
        self::assertArrayNotHasKey('buttons-flat-15-mm-front', array_column($without->needs, null, 'item'));
    }
}
