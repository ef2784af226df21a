<?php

declare(strict_types=1);

namespace OpenSeam\Core\Tests\Curriculum;

use OpenSeam\Core\Compute\SchemaCheck;
use OpenSeam\Core\Curriculum\BundleFiles;
use OpenSeam\Core\Curriculum\BundleReader;
use OpenSeam\Core\InputError;
use OpenSeam\Core\Sampler\Drawing;
use OpenSeam\Core\Sampler\Row;
use OpenSeam\Core\Skill\SkillGraphBroken;
use OpenSeam\Core\Stitch\SewingTime;
use OpenSeam\Core\Tests\Support\Fixtures;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

final class BundleTest extends TestCase
{
    /** @return array<string, mixed> */
    private static function json(): array
    {
        return BundleFiles::read(Fixtures::folder());
    }

    /** @param  array<string, mixed>  $json */
    private static function check(array $json): void
    {
        /** @var array<string, mixed> $schema */
        $schema = json_decode((string) file_get_contents(dirname(__DIR__, 3).'/docs/formats/course-bundle.schema.json'), true);
        (new SchemaCheck($schema))->check(json_decode((string) json_encode($json)));
    }

    public function test_the_shipped_bundle_fits_its_schema(): void
    {
        self::check(self::json());
        self::assertCount(51, Fixtures::bundle()->lessons);
        self::assertSame(['first-steps', 'stitches-first', 'know-your-feet-first', 'one-day-starter'], array_keys(Fixtures::bundle()->courses));
    }

    /** The skills of the trade, 44 and 16 for other feet and for what is sewn beyond the course; only safety stands on nothing. */
    public function test_the_skills_are_complete(): void
    {
        $skills = Fixtures::bundle()->skills->all();
        self::assertCount(62, $skills);
        self::assertSame(['safe-habits'], array_keys(array_filter($skills, fn ($s): bool => $s->needs === [])));
        self::assertTrue($skills['safe-habits']->safety);
        self::assertContains('safe-habits', Fixtures::bundle()->skills->below(['open-buttonhole']));
    }

    public function test_every_skill_is_taught_and_every_prerequisite_is_in_reach(): void
    {
        $bundle = Fixtures::bundle();
        $taught = array_merge([], ...array_values(array_map(fn ($l): array => $l->teaches, $bundle->lessons->all())));
        self::assertSame([], array_diff(array_keys($bundle->skills->all()), $taught));
        foreach ($bundle->courses as $id => $course) {
            foreach ($course['lessons'] as $at => $lesson) {
                // What a lesson stands on is taught before it, or not in this course at all.
                foreach ($bundle->needs($lesson, $course['lessons']) as $need) {
                    self::assertLessThan($at, (int) array_search($need, $course['lessons'], true), "$id: $lesson needs $need");
                }
            }
        }
    }

    /** A drill for every skill, so that a weak point can be practised alone. */
    public function test_every_skill_has_a_drill(): void
    {
        $drilled = [];
        foreach (Fixtures::bundle()->lessons as $lesson) {
            foreach ($lesson->drills as $drill) {
                $drilled[$drill->skill] = true;
            }
        }
        self::assertSame([], array_diff(array_keys(Fixtures::bundle()->skills->all()), array_keys($drilled)));
    }

