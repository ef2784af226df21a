<?php

declare(strict_types=1);

namespace OpenSeam\Core\Tests\Curriculum;

use OpenSeam\Core\Course\Drill;
use OpenSeam\Core\Course\Lesson;
use OpenSeam\Core\Curriculum\BundleFiles;
use OpenSeam\Core\Curriculum\BundleReader;
use OpenSeam\Core\Data;
use OpenSeam\Core\Grading\Grade;
use OpenSeam\Core\Grading\Grader;
use OpenSeam\Core\Sampler\Readings;
use OpenSeam\Core\Tables;
use OpenSeam\Core\Tests\Support\Fixtures;
use OpenSeam\Core\Words;
use PHPUnit\Framework\TestCase;

/** Buttonholes that were sewn before there were five skills of them. */
final class EarlierButtonholeTest extends TestCase
{
    /** As typed then: differences, not what the ruler says. */
    private const THEN = ['sewn.length' => [0.5], 'sewn.sides' => [1.5], 'sewn.density' => [20, 22], 'sewn.bars' => [1], 'opened.passes' => [1], 'opened.bar' => [1], 'opened.clean' => [1]];

    private static function earlier(): Lesson
    {
        return BundleReader::lesson(Data::of((array) BundleFiles::earlier(Fixtures::folder(), 'buttonhole', 1)));
    }

    /** @param  array<string, list<float>>  $typed */
    private static function grade(Lesson $lesson, array $typed): Grade
    {
        return (new Grader(Fixtures::bundle()->skills, Fixtures::bundle()->faults, Words::in()))->grade($lesson, Readings::kept($typed));
    }

    public function test_they_are_judged_as_they_were(): void
    {
        $grade = self::grade(self::earlier(), self::THEN);
        $verdicts = [];
        foreach ($grade->checks as $check) {
            $verdicts["{$check->row->id}.{$check->spec->id}"] = $check->verdict()?->value;
        }
        self::assertSame(['sewn.length' => 'met', 'sewn.sides' => 'near', 'sewn.density' => 'met', 'sewn.bars' => 'met', 'opened.passes' => 'met', 'opened.bar' => 'met', 'opened.clean' => 'met'], array_map(fn (?string $v): ?string => $v === 'unsure' ? 'met' : $v, $verdicts));
    }

    public function test_what_they_showed_they_still_show_and_the_new_skills_begin_with_what_was_seen_of_them(): void
    {
        $shown = array_map(count(...), self::grade(self::earlier(), self::THEN)->weights);
        self::assertSame(4, $shown['sew-buttonhole'], 'all four checks, as then');
        self::assertSame(3, $shown['open-buttonhole']);
        self::assertSame([1, 1], [$shown['set-up-buttonhole'], $shown['balance-buttonhole']]);
        self::assertArrayNotHasKey('size-buttonhole', $shown);
    }

    public function test_today_each_skill_is_shown_by_its_own_readings(): void
    {
        $lesson = Fixtures::bundle()->lesson('buttonhole');
        $shows = [];
        foreach (self::grade($lesson, Fixtures::good($lesson))->checks as $check) {
            foreach ($check->spec->shows as $skill) {
                $shows[$skill][] = "{$check->row->id}.{$check->spec->id}";
            }
        }
        self::assertSame(['sewn.ends', 'sewn.edge', 'sewn.clean'], $shows['set-up-buttonhole']);
        self::assertSame(['sewn.density', 'sewn.shows'], $shows['balance-buttonhole']);
        self::assertContains('first.length', $shows['sew-buttonhole'], 'three holes, read one by one');
        self::assertContains('second.length', $shows['sew-buttonhole']);
    }

    /** One button of 15 × 3 has one opening and one finished length wherever it is spoken of. */
    public function test_numbers_agree(): void
    {
        foreach (['buttonhole', 'three-alike', 'open-and-mend', 'stretch-buttonhole'] as $id) {
            foreach (Fixtures::bundle()->lesson($id)->sampler->rows as $row) {
                $row->path === null || self::assertEqualsWithDelta(21.0, $row->path->lengthMm(), 1e-9, "$id {$row->id}");
            }
        }
        foreach (Fixtures::bundle()->lesson('buttonhole-sizing')->sampler->lines as $line) {
            $long = hypot($line->to[0] - $line->from[0], $line->to[1] - $line->from[1]);
            self::assertContains(round($long, 6), [21.0, 210.0, 240.0]);
        }
    }

    public function test_nobody_cuts_towards_a_bar_without_a_pin(): void
    {
        foreach (glob(Fixtures::folder().'/lessons/*.json') ?: [] as $file) {
            self::assertDoesNotMatchRegularExpression('/from the middle|towards? the bar\b/i', (string) file_get_contents($file), basename($file));
        }
    }

    /** From every row of the table to something that is practised: its skill is taught by a lesson, and has a drill. */
    public function test_every_row_of_the_table_leads_to_a_lesson_and_a_drill(): void
    {
        $rows = Tables::read('buttonhole-table')->part('rows')->raw();
        self::assertCount(15, $rows);
        foreach ($rows as $id => $row) {
            $skills = array_filter([$row['skill'] ?? null, $row['one-step']['skill'] ?? null], is_string(...));
            self::assertNotSame([], $skills, $id);
            foreach ($skills as $skill) {
                $teach = array_filter(Fixtures::bundle()->lessons->all(), fn (Lesson $l): bool => in_array($skill, $l->teaches, true));
                self::assertNotSame([], $teach, "$id: $skill");
                self::assertNotSame([], array_filter(array_merge(...array_map(fn (Lesson $l): array => $l->drills, array_values(Fixtures::bundle()->lessons->all()))), fn (Drill $d): bool => $d->skill === $skill), "$id: $skill");
            }
        }
    }
}
