<?php

declare(strict_types=1);

namespace OpenSeam\Core\Tests\Curriculum;

use OpenSeam\Core\Curriculum\BundleFiles;
use OpenSeam\Core\Curriculum\BundleReader;
use OpenSeam\Core\Data;
use OpenSeam\Core\Grading\Grade;
use OpenSeam\Core\Grading\Grader;
use OpenSeam\Core\InputError;
use OpenSeam\Core\Measure\Unit;
use OpenSeam\Core\Measure\Verdict;
use OpenSeam\Core\Sampler\Readings;
use OpenSeam\Core\Tests\Support\Fixtures;
use OpenSeam\Core\Words;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/** The lessons as a teacher reads them; what is asked of each is common practice, no source. */
final class ReadAsATeacherTest extends TestCase
{
    private const FOLDER = __DIR__.'/../../../curriculum/beginner-machine';

    /** @param  array<string, list<mixed>>  $typed */
    private static function grade(string $lesson, array $typed): Grade
    {
        $found = Fixtures::bundle()->lesson($lesson);

        return (new Grader(Fixtures::bundle()->skills, Fixtures::bundle()->faults, Words::in()))->grade($found, Readings::typed($found->sampler, $typed, Unit::Millimetre));
    }

    private static function words(string $lesson): string
    {
        $l = Fixtures::bundle()->lesson($lesson);

        return strtolower(implode(' ', [...$l->steps, ...$l->points, ...$l->cautions]));
    }

    public function test_every_lesson_has_a_script_with_a_set_up_and_three_mistakes(): void
    {
        foreach (Fixtures::bundle()->lessons as $lesson) {
            $shown = $lesson->demonstration;
            self::assertNotNull($shown, $lesson->id);
            self::assertGreaterThan(20, strlen($shown->setup), $lesson->id);
            self::assertContains(count($shown->acts), range(4, 8), $lesson->id);
            self::assertGreaterThanOrEqual(3, count($lesson->mistakes), $lesson->id);
            $said = array_merge(array_column($shown->acts, 'show'), array_column($lesson->mistakes, 'mistake'));
            self::assertSame($said, array_unique($said), "{$lesson->id} says a thing twice");
        }
    }

    /** @return iterable<string, array{string, list<string>}> */
    public static function said(): iterable
    {
        yield 'paper drive: needle out and in' => ['paper-drive', ['an old needle in', 'the good needle back in']];
        yield 'first seam: reverse, hands, a snarl, a touch past' => ['first-seam', ['find reverse before you start', 'one hand steers', 'a snarl', 'a touch past it']];
        yield 'curve: notches outward, snips inward' => ['curve-and-corner', ['outward curve: notches; an inward one: snips']];
        yield 'zip: baste, stop, metal, coil' => ['zip', ['baste the seam shut', 'take the basting out', 'bottom stop', 'never sew over metal', 'over a coil by hand wheel']];
        yield 'winding' => ['wind-and-thread', ['cap a little wider', 'unwinds from the side', 'stops when it is full', 'cut the tail in its slit', 'from the side where', 'for the bobbin too where the manual says so', 'needle threader']];
        yield 'elastic: hands' => ['elastic', ['one hand behind the foot, one a hand’s breadth in front', 'through the foot’s opening']];
        yield 'needle change: foot down, power off' => ['needle-and-foot', ['power off; foot down']];
        yield 'lead and smell, start and stop key, speed slide' => ['safe-seat', ['damaged lead', 'smell of burning', 'start and stop key', 'speed slide']];
        yield 'free motion: eyes' => ['free-motion', ['eye protection']];
        yield 'spiral: stopping mark' => ['square-spiral', ['stopping mark ahead of each corner']];
        yield 'binding: tape width' => ['binding', ['one tape width']];
        yield 'free arm' => ['double-hem', ['free arm']];
        yield 'stretch lever' => ['stretch-seam', ['where a lever or key turns on the stretch stitches']];
        yield 'letters: enter, look through, delete, crossing threads' => ['letters-in-thread', ['look through', 'delete', 'some do not', 'cross between the letters']];
        yield 'make it up: order and cutting' => ['make-it-up', ['order of sewing', 'cut both to', 'needle book']];
        yield 'unpick from the wrong side' => ['unpick', ['wrong side', 'away from the holding hand']];
        yield 'press: open and to one side, cloth' => ['press', ['the second to one side', 'press cloth', 'on its heel']];
        yield 'mark and cut' => ['mark-and-cut', ['selvedge', 'chalk', 'notches', 'arrow']];
        yield 'heavy seam' => ['heavy-seam', ['triple', 'eye protection']];
    }

