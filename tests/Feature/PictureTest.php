<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Models\SewingClass;
use App\Printing\PictureInk;
use OpenSeam\Core\Picture\Shape;
use OpenSeam\Core\Tests\Support\Fixtures;
use Tests\TestCase;

/** Pictures as they go out, and the screen that shows them. */
final class PictureTest extends TestCase
{
    private SewingClass $class;

    protected function setUp(): void
    {
        parent::setUp();
        $this->class = $this->sewingClass($this->teacher());
    }

    public function test_a_lessons_pictures_are_light(): void
    {
        foreach (Fixtures::bundle()->lessons as $id => $lesson) {
            $answer = $this->getJson("/api/lessons/$id/pictures?class={$this->class->id}")->assertOk();
            self::assertCount(count($lesson->steps), (array) $answer->json('steps'));
            self::assertCount(count($lesson->demonstration->acts ?? []), (array) $answer->json('acts'));
            self::assertLessThan(60_000, strlen((string) $answer->getContent()), $id);
        }
    }

    public function test_of_a_machine_and_a_hand(): void
    {
        $box = fn (string $hand): array => (array) $this->getJson("/api/lessons/paper-drive/pictures?hand=$hand")->assertOk()->json('acts.4.box');
        self::assertNotEquals($box('right'), $box('left'), 'hands stand as in a mirror');
        self::assertEqualsWithDelta($box('right')['width'], $box('left')['width'], 0.01);
        $this->assertProblem($this->getJson('/api/lessons/first-seam/pictures?machine=01jbq3zz7h4x8v1m2n3p4q5r6s'), 422, 'machine', 'no such machine');
        $this->assertProblem($this->getJson('/api/lessons/juggling/pictures'), 422, 'lesson', 'no such lesson');
    }

    public function test_what_a_row_looks_like_can_be_typed(): void
    {
        $looks = (array) $this->getJson('/api/lessons/first-seam/looks')->assertOk()->json();
        self::assertSame('met', $looks[0]['verdict']);
        self::assertSame('15.9 ±1.5', $looks[0]['typed'][0]);
        self::assertContains('not-yet', array_column($looks, 'verdict'));
        // An answer is typed by its number, a count as it is, a length closer than a ruler's half millimetre as much closer by eye.
        $typed = function (string $lesson, string $key): array {
            $of = array_filter((array) $this->getJson("/api/lessons/$lesson/looks")->assertOk()->json(), fn (array $l): bool => $l['key'] === $key);

            return array_map(fn (array $l): array => [$l['verdict'], ...$l['typed']], array_values($of));
        };
        self::assertSame([['met', '1'], ['not-yet', '0']], $typed('safe-seat', 'habits.fingers'));
        self::assertSame([['met', '0'], ['near', '1'], ['not-yet', '2'], ['not-yet', '3']], $typed('two-faces', 'corrected.faces'));
        self::assertContains(['met', '4'], $typed('first-seam', 'seam.back-start'));
        self::assertContains(['met', '3.5 ±0.6'], $typed('zigzag-ladder', 'average.width'));
    }

    public function test_the_screen_at_the_front_is_turned(): void
    {
        $front = "/api/classes/{$this->class->id}/front";
        $this->getJson($front)->assertOk()->assertJsonPath('lesson', null)->assertJsonPath('version', 0);
        $this->putJson($front, ['lesson' => 'guides', 'at' => 2, 'begun_at' => '2026-05-14T19:20:00Z'])->assertOk()->assertJsonPath('version', 1);
        $this->putJson($front, ['lesson' => 'guides', 'at' => 3, 'begun_at' => null])->assertOk()->assertJsonPath('version', 2);
        $this->getJson($front)->assertOk()->assertJsonPath('at', 3)->assertJsonPath('lesson', 'guides');
        $this->assertProblem($this->putJson($front, ['lesson' => 'juggling', 'at' => 0, 'begun_at' => null]), 422, 'lesson', 'no such lesson');
        $this->assertProblem($this->putJson($front, ['lesson' => 'guides', 'at' => -1, 'begun_at' => null]), 422, 'at', '0');
        // Nobody else's class.
        $this->actingAs($this->teacher())->getJson($front)->assertNotFound();
    }

    public function test_templates_for_the_drafting_table(): void
    {
        $lesson = $this->getJson('/api/lessons/double-hem/text')->assertOk()->json('lesson');
        $this->postJson('/api/drafts/templates', ['lesson' => $lesson, 'group' => 'lesson'])->assertOk()->assertJsonPath('0.keeps.kind', 'row');
        $this->assertProblem($this->postJson('/api/drafts/templates', ['lesson' => $lesson, 'group' => 'stars']), 422, 'group', 'tools');
        $draft = $this->postJson('/api/drafts/read', ['lesson' => ['step_pictures' => [null, ['kind' => 'discs']]] + (array) $lesson])->assertOk();
        self::assertContains('step_pictures[0]', array_column((array) $draft->json('problems'), 'place'));
        $draft->assertJsonPath('fits', true)->assertJsonCount(count((array) $lesson['steps']), 'pictures.steps');
        $this->postJson('/api/drafts/read', ['lesson' => ['step_pictures' => [['kind' => 'tool', 'tool' => 'laser']]] + (array) $lesson])->assertOk()->assertJsonPath('fits', false)->assertJsonPath('problems.0.place', 'step_pictures[0].tool');
    }

    /** What a shape stands for is dressed on the screen and inked on paper, or it would be drawn as anything. */
    public function test_screen_and_paper_know_every_role(): void
    {
        $css = (string) file_get_contents(base_path('resources/js/drawing/drawing.module.css'));
        foreach (Shape::AREAS as $role) {
            self::assertNotNull(PictureInk::of($role)->fill, $role);
            self::assertStringContainsString(".pic-$role", $css);
        }
        $plain = ['ink', 'cloth'];
        foreach (array_diff(Shape::LINES, $plain) as $role) {
            self::assertNull(PictureInk::of($role)->fill, "$role is a line");
            self::assertStringContainsString(".pic-$role", $css);
        }
    }

    public function test_a_students_own_page_is_drawn_for_their_hand(): void
    {
        $student = $this->getJson("/api/classes/{$this->class->id}/today")->assertOk()->json('students.0.student');
        $page = $this->postJson("/api/classes/{$this->class->id}/students/$student/page")->assertCreated()->json('page');
        $steps = (array) $this->getJson("/api/page/$page")->assertOk()->json('steps');
        $this->getJson("/api/page/$page/pictures")->assertOk()->assertJsonCount(count($steps), 'steps')->assertHeader('X-Robots-Tag', 'noindex, nofollow');
        $this->getJson('/api/page/nobody/pictures')->assertNotFound();
    }
}
