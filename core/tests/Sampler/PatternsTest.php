<?php

declare(strict_types=1);

namespace OpenSeam\Core\Tests\Sampler;

use OpenSeam\Core\Grading\Comparison;
use OpenSeam\Core\Grading\Grade;
use OpenSeam\Core\Grading\GradedCheck;
use OpenSeam\Core\Grading\Grader;
use OpenSeam\Core\Grading\Overruling;
use OpenSeam\Core\InputError;
use OpenSeam\Core\Measure\SeamReading;
use OpenSeam\Core\Measure\Unit;
use OpenSeam\Core\Measure\Verdict;
use OpenSeam\Core\Sampler\FieldKind;
use OpenSeam\Core\Sampler\Readings;
use OpenSeam\Core\Tests\Support\Fixtures;
use OpenSeam\Core\Words;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/** What the errors of a row look like, how two samples compare, and what the teacher says against it. */
final class PatternsTest extends TestCase
{
    /** @return iterable<string, array{list<float>, int|null}> allowances at 15.9 ±1 and the mark a step comes after */
    public static function seams(): iterable
    {
        yield 'a step after the second mark' => [[15.9, 16.0, 13.0, 12.9, 13.1], 2];
        yield 'a step after the third mark, outwards' => [[15.8, 16.0, 15.9, 19.0, 19.2], 3];
        yield 'a steady slant' => [[16.0, 15.2, 14.4, 13.6, 12.8], null];
        yield 'to and fro' => [[16.0, 13.0, 16.1, 12.9, 16.0], null];
        yield 'one end alone' => [[15.9, 15.9, 16.0, 15.9, 12.0], null];
        yield 'good' => [[15.9, 16.2, 15.6, 15.9, 16.0], null];
    }

    /** @param  list<float>  $allowances */
    #[DataProvider('seams')]
    public function test_a_guide_changed_midway_is_told_from_a_slant(array $allowances, ?int $after): void
    {
        $seam = SeamReading::of([10.0, 40.0, 70.0, 100.0, 130.0], $allowances, 15.9, 1.0, 2.0);
        self::assertSame($after, $seam->step?->after);
    }

    /** Rows drawn by lot with reading noise of a quarter of a millimetre: slants are hardly ever called steps, steps nearly always found. */
    public function test_steps_under_noise(): void
    {
        mt_srand(12);
        $noise = fn (): float => 0.25 * sqrt(-2 * log(mt_rand(1, 10_000) / 10_000)) * cos(2 * M_PI * mt_rand() / mt_getrandmax());
        [$found, $false] = [0, 0];
        for ($round = 0; $round < 400; $round++) {
            $jump = (mt_rand(0, 1) * 2 - 1) * mt_rand(25, 50) / 10;
            $step = array_map(fn (int $i): float => 15.9 + ($i >= 3 ? $jump : 0) + $noise(), range(0, 6));
            $slant = array_map(fn (int $i): float => 15.9 + $jump * $i / 6 + $noise(), range(0, 6));
            $at = array_map(fn (int $i): float => 20.0 * $i, range(0, 6));
            $found += SeamReading::of($at, $step, 15.9, 1.0, 2.0)->step?->after === 3 ? 1 : 0;
            $false += SeamReading::of($at, $slant, 15.9, 1.0, 2.0)->step === null ? 0 : 1;
        }
        self::assertGreaterThan(360, $found);
        self::assertLessThan(20, $false);
    }

    /**
     * @param  array<string, list<float|int|string|null>>  $typed
     * @param  array<string, Overruling>  $overruled
     */
    private static function graded(string $lesson, array $typed, array $overruled = []): Grade
    {
        $found = Fixtures::bundle()->lesson($lesson);

        return (new Grader(Fixtures::bundle()->skills, Fixtures::bundle()->faults, Words::in()))->grade($found, Readings::typed($found->sampler, $typed, Unit::Millimetre), [], $overruled);
    }

    /** @return array<string, GradedCheck> */
    private static function byKey(Grade $grade): array
    {
        return array_combine(array_map(fn (GradedCheck $c): string => $c->key(), $grade->checks), $grade->checks);
    }

    public function test_each_pattern_has_a_sentence_and_the_habit_behind_it(): void
    {
        $steering = fn (array $marks): GradedCheck => self::byKey(self::graded('first-seam', ['seam.allowance' => $marks]))['seam.steering'] ?? self::fail('There is no such check.');
        self::assertStringContainsString('after mark 2', (string) $steering([15.9, 16, 11, 11, 11])->result?->text);
        self::assertStringContainsString('guide was changed', (string) $steering([15.9, 16, 11, 11, 11])->result?->habit);
        self::assertStringContainsString('angle', (string) $steering([18, 17, 15.9, 14.5, 13])->result?->habit);
        self::assertNull($steering([15.9, 16, 15.8, 15.9, 16])->result?->habit);
        $spiral = self::byKey(self::graded('square-spiral', ['spiral.corners' => array_fill(0, 8, 3)]));
        $corners = array_values(array_filter($spiral, fn (GradedCheck $c): bool => $c->result?->habit !== null));
        self::assertNotSame([], $corners, 'all corners long');
        self::assertStringContainsString('stopped too late', (string) $corners[0]->result?->habit);
    }

