<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Models\Sample;
use App\Models\SkillStanding;
use App\Models\User;
use App\Records\RebuildStandings;
use Illuminate\Database\QueryException;
use Illuminate\Support\Facades\DB;
use Tests\TestCase;

/** The drafting table: a lesson is changed, and the samples that were sewn keep the one they were sewn from. */
final class DraftTest extends TestCase
{
    private User $teacher;

    protected function setUp(): void
    {
        parent::setUp();
        $this->teacher = $this->teacher();
        $this->actingAs($this->teacher);
    }

    /** @return array<string, mixed> the lesson as on the shelf */
    private function text(string $lesson): array
    {
        return (array) $this->getJson("/api/lessons/$lesson/text")->assertOk()->json('lesson');
    }

    /**
     * First seam at another allowance, its checks with it.
     *
     * @return array<string, mixed>
     */
    private function moved(float $mm): array
    {
        $lesson = $this->text('first-seam');
        data_set($lesson, 'sampler.rows.0.path.distance_mm', $mm);
        foreach ([0, 1] as $check) {
            data_set($lesson, "sampler.rows.0.checks.$check.target_mm", $mm);
            $lesson['sampler']['rows'][0]['checks'][$check]['allows'] = '';
            unset($lesson['sampler']['rows'][0]['checks'][$check]['allows']);
        }

        return $lesson;
    }

    /** @param  array<string, mixed>  $lesson */
    private function keep(array $lesson, int $version): int
    {
        return (int) $this->postJson('/api/drafts', ['lesson' => $lesson, 'version' => $version])->assertCreated()->json('version');
    }

    public function test_a_draft_is_read_with_figures_fit_and_problems(): void
    {
        $this->sewingClass($this->teacher);
        $read = $this->postJson('/api/drafts/read', ['lesson' => $this->text('zigzag-ladder')])->assertOk()->assertJsonPath('fits', true)->assertJsonPath('problems', []);
        $row = (array) $read->json('rows.0');
        self::assertSame('average', $row['id']);
        // 104 mm at 2 mm for each stroke.
        self::assertSame(52, $row['stitches']);
        self::assertSame('3.5 mm ±0.3; ±0.6 near', $row['allows']['width']);
        self::assertSame([true], array_values(array_unique(array_column($row['machines'], 'works'))));
        self::assertEqualsWithDelta(array_sum(array_column((array) $read->json('rows'), 'minutes')), $read->json('minutes'), 1e-9);

        $lesson = $this->text('zigzag-ladder');
        data_set($lesson, 'sampler.rows.1.path.distance_mm', 13.5);
        data_set($lesson, 'sampler.rows.4.width_mm', 99);
        data_set($lesson, 'sampler.rows.2.path.distance_mm', 400);
        $read = $this->postJson('/api/drafts/read', ['lesson' => $lesson])->assertOk()->assertJsonPath('fits', false);
        self::assertSame(['narrow', 'closer', 'longer'], array_column((array) $read->json('problems'), 'row'));
        self::assertSame([true, true, false], array_column((array) $read->json('problems'), 'stops'));
        self::assertSame(['sampler.rows[4].width_mm', 'sampler.rows[2].path.run'], array_slice(array_column((array) $read->json('problems'), 'place'), 0, 2));
        self::assertSame(['average', 'longer', 'narrower'], array_column((array) $read->json('drawing.rows'), 'id'), 'the rest stays drawn');
        $this->assertProblem($this->postJson('/api/drafts', ['lesson' => $lesson, 'version' => 2]), 422, 'sampler.rows[4].width_mm', '12');
        self::assertSame(0, DB::table('lesson_texts')->where('studio_id', $this->teacher->studio_id)->count());
    }

