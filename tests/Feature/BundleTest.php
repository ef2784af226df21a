<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Models\User;
use Illuminate\Support\Facades\DB;
use OpenSeam\Core\Compute\SchemaCheck;
use PHPUnit\Framework\Attributes\DataProvider;
use Tests\TestCase;

/** Course bundles come and go: what will change is shown first, and can be undone. */
final class BundleTest extends TestCase
{
    private User $teacher;

    protected function setUp(): void
    {
        parent::setUp();
        $this->teacher = $this->teacher();
        $this->actingAs($this->teacher);
    }

    /** @return array<string, mixed> */
    private function export(string $of = ''): array
    {
        $answer = $this->get("/api/shelf/export$of")->assertOk();
        self::assertStringContainsString('attachment', (string) $answer->headers->get('Content-Disposition'));

        return (array) json_decode((string) $answer->getContent(), true);
    }

    public function test_what_is_exported_fits_the_schema_and_comes_back_unchanged(): void
    {
        /** @var array<string, mixed> $schema */
        $schema = json_decode((string) file_get_contents(base_path('docs/formats/course-bundle.schema.json')), true);
        foreach (['', '?course=one-day-starter', '?lesson=buttonhole'] as $of) {
            $text = (string) $this->get("/api/shelf/export$of")->getContent();
            (new SchemaCheck($schema))->check(json_decode($text));
            $this->postJson('/api/shelf/compare', ['bundle' => json_decode($text)])->assertOk()->assertJsonPath('changes', []);
        }
        $lesson = $this->export('?lesson=buttonhole');
        self::assertSame(['buttonhole'], array_column((array) $lesson['lessons'], 'id'));
        self::assertContains('safe-habits', array_column((array) $lesson['skills'], 'id'), 'all it stands on');
        $this->assertProblem($this->getJson('/api/shelf/export?lesson=knitting'), 422, 'lesson', 'no such lesson');
        $this->assertProblem($this->getJson('/api/shelf/export?course=knitting'), 422, 'course', 'first-steps');
    }

    /** @return array<string, mixed> one lesson changed, one new, and a course of both */
    private function mine(): array
    {
        $bundle = $this->export('?lesson=first-seam');
        $seam = $bundle['lessons'][0];
        $bundle['title'] = 'Linen';
        $bundle['lessons'] = [['why' => 'Linen first.'] + $seam, ['id' => 'linen-seam', 'title' => 'Linen seam'] + $seam];
        $bundle['courses'] = [['id' => 'linen', 'title' => 'Linen in a day', 'lessons' => ['safe-seat', 'first-seam', 'linen-seam']]];

        return $bundle;
    }

    public function test_an_import_shows_what_will_change_does_it_and_is_undone(): void
    {
        $mine = $this->mine();
        $shown = $this->postJson('/api/shelf/compare', ['bundle' => $mine])->assertOk()->assertJsonPath('edition', 0);
        $changes = (array) $shown->json('changes');
        self::assertSame([['lesson', 'first-seam', false], ['lesson', 'linen-seam', true], ['course', 'linen', true]], array_map(fn (array $c): array => [$c['part'], $c['id'], $c['is_new']], $changes));
        self::assertSame(['place' => 'why', 'before' => 'One seam shows it all: the start, the steering, both ends. Everything later is this seam again.', 'after' => 'Linen first.'], $changes[0]['places'][0]);
        self::assertCount(51, (array) $this->getJson('/api/lessons')->json(), 'shown, not done');

        $this->postJson('/api/shelf/import', ['bundle' => $mine, 'edition' => 0])->assertOk()->assertJsonPath('edition', 1)->assertJsonPath('changes', $changes);
        self::assertCount(52, (array) $this->getJson('/api/lessons')->json());
        self::assertContains(['id' => 'linen', 'title' => 'Linen in a day'], (array) $this->getJson('/api/me')->json('courses'));
        $shelf = $this->getJson('/api/shelf')->assertOk()->assertJsonPath('edition', 1)->assertJsonPath('editions.0.what', 'Brought in “Linen”: 2 lessons, 1 course');
        self::assertSame(['first-seam', 'linen-seam'], array_column((array) $shelf->json('own'), 'id'));
        // Brought once more, it changes nothing and makes no edition.
        $this->postJson('/api/shelf/import', ['bundle' => $mine, 'edition' => 1])->assertOk()->assertJsonPath('changes', [])->assertJsonPath('edition', 1);

        $this->postJson('/api/shelf/back', ['number' => 0, 'edition' => 1])->assertOk()->assertJsonPath('edition', 2)->assertJsonPath('lessons', 51)->assertJsonPath('own', []);
        $this->getJson('/api/lessons/first-seam/text')->assertJsonPath('version', 2);
        // And the undoing undone.
        $this->postJson('/api/shelf/back', ['number' => 1, 'edition' => 2])->assertOk()->assertJsonPath('lessons', 52);
        $this->getJson('/api/lessons/first-seam/text')->assertJsonPath('version', 3)->assertJsonPath('lesson.why', 'Linen first.');
    }

    public function test_two_who_change_the_shelf_do_not_overwrite_each_other(): void
    {
        $this->postJson('/api/shelf/import', ['bundle' => $this->mine(), 'edition' => 0])->assertOk();
        $this->assertProblem($this->postJson('/api/shelf/import', ['bundle' => ['title' => 'x'] + $this->mine(), 'edition' => 0]), 409, 'edition', 'changed meanwhile');
        $this->assertProblem($this->postJson('/api/shelf/back', ['number' => 0, 'edition' => 0]), 409, 'edition', 'changed meanwhile');
        $this->postJson('/api/shelf/back', ['number' => 44, 'edition' => 1])->assertNotFound();
    }

