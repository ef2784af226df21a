<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Models\ButtonholeJob;
use App\Models\ButtonholeTest as ButtonholeTestRow;
use App\Models\Foot;
use App\Models\Role;
use App\Models\Student;
use App\Models\User;
use App\Support\Clock;
use App\Support\RunLink;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Str;
use Illuminate\Testing\TestResponse;
use Symfony\Component\HttpFoundation\Response;
use Tests\TestCase;

/** A buttonhole from a button in the hand to a recipe. */
final class ButtonholeTest extends TestCase
{
    use MeasuresPages;

    /** @var array<string, mixed> */
    private const JOB = ['shape' => 'flat', 'diameter_mm' => 15, 'thickness_mm' => 3, 'count' => 6, 'part' => 'front', 'weight' => 'medium', 'stretch' => 'none', 'layers' => 2, 'interfacing' => 2, 'beginner' => true];

    private string $id;

    private string $studio;

    protected function setUp(): void
    {
        parent::setUp();
        $teacher = $this->teacher();
        $this->studio = $teacher->studio_id;
        $this->actingAs($teacher);
        $this->id = strtolower((string) Str::ulid());
    }

    /** @param  array<string, mixed>  $facts */
    private function machine(array $facts = [], string $name = 'Window 1'): string
    {
        return (string) $this->postJson('/api/machines', [
            'name' => $name, 'drive' => 'mechanical', 'tension_mark' => '4', 'usable' => true, 'note' => '',
            'facts' => $facts + ['name' => $name, 'buttonhole' => 'four-step', 'buttonhole_starts' => 'back', 'buttonhole_marks' => ['a', 'b', 'c', 'd'], 'stitch_names' => ['straight' => 'A', 'zigzag' => 'B', 'buttonhole' => '1']],
        ])->assertCreated()->json('id');
    }

    /**
     * @param  array<string, mixed>  $job
     * @param  array<string, mixed>  $with
     * @return TestResponse<Response>
     */
    private function keep(array $job = [], array $with = []): TestResponse
    {
        return $this->putJson("/api/buttonholes/$this->id", $with + ['job' => $job + self::JOB]);
    }

    /**
     * @param  array<string, mixed>  $read
     * @return TestResponse<Response>
     */
    private function look(array $read): TestResponse
    {
        return $this->postJson("/api/buttonholes/$this->id/tests", ['id' => strtolower((string) Str::ulid()), 'read' => $read]);
    }

    /** As planned: 21 over both bars, 18 between them. */
    private const GOOD = ['left_mm' => 21, 'right_mm' => 21, 'bar_front_mm' => 1.5, 'bar_back_mm' => 1.5, 'opening_mm' => 18, 'button' => 'snug'];

    public function test_it_is_kept_as_it_is_typed_and_says_what_it_wants_next(): void
    {
        $first = $this->putJson("/api/buttonholes/$this->id", ['job' => ['shape' => 'flat']])->assertOk();
        $first->assertJsonPath('plan', null)->assertJsonPath('asks.field', 'diameter_mm')->assertJsonPath('machines', []);
        $this->putJson("/api/buttonholes/$this->id", ['job' => ['shape' => 'flat', 'diameter_mm' => 15]])->assertOk()->assertJsonPath('asks.field', 'thickness_mm');
        $whole = $this->keep()->assertOk()->assertJsonPath('asks', null);
        self::assertEquals([18, 18, 21], [$whole->json('plan.half_wrap_mm'), $whole->json('plan.opening_mm'), $whole->json('plan.finished_mm')]);
        // Nothing was chosen: any zigzag does it, by hand, between marks.
        $whole->assertJsonPath('plan.way', 'by-hand')->assertJsonPath('plan.told_text', 'End marks 21.0 mm apart.')->assertJsonPath('plan.passes', 'passes');
        $this->getJson("/api/buttonholes/$this->id")->assertOk()->assertJsonPath('job.count', 6)->assertJsonPath('title', '6 × flat, 15 mm, front');
        $this->getJson('/api/buttonholes')->assertOk()->assertJsonCount(1)->assertJsonPath('0.id', $this->id);
        $this->deleteJson("/api/buttonholes/$this->id")->assertNoContent();
        $this->getJson("/api/buttonholes/$this->id")->assertNotFound();
    }

