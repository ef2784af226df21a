<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Models\Enrolment;
use App\Models\Sample;
use App\Models\SamplePhoto;
use App\Models\SewingClass;
use App\Models\SkillStanding;
use App\Models\Student;
use App\Models\Studio;
use App\Models\User;
use App\Places\Studio\Housekeeping;
use Illuminate\Support\Facades\DB;
use Tests\TestCase;

/** Data that belong to people: renamed, moved, put away, deleted, brought back, taken along. */
final class KeepingTest extends TestCase
{
    private function sweep(): void
    {
        $this->app?->make(Housekeeping::class)();
    }

    /** @return array{SewingClass, SewingClass, string} two classes of a studio, and a student of the first with a sample and a photo */
    private function two(): array
    {
        $teacher = $this->teacher();
        $first = $this->sewingClass($teacher);
        $second = $this->sewingClass($teacher, ['Una', 'Vic']);
        $student = $this->student($first);
        $sample = $this->seam($first, $student);
        $this->postJson('/api/samples', $sample)->assertCreated();
        $this->sendPicture("/api/samples/{$sample['id']}/photos?id=01m8gv34ygeqnsg5pqg9kxf9ab", $this->picture())->assertCreated();

        return [$first, $second, $student];
    }

    public function test_a_student_moves_with_history(): void
    {
        [$first, $second, $student] = $this->two();
        $known = fn (SewingClass $c): array => SkillStanding::query()->where('class_id', $c->id)->where('student_id', $student)->orderBy('skill')->pluck('known', 'skill')->all();
        $before = $known($first);
        $this->postJson("/api/classes/{$first->id}/students/$student/move", ['to' => $second->id])->assertNoContent();
        $this->getJson("/api/classes/{$first->id}/students/$student")->assertNotFound();
        $this->getJson("/api/classes/{$second->id}/students/$student")->assertOk()->assertJsonPath('name', 'Ona')->assertJsonPath('seat', 3)->assertJsonCount(1, 'seam');
        self::assertEquals($before, $known($second));
        $this->assertProblem($this->postJson("/api/classes/{$second->id}/students/$student/move", ['to' => $second->id]), 422, 'to', 'already');
        // And back again: the seat is taken up anew, nothing doubled.
        $this->postJson("/api/classes/{$second->id}/students/$student/move", ['to' => $first->id])->assertNoContent();
        self::assertSame(1, Enrolment::query()->where('student_id', $student)->count());
        $this->artisan('seam:rebuild-standings')->assertSuccessful();
        self::assertEquals($before, $known($first));
    }

    public function test_a_returning_student_takes_the_history_along(): void
    {
        [$first, $second, $student] = $this->two();
        $this->getJson('/api/students?q=On')->assertOk()->assertJsonPath('0.id', $student)->assertJsonPath('0.was', $first->name);
        $this->postJson("/api/classes/{$second->id}/students", ['students' => ['Wyn'], 'returning' => [$student]])->assertNoContent();
        $this->getJson("/api/classes/{$second->id}/students/$student")->assertOk()->assertJsonCount(1, 'seam');
        // What is sewn in one class counts in the other.
        $this->postJson('/api/samples', $this->seam($second, $student))->assertCreated();
        $this->getJson("/api/classes/{$first->id}/students/$student")->assertJsonCount(2, 'seam');
        self::assertEquals(
            SkillStanding::query()->where('class_id', $first->id)->where('student_id', $student)->orderBy('skill')->pluck('known')->all(),
            SkillStanding::query()->where('class_id', $second->id)->where('student_id', $student)->orderBy('skill')->pluck('known')->all(),
        );
    }