    /** A drill of something that is sewn has short rows of its own: on their pieces, apart, under the lesson's feet, soon done. */
    public function test_drills_of_sewn_skills_have_rows(): void
    {
        $sewn = [];
        foreach (Fixtures::bundle()->lessons as $lesson) {
            $feet = array_merge([], ...array_map(fn ($n): array => $n->feet, $lesson->sews));
            foreach ($lesson->drills as $drill) {
                if ($drill->sampler()->rows === []) {
                    continue;
                }
                $sewn[$drill->skill] = true;
                self::assertLessThanOrEqual(2, count(array_unique(array_map(fn (Row $r): string => $r->stitch->kind->id, $drill->sampler()->rows))), "{$lesson->id} {$drill->id}");
                $minutes = 0.0;
                foreach ($drill->sampler()->rows as $row) {
                    self::assertNotSame([], array_intersect($feet, $row->stitch->kind->feet), "{$lesson->id} {$drill->id} {$row->stitch->kind->id}");
                    $minutes += SewingTime::minutes((int) (($row->path?->lengthMm() ?? 0.0) / max(0.3, $row->stitch->lengthMm)), 800.0, SewingTime::BEGINNER_PACE, 0) - 0.5;
                }
                self::assertLessThanOrEqual($drill->minutes, $minutes, "{$lesson->id} {$drill->id}");
                self::assertLessThanOrEqual(190.0, Drawing::of($drill->sampler())->widthMm(), 'on one page');
            }
        }
        // Spoken, threaded, fitted, cleaned, measured, cut, laid out or looked for: nothing is sewn to practise these.
        $hands = ['safe-habits', 'wind-bobbin', 'load-bobbin', 'thread-top', 'raise-bobbin-thread', 'fit-needle', 'fit-foot', 'clean-machine', 'double-hem', 'size-buttonhole', 'set-up-buttonhole', 'find-fault', 'mark-and-cut', 'make-up'];
        self::assertEqualsCanonicalizing(array_diff(array_keys(Fixtures::bundle()->skills->all()), $hands), array_keys($sewn));
    }

    /** Faults stand at the row they are usual on: too loose on the row that is set too loose, a cut bar where it is opened. */
    public function test_faults_belong_to_rows(): void
    {
        $on = fn (string $lesson, string $fault): array => array_map(fn (Row $r): string => $r->id, Fixtures::bundle()->lesson($lesson)->rowsWith($fault));
        self::assertSame(['low', 'corrected'], $on('two-faces', 'loops-under'));
        self::assertSame(['opened'], $on('buttonhole', 'bar-cut'));
        self::assertSame([], $on('mend', 'puckered'), 'on every row');
        foreach (Fixtures::bundle()->lessons as $lesson) {
            foreach ($lesson->faults as $fault) {
                self::assertNotSame([], array_filter($lesson->sampler->rows, fn (Row $r): bool => $r->faults === null || in_array($fault, $r->faults, true)), "{$lesson->id} $fault stands at no row");
            }
        }
        $json = self::json();
        $json['lessons'][8]['sampler']['rows'][0]['faults'] = ['bar-cut'];
        $this->expectExceptionMessage('one of the faults of the lesson');
        BundleReader::read($json);
    }

    /** What the course needs can be sewn: each row by one of the feet its lesson names. */
    public function test_every_row_can_be_sewn_under_a_foot_its_lesson_names(): void
    {
        foreach (Fixtures::bundle()->lessons as $lesson) {
            $feet = array_merge([], ...array_map(fn ($n): array => $n->feet, $lesson->sews));
            foreach ($lesson->sampler->rows as $row) {
                if ($row->path !== null && $lesson->machine) {
                    self::assertNotSame([], array_intersect($feet, $row->stitch->kind->feet), "{$lesson->id} {$row->id}: ".implode(', ', $row->stitch->kind->feet));
                }
            }
        }
    }

    /** Two checks at least for what a lesson teaches, or it could never be sure after one good sample. */
    public function test_every_lesson_shows_what_it_teaches(): void
    {
        foreach (Fixtures::bundle()->lessons as $lesson) {
            foreach ($lesson->teaches as $skill) {
                $shown = 0;
                foreach ($lesson->sampler->rows as $row) {
                    foreach ($row->checks as $check) {
                        $shown += in_array($skill, $check->shows, true) ? 1 : 0;
                        self::assertNotSame('', $check->source);
                    }
                }
                self::assertGreaterThanOrEqual(2, $shown, "{$lesson->id} {$skill}");
            }
            self::assertNotSame([], $lesson->cautions, $lesson->id);
        }
    }