    /** What was looked at on the button that was sewn on is kept with the job, judged, and makes no other stack of it. */
    public function test_a_button_that_was_sewn_on_is_looked_at(): void
    {
        $good = ['swings_1' => 6, 'off_mm' => 0.5, 'lies' => true, 'firm' => true, 'flat' => true];
        $this->keep()->assertOk()->assertJsonPath('plan.button.met', null)->assertJsonPath('plan.button.checks.0', ['id' => 'swings_1', 'kind' => 'count', 'verdict' => null])->assertJsonPath('plan.button.change', null);
        $this->look(self::GOOD)->assertOk()->assertJsonPath('tests.0.not_the_same', []);
        $this->keep(['sewn_on' => $good])->assertOk()->assertJsonPath('plan.button.met', true)->assertJsonPath('job.sewn_on.swings_1', 6)->assertJsonPath('tests.0.not_the_same', []);
        $this->keep(['sewn_on' => ['firm' => false] + $good])->assertOk()->assertJsonPath('plan.button.met', false)->assertJsonPath('plan.button.change', 'Tails to the back and two knots; the same count in every pair.');
        $this->keep(['holes' => 4, 'sewn_on' => $good])->assertOk()->assertJsonPath('plan.button.met', null)->assertJsonPath('plan.button.patterns', ['two-rows-across', 'two-rows-along', 'cross']);
        $this->assertProblem($this->keep(['sewn_on' => ['swings_1' => 99]]), 422, 'job.sewn_on.swings_1', '60');
        $this->assertProblem($this->keep(['sewn_on' => ['colour' => true]]), 422, 'job.sewn_on', 'swings_1');
    }

    public function test_what_cannot_be_is_refused_by_name_and_nothing_is_kept(): void
    {
        $this->assertProblem($this->keep(['diameter_mm' => -1]), 422, 'job.diameter_mm', '0');
        $this->assertProblem($this->keep(['part' => 'sleeve']), 422, 'job.part', 'front');
        $this->assertProblem($this->keep(['colour' => 'red']), 422, 'job', 'these fields and no others');
        $this->assertProblem($this->keep([], ['machine' => strtolower((string) Str::ulid())]), 422, 'machine', 'no such machine');
        $this->assertProblem($this->putJson('/api/buttonholes/short', ['job' => self::JOB]), 422, 'buttonhole', 'ULID');
        self::assertSame(0, ButtonholeJob::query()->count());
        // What can be typed and cannot be a button is asked back, and kept meanwhile.
        $this->keep(['wrap_mm' => 20])->assertOk()->assertJsonPath('plan', null)->assertJsonPath('asks.field', 'wrap_mm');
        $this->assertProblem($this->look(['left_mm' => 20]), 422, 'wrap_mm', 'twice');
    }

    public function test_each_machine_is_told_in_its_own_words(): void
    {
        Foot::add($this->studio, ['kind' => 'buttonhole-four-step', 'count' => 1]);
        Foot::add($this->studio, ['kind' => 'buttonhole-one-step', 'count' => 1]);
        $four = $this->keep([], ['machine' => $this->machine()])->assertOk();
        $four->assertJsonPath('plan.told', 'slider')->assertJsonPath('plan.set.lines', 6.5)->assertJsonPath('plan.starts', 'back');
        self::assertStringStartsWith('Slider to 6.5 lines (−0.4', (string) $four->json('plan.told_text'));
        self::assertContains('Step a: the left side, from the back to the front. The last stitches by hand wheel.', array_column((array) $four->json('plan.acts'), 'text'));
        $one = $this->keep([], ['machine' => $this->machine(['buttonhole' => 'one-step', 'buttonhole_starts' => 'front', 'buttonhole_straight_first' => true], 'Window 3')])->assertOk();
        $one->assertJsonPath('plan.told', 'button-in-foot')->assertJsonPath('plan.told_text', 'The button in the foot, and 6.0 mm more between the two halves of the holder.');
        $acts = array_column((array) $one->json('plan.acts'), 'id');
        self::assertContains('lever', $acts);
        self::assertContains('straight', $acts);
        self::assertNotEmpty($one->json('plan.parts.straight'));
        $typed = $this->keep([], ['machine' => $this->machine(['buttonhole' => 'typed', 'buttonhole_step_mm' => 0.5, 'longest_buttonhole_mm' => 20], 'Door 8')])->assertOk();
        $typed->assertJsonPath('plan.told_text', 'Type 21.0 mm.')->assertJsonPath('plan.fits', false);
        $none = $this->keep([], ['machine' => $this->machine(['buttonhole' => 'none', 'stitch_names' => ['straight' => '1', 'zigzag' => '2']], 'Hearth 5')])->assertOk();
        $none->assertJsonPath('plan.way', 'by-hand')->assertJsonPath('plan.told', 'by-hand');
        // The one that is too short for it comes after those that are not; by hand comes last.
        $order = array_column((array) $none->json('machines'), 'name');
        self::assertSame(['Window 1', 'Window 3'], array_slice($order, 0, 2));
        // Each has its own readings.
        self::assertContains('start_gap', array_column((array) $four->json('plan.fields'), 'id'));
        self::assertNotContains('start_gap', array_column((array) $one->json('plan.fields'), 'id'));
    }