    public function test_a_deleted_student_comes_back_for_thirty_days_and_is_then_gone_with_photos(): void
    {
        [$first, , $student] = $this->two();
        $this->getJson("/api/classes/{$first->id}/students/$student/goes")->assertOk()->assertJsonPath('students', ['Ona'])->assertJsonPath('samples', 1)->assertJsonPath('photos', 1);
        $this->deleteJson("/api/classes/{$first->id}/students/$student")->assertNoContent();
        $this->getJson("/api/classes/{$first->id}")->assertJsonCount(2, 'students');
        $this->getJson("/api/classes/{$first->id}/today")->assertJsonCount(2, 'students');
        self::assertStringNotContainsString('Ona', (string) $this->getJson('/api/find')->assertOk()->getContent());
        $this->sweep();
        $this->getJson('/api/studio')->assertJsonPath('gone.0.name', 'Ona')->assertJsonPath('gone.0.samples', 1);
        $this->postJson("/api/students/$student/restore")->assertNoContent();
        $this->getJson("/api/classes/{$first->id}/students/$student")->assertOk()->assertJsonCount(1, 'seam');
        $this->deleteJson("/api/classes/{$first->id}/students/$student")->assertNoContent();
        Student::query()->onlyTrashed()->update(['deleted_at' => now()->subDays(31)]);
        $this->sweep();
        self::assertSame([0, 0, 0, 0], [Student::query()->withTrashed()->whereKey($student)->count(), Sample::query()->count(), SamplePhoto::query()->count(), (int) DB::table('sample_readings')->count()]);
        $this->postJson("/api/students/$student/restore")->assertNotFound();
    }

    public function test_taken_out_of_a_class_the_history_stays(): void
    {
        [$first, , $student] = $this->two();
        $this->deleteJson("/api/classes/{$first->id}/students/$student/seat")->assertNoContent();
        $this->getJson("/api/classes/{$first->id}/students/$student")->assertNotFound();
        $this->getJson('/api/students?q=Ona')->assertJsonPath('0.id', $student);
        $this->postJson("/api/classes/{$first->id}/students", ['returning' => [$student]])->assertNoContent();
        $this->getJson("/api/classes/{$first->id}/students/$student")->assertJsonCount(1, 'seam');
    }

    public function test_a_deleted_class_takes_those_along_who_are_in_no_other(): void
    {
        [$first, $second, $student] = $this->two();
        $this->postJson("/api/classes/{$second->id}/students", ['returning' => [$student]])->assertNoContent();
        $this->getJson("/api/classes/{$first->id}/goes")->assertOk()->assertJsonPath('students', ['Pim', 'Rue'])->assertJsonPath('staying', ['Ona']);
        $this->deleteJson("/api/classes/{$first->id}")->assertNoContent();
        $this->getJson("/api/classes/{$first->id}/today")->assertNotFound();
        self::assertNotContains($first->id, array_column((array) $this->getJson('/api/me')->json('classes'), 'id'));
        $this->postJson("/api/classes/{$first->id}/restore")->assertNoContent();
        $this->getJson("/api/classes/{$first->id}/today")->assertOk()->assertJsonCount(3, 'students');
        $this->deleteJson("/api/classes/{$first->id}")->assertNoContent();
        SewingClass::query()->onlyTrashed()->update(['deleted_at' => now()->subDays(31)]);
        $this->sweep();
        self::assertSame(['Ona', 'Una', 'Vic'], Student::query()->orderBy('name')->pluck('name')->all());
        // What Ona sewed there is Ona's, and is there in the other class.
        $this->getJson("/api/classes/{$second->id}/students/$student")->assertOk()->assertJsonCount(1, 'seam');
        self::assertNull(Sample::query()->firstOrFail()->class_id);
        $this->getJson('/api/samples/'.Sample::query()->firstOrFail()->id)->assertOk()->assertJsonPath('class', $second->id);
    }

    public function test_classes_are_put_away_and_deleted_in_time(): void
    {
        [$first] = $this->two();
        $ended = now()->subDays(400)->format('Y-m-d H:i:s');
        DB::table('plan_sessions')->whereIn('course_plan_id', DB::table('course_plans')->where('class_id', $first->id)->select('id'))->update(['starts_at' => $ended]);
        $this->sweep();
        $listed = fn (): array => array_column((array) $this->getJson('/api/me')->json('classes'), 'id');
        self::assertNotContains($first->id, $listed());
        $this->getJson("/api/classes/{$first->id}")->assertOk();
        $this->deleteJson("/api/classes/{$first->id}/archive")->assertNoContent();
        self::assertContains($first->id, $listed());
        $this->postJson("/api/classes/{$first->id}/archive")->assertNoContent();
        $this->sweep();
        self::assertFalse(SewingClass::query()->findOrFail($first->id)->trashed(), 'the owner set no time');
        $this->patchJson('/api/studio', ['delete_after_days' => 380])->assertOk();
        $this->sweep();
        self::assertTrue(SewingClass::query()->withTrashed()->findOrFail($first->id)->trashed());
    }

