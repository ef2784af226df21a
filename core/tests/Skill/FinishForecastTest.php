<?php

declare(strict_types=1);

namespace OpenSeam\Core\Tests\Skill;

use OpenSeam\Core\Skill\ExpectedSamples;
use OpenSeam\Core\Skill\FinishForecast;
use OpenSeam\Core\Skill\LessonToCome;
use OpenSeam\Core\Skill\TracingParameters;
use PHPUnit\Framework\TestCase;

final class FinishForecastTest extends TestCase
{
    /**
     * @param  list<float>  $known
     * @return list<LessonToCome> never shown before
     */
    private static function lessons(TracingParameters $p, array $known): array
    {
        return array_map(fn (float $k): LessonToCome => LessonToCome::one($p, $k, false), $known);
    }

    /** Start 0.5, slip 0.1, guess 0.2, no learning: the first sample is good with 0.5·0.9 + 0.5·0.2 = 0.55, the second with 0.5·0.1·0.9 + 0.5·0.8·0.2 = 0.125. */
    public function test_the_first_samples_by_hand(): void
    {
        $chances = LessonToCome::one(TracingParameters::of(0.5, 0.1, 0.2, 0.0), 0.5)->chances;
        self::assertEqualsWithDelta(0.55, $chances[1], 1e-12);
        self::assertEqualsWithDelta(0.125, $chances[2], 1e-12);
        // What is sure and never slips takes one sample; what is never shown right takes for ever.
        self::assertSame(1.0, LessonToCome::one(TracingParameters::of(1.0, 0.0, 0.1, 0.2), 1.0)->chances[1]);
    }

    /** Its mean is the expected number worked out another way. */
    public function test_the_mean_agrees_with_the_expected_number(): void
    {
        foreach ([0.1, 0.3, 0.7, 0.95] as $known) {
            $p = TracingParameters::usual();
            self::assertEqualsWithDelta(ExpectedSamples::untilGood($p, $known), LessonToCome::one($p, $known)->expected(), 1e-4);
        }
    }

    /** Against 20,000 students drawn by lot from the same model: within three standard errors of what they do. */
    public function test_against_students_drawn_by_lot(): void
    {
        mt_srand(12);
        $chance = fn (float $p): bool => mt_rand() / mt_getrandmax() < $p;
        $known = [0.9, 0.3, 0.3, 0.6];
        $samples = [3, 6, 10];
        $p = TracingParameters::usual();
        $forecast = FinishForecast::of(self::lessons($p, $known), $samples);
        $done = array_fill(0, 3, array_fill(0, 5, 0));
        for ($i = 0; $i < 20_000; $i++) {
            $sewn = 0;
            $finished = [];
            foreach ($known as $start) {
                $knows = $chance($start) || $chance($p->demo);
                do {
                    $sewn++;
                    $good = $chance($knows ? 1 - $p->slip : $p->guess);
                    $knows = $knows || $chance($p->transit);
                } while (! $good);
                $finished[] = $sewn;
            }
            foreach ($samples as $s => $most) {
                for ($n = 0; $n <= 4; $n++) {
                    $done[$s][$n] += $n === 0 || $finished[$n - 1] <= $most ? 1 : 0;
                }
            }
        }
        foreach ($done as $s => $counts) {
            foreach ($counts as $n => $count) {
                $share = $count / 20_000;
                self::assertEqualsWithDelta($share, $forecast->done[$s][$n], 3 * sqrt(max(1e-4, $share * (1 - $share)) / 20_000), "session $s, $n lessons");
            }
        }
        self::assertSame($forecast->done[2][4], $forecast->chance());
        self::assertGreaterThanOrEqual($forecast->lessonsBy(2, 0.9), $forecast->lessonsBy(2, 0.5));
        self::assertGreaterThanOrEqual($forecast->lessonsBy(0, 0.5), $forecast->lessonsBy(2, 0.5));
    }

    /** Of one student it is that student's own; of two alike the same; who is ahead lifts the middle, not the least. */
    public function test_the_fan_of_a_class(): void
    {
        $p = TracingParameters::usual();
        $one = FinishForecast::of(self::lessons($p, [0.3, 0.3, 0.3]), [4, 8]);
        foreach ([0.9, 0.5, 0.1] as $share) {
            self::assertSame(2 + $one->lessonsBy(1, $share), FinishForecast::ofClass([[2, $one]], 1, $share));
            self::assertSame(2 + $one->lessonsBy(1, $share), FinishForecast::ofClass([[2, $one], [2, $one]], 1, $share));
        }
        $done = FinishForecast::of([], [4, 8]);
        self::assertSame(5, FinishForecast::ofClass([[2, $one], [5, $done]], 0, 0.5), 'half of the class has done all');
        self::assertSame(2 + $one->lessonsBy(0, 0.8), FinishForecast::ofClass([[2, $one], [5, $done]], 0, 0.9));
        self::assertSame(0, FinishForecast::ofClass([], 0, 0.5));
    }

    public function test_nothing_left_and_no_time_left(): void
    {
        $p = TracingParameters::usual();
        self::assertSame(1.0, FinishForecast::of([], [3])->chance());
        self::assertSame(1.0, FinishForecast::of([], [])->chance());
        self::assertSame(0.0, FinishForecast::of(self::lessons($p, [0.5]), [])->chance());
        self::assertSame(0.0, FinishForecast::of(self::lessons($p, [0.5, 0.5]), [1])->chance(), 'two lessons take two samples');
    }
}