    public function test_a_change_makes_a_new_version_and_samples_keep_theirs(): void
    {
        $class = $this->sewingClass($this->teacher);
        $student = $this->student($class);
        $this->postJson('/api/samples', $this->seam($class, $student))->assertCreated()->assertJsonPath('judged.verdict', 'met');
        $standings = SkillStanding::query()->where('class_id', $class->id)->orderBy('id')->get()->toArray();

        self::assertSame(3, $this->keep($this->moved(10.0), 2));
        // The seam at 15.9 was good, and still is; the one on the shelf is at 10.
        $look = $this->getJson("/api/classes/{$class->id}/students/$student/look?lesson=first-seam")->assertOk()->assertJsonPath('lesson.version', 3);
        self::assertSame('mean 10 mm ±1; ±2 near', $look->json('lesson.rows.0.checks.0.allows'));
        self::assertSame('met', $look->json('earlier.0.verdict'));
        app(RebuildStandings::class)();
        self::assertSame($standings, SkillStanding::query()->where('class_id', $class->id)->orderBy('id')->get()->toArray());

        // The same readings of the new version are far off; looked at by the version that was sewn, they are not.
        $body = $this->seam($class, $student, ['replaces' => null]);
        $this->postJson('/api/samples/preview', array_diff_key($body, ['id' => 1]))->assertOk()->assertJsonPath('verdict', 'not-yet');
        $this->postJson('/api/samples/preview', ['version' => 2] + array_diff_key($body, ['id' => 1]))->assertOk()->assertJsonPath('verdict', 'met');
        $this->postJson('/api/samples', $body)->assertCreated()->assertJsonPath('judged.verdict', 'not-yet');
        $this->postJson('/api/samples', ['version' => 2] + $this->seam($class, $student))->assertCreated()->assertJsonPath('judged.verdict', 'met');
        self::assertSame([2, 3, 2], Sample::query()->where('class_id', $class->id)->orderBy('kept_at')->orderBy('id')->pluck('lesson_version')->all());
        $this->assertProblem($this->postJson('/api/samples', ['version' => 7] + $this->seam($class, $student)), 422, 'version', 'no such version');

        $text = $this->getJson('/api/lessons/first-seam/text')->assertOk()->assertJsonPath('version', 3);
        // The one that came with an earlier course is among them, and can be taken up.
        $this->getJson('/api/lessons/first-seam/text?version=1')->assertOk()->assertJsonPath('lesson.version', 1);
        self::assertSame([[3, 1, true], [2, 2, false], [1, 0, false]], array_map(fn (array $v): array => [$v['version'], $v['samples'], $v['on_shelf']], (array) $text->json('versions')));
    }

    public function test_a_correction_is_judged_by_the_version_it_corrects(): void
    {
        $class = $this->sewingClass($this->teacher);
        $student = $this->student($class);
        $first = $this->seam($class, $student, ['readings' => ['seam.allowance' => ['10', '10', '10', '10', '10']]]);
        $this->postJson('/api/samples', $first)->assertCreated();
        $this->keep($this->moved(10.0), 2);
        $this->postJson('/api/samples', $this->seam($class, $student, ['replaces' => $first['id']]))->assertCreated()->assertJsonPath('judged.verdict', 'met');
        self::assertSame([2, 2], Sample::query()->where('class_id', $class->id)->pluck('lesson_version')->all());
        $this->getJson("/api/classes/{$class->id}/students/$student/look?lesson=first-seam&version=2")->assertJsonPath('lesson.version', 2)->assertJsonPath('lesson.rows.0.checks.0.allows', 'mean 15.9 mm ±1; ±2 near');
    }

    public function test_an_old_version_is_taken_back_as_a_new_one(): void
    {
        self::assertSame(3, $this->keep($this->moved(10.0), 2));
        $old = (array) $this->getJson('/api/lessons/first-seam/text?version=2')->assertOk()->json('lesson');
        self::assertSame(4, $this->keep($old, 3));
        self::assertSame(15.9, data_get($this->text('first-seam'), 'sampler.rows.0.path.distance_mm'));
        $this->assertProblem($this->getJson('/api/lessons/first-seam/text?version=9'), 422, 'version', 'Known: 4, 3, 2');
        // Kept again as it is: nothing to keep.
        self::assertSame(4, $this->keep($this->text('first-seam'), 4));
    }

    public function test_two_teachers_do_not_overwrite_each_other(): void
    {
        $this->keep($this->moved(10.0), 2);
        $this->assertProblem($this->postJson('/api/drafts', ['lesson' => $this->moved(12.0), 'version' => 2]), 409, 'version', 'changed meanwhile: version 3');
        self::assertSame(10, data_get($this->text('first-seam'), 'sampler.rows.0.path.distance_mm'));
    }

    public function test_a_kept_version_cannot_be_changed_behind_its_samples(): void
    {
        $this->keep($this->moved(10.0), 2);
        $this->expectException(QueryException::class);
        DB::table('lesson_texts')->where('studio_id', $this->teacher->studio_id)->update(['body' => '{}']);
    }

