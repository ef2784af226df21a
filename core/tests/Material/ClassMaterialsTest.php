<?php

declare(strict_types=1);

namespace OpenSeam\Core\Tests\Material;

use OpenSeam\Core\Material\ClassMaterials;
use OpenSeam\Core\Material\Need;
use OpenSeam\Core\Skill\ExpectedSamples;
use OpenSeam\Core\Skill\TracingParameters;
use OpenSeam\Core\Tests\Support\Fixtures;
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
        self::assertEqualsWithDelta($mean, ExpectedSamples::untilGood(TracingParameters::usual()), 3 * $sd / sqrt(count($runs)));
    }

    public function test_a_class_of_ten_for_its_first_lessons(): void
    {
        $lessons = array_map(fn (string $id) => Fixtures::bundle()->lesson($id), Fixtures::order());
        $materials = ClassMaterials::of($lessons, 10, 8);
        $needs = array_column(array_map(fn (Need $n): array => ['item' => $n->item, 'need' => $n], $materials->needs), 'need', 'item');
        self::assertSame(['cloth', 'thread-top', 'thread-bobbin', 'bobbin', 'needle', 'pin'], array_keys($needs));
        self::assertSame([8.0, 200.0], [$needs['needle']->amount, $needs['pin']->amount]);
        self::assertSame($needs['thread-top']->amount, $needs['thread-bobbin']->amount);
        // Each sample: first seam 2 × 100 × 150, ladder 2 × 100 × 150, guides 4 × 100 × 150, spiral 2 × 150 × 150.
        $samples = (int) ceil(10 * $materials->samplesEach);
        $area = $samples * (8 * 100 * 150 + 2 * 150 * 150) / 1370;
        self::assertGreaterThanOrEqual($area / 1000, $needs['cloth']->amount);
        self::assertLessThanOrEqual(1.15 * $area / 1000 + 0.1, $needs['cloth']->amount);
        self::assertStringContainsString("$samples samples (10 students", $needs['cloth']->how);
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
}