    public function test_a_beginner_is_released_after_two_in_a_row_and_the_recipe_is_offered_again(): void
    {
        $machine = $this->machine();
        $this->keep([], ['machine' => $machine]);
        $this->look(self::GOOD)->assertOk()->assertJsonPath('release.in_a_row', 1)->assertJsonPath('release.allowed', false);
        $this->assertProblem($this->postJson("/api/buttonholes/$this->id/release", []), 422, 'overrule', '1 of 2 times');
        // One that went wrong begins the count anew.
        $wrong = $this->look(['left_mm' => 21, 'right_mm' => 21, 'opening_mm' => 18, 'button' => 'tight'])->assertOk()->assertJsonPath('release.in_a_row', 0);
        $wrong->assertJsonPath('tests.0.seen', 'tight-as-planned')->assertJsonPath('tests.0.skill.id', 'size-buttonhole')->assertJsonPath('tests.0.drill.lesson', 'buttonhole-sizing')->assertJsonPath('tests.0.next_opening_mm', 18.5);
        self::assertSame('End marks 21.5 mm apart.', $wrong->json('tests.0.told_next'));
        $this->look(self::GOOD);
        $two = $this->look(self::GOOD)->assertOk()->assertJsonPath('release.allowed', true)->assertJsonCount(4, 'tests');
        self::assertGreaterThan($two->json('release.all'), $two->json('release.next'));
        $done = $this->postJson("/api/buttonholes/$this->id/release", [])->assertOk()->assertJsonPath('release.overruled', false)->assertJsonPath('recipe.machine', 'Window 1')->assertJsonPath('recipe.set', 'End marks 21.0 mm apart.');
        self::assertNotNull($done->json('release.released_at'));
        $this->get("/api/buttonholes/$this->id/print?what=recipe")->assertOk()->assertHeader('Content-Type', 'application/pdf');

        // The next such button is offered it, with what is not the same.
        $first = $this->id;
        $this->id = strtolower((string) Str::ulid());
        $this->keep(['layers' => 4], ['machine' => $machine])->assertOk()->assertJsonPath('recipes.0.job', $first)->assertJsonPath('recipes.0.not_the_same', ['layers'])->assertJsonPath('release.in_a_row', 0);
        $this->keep(['diameter_mm' => 20])->assertOk()->assertJsonPath('recipes', []);

        // Another stack is another test: the recipe is gone, the tests stay and no longer count.
        $this->id = $first;
        $changed = $this->keep(['layers' => 3], ['machine' => $machine])->assertOk()->assertJsonPath('recipe', null)->assertJsonPath('release.released_at', null)->assertJsonPath('release.in_a_row', 0);
        $changed->assertJsonCount(4, 'tests')->assertJsonPath('tests.0.not_the_same', ['layers']);
        $this->assertProblem($this->get("/api/buttonholes/$this->id/print?what=recipe", ['Accept' => 'application/json']), 422, 'what', 'no recipe');
        // A teacher may say so all the same, and it is kept that she did.
        $this->postJson("/api/buttonholes/$this->id/release", ['overrule' => true])->assertOk()->assertJsonPath('release.overruled', true);
    }

