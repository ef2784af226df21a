<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Models\Enrolment;
use App\Models\Machine;
use App\Models\Role;
use App\Models\Sample;
use App\Models\SewingClass;
use App\Models\User;
use App\Records\StudentRecords;
use Illuminate\Support\Str;
use OpenSeam\Core\Words;
use Tests\TestCase;

/** A class follows one of several schools; the lesson, the room, the sample and the sheet follow it. */
final class SchoolsTest extends TestCase
{
    private SewingClass $class;

    protected function setUp(): void
    {
        parent::setUp();
        $this->class = $this->sewingClass($this->teacher());
    }

    private function owner(): User
    {
        return User::query()->findOrFail($this->class->made_by);
    }

    /** @param  list<string>  $schools */
    private function follow(string $lesson, array $schools): void
    {
        $this->putJson("/api/classes/{$this->class->id}/schools", ['lesson' => $lesson, 'schools' => $schools])->assertOk();
    }

    /**
     * @param  array<string, mixed>  $but
     * @return array<string, mixed>
     */
    private function button(array $but = []): array
    {
        return $but + [
            'id' => strtolower((string) Str::ulid()), 'class' => $this->class->id, 'student' => $this->student($this->class), 'lesson' => 'sew-a-button', 'faults' => [],
            'readings' => ['two.stitches' => ['6'], 'two.strike' => ['1'], 'two.tied' => ['1'], 'four.stitches' => ['6'], 'four.firm' => ['1']],
        ];
    }

    /** @param  array<string, mixed>  $body */
    private function keep(array $body): string
    {
        $this->postJson('/api/samples', $body)->assertCreated();
        self::assertIsString($body['id']);

        return $body['id'];
    }

    /** @return mixed of the lesson as the class is taught it */
    private function taught(string $lesson, string $what): mixed
    {
        return data_get(array_column((array) $this->getJson("/api/lessons?class={$this->class->id}")->assertOk()->json(), null, 'id'), "$lesson.$what");
    }

    public function test_the_lesson_of_a_class_follows_its_school_and_of_no_other(): void
    {
        $other = $this->sewingClass($this->teacher('Another room'));
        $this->actingAs($this->owner());
        $this->follow('sew-a-button', ['length-0']);
        self::assertSame(['length-0'], $this->taught('sew-a-button', 'way.schools'));
        self::assertSame('button-zigzag', $this->taught('sew-a-button', 'stitch'));
        self::assertContains(['id' => 'feed-down', 'school' => 'Feed out of work', 'value' => 'dropped, or its cover on', 'usual' => true], (array) $this->taught('sew-a-button', 'settings.0.schools'));
        self::assertSame('length-0', $this->taught('sew-a-button', 'settings.0.school'));
        $this->getJson('/api/lessons')->assertOk()->assertJsonFragment(['id' => 'sew-a-button']);
        self::assertNull($other->fresh()?->lesson_schools);
        $this->follow('sew-a-button', ['feed-down']);
        self::assertNull($this->class->fresh()?->lesson_schools, 'the usual school is no choice to keep');
        $this->follow('zip', ['move-the-needle']);
        $this->follow('buttonhole', ['by-hand']);
        self::assertSame(['buttonhole' => ['by-hand'], 'zip' => ['move-the-needle']], collect($this->class->fresh()?->lesson_schools)->sortKeys()->all());
    }

    public function test_a_school_that_is_none_is_refused_by_name(): void
    {
        $put = fn (array $body) => $this->putJson("/api/classes/{$this->class->id}/schools", $body)->assertStatus(422);
        $put(['lesson' => 'zip', 'schools' => ['glue']])->assertJsonPath('error.field', 'schools')->assertJsonPath('error.got', 'glue');
        $put(['lesson' => 'zip', 'schools' => ['move-the-foot', 'move-the-needle']])->assertJsonPath('error.field', 'schools');
        $put(['lesson' => 'no-such', 'schools' => []]);
        $put(['lesson' => 'zip'])->assertJsonPath('error.field', 'schools');
        $this->postJson('/api/samples', $this->button(['way' => ['schools' => ['glue'], 'stitches' => []]]))->assertStatus(422)->assertJsonPath('error.field', 'schools');
        $this->postJson('/api/samples', $this->button(['way' => ['schools' => [], 'stitches' => [['stitch' => 'loop', 'width_mm' => 1, 'length_mm' => 1, 'name' => '']]]]))->assertStatus(422)->assertJsonPath('error.field', 'way.stitches[0].stitch');
        $this->postJson('/api/samples', $this->button(['way' => ['colour' => 'red']]))->assertStatus(422)->assertJsonPath('error.field', 'way');
    }

    public function test_a_sample_keeps_the_way_it_was_sewn_whatever_the_class_chooses_later(): void
    {
        $this->follow('sew-a-button', ['length-0']);
        $id = $this->keep($body = $this->button());
        self::assertSame(['schools' => ['length-0'], 'stitches' => []], Sample::query()->findOrFail($id)->way);
        $this->getJson("/api/samples/$id")->assertOk()->assertJsonPath('title', 'Sew a button (Any zigzag)');
        $this->follow('sew-a-button', []);
        $student = $body['student'];
        self::assertIsString($student);
        $this->getJson("/api/classes/{$this->class->id}/students/$student/look?lesson=sew-a-button")->assertOk()->assertJsonPath('lesson.way.schools', []);
        $this->getJson("/api/classes/{$this->class->id}/students/$student/look?replaces=$id")->assertOk()->assertJsonPath('lesson.way.schools', ['length-0'])->assertJsonPath('lesson.stitch', 'button-zigzag');
        $corrected = $this->keep($this->button(['replaces' => $id, 'way' => ['schools' => [], 'stitches' => []]]));
        self::assertSame(['length-0'], Sample::query()->findOrFail($corrected)->way['schools'] ?? null, 'a correction is of what was sewn then');
        $usual = $this->keep($this->button(['way' => ['schools' => ['feed-down'], 'stitches' => []]]));
        self::assertNull(Sample::query()->findOrFail($usual)->way);
    }