    public function test_every_check_that_can_miss_says_what_to_change(): void
    {
        foreach (Fixtures::bundle()->lessons as $lesson) {
            foreach ($lesson->sampler->rows as $row) {
                foreach ($row->checks as $check) {
                    self::assertNotSame([], $check->changes, "{$lesson->id} {$row->id} {$check->id}");
                }
            }
        }
    }

    public function test_a_wrong_bundle_is_refused_by_name(): void
    {
        $json = self::json();
        $json['lessons'][0]['teaches'] = ['sing'];
        try {
            BundleReader::read($json);
            self::fail('It was taken.');
        } catch (InputError $e) {
            self::assertStringContainsString('safe-seat', $e->field);
            self::assertSame('sing', $e->got);
        }
        $json = self::json();
        $json['lessons'][4]['sampler']['rows'][0]['checks'][0]['met_mm'] = -1;
        try {
            self::check($json);
            self::fail('It was taken.');
        } catch (InputError $e) {
            self::assertStringContainsString('met_mm', $e->field);
        }
        $json = self::json();
        $json['skills'][0]['needs'] = ['open-buttonhole'];
        $this->expectException(SkillGraphBroken::class);
        BundleReader::read($json);
    }

    /** @return iterable<string, array{callable(array<string, mixed>): array<string, mixed>, string, string}> what is done to the bundle, field, words */
    public static function broken(): iterable
    {
        $row = fn (array $json, string $lesson, callable $change): array => (function () use ($json, $lesson, $change): array {
            foreach ($json['lessons'] as &$l) {
                if ($l['id'] === $lesson) {
                    $l['sampler']['rows'][0] = $change($l['sampler']['rows'][0]);
                }
            }

            return $json;
        })();
        yield 'row off the piece' => [fn (array $j): array => $row($j, 'first-seam', fn (array $r): array => array_replace_recursive($r, ['path' => ['to_mm' => 151]])), 'lessons[4].sampler.rows[0].path.run', '100 × 150 mm'];
        yield 'tolerance the wrong way round' => [fn (array $j): array => $row($j, 'first-seam', fn (array $r): array => array_replace_recursive($r, ['checks' => [['met_mm' => 3, 'near_mm' => 2]]])), 'lessons[4].sampler.rows[0].checks[0].near_mm', 'at least'];
        yield 'unknown stitch' => [fn (array $j): array => $row($j, 'zigzag-ladder', fn (array $r): array => ['stitch' => 'knit'] + $r), 'lessons[12].sampler.rows[0].stitch', 'Known: straight'];
        yield 'newer format' => [fn (array $j): array => ['format_version' => 2] + $j, 'format_version', 'newer program'];
        yield 'unknown foot' => [function (array $j): array {
            $j['lessons'][4]['sews'][0]['feet'] = ['clog'];

            return $j;
        }, 'lessons[4].sews[0].feet[0]', 'Known: standard'];
        yield 'a check of nothing' => [fn (array $j): array => $row($j, 'first-seam', fn (array $r): array => array_replace_recursive($r, ['checks' => [['of' => 'weather']]])), 'lessons[4].sampler.rows[0].checks[0].of', 'its own row'];
    }

    /** @param  callable(array<string, mixed>): array<string, mixed>  $break */
    #[DataProvider('broken')]
    public function test_a_broken_bundle_names_the_place(callable $break, string $field, string $said): void
    {
        try {
            BundleReader::read($break(self::json()));
            self::fail('It was taken.');
        } catch (InputError $e) {
            self::assertSame($field, $e->field);
            self::assertStringContainsString($said, $e->getMessage());
        }
    }

    public function test_unknown_fields_are_refused(): void
    {
        $json = self::json();
        $json['lessons'][4]['colour'] = 'red';
        $this->expectExceptionMessage('"colour" is not known here');
        self::check($json);
    }
}
