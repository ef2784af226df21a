<?php

declare(strict_types=1);

namespace OpenSeam\Core\Tests\Curriculum;

use OpenSeam\Core\Curriculum\BundleChange;
use OpenSeam\Core\Curriculum\BundleFiles;
use OpenSeam\Core\Curriculum\BundleMerge;
use OpenSeam\Core\Curriculum\BundleReader;
use OpenSeam\Core\InputError;
use OpenSeam\Core\Tests\Support\Fixtures;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

final class BundleMergeTest extends TestCase
{
    /** @return array<string, mixed> */
    private static function shelf(): array
    {
        return BundleFiles::read(Fixtures::folder());
    }

    /**
     * @param  list<array<string, mixed>>  $lessons
     * @param  array<string, mixed>  $but
     * @return array<string, mixed>
     */
    private static function bundle(array $lessons, array $but = []): array
    {
        return $but + ['format' => 'open-seam-course-bundle', 'format_version' => 1, 'id' => 'mine', 'version' => 1, 'title' => 'Mine', 'courses' => [], 'skills' => [], 'faults' => [], 'lessons' => $lessons];
    }

    /** @return array<string, mixed> */
    private static function lesson(string $id): array
    {
        return array_column((array) self::shelf()['lessons'], null, 'id')[$id];
    }

    public function test_what_is_the_same_changes_nothing(): void
    {
        $merge = BundleMerge::of(self::shelf(), self::shelf());
        self::assertSame([], $merge->changes);
        self::assertSame(self::shelf(), $merge->json);
        // Only its version differs: the studio counts its own.
        self::assertSame([], BundleMerge::of(self::shelf(), self::bundle([['version' => 9] + self::lesson('zip')]))->changes);
    }

    public function test_a_changed_lesson_names_each_place_with_before_and_after(): void
    {
        $lesson = self::lesson('first-seam');
        $lesson['minutes']['sew'] = 12;
        $lesson['sampler']['rows'][0]['path']['distance_mm'] = 12.7;
        $lesson['steps'][] = 'Press it open.';
        $merge = BundleMerge::of(self::shelf(), self::bundle([$lesson]));
        self::assertCount(1, $merge->changes);
        [$change] = $merge->changes;
        self::assertSame(['lesson', 'first-seam', 'First seam', false], [$change->part, $change->id, $change->title, $change->isNew]);
        self::assertEqualsCanonicalizing([
            ['place' => 'minutes.sew', 'before' => '8', 'after' => '12'],
            ['place' => 'sampler.rows[seam].path.distance_mm', 'before' => '15.9', 'after' => '12.7'],
            ['place' => 'steps['.(1 + count(self::lesson('first-seam')['steps'])).']', 'before' => '', 'after' => 'Press it open.'],
        ], $change->places);
        $after = BundleReader::read($merge->json);
        self::assertCount(51, $after->lessons);
        self::assertSame(12.7, $after->lesson('first-seam')->sampler->rows['seam']->run?->allowanceMm());
        self::assertSame(Fixtures::bundle()->lessons->ids(), $after->lessons->ids(), 'every lesson stays where it stood');
    }

    public function test_new_skills_lessons_and_courses_are_added(): void
    {
        $lesson = ['id' => 'french-seam', 'title' => 'French seam', 'teaches' => ['enclose']] + self::lesson('first-seam');
        $lesson['sampler']['rows'][0]['checks'] = array_map(fn (array $c): array => ['shows' => ['enclose']] + $c, $lesson['sampler']['rows'][0]['checks']);
        $merge = BundleMerge::of(self::shelf(), self::bundle([$lesson], [
            'threads' => ['top' => 'green', 'bobbin' => 'white'],
            'skills' => [['id' => 'enclose', 'title' => 'Enclose an edge', 'strand' => 'Edges and stretch', 'shows' => 'raw edges inside', 'needs' => ['keep-allowance']]],
            'courses' => [['id' => 'fine', 'title' => 'Fine cloth', 'lessons' => ['first-seam', 'french-seam']]],
        ]));
        self::assertSame(['skill enclose', 'lesson french-seam', 'course fine'], array_map(fn (BundleChange $c): string => "{$c->part} {$c->id}", $merge->changes));
        self::assertSame([true, true, true], array_map(fn (BundleChange $c): bool => $c->isNew, $merge->changes));
        $after = BundleReader::read($merge->json);
        self::assertSame(['first-seam'], $after->needs('french-seam', $after->courses['fine']['lessons']));
        self::assertSame('green', $after->lesson('french-seam')->sampler->rows['seam']->threads->top, 'the colours of its own bundle come with it');
        self::assertSame('dark blue', $after->lesson('first-seam')->sampler->rows['seam']->threads->top);
        // Laid over the result once more, it changes nothing.
        self::assertSame([], BundleMerge::of($merge->json, self::bundle([$lesson + ['threads' => ['top' => 'green', 'bobbin' => 'white']]]))->changes);
    }