    public function test_what_is_in_use_does_not_go(): void
    {
        $this->postJson('/api/shelf/import', ['bundle' => $this->mine(), 'edition' => 0])->assertOk();
        $id = (string) $this->postJson('/api/classes', ['name' => 'Linen evening', 'course' => 'linen', 'students' => ['Ona'], 'starts_on' => '2030-05-02', 'time' => '18:30', 'sessions' => 2, 'minutes' => 120, 'helpers' => 0, 'machines' => 2, 'began' => true])->assertCreated()->json('id');
        $this->assertProblem($this->postJson('/api/shelf/back', ['number' => 0, 'edition' => 1]), 409, 'number', '“Linen seam” would go, and it is used by a plan');
        $this->getJson("/api/classes/$id/plan")->assertOk()->assertJsonPath('course', 'Linen in a day');
    }

    public function test_a_bundle_goes_from_one_studio_to_another_and_nothing_else_does(): void
    {
        $class = $this->sewingClass($this->teacher, ['Ottilie', 'Pim']);
        $this->postJson('/api/shelf/import', ['bundle' => $this->mine(), 'edition' => 0])->assertOk();
        $text = (string) $this->get('/api/shelf/export')->getContent();
        foreach (['Ottilie', $class->id, $this->teacher->studio_id, $this->teacher->email] as $private) {
            self::assertStringNotContainsString($private, $text);
        }
        $this->actingAs($this->teacher('Other'));
        self::assertCount(51, (array) $this->getJson('/api/lessons')->json());
        $this->postJson('/api/shelf/import', ['bundle' => json_decode($text), 'edition' => 0])->assertOk();
        self::assertCount(52, (array) $this->getJson('/api/lessons')->json());
    }

    /** @return iterable<string, array{callable(array<string, mixed>): array<string, mixed>, string, string}> */
    public static function bad(): iterable
    {
        $row = fn (array $with): callable => fn (array $b): array => array_replace_recursive($b, ['lessons' => [['sampler' => ['rows' => [$with]]]]]);
        yield 'row off the piece' => [$row(['path' => ['to_mm' => 151]]), 'lessons[0].sampler.rows[0].path.run', '100 × 150 mm'];
        yield 'near inside met' => [$row(['checks' => [['met_mm' => 3]]]), 'lessons[0].sampler.rows[0].checks[0].near_mm', 'at least'];
        yield 'circle of skills' => [fn (array $b): array => array_replace_recursive($b, ['skills' => [['id' => 'safe-habits', 'title' => 'Safe habits', 'strand' => 'Ready the machine', 'shows' => 'x', 'needs' => ['keep-allowance']]]]), 'skills', 'circle'];
        yield 'unknown field' => [fn (array $b): array => ['author' => 'me'] + $b, 'author', 'not known here'];
        yield 'unknown field inside' => [$row(['colour' => 'red']), 'lessons[0].sampler.rows[0].colour', 'not known here'];
        yield 'newer version' => [fn (array $b): array => ['format_version' => 2, 'new_things' => []] + $b, 'format_version', 'newer program'];
        yield 'another format' => [fn (array $b): array => ['format' => 'song-book'] + $b, 'format', 'open-seam-course-bundle'];
        yield 'script' => [fn (array $b): array => array_replace_recursive($b, ['lessons' => [['steps' => ['<script>alert(1)</script>']]]]), 'lessons[0].steps[0]', 'no script'];
        yield 'words where a number belongs' => [$row(['path' => ['distance_mm' => 'wide']]), 'lessons[0].sampler.rows[0].path.distance_mm', 'number'];
        yield 'a lesson of the course missing' => [fn (array $b): array => ['courses' => [['id' => 'c', 'title' => 'C', 'lessons' => ['nowhere']]]] + $b, 'courses.c', 'lesson'];
    }

    /** @param  callable(array<string, mixed>): array<string, mixed>  $break */
    #[DataProvider('bad')]
    public function test_a_bad_bundle_is_refused_with_the_place(callable $break, string $field, string $said): void
    {
        $bundle = $break($this->export('?lesson=first-seam'));
        foreach (['compare', 'import'] as $act) {
            $this->assertProblem($this->postJson("/api/shelf/$act", ['bundle' => $bundle, 'edition' => 0]), 422, $field, $said);
        }
        self::assertSame(0, DB::table('lesson_texts')->where('studio_id', $this->teacher->studio_id)->count() + DB::table('shelf_editions')->where('studio_id', $this->teacher->studio_id)->count());
    }

    public function test_too_much_at_once_is_refused_before_it_is_read(): void
    {
        $this->assertProblem($this->call('POST', '/api/shelf/compare', server: ['CONTENT_TYPE' => 'application/json'], content: '{"bundle":"'.str_repeat('x', 3_000_000).'"}'), 413, '(body)', 'at most 2048 kB');
        // Only here is so much taken.
        $this->assertProblem($this->call('POST', '/api/drafts/read', server: ['CONTENT_TYPE' => 'application/json'], content: '{"lesson":"'.str_repeat('x', 300_000).'"}'), 413, '(body)', 'at most 256 kB');
    }
}
