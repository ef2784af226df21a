<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Models\Machine;
use App\Models\SewingClass;
use Illuminate\Testing\TestResponse;
use PHPUnit\Framework\Attributes\DataProvider;
use Symfony\Component\HttpFoundation\Response;
use Tests\TestCase;

/** Courses and lessons of the shelf over the API. */
final class ShelfTest extends TestCase
{
    /**
     * @param  array<string, mixed>  $but
     * @return TestResponse<Response>
     */
    private function plan(array $but): TestResponse
    {
        return $this->postJson('/api/classes', $but + ['name' => 'Saturday', 'students' => ['Ona', 'Pim'], 'starts_on' => '2030-05-04', 'time' => '10:00', 'sessions' => 12, 'minutes' => 180, 'helpers' => 0, 'machines' => 4, 'began' => true]);
    }

    /** @return iterable<string, array{string, string, int}> */
    public static function courses(): iterable
    {
        yield 'first steps' => ['first-steps', 'First steps', 8];
        yield 'stitches first' => ['stitches-first', 'Stitches first', 31];
        yield 'feet first' => ['know-your-feet-first', 'Know your feet first', 31];
        yield 'one day' => ['one-day-starter', 'One-day starter', 9];
    }

    #[DataProvider('courses')]
    public function test_a_class_is_planned_from_any_course(string $course, string $title, int $lessons): void
    {
        $this->actingAs($this->teacher());
        self::assertContains(['id' => $course, 'title' => $title], (array) $this->getJson('/api/me')->json('courses'));
        $id = (string) $this->plan(['course' => $course])->assertCreated()->json('id');
        $plan = $this->getJson("/api/classes/$id/plan")->assertOk()->assertJsonPath('course', $title);
        self::assertCount($lessons, (array) $plan->json('lessons'));
        // Whatever is laid stands behind what it stands on.
        self::assertSame([], array_filter((array) $plan->json('problems'), fn (mixed $p): bool => data_get($p, 'kind') === 'prerequisite'));
    }

    public function test_an_unknown_course_is_refused(): void
    {
        $this->actingAs($this->teacher());
        $this->assertProblem($this->plan(['course' => 'knitting']), 422, 'course', 'first-steps');
        self::assertSame(0, SewingClass::query()->count());
    }

    public function test_a_new_room_cannot_sew_what_it_has_no_foot_for(): void
    {
        $this->actingAs($this->teacher());
        $id = (string) $this->plan(['course' => 'stitches-first'])->assertCreated()->json('id');
        $cannot = array_column(array_filter((array) $this->getJson("/api/classes/$id/plan")->json('problems'), fn (mixed $p): bool => data_get($p, 'kind') === 'cannot'), 'text', 'lesson');
        self::assertArrayHasKey('zip', $cannot);
        self::assertStringContainsString('Zip cannot be sewn in this room. This room has no foot for it: Zip.', $cannot['zip']);
        self::assertArrayNotHasKey('first-seam', $cannot);
        $this->postJson('/api/feet', ['facts' => ['kind' => 'zip', 'count' => 1]])->assertCreated();
        $now = (array) $this->getJson("/api/classes/$id/plan")->json();
        self::assertNotContains('zip', array_column((array) $now['problems'], 'lesson'));
        // One foot for two students: two rounds.
        self::assertSame(2, array_column((array) $now['lessons'], null, 'id')['zip']['rounds']);
    }

    public function test_lessons_come_with_strand_stitches_and_feet(): void
    {
        $this->actingAs($this->teacher());
        $lessons = array_column((array) $this->getJson('/api/lessons')->assertOk()->json(), null, 'id');
        self::assertCount(51, $lessons);
        self::assertSame('Closures', $lessons['zip']['strand']);
        self::assertSame([['id' => 'zip', 'title' => 'Zip']], $lessons['zip']['feet']);
        self::assertSame(['zigzag', 'overcast'], array_column($lessons['edge-finish']['stitches'], 'id'));
        self::assertSame(['cut'], array_column($lessons['mend']['drawing']['lines'], 'kind'));
        self::assertNull($lessons['fault-hunt']['drawing']);
    }

    public function test_dials_of_a_lesson_on_each_machine(): void
    {
        $class = $this->sewingClass($this->teacher());
        [$first, $second, $third] = Machine::query()->where('studio_id', $class->studio_id)->orderBy('id')->limit(3)->get()->all();
        $set = fn (Machine $m, string $drive, array $facts) => $this->putJson("/api/machines/{$m->id}", ['name' => $m->name, 'drive' => $drive, 'tension_mark' => '4', 'usable' => true, 'note' => '', 'facts' => $facts])->assertOk();
        $set($first, 'computerised', ['widest_swing_mm' => 7, 'zigzag_length' => 'per-cycle', 'stitch_names' => ['straight' => '01', 'zigzag' => '05']]);
        $set($second, 'mechanical', ['fixed_zigzags' => [['width_mm' => 3.5, 'length_mm' => 2, 'name' => 'III']], 'stitch_names' => ['straight' => 'I', 'zigzag' => 'Z']]);
        $set($third, 'straight-only', ['widest_swing_mm' => 0, 'stitch_names' => ['straight' => '']]);
        $dials = array_column((array) $this->getJson('/api/lessons/zigzag-ladder/dials')->assertOk()->json(), null, 'machine');
        self::assertSame('Zigzag is “05”, width 3.5, length 4, “Standard”', $dials[$first->id]['settings'][0]);
        self::assertSame('Zigzag is “Z”, mark III, “Standard”', $dials[$second->id]['settings'][0]);
        self::assertStringContainsString('sews straight only', (string) $dials[$third->id]['cannot']);
        self::assertSame([], $this->getJson('/api/lessons/buttonhole-sizing/dials')->json(), 'nothing is sewn');
    }

    public function test_a_sample_of_a_later_lesson_is_judged_and_kept(): void
    {
        $class = $this->sewingClass($this->teacher());
        $student = $this->student($class);
        $body = $this->seam($class, $student, ['lesson' => 'buttonhole', 'readings' => [
            'first.sides' => ['21', '21'], 'second.sides' => ['21', '21.5'], 'sewn.sides' => ['21', '21.5'], 'sewn.ends' => ['0', '0'], 'sewn.gap' => ['0.8'], 'sewn.edge' => ['30', '30'], 'sewn.shows' => ['1'], 'sewn.flat' => ['1'], 'sewn.clean' => ['1'], 'sewn.density' => ['20', '27'], 'sewn.bars' => ['1'], 'opened.opening' => ['18'], 'opened.passes' => ['1'], 'opened.bar' => ['0'], 'opened.clean' => ['1'],
        ], 'faults' => ['bar-cut']]);
        $kept = $this->postJson('/api/samples', $body)->assertCreated();
        $verdicts = array_column((array) $kept->json('judged.checks'), 'verdict', 'key');
        self::assertSame(['met', 'near', 'not-yet'], [$verdicts['sewn.length'], $verdicts['sewn.density'], $verdicts['opened.bar']]);
        $this->assertProblem($this->postJson('/api/samples', ['id' => '01m880j37eqnqezz7f4wwj78zx', 'readings' => ['sewn.density' => ['20.5']]] + $body), 422, 'readings.sewn.density[0]', 'whole numbers');
    }
}