    public function test_one_sample_may_be_sewn_by_another_school(): void
    {
        $address = "/api/classes/{$this->class->id}/students/{$this->student($this->class)}/look?lesson=edge-finish";
        $this->getJson($address)->assertOk()->assertJsonPath('lesson.rows.0.id', 'zigzag')->assertJsonCount(2, 'lesson.rows');
        $this->getJson("$address&schools=overcast-only")->assertOk()->assertJsonPath('lesson.rows.0.id', 'overcast')->assertJsonCount(1, 'lesson.rows');
        $this->getJson("$address&schools=glue")->assertStatus(422)->assertJsonPath('error.field', 'schools');
        // Taught less, it asks for less: nothing of the other half is left open.
        $this->postJson('/api/samples/preview', ['class' => $this->class->id, 'student' => $this->student($this->class), 'lesson' => 'edge-finish', 'faults' => [], 'way' => ['schools' => ['overcast-only'], 'stitches' => []],
            'readings' => ['overcast.flat' => ['1'], 'overcast.loops' => ['1'], 'overcast.guide' => ['1']]])->assertOk()->assertJsonPath('verdict', 'met');
    }

    public function test_at_a_machine_that_cannot_the_other_way_is_looked_at(): void
    {
        $machine = Machine::query()->orderBy('id')->firstOrFail();
        $machine->update(['facts' => ['feed_drop' => 'none', 'widest_swing_mm' => 5, 'stitch_names' => ['straight' => '1', 'zigzag' => '2']]]);
        $this->postJson('/api/feet', ['facts' => ['kind' => 'button', 'name' => 'Button foot', 'count' => 4]])->assertCreated();
        $student = $this->student($this->class);
        Enrolment::query()->where('student_id', $student)->update(['machine_id' => $machine->id]);
        $look = "/api/classes/{$this->class->id}/students/$student/look?lesson=sew-a-button";
        $this->getJson($look)->assertOk()->assertJsonPath('cannot', null)->assertJsonPath('lesson.way.schools', ['length-0']);
        $dials = array_column((array) $this->getJson("/api/lessons/sew-a-button/dials?class={$this->class->id}")->assertOk()->json(), null, 'machine');
        self::assertSame([null, 'Another way here, Feed: as it is; zigzag at length 0'], [data_get($dials, "$machine->id.cannot"), data_get($dials, "$machine->id.instead")]);
    }

    public function test_a_dial_with_fixed_zigzags_has_its_own_ladder_and_the_sample_keeps_it(): void
    {
        $machine = Machine::query()->orderBy('id')->firstOrFail();
        $facts = ['widest_swing_mm' => 5, 'stitch_names' => ['straight' => '1', 'zigzag' => '2'], 'fixed_zigzags' => [['width_mm' => 2, 'length_mm' => 1.5, 'name' => 'I'], ['width_mm' => 4, 'length_mm' => 2, 'name' => 'II']]];
        $machine->update(['facts' => $facts]);
        $student = $this->student($this->class);
        $look = $this->getJson("/api/classes/{$this->class->id}/students/$student/look?lesson=zigzag-ladder&machine=$machine->id")->assertOk()
            ->assertJsonPath('cannot', null)->assertJsonPath('lesson.rows.1.title', 'Mark II: 4 × 2')->assertJsonPath('machine', $machine->id);
        $way = $look->json('lesson.way');
        $sent = $this->button(['lesson' => 'zigzag-ladder', 'way' => $way, 'readings' => ['own-2.width' => ['4.0'], 'own-2.length' => ['10', '40']]]);
        $id = $this->keep($sent);
        // Another machine stands there now; what was sewn then is still judged by its own marks.
        $machine->update(['facts' => ['fixed_zigzags' => []] + $facts]);
        $kept = app(StudentRecords::class)->of([$student], Words::in())[$student];
        self::assertSame(['own-2.width', 'own-2.length'], array_slice(array_values(array_filter(array_map(fn ($c): string => $c->result === null ? '' : $c->key(), $kept[0]->grade()->checks))), 0, 2));
        self::assertSame('II', data_get(Sample::query()->findOrFail($id)->way, 'stitches.1.name'));
        $this->artisan('seam:rebuild-standings')->assertSuccessful();
    }

    public function test_plan_print_and_materials_go_by_the_school(): void
    {
        $this->class->update(['course' => 'stitches-first']);
        $minutes = fn (): float => (float) collect((array) $this->getJson("/api/classes/{$this->class->id}/plan")->assertOk()->json('lessons'))->firstWhere('id', 'edge-finish')['minutes'];
        $before = $minutes();
        $this->follow('edge-finish', ['zigzag-only']);
        self::assertLessThan($before, $minutes());
        $text = fn (string $class): string => (string) $this->get("/api/lessons/edge-finish/print?what=card$class")->assertOk()->getContent();
        self::assertNotSame(strlen($text('')), strlen($text("&class={$this->class->id}")));
        $this->get("/api/lessons/edge-finish/svg?class={$this->class->id}")->assertOk();
    }

    public function test_a_helper_follows_and_does_not_choose(): void
    {
        $helper = User::query()->findOrFail($this->owner()->id);
        User::query()->whereKey($helper->id)->update(['role' => Role::Helper]);
        $helper->refresh();
        $this->actingAs($helper)->putJson("/api/classes/{$this->class->id}/schools", ['lesson' => 'zip', 'schools' => ['move-the-needle']])->assertForbidden();
    }
}