    public function test_a_copy_becomes_a_lesson_of_its_own(): void
    {
        $copy = ['title' => 'Seam on linen'] + $this->text('first-seam');
        $kept = $this->postJson('/api/drafts', ['lesson' => $copy, 'version' => 0])->assertCreated()->assertExactJson(['id' => 'seam-on-linen', 'version' => 1]);
        self::assertSame('seam-on-linen', $kept->json('id'));
        $this->postJson('/api/drafts', ['lesson' => $copy, 'version' => 0])->assertJsonPath('id', 'seam-on-linen-2');
        self::assertCount(53, (array) $this->getJson('/api/lessons')->json());
        $class = $this->sewingClass($this->teacher);
        $student = $this->student($class);
        $this->postJson('/api/samples', $this->seam($class, $student, ['lesson' => 'seam-on-linen']))->assertCreated()->assertJsonPath('judged.verdict', 'met');
        // Nobody else has it.
        $this->actingAs($this->teacher('Other'));
        self::assertCount(51, (array) $this->getJson('/api/lessons')->json());
        $this->assertProblem($this->getJson('/api/lessons/seam-on-linen/text'), 422, 'lesson', 'no such lesson');
    }

    public function test_a_row_is_started_from_the_stitch_list(): void
    {
        $lesson = $this->text('first-seam');
        $row = (array) $this->postJson('/api/drafts/row', ['lesson' => $lesson, 'piece' => 'square', 'stitch' => 'zigzag'])->assertOk()->json('row');
        self::assertSame(22.9, data_get($row, 'path.distance_mm'), 'one foot edge further in');
        $lesson['sampler']['rows'][] = $row;
        $this->keep($lesson, 2);
        $kept = $this->text('first-seam');
        self::assertSame(['straight', 'zigzag'], array_column((array) $kept['sews'], 'stitch'), 'the room is asked for it');
        $this->assertProblem($this->postJson('/api/drafts/row', ['lesson' => $lesson, 'piece' => 'sleeve', 'stitch' => 'zigzag']), 422, 'piece', 'square');
        $this->assertProblem($this->postJson('/api/drafts/row', ['lesson' => $lesson, 'piece' => 'square', 'stitch' => 'knit']), 422, 'stitch', 'Known: straight');
    }

    public function test_nonsense_is_named_and_nothing_is_kept(): void
    {
        $lesson = $this->text('first-seam');
        foreach ([
            [['title' => '<script>x</script>'] + $lesson, 'title', 'no script'],
            [['colour' => 'red'] + $lesson, 'colour', 'not known here'],
            [['minutes' => ['demo' => -1, 'sew' => 8, 'inspect' => 3]] + $lesson, 'minutes.demo', '0'],
            [['teaches' => ['fly']] + $lesson, 'lessons.first-seam.teaches', 'skill'],
            [['teaches' => []] + $lesson, 'teaches', 'At least 1'],
        ] as [$bad, $field, $said]) {
            $this->assertProblem($this->postJson('/api/drafts', ['lesson' => $bad, 'version' => 2]), 422, $field, $said);
        }
        $this->assertProblem($this->postJson('/api/drafts', ['lesson' => 'x', 'version' => 2]), 422, 'lesson', 'list');
        $this->postJson('/api/drafts/read', ['lesson' => ['sampler' => 5]])->assertOk()->assertJsonPath('fits', false)->assertJsonPath('problems.1.place', 'sampler');
        self::assertSame(0, DB::table('lesson_texts')->where('studio_id', $this->teacher->studio_id)->count());
    }

    /** A studio's own lessons cost Today no query more. */
    public function test_own_lessons_ask_the_database_nothing_more(): void
    {
        $class = $this->sewingClass($this->teacher);
        $student = $this->student($class);
        $this->postJson('/api/samples', $this->seam($class, $student))->assertCreated();
        $count = function () use ($class): int {
            $this->actingAs(User::query()->findOrFail($this->teacher->id));
            $this->getJson("/api/classes/{$class->id}/today")->assertOk();
            DB::flushQueryLog();
            DB::enableQueryLog();
            $this->getJson("/api/classes/{$class->id}/today")->assertOk();

            return count(DB::getQueryLog());
        };
        $before = $count();
        $this->keep($this->moved(10.0), 2);
        self::assertSame($before, $count());
    }
}