    /** @return iterable<string, array{callable(array<string, mixed>): array<string, mixed>, string, string}> what is done to a lesson that comes in, place, words */
    public static function bad(): iterable
    {
        yield 'off the piece' => [fn (array $l): array => array_replace_recursive($l, ['sampler' => ['rows' => [['path' => ['distance_mm' => 101]]]]]), 'lessons[0].sampler.rows[0].path.run', '100 × 150 mm'];
        yield 'near inside met' => [fn (array $l): array => array_replace_recursive($l, ['sampler' => ['rows' => [['checks' => [['near_mm' => 0.5]]]]]]), 'lessons[0].sampler.rows[0].checks[0].near_mm', 'at least'];
        yield 'script in a title' => [fn (array $l): array => ['title' => 'Seam <script>alert(1)</script>'] + $l, 'lessons[0].title', 'no script'];
        yield 'script deep inside' => [fn (array $l): array => array_replace_recursive($l, ['sampler' => ['rows' => [['readings' => [['hint' => '<img src=x onerror=alert(1)>']]]]]]), 'lessons[0].sampler.rows[0].readings[0].hint', 'plain words'];
        yield 'an address that runs' => [fn (array $l): array => array_replace_recursive($l, ['steps' => ['JavaScript: run()']]), 'lessons[0].steps[0]', 'plain words'];
        yield 'a skill nobody has' => [fn (array $l): array => ['teaches' => ['fly']] + $l, 'lessons.first-seam.teaches', 'skill'];
        yield 'the same row twice' => [function (array $l): array {
            $l['sampler']['rows'][] = $l['sampler']['rows'][0];

            return $l;
        }, 'lessons[0].sampler.rows[1].id', 'same id'];
    }

    /** @param  callable(array<string, mixed>): array<string, mixed>  $break */
    #[DataProvider('bad')]
    public function test_what_does_not_fit_is_refused_with_the_place_in_its_own_file(callable $break, string $place, string $said): void
    {
        try {
            BundleMerge::of(self::shelf(), self::bundle([$break(self::lesson('first-seam'))]));
            self::fail('It was taken.');
        } catch (InputError $e) {
            self::assertSame($place, $e->field);
            self::assertStringContainsString($said, $e->getMessage());
        }
    }

    public function test_a_newer_format_and_a_circle_of_skills_are_refused(): void
    {
        try {
            BundleMerge::of(self::shelf(), self::bundle([], ['format_version' => 2]));
            self::fail('It was taken.');
        } catch (InputError $e) {
            self::assertSame('format_version', $e->field);
        }
        $skill = ['needs' => ['set-zigzag']] + array_column((array) self::shelf()['skills'], null, 'id')['set-length'];
        try {
            BundleMerge::of(self::shelf(), self::bundle([], ['skills' => [$skill]]));
            self::fail('It was taken.');
        } catch (InputError $e) {
            self::assertSame('skills', $e->field);
            self::assertStringContainsString('set-length', $e->getMessage());
        }
    }

    public function test_a_lesson_that_is_there_twice_is_refused(): void
    {
        $this->expectExceptionMessage('same id');
        BundleMerge::of(self::shelf(), self::bundle([self::lesson('zip'), self::lesson('zip')]));
    }
}