    public function test_a_machine_is_learned_from_its_own_holes(): void
    {
        $machine = $this->machine();
        $this->keep([], ['machine' => $machine])->assertJsonPath('plan.learned.offset_mm', 0)->assertJsonPath('plan.bar_mm', 1.5);
        $long = ['left_mm' => 22, 'right_mm' => 22.4, 'bar_front_mm' => 2, 'bar_back_mm' => 2];
        $this->look($long)->assertJsonPath('plan.learned.offset_mm', 0)->assertJsonPath('plan.learned.offset_u_mm', null);
        $two = $this->look($long);
        // It came out 1.2 longer than it was told, with bars of 2: so the next is told less of what it needs now.
        self::assertEqualsWithDelta(1.2, $two->json('plan.learned.offset_mm'), 1e-9);
        self::assertEquals(2, $two->json('plan.bar_mm'));
        self::assertEqualsWithDelta(22 - 1.2, $two->json('plan.set.mm'), 1e-9);
        self::assertNotNull($two->json('plan.learned.offset_u_mm'));
        // Another machine has learned nothing of it.
        $this->keep([], ['machine' => $this->machine([], 'Window 2')])->assertJsonPath('plan.learned.offset_mm', 0);
        $this->getJson("/api/buttonholes/$this->id")->assertJsonPath('machines.0.name', 'Window 2');
    }

    public function test_sent_again_it_is_the_same_and_another_under_its_id_is_refused(): void
    {
        $this->keep([], ['machine' => $this->machine()]);
        $test = ['id' => strtolower((string) Str::ulid()), 'read' => self::GOOD];
        $this->postJson("/api/buttonholes/$this->id/tests", $test)->assertOk();
        $this->postJson("/api/buttonholes/$this->id/tests", $test)->assertOk()->assertJsonCount(1, 'tests');
        $this->assertProblem($this->postJson("/api/buttonholes/$this->id/tests", ['read' => ['left_mm' => 19]] + $test), 409, 'id', 'already kept');
        $this->assertProblem($this->look([]), 422, 'read', '');
    }

    public function test_another_studio_sees_nothing_of_it(): void
    {
        $this->keep();
        $this->actingAs($this->teacher('Elsewhere'));
        $this->getJson("/api/buttonholes/$this->id")->assertNotFound();
        $this->getJson('/api/buttonholes')->assertOk()->assertJsonCount(0);
        $this->keep()->assertNotFound();
        $this->get("/api/buttonholes/$this->id/svg")->assertNotFound();
    }

    public function test_the_code_on_a_seat_card_opens_the_run_of_that_machine_and_nothing_else(): void
    {
        $machine = $this->machine();
        $this->keep(['diameter_mm' => 20], ['machine' => $machine]);
        $path = fn (string $to): string => '/api/runs'.substr((string) parse_url($to, PHP_URL_PATH), strlen('/run'));
        $link = RunLink::to($machine);
        $this->app?->make('auth')->forgetGuards();
        $run = $this->getJson($path($link))->assertOk()->assertHeader('X-Robots-Tag', 'noindex, nofollow')->assertJsonPath('machine', 'Window 1');
        self::assertEquals(23, $run->json('plan.opening_mm'), 'for the button in hand');
        self::assertStringNotContainsString('Ona', (string) $run->getContent());
        // Another machine, another end, another signature: nothing is there.
        $parts = explode('/', $path($link));
        foreach ([3 => '01jbq3zz7h4x8v1m2n3p4q5r6w', 4 => '9999999999', 5 => str_repeat('a', 32)] as $i => $other) {
            $this->getJson(implode('/', array_replace($parts, [$i => $other])))->assertNotFound();
        }
        Clock::fix(Clock::now()->addDays(201));
        $this->getJson($path($link))->assertNotFound();
        Clock::fix(null);
    }

    public function test_the_strip_is_true_to_size(): void
    {
        $this->keep(['count' => 3, 'positions_mm' => [20, 100, 180], 'band_mm' => 30], ['machine' => $this->machine()])->assertOk();
        foreach (['A4', 'Letter'] as $format) {
            $page = self::page($this->get("/api/buttonholes/$this->id/print?what=strip&format=$format"));
            // Beside the centre line every end of a bar is a short line across: four to a hole.
            $ends = array_values(array_filter(self::darkRunsDown($page, 10 * (10 + 15 - 3)), fn (array $run): bool => $run[1] < 0.8 && $run[0] > 24));
            $at = array_map(fn (array $run): float => $run[0] + $run[1] / 2, $ends);
            $at = array_slice($at, 0, 12);
            self::assertCount(12, $at);
            foreach ([0, 4, 8] as $first) {
                self::assertEqualsWithDelta(21, $at[$first + 3] - $at[$first], 0.15, 'finished, over both bars');
                self::assertEqualsWithDelta(18, $at[$first + 2] - $at[$first + 1], 0.15, 'the opening between them');
            }
            self::assertEqualsWithDelta(80, $at[4] - $at[0], 0.15, 'from one hole to the next');
            self::assertEqualsWithDelta(160, $at[8] - $at[0], 0.15, 'measured from one end, nothing adds up');
        }
    }

