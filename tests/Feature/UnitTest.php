<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Models\SewingClass;
use App\Models\User;
use Tests\TestCase;

/** One teacher measures in millimetres, the next in inches; a lesson speaks to each in their own. */
final class UnitTest extends TestCase
{
    private SewingClass $class;

    private User $teacher;

    protected function setUp(): void
    {
        parent::setUp();
        $this->teacher = $this->teacher();
        $this->class = $this->sewingClass($this->teacher);
    }

    public function test_a_lesson_speaks_in_the_unit_of_whoever_reads_it(): void
    {
        $lesson = fn (): string => (string) json_encode(array_column((array) $this->getJson('/api/lessons')->assertOk()->json(), null, 'id')['first-seam'], JSON_UNESCAPED_UNICODE | JSON_UNESCAPED_SLASHES);
        self::assertStringContainsString('tails 50 mm, cut', $lesson());
        $this->patchJson('/api/me', ['unit' => 'in'])->assertOk();
        self::assertStringContainsString('tails 2 in, cut', $lesson());
        self::assertStringContainsString('mean 5/8 in ±0.04; ±0.08 near', $lesson());
        // What is set on a dial is in millimetres on both sides of the sea.
        self::assertStringContainsString('2.5 mm', $lesson());
        self::assertDoesNotMatchRegularExpression('/\{[^{}":]*\d ?mm/', $lesson());
    }

    public function test_the_shelf_goes_out_with_its_lengths_as_they_were_written(): void
    {
        $this->patchJson('/api/me', ['unit' => 'in'])->assertOk();
        self::assertStringContainsString('{50 mm}', (string) $this->get('/api/shelf/export')->assertOk()->getContent());
    }

    public function test_a_students_own_page_goes_by_the_ruler_of_the_class(): void
    {
        $student = $this->student($this->class);
        $this->postJson("/api/classes/{$this->class->id}/students/$student/next", ['lesson' => 'first-seam', 'because' => ''])->assertNoContent();
        $page = (string) $this->postJson("/api/classes/{$this->class->id}/students/$student/page")->assertCreated()->json('page');
        $this->getJson("/api/page/$page")->assertOk()->assertJsonPath('unit', 'mm')->assertSee('tails 50 mm');
        $this->patchJson('/api/me', ['unit' => 'in'])->assertOk();
        $this->getJson("/api/page/$page")->assertOk()->assertJsonPath('unit', 'in')->assertSee('tails 2 in');
    }

    public function test_the_shopping_list_is_in_yards_for_who_buys_by_the_yard(): void
    {
        $how = fn (): string => (string) array_column((array) $this->getJson("/api/classes/{$this->class->id}/materials")->assertOk()->json('lines'), 'how', 'item')['cloth'];
        self::assertStringContainsString('laid on 140 cm', $how());
        $this->patchJson('/api/me', ['unit' => 'in'])->assertOk();
        self::assertStringContainsString('laid on 55 in', $how());
        $this->get("/api/classes/{$this->class->id}/print?what=materials")->assertOk();
    }
}