    /** @param  list<string>  $all */
    #[DataProvider('said')]
    public function test_what_a_teacher_says_is_said(string $lesson, array $all): void
    {
        foreach ($all as $words) {
            self::assertStringContainsString($words, self::words($lesson));
        }
    }

    public function test_nothing_but_the_tension_changes_in_two_faces_and_the_fix_names_the_way(): void
    {
        $rows = Fixtures::bundle()->lesson('two-faces')->sampler->rows;
        self::assertSame([['straight', 2.5]], array_values(array_unique(array_map(fn ($r): array => [$r->stitch->kind->id, $r->stitch->lengthMm], $rows), SORT_REGULAR)));
        foreach ([[0, null], [2, 'one notch up'], [3, 'one notch down']] as [$option, $fix]) {
            $check = array_values(array_filter(self::grade('two-faces', ['corrected.faces' => [$option]])->checks, fn ($c): bool => $c->spec->id === 'faces'))[0];
            $fix === null ? self::assertNull($check->change()) : self::assertStringContainsString($fix, (string) $check->change()?->text);
        }
        self::assertArrayHasKey('foot-down', $rows['corrected']->fields);
    }

    /** A perfect row keeps the spacing of the foot it was sewn under, whatever its edge is. */
    public function test_the_spacing_is_that_of_the_foot_in_use(): void
    {
        $verdict = function (string $lesson, string $row, string $check, array $typed): ?Verdict {
            foreach (self::grade($lesson, $typed)->checks as $c) {
                if ($c->key() === "$row.$check") {
                    return $c->verdict();
                }
            }

            return null;
        };
        foreach ([5.0, 6.5, 7.5, 10.0] as $edge) {
            // Read to half a millimetre, both.
            $at = fn (float $mm): string => sprintf('%.1f', $mm);
            self::assertSame(Verdict::Met, $verdict('square-spiral', 'spiral', 'lanes', ['spiral.foot-edge' => [$at($edge)], 'spiral.lanes' => array_fill(0, 4, $at($edge))]), "edge $edge");
            self::assertSame(Verdict::Met, $verdict('zigzag-ladder', 'looking', 'spacing', ['looking.foot-edge' => [$at($edge)], 'looking.spacing' => array_fill(0, 4, $at($edge))]), "edge $edge");
            self::assertSame(Verdict::NotYet, $verdict('square-spiral', 'spiral', 'lanes', ['spiral.foot-edge' => [$at($edge)], 'spiral.lanes' => array_fill(0, 4, $at($edge + 3.5))]));
        }
        // Where it was not measured, what most standard feet have.
        self::assertSame(Verdict::Met, $verdict('square-spiral', 'spiral', 'lanes', ['spiral.lanes' => [6.5, 6.5, 6.5, 6.5]]));
    }

    public function test_a_target_is_a_length_of_the_same_row(): void
    {
        $json = BundleFiles::read(self::FOLDER);
        foreach ([['target_of' => 'lanes'], ['target_of' => 'nowhere'], ['target_of' => 'foot-edge', 'kind' => 'spread']] as $wrong) {
            $try = $json;
            foreach ($try['lessons'] as &$lesson) {
                if ($lesson['id'] === 'square-spiral') {
                    foreach ($lesson['sampler']['rows'][0]['checks'] as &$check) {
                        $check['id'] === 'lanes' && $check = $wrong + $check;
                    }
                }
            }
            unset($lesson, $check);
            try {
                BundleReader::read($try);
                self::fail('It was read.');
            } catch (InputError $e) {
                self::assertStringEndsWith('target_of', $e->field);
            }
        }
    }