    public function test_a_long_strip_goes_on_over_tiles(): void
    {
        $this->keep(['positions_mm' => [20, 220, 420]], ['machine' => $this->machine()])->assertOk();
        $pages = substr_count((string) $this->get("/api/buttonholes/$this->id/print?what=strip")->assertOk()->getContent(), '/Type /Page ');
        self::assertGreaterThanOrEqual(2, $pages);
        $svg = (string) $this->get("/api/buttonholes/$this->id/svg")->assertOk()->assertHeader('Content-Type', 'image/svg+xml')->getContent();
        self::assertSame(1, preg_match('/height="([\d.]+)mm"/', $svg, $m));
        self::assertEqualsWithDelta(400 + 21 + 30, (float) $m[1], 0.01, 'from the first to the last, a hole and its ends');
        $this->assertProblem($this->get("/api/buttonholes/$this->id/print?what=poster", ['Accept' => 'application/json']), 422, 'what', 'strip, recipe');
    }

    public function test_the_class_buys_the_real_buttons(): void
    {
        $class = $this->sewingClass($this->teacher('With a class'));
        $this->keep(['count' => 6], ['class' => $class->id, 'student' => $this->student($class)])->assertOk();
        $needs = array_column((array) $this->getJson("/api/classes/{$class->id}/materials")->assertOk()->json('lines'), 'amount', 'item');
        self::assertEquals(6, $needs['buttons-flat-15-mm-front'] ?? null);
    }

    public function test_it_is_in_the_students_own_file_and_goes_with_the_student(): void
    {
        $class = $this->sewingClass($this->teacher('With a student'));
        $student = $this->student($class);
        $this->keep([], ['class' => $class->id, 'student' => $student])->assertOk();
        $this->look(self::GOOD)->assertOk();
        $file = $this->get("/api/classes/{$class->id}/students/$student/data?as=json")->assertOk();
        self::assertStringContainsString('"diameter_mm": 15', (string) $file->getContent());
        self::assertStringContainsString('"button": "snug"', (string) $file->getContent());
        Student::query()->findOrFail($student)->forceDelete();
        self::assertSame([0, 0], [ButtonholeJob::query()->withoutGlobalScopes()->count(), ButtonholeTestRow::query()->withoutGlobalScopes()->count()]);
    }

    public function test_a_student_belongs_to_a_class_and_another_teacher_sees_neither(): void
    {
        $teacher = $this->teacher('Two teachers');
        $class = $this->sewingClass($teacher);
        $this->assertProblem($this->keep([], ['student' => $this->student($class)]), 422, 'class', 'say which');
        $this->keep([], ['class' => $class->id, 'student' => $this->student($class)])->assertOk();
        $class->update(['shared' => false]);
        $other = User::factory()->create(['studio_id' => $teacher->studio_id, 'role' => Role::Teacher]);
        $this->actingAs($other);
        $this->getJson("/api/buttonholes/$this->id")->assertNotFound();
        $this->getJson('/api/buttonholes')->assertOk()->assertJsonCount(0);
        $this->keep()->assertNotFound();
        // What was begun just now is everybody's in the room.
        $this->id = strtolower((string) Str::ulid());
        $this->keep()->assertOk();
        $this->actingAs($teacher);
        $this->getJson('/api/buttonholes')->assertOk()->assertJsonCount(2);
    }

    public function test_a_class_that_follows_a_school_of_lengths_is_sized_by_it(): void
    {
        $class = $this->sewingClass($this->teacher('With a school'));
        $this->putJson("/api/classes/{$class->id}/schools", ['lesson' => 'buttonhole-sizing', 'schools' => ['half-wrap']])->assertSuccessful();
        $plan = $this->keep([], ['class' => $class->id])->assertOk();
        self::assertEquals([18, 15], [$plan->json('plan.finished_mm'), $plan->json('plan.opening_mm')]);
        $plan->assertJsonPath('plan.passes', 'will-not-pass');
        // The job may say another; just now, nobody's school counts.
        self::assertEqualsWithDelta(21.35, $this->keep(['school' => 'diameter-plus-quarter'], ['class' => $class->id])->json('plan.finished_mm'), 1e-9);
        $this->id = strtolower((string) Str::ulid());
        self::assertEquals(21, $this->keep()->json('plan.finished_mm'));
    }

