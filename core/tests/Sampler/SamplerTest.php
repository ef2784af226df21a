<?php

declare(strict_types=1);

namespace OpenSeam\Core\Tests\Sampler;

use InvalidArgumentException;
use OpenSeam\Core\Grading\Grade;
use OpenSeam\Core\Grading\GradedCheck;
use OpenSeam\Core\Grading\Grader;
use OpenSeam\Core\InputError;
use OpenSeam\Core\Measure\Unit;
use OpenSeam\Core\Measure\Verdict;
use OpenSeam\Core\Sampler\CheckResult;
use OpenSeam\Core\Sampler\Drawing;
use OpenSeam\Core\Sampler\Readings;
use OpenSeam\Core\Stitch\Path;
use OpenSeam\Core\Stitch\StraightStitches;
use OpenSeam\Core\Tests\Support\Fixtures;
use OpenSeam\Core\Words;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

final class SamplerTest extends TestCase
{
    /** @param  array<string, list<mixed>>  $typed */
    private static function grade(string $lesson, array $typed, Unit $unit = Unit::Millimetre): Grade
    {
        $found = Fixtures::bundle()->lesson($lesson);

        return (new Grader(Fixtures::bundle()->skills, Fixtures::bundle()->faults, Words::in($unit)))->grade($found, Readings::typed($found->sampler, $typed, $unit));
    }

    private static function verdict(Grade $grade, string $check): ?Verdict
    {
        foreach ($grade->checks as $c) {
            if ($c->key() === $check) {
                return $c->verdict();
            }
        }
        self::fail("No check $check.");
    }

    /** @return iterable<string, array{array<string, mixed>, string, string}> */
    public static function wrong(): iterable
    {
        yield 'negative' => [['seam.allowance' => ['-3']], 'readings.seam.allowance[0]', '0 to 60 mm'];
        yield 'far too long' => [['seam.allowance' => ['15', '4000']], 'readings.seam.allowance[1]', '0 to 60 mm'];
        yield 'letters' => [['seam.allowance' => ['abc']], 'readings.seam.allowance[0]', 'abc'];
        yield 'one too many' => [['seam.allowance' => [1, 2, 3, 4, 5, 6]], 'readings.seam.allowance', 'takes 5, not 6'];
        yield 'unknown' => [['seam.colour' => ['red']], 'readings.seam.colour', 'seam.allowance'];
        yield 'half a back stitch' => [['seam.back-start' => ['2.5']], 'readings.seam.back-start[0]', 'whole numbers'];
        yield 'not a list' => [['seam.back-start' => 3], 'readings.seam.back-start', 'list'];
        yield 'a nest of lists' => [['seam.back-start' => [[3]]], 'readings.seam.back-start[0]', 'number'];
        yield 'yes and a half' => [['seam.pull' => [2]], 'readings.seam.pull[0]', '0 to 1'];
    }

    /** @param  array<string, mixed>  $typed */
    #[DataProvider('wrong')]
    public function test_names_what_does_not_fit(array $typed, string $field, string $allowed): void
    {
        try {
            Readings::typed(Fixtures::bundle()->lesson('first-seam')->sampler, $typed, Unit::Millimetre);
            self::fail('It was taken.');
        } catch (InputError $e) {
            self::assertSame($field, $e->field);
            self::assertStringContainsString($allowed, $e->getMessage());
        }
    }

    public function test_fractions_are_read_in_the_persons_unit(): void
    {
        $mm = self::grade('first-seam', ['seam.allowance' => ['5/8 in', '15,9', '15.9', '16', '15.5']]);
        $inch = self::grade('first-seam', ['seam.allowance' => ['5/8', '5/8', '5/8', '5/8', '5/8']], Unit::Inch);
        self::assertSame(Verdict::Met, self::verdict($mm, 'seam.width'));
        self::assertSame(Verdict::Met, self::verdict($inch, 'seam.width'));
    }