    public function test_two_samples_differ_only_by_more_than_their_uncertainty(): void
    {
        $how = function (array $before, array $now): string {
            foreach (Comparison::of(self::graded('first-seam', ['seam.allowance' => $before]), self::graded('first-seam', ['seam.allowance' => $now])) as $c) {
                if (str_ends_with($c->key, 'steering')) {
                    return $c->how;
                }
            }
            self::fail('It was not compared.');
        };
        // A spread is sure to 2·√2·0.41 = 1.15 mm between two samples: worked by hand.
        self::assertSame('same', $how([15.9, 15.9, 15.9, 15.9, 18.9], [15.9, 15.9, 15.9, 15.9, 18]));
        self::assertSame('better', $how([15.9, 15.9, 15.9, 15.9, 18.9], [15.9, 15.9, 15.9, 15.9, 17]));
        self::assertSame('worse', $how([15.9, 15.9, 15.9, 15.9, 17], [15.9, 15.9, 15.9, 15.9, 18.9]));
        // What is not measured goes by its verdict.
        $compared = Comparison::of(self::graded('first-seam', ['seam.pull' => [0]]), self::graded('first-seam', ['seam.pull' => [1]]));
        self::assertSame(['seam.pull' => 'better'], array_column(array_map(fn (Comparison $c): array => ['key' => $c->key, 'how' => $c->how], $compared), 'how', 'key'));
    }

    public function test_the_teacher_s_verdict_counts_and_the_readings_stay(): void
    {
        $marks = ['seam.allowance' => [15.9, 16, 15.8, 15.9, 16]];
        $plain = self::byKey(self::graded('first-seam', $marks))['seam.steering'];
        self::assertSame(Verdict::Met, $plain->verdict());
        $own = self::graded('first-seam', $marks, ['seam.steering' => Overruling::of('seam.steering', 'not-yet', 'sewn by the helper')]);
        $check = self::byKey($own)['seam.steering'];
        self::assertSame([Verdict::NotYet, Verdict::Met, 0.0], [$check->verdict(), $check->result?->judgement->verdict, $check->weight()]);
        self::assertSame(Verdict::NotYet, $own->verdict());
        // The other way round nothing is left to change.
        $good = self::byKey(self::graded('first-seam', ['seam.allowance' => [12, 12, 12, 12, 12]], Overruling::all(['seam.allowance-mean' => ['verdict' => 'met', 'because' => 'the pattern asks for 12']])));
        foreach ($good as $c) {
            self::assertTrue($c->overruled === null || $c->change() === null);
        }
        foreach ([['unsure', 'x', 'verdict'], ['great', 'x', 'verdict'], ['met', ' ', 'because'], ['met', str_repeat('x', 201), 'because']] as [$verdict, $because, $field]) {
            try {
                Overruling::of('seam.steering', $verdict, $because);
                self::fail('It was taken.');
            } catch (InputError $e) {
                self::assertSame("overruled.seam.steering.$field", $e->field);
            }
        }
    }

    /** Too close to call names the reading that would settle it, for every check that measures. */
    public function test_unsure_names_the_one_more_reading(): void
    {
        $said = [];
        foreach (Fixtures::bundle()->lessons as $lesson) {
            foreach ($lesson->sampler->rows as $row) {
                foreach ($row->checks as $spec) {
                    $field = $row->fields[$spec->of];
                    for ($value = max(0.0, $field->min); $value <= min($field->max, 120.0); $value += 0.1) {
                        $values = $field->kind === FieldKind::Stitches ? [4.0, max(5.0, 4 * $value)] : array_map(fn (int $i): float => $value + 0.1 * ($i === 1), array_keys(array_fill(0, $field->size(), 0)));
                        $result = in_array($field->kind, [FieldKind::YesNo, FieldKind::Choice], true) ? null : $spec->check->judge($field, $values, Words::in());
                        if ($result?->judgement->verdict === Verdict::Unsure) {
                            self::assertMatchesRegularExpression('/\d|no count settles it, so you decide/', (string) $result->again, "{$lesson->id} {$row->id} {$spec->id} names what to read");
                            $said[strtok((string) $result->again, ' ').' '.$spec->check::class] = $result->again;
                        }
                    }
                }
            }
        }
        self::assertGreaterThanOrEqual(4, count($said), implode(' | ', $said));
    }
}