    public function test_renamed(): void
    {
        [$first, , $student] = $this->two();
        $this->patchJson("/api/classes/{$first->id}", ['name' => 'Friday'])->assertNoContent();
        $this->putJson("/api/classes/{$first->id}/students/$student/name", ['name' => 'Oona'])->assertNoContent();
        $this->getJson("/api/classes/{$first->id}/today")->assertJsonPath('class.title', 'Friday')->assertJsonPath('students.0.name', 'Oona');
        $this->assertProblem($this->putJson("/api/classes/{$first->id}/students/$student/name", ['name' => ' ']), 422, 'name', 'must be given');
    }

    public function test_everything_of_one_student_as_a_file(): void
    {
        [$first, , $student] = $this->two();
        $this->putJson("/api/classes/{$first->id}/students/$student", ['note' => 'likes bags', 'wishes' => ['zip'], 'own_machine' => true])->assertNoContent();
        $id = Sample::query()->firstOrFail()->id;
        $this->postJson("/api/samples/$id/notes", ['text' => 'by lamplight'])->assertOk();
        $file = (array) json_decode((string) $this->get("/api/classes/{$first->id}/students/$student/data?as=json")->assertOk()->getContent(), true, 32, JSON_THROW_ON_ERROR);
        self::assertSame(['Ona', ['zip'], true, 'likes bags', 'by lamplight'], [$file['name'], $file['wishes'], $file['own_machine'], data_get($file, 'classes.0.note'), data_get($file, 'samples.0.notes.0.text')]);
        self::assertSame([16.0, 15.5, 15.875, 16.0, 16.5], array_map(floatval(...), (array) data_get($file, ['samples', 0, 'readings', 'seam.allowance'])));
        self::assertSame("\xFF\xD8", substr((string) base64_decode((string) data_get($file, 'photos.0.jpeg_base64'), true), 0, 2));
        self::assertStringStartsWith('%PDF', (string) $this->get("/api/classes/{$first->id}/students/$student/data?as=pdf")->assertOk()->getContent());
        $this->assertProblem($this->getJson("/api/classes/{$first->id}/students/$student/data?as=csv"), 422, 'as', 'json, pdf');
        self::assertStringStartsWith('%PDF', (string) $this->get('/api/studio/privacy')->assertOk()->getContent());
        $this->actingAs($this->teacher('Next door'))->get("/api/classes/{$first->id}/students/$student/data?as=json")->assertNotFound();
    }

    public function test_a_deleted_studio_comes_back_or_is_gone(): void
    {
        [$first] = $this->two();
        $studio = Studio::query()->findOrFail($first->studio_id);
        $owner = User::query()->where('studio_id', $studio->id)->firstOrFail();
        $this->assertProblem($this->postJson('/api/studio/close', ['name' => 'Test roon']), 422, 'name', 'Type the name');
        $this->postJson('/api/studio/close', ['name' => 'Test room'])->assertNoContent();
        $this->actingAs($owner->fresh() ?? $owner);
        $this->getJson("/api/classes/{$first->id}/today")->assertStatus(410);
        self::assertNotNull($this->getJson('/api/me')->assertOk()->json('studio_deleted_at'));
        $this->postJson('/api/studio/reopen')->assertNoContent();
        $this->actingAs($owner->fresh() ?? $owner);
        $this->getJson("/api/classes/{$first->id}/today")->assertOk();
        $studio->update(['deleted_at' => now()->subDays(31)]);
        $this->sweep();
        self::assertSame([0, 0, 0], [Studio::query()->whereKey($studio->id)->count(), Student::query()->withTrashed()->where('studio_id', $studio->id)->count(), Sample::query()->where('studio_id', $studio->id)->count()]);
    }

    public function test_what_is_of_the_day_is_swept_out(): void
    {
        DB::table('sessions')->insert([['id' => 'old', 'payload' => '', 'last_activity' => time() - 86_400 * 3], ['id' => 'new', 'payload' => '', 'last_activity' => time()]]);
        DB::table('cache')->insert([['key' => 'old', 'value' => '', 'expiration' => time() - 10], ['key' => 'new', 'value' => '', 'expiration' => time() + 100]]);
        $this->sweep();
        self::assertSame(['new'], DB::table('sessions')->pluck('id')->all());
        self::assertSame(['new'], DB::table('cache')->pluck('key')->all());
    }
}