    public function test_a_corner_error_has_a_sign(): void
    {
        $grade = self::grade('square-spiral', ['spiral.corners' => ['0', '-3', '0', '0', '+1', '0', '0', '0']]);
        self::assertSame(Verdict::NotYet, self::verdict($grade, 'spiral.corners'));
        self::assertStringContainsString("\u{2212}3.0 mm at 2", (string) $grade->telling()?->result?->text);
        self::assertStringContainsString('early', (string) $grade->telling()?->change()?->text);
    }

    /** Bands of the craft's table: back stitches 3 (2–5), 1 or 6–7 near. */
    public function test_back_stitches_band(): void
    {
        $verdicts = array_map(fn (int $n): string => self::verdict(self::grade('first-seam', ['seam.back-start' => [$n]]), 'seam.back-start')->value ?? '', range(0, 8));
        self::assertSame(['not-yet', 'near', 'met', 'met', 'met', 'met', 'near', 'near', 'not-yet'], $verdicts);
    }

    public function test_nothing_is_judged_before_enough_is_read(): void
    {
        $grade = self::grade('first-seam', ['seam.allowance' => ['16', '16']]);
        self::assertNull(self::verdict($grade, 'seam.width'));
        self::assertNull($grade->verdict());
        self::assertFalse($grade->complete());
    }

    public function test_a_good_sample_of_every_lesson_is_met(): void
    {
        foreach (Fixtures::bundle()->lessons as $lesson) {
            $grade = (new Grader(Fixtures::bundle()->skills, Fixtures::bundle()->faults, Words::in()))->grade($lesson, Readings::kept(Fixtures::good($lesson)));
            self::assertSame(Verdict::Met, $grade->verdict(), $lesson->id);
            self::assertTrue($grade->complete(), $lesson->id);
        }
    }

    public function test_an_unknown_fault_is_refused(): void
    {
        $this->expectException(InputError::class);
        $lesson = Fixtures::bundle()->lesson('first-seam');
        (new Grader(Fixtures::bundle()->skills, Fixtures::bundle()->faults, Words::in()))->grade($lesson, Readings::kept([]), ['gremlins']);
    }

    public function test_a_fault_denies_its_skills(): void
    {
        $lesson = Fixtures::bundle()->lesson('first-seam');
        $grade = (new Grader(Fixtures::bundle()->skills, Fixtures::bundle()->faults, Words::in()))->grade($lesson, Readings::kept([]), ['end-opens']);
        // Its three checks are open beside the fault, which decides.
        self::assertSame(['secure-ends' => [0.0, 0.5, 0.5, 0.5]], $grade->weights);
        self::assertSame(Verdict::NotYet, $grade->verdict());
    }

    /** Geometry: the square spiral's sides by hand for a 150 mm square, 12.7 mm margin, 7 mm lanes. */
    public function test_spiral_corners(): void
    {
        $path = Path::squareSpiral(150, 12.7, 7, 8);
        self::assertCount(10, $path->corners);
        self::assertEqualsWithDelta([137.3, 12.7], $path->corners[1], 1e-9);
        self::assertEqualsWithDelta([12.7, 19.7], $path->corners[4], 1e-9);
        self::assertEqualsWithDelta([130.3, 130.3], $path->corners[6], 1e-9);
        self::assertEqualsWithDelta(3 * 124.6 + 117.6 + 117.6 + 110.6 + 110.6 + 103.6 + 103.6, $path->lengthMm(), 1e-9);
        $this->expectException(InvalidArgumentException::class);
        Path::squareSpiral(60, 12.7, 7, 40);
    }

    public function test_stitches_hit_every_corner_and_keep_their_length(): void
    {
        $path = Path::squareSpiral(150, 12.7, 7, 8);
        $points = StraightStitches::along($path, 2.5);
        foreach ($path->corners as $corner) {
            self::assertContains($corner, $points);
        }
        for ($i = 1; $i < count($points); $i++) {
            self::assertEqualsWithDelta(2.5, Path::distance($points[$i - 1], $points[$i]), 0.06);
        }
    }