    public function test_machines_and_feet_that_were_kept_before_are_taken_over(): void
    {
        $machine = $this->machine(['buttonhole' => 'one-step', 'buttonhole_starts' => 'front', 'longest_buttonhole_mm' => 26]);
        $foot = Foot::add($this->studio, ['kind' => 'buttonhole-four-step', 'count' => 2]);
        // As they were kept then.
        foreach (['machines' => $machine, 'feet' => $foot->id] as $table => $id) {
            $facts = (array) json_decode((string) DB::table($table)->where('id', $id)->value('facts'), true);
            $then = array_filter($facts, fn (string $name): bool => ! str_starts_with($name, 'hole_') && (! str_starts_with($name, 'buttonhole_') || $name === 'buttonhole_starts'), ARRAY_FILTER_USE_KEY);
            DB::table($table)->where('id', $id)->update(['facts' => json_encode($then)]);
        }
        $migration = require database_path('migrations/2026_01_01_000021_look_at_buttonholes.php');
        // Twice, as where it was cut short.
        $migration->up();
        $migration->up();
        $now = (array) json_decode((string) DB::table('machines')->where('id', $machine)->value('facts'), true);
        self::assertEquals(['one-step', 'front', 26, true, null, '', []], [$now['buttonhole'], $now['buttonhole_starts'], $now['longest_buttonhole_mm'], $now['buttonhole_lever'], $now['buttonhole_ties_off'], $now['buttonhole_first_side'], $now['buttonhole_marks']]);
        $now = (array) json_decode((string) DB::table('feet')->where('id', $foot->id)->value('facts'), true);
        self::assertEquals([3.175, true, false], [$now['hole_line_mm'], $now['hole_thread'], $now['hole_holder']]);
        $this->keep([], ['machine' => $machine])->assertOk()->assertJsonPath('plan.starts', 'front');
    }

    public function test_a_class_keeps_the_school_it_chose_under_its_new_name(): void
    {
        $class = $this->sewingClass($this->teacher('Before'));
        DB::table('classes')->where('id', $class->id)->update(['lesson_schools' => json_encode(['buttonhole-sizing' => ['quarter-more'], 'zip' => ['move-the-needle']])]);
        $migration = require database_path('migrations/2026_01_01_000023_name_length_schools.php');
        $migration->up();
        $migration->up();
        self::assertEquals(['buttonhole-sizing' => ['diameter-plus-quarter'], 'zip' => ['move-the-needle']], $class->refresh()->lesson_schools);
        self::assertEqualsWithDelta(21.35, $this->keep([], ['class' => $class->id])->json('plan.finished_mm'), 1e-9);
        $migration->down();
        self::assertSame(['quarter-more'], $class->refresh()->lesson_schools['buttonhole-sizing'] ?? null);
    }

    public function test_the_number_of_queries_does_not_grow_with_tests_and_recipes(): void
    {
        $class = $this->sewingClass($this->teacher('Many tests'));
        $this->keep([], ['class' => $class->id])->assertOk();
        $count = function (): int {
            DB::flushQueryLog();
            DB::enableQueryLog();
            $this->getJson("/api/buttonholes/$this->id")->assertOk();

            return count(DB::getQueryLog());
        };
        $this->look(self::GOOD)->assertOk();
        $few = $count();
        for ($i = 0; $i < 12; $i++) {
            $this->look(self::GOOD)->assertOk();
            $recipe = ['stack' => self::JOB, 'lines' => ['machine' => 'Window 1']];
            ButtonholeJob::query()->create(['id' => strtolower((string) Str::ulid()), 'studio_id' => $class->studio_id, 'job' => self::JOB, 'title' => "kept $i", 'recipe' => $recipe, 'begun_at' => '2030-05-01', 'changed_at' => '2030-05-01', 'released_at' => '2030-05-01']);
        }
        self::assertSame($few, $count());
    }
}