    public function test_pins_are_checked_wherever_a_seam_is_pinned(): void
    {
        foreach (['first-seam', 'curve-and-corner', 'zip', 'trims-and-easing', 'make-it-up'] as $id) {
            $shows = array_merge([], ...array_map(fn ($r): array => array_merge([], ...array_map(fn ($c): array => $c->shows, $r->checks)), array_values(Fixtures::bundle()->lesson($id)->sampler->rows)));
            self::assertContains('take-pins', $shows, $id);
        }
    }

    public function test_one_quarter_seam_has_one_length(): void
    {
        $lesson = Fixtures::bundle()->lesson('quarter-seam');
        self::assertSame([2.5, 2.5], [$lesson->sampler->rows['seam']->stitch->lengthMm, $lesson->sews[0]->setup->stitch->lengthMm]);
        self::assertStringContainsString('2.5', $lesson->settings[0]->value);
    }

    public function test_four_machines_are_set_wrong_and_their_faults_can_be_seen(): void
    {
        $lesson = Fixtures::bundle()->lesson('fault-hunt');
        self::assertSame(['Machine 1', 'Machine 2', 'Machine 3', 'Machine 4'], array_slice(array_map(fn ($s): string => $s->name, $lesson->settings), 0, 4));
        self::assertGreaterThanOrEqual(4, count($lesson->faults));
        self::assertTrue($lesson->machine && $lesson->sews !== []);
    }

    public function test_cleaning_stands_on_fitting_the_foot(): void
    {
        self::assertContains('fit-foot', Fixtures::bundle()->skills->get('clean-machine')->needs);
    }

    /** Enrichment does not make a beginner's course longer. */
    public function test_what_is_beyond_the_course_is_in_no_course(): void
    {
        $beyond = ['every-stitch', 'heavy-seam', 'blanket-stitch', 'letters-in-thread', 'pleats-and-understitching', 'piping-and-tucks', 'zip-beside-piping', 'make-it-up'];
        foreach (Fixtures::bundle()->courses as $course) {
            self::assertSame([], array_intersect($beyond, $course['lessons']));
        }
        foreach (['unpick', 'press', 'mark-and-cut', 'trims-and-easing'] as $id) {
            self::assertContains($id, Fixtures::bundle()->courses['stitches-first']['lessons']);
        }
    }

    /** @return iterable<string, array{string}> */
    public static function archived(): iterable
    {
        foreach (glob(self::FOLDER.'/earlier/*.json') ?: [] as $file) {
            yield basename($file) => [$file];
        }
    }

    /** What was sewn before a lesson changed is judged by the lesson as it was. */
    #[DataProvider('archived')]
    public function test_an_earlier_lesson_can_still_be_read(string $file): void
    {
        [$id, $version] = explode('.', basename($file, '.json')) + ['', ''];
        $json = BundleFiles::earlier(self::FOLDER, $id, (int) $version);
        self::assertNotNull($json);
        $earlier = BundleReader::lesson(Data::of($json));
        self::assertSame([$id, (int) $version], [$earlier->id, $earlier->version]);
        self::assertGreaterThan($earlier->version, Fixtures::bundle()->lesson($earlier->id)->version);
        self::assertNull(BundleFiles::earlier(self::FOLDER, '../bundle', 1));
    }

    /** Its lengths are values, which everybody reads by their own ruler; what a dial says stays in mm (common practice, no source). */
    #[DataProvider('archived')]
    public function test_lengths_of_an_earlier_lesson_are_values(string $file): void
    {
        $said = (string) preg_replace('/\{[^{}"]*\}/', '', (string) file_get_contents($file));
        preg_match_all('/"(value|label|allows)": "([^"]*\d ?mm\b[^"]*)"|\d ?mm\b/', $said, $all, PREG_SET_ORDER);
        foreach ($all as $found) {
            self::assertTrue(
                ($found[2] ?? '') === '2.5 mm' || str_starts_with($found[2] ?? '', 'Stitches in 10 mm') || (str_contains($file, 'zigzag-ladder') && ($found[1] ?? '') === 'allows'),
                "$file says {$found[0]}",
            );
        }
        $this->addToAssertionCount(1);
    }
}