    public function test_everything_drawn_lies_on_its_piece(): void
    {
        foreach (Fixtures::bundle()->lessons as $lesson) {
            $drawing = Drawing::of($lesson->sampler);
            foreach ($drawing->rows() as $row) {
                foreach ($row['points'] as [$x, $y]) {
                    self::assertGreaterThanOrEqual(0, min($x, $y), "{$lesson->id} {$row['id']}");
                    self::assertLessThanOrEqual($drawing->widthMm(), $x);
                    self::assertLessThanOrEqual($drawing->heightMm(), $y);
                }
            }
            // Every reading at marks has its place for the ruler.
            $marked = 0;
            foreach ($lesson->sampler->rows as $row) {
                $marked += $row->piece === null ? 0 : array_sum(array_map(fn ($f): int => count($f->marks), $row->fields));
            }
            self::assertCount($marked, $drawing->marks(), $lesson->id);
        }
    }

    public function test_a_width_a_ribbon_or_a_tuck_is_no_place_of_the_row(): void
    {
        foreach (['satin-bar' => ['bar-1.edges' => ['4.4', '4.4', '4.4']], 'trims-and-easing' => ['ribbon.off' => ['1', '0', '1']], 'edge-finish' => ['zigzag.over' => ['0', '0.5', '0']]] as $lesson => $typed) {
            $sampler = Fixtures::bundle()->lesson($lesson)->sampler;
            self::assertSame([], Drawing::of($sampler)->measured(Readings::typed($sampler, $typed, Unit::Millimetre)), $lesson);
        }
    }

    public function test_the_measured_row_runs_through_the_readings(): void
    {
        $lesson = Fixtures::bundle()->lesson('first-seam');
        $rows = Drawing::of($lesson->sampler)->measured(Readings::kept(['seam.allowance' => [14.0, 14.5, null, 16.0, 17.0]]));
        self::assertCount(1, $rows);
        foreach ([[86.0, 15.0], [85.5, 45.0], [84.0, 105.0], [83.0, 135.0]] as $point) {
            self::assertContains($point, $rows[0]['points']);
        }
    }

    /** Too close to call in sixteenths or whole millimetres: the finer reading that is asked for does decide. */
    public function test_the_finer_step_that_would_decide_is_offered(): void
    {
        $asked = ['millimetre' => 0, 'thirty-second' => 0, 'magnifier' => 0];
        $checks = [['first-seam', 'seam.start-in', 'seam.start', 1], ['first-seam', 'seam.tail', 'seam.tail', 1], ['guides', 'half.allowance', 'half.width', 3], ['double-hem', 'hem.depth', 'hem.depth', 4]];
        foreach ([[Unit::Inch, 25.4 / 16, '%d/16'], [Unit::Millimetre, 1.0, '%d']] as [$unit, $step, $typed]) {
            foreach (range(0, (int) (40 / $step)) as $n) {
                foreach ($checks as [$lesson, $reading, $check, $size]) {
                    $judge = fn (string $text): ?CheckResult => array_column(array_map(fn (GradedCheck $c): array => [$c->key(), $c->result], self::grade($lesson, [$reading => array_fill(0, $size, $text)], $unit)->checks), 1, 0)[$check] ?? null;
                    $found = $judge(sprintf($typed, $n));
                    foreach ($found?->judgement->verdict === Verdict::Unsure ? ['millimetre' => 0.5, 'thirty-second' => 0.5, 'magnifier' => 0.1] : [] as $word => $limit) {
                        if (str_contains((string) $found?->again, $word)) {
                            $asked[$word]++;
                            // What was read at the very limit is decided when the closer look finds it on one side.
                            $where = str_contains((string) $found?->again, 'at the limit') ? 0.8 * $limit : 0.0;
                            self::assertNotSame(Verdict::Unsure, $judge(sprintf('%.4f mm ±%s', $n * $step + $where, $limit))?->judgement->verdict, "$lesson $check $n");
                        }
                    }
                }
            }
        }
        self::assertGreaterThan(0, $asked['magnifier']);
        self::assertGreaterThan(0, $asked['thirty-second'] + $asked['millimetre']);
    }

    /** Ten points on one side that were counted on both come out at half; so does a dial that gives the whole zigzag. */
    public function test_half_and_double_are_told_from_a_touch_off(): void
    {
        $habit = fn (string $count, string $span): ?string => array_values(array_filter(self::grade('zigzag-ladder', ['average.length' => [$count, $span]])->checks, fn (GradedCheck $c): bool => $c->key() === 'average.length'))[0]->result?->habit;
        self::assertNull($habit('10', '40'));
        self::assertNull($habit('10', '26'), 'merely short');
        self::assertStringContainsString('half: usually both sides were counted', (string) $habit('10', '20'));
        self::assertStringContainsString('double', (string) $habit('10', '80'));
    }

    /** Ten whole stitches and a part of the next over 26 mm: half a stitch more is the middle of what it can be. */
    public function test_only_whole_stitches_may_be_counted(): void
    {
        $length = fn (string $count, string $span): mixed => self::grade('length-ladder', ['first.count' => [$count, $span]])->checks[0]->result?->figures['length_mm'];
        self::assertEqualsWithDelta(26.25 / 10.5, $length('10+', '26.25'), 1e-9);
        self::assertEqualsWithDelta($length('10.5', '26.25'), $length('10+', '26.25'), 1e-12);
        foreach (['10.5+', '+', '10++', '-3+'] as $nonsense) {
            try {
                $length($nonsense, '25');
                self::fail("$nonsense was read.");
            } catch (InputError $e) {
                self::assertSame('readings.first.count[0]', $e->field);
            }
        }
    }

    public function test_a_refusal_speaks_the_unit_it_was_typed_in(): void
    {
        $sampler = Fixtures::bundle()->lesson('first-seam')->sampler;
        try {
            Readings::typed($sampler, ['seam.allowance' => ['9 1/2']], Unit::Inch);
            self::fail('It was taken.');
        } catch (InputError $e) {
            self::assertStringContainsString('0 to 2 3/8 in', $e->getMessage());
            self::assertStringNotContainsString('mm', $e->getMessage());
        }
    }

    public function test_a_piece_lies_as_long_as_its_outer_fold_leaves_it(): void
    {
        // 180 mm long, folded up by 10 and by 20: 150 are left, whatever lies on the hem.
        $hem = Fixtures::bundle()->lesson('double-hem')->sampler->asItLies('panel');
        self::assertSame([150.0, 150.0], [$hem->widthMm, $hem->heightMm]);
        // Chalk is no fold, and without one a piece lies as it was cut.
        $strip = Fixtures::bundle()->lesson('gathers')->sampler->asItLies('strip');
        self::assertSame([300.0, 60.0], [$strip->widthMm, $strip->heightMm]);
    }

    public function test_what_stands_behind_the_limit_of_a_length_is_read_or_refused(): void
    {
        $sampler = Fixtures::bundle()->lesson('double-hem')->sampler;
        foreach (['2.34 ±0.23', '2.34 ±0,2 mm', '2.34 ±', '2.34'] as $good) {
            self::assertSame(2.34, Readings::typed($sampler, ['hem.distance' => [$good]], Unit::Millimetre)->values['hem.distance'][0]);
        }
        foreach (['2.34 ±0.23abc', '2.34 ±abc', '2.34 ±0.1 ±0.2x', '2.34 ±-1'] as $nonsense) {
            try {
                Readings::typed($sampler, ['hem.distance' => [$nonsense]], Unit::Millimetre);
                self::fail("$nonsense was read.");
            } catch (InputError $e) {
                self::assertSame('readings.hem.distance[0]', $e->field);
                self::assertStringContainsString('behind ±', $e->getMessage());
            }
        }
    }
}
