<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Models\LessonAssignment;
use App\Models\Sample;
use App\Models\SewingClass;
use App\Support\Clock;
use Carbon\CarbonImmutable;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Str;
use Tests\TestCase;

/** One student: for the teacher everything, behind their own link only their own. */
final class StudentTest extends TestCase
{
    private SewingClass $class;

    private string $student;

    private string $address;

    protected function setUp(): void
    {
        parent::setUp();
        $this->class = $this->sewingClass($this->teacher());
        $this->student = $this->student($this->class);
        $this->address = "/api/classes/{$this->class->id}/students/{$this->student}";
    }

    public function test_everything_about_one_student(): void
    {
        $this->postJson('/api/samples', $this->seam($this->class, $this->student, ['settings' => ['foot' => 'Standard', 'length' => '2.5']]))->assertCreated();
        $this->putJson($this->address, ['note' => 'left-handed', 'wishes' => ['zip'], 'own_machine' => true])->assertNoContent();
        $view = $this->getJson($this->address)->assertOk()
            ->assertJsonPath('name', 'Ona')->assertJsonPath('note', 'left-handed')->assertJsonPath('wishes.0.title', 'Zip')->assertJsonPath('own_machine', true)
            ->assertJsonPath('seam.0.session', 2)->assertJsonPath('seam.0.sample.lesson', 'first-seam')->assertJsonPath('seam.0.sample.verdict', 'met')
            ->assertJsonPath('settings.0.length', '2.5')->assertJsonPath('forecast.done', 1)->assertJsonPath('page', null);
        self::assertGreaterThan(0, $view->json('forecast.samples'));
        self::assertContains('Guides', array_column((array) $view->json('blocked'), 'id'));
        self::assertSame('coming', array_column((array) $view->json('skills'), 'level', 'id')['keep-allowance'], 'shown well once');
        $this->assertProblem($this->putJson($this->address, ['note' => '', 'wishes' => ['juggling'], 'own_machine' => false]), 422, 'wishes[0]', 'no such lesson');
        $this->assertProblem($this->putJson($this->address, ['note' => str_repeat('x', 1001), 'wishes' => [], 'own_machine' => false]), 422, 'note', '1000');
        $this->getJson($this->address)->assertJsonPath('note', 'left-handed');
    }

    public function test_two_teachers_choosing_at_once(): void
    {
        $this->postJson("{$this->address}/next", ['lesson' => 'guides', 'because' => 'wants it', 'given' => ''])->assertNoContent();
        $this->assertProblem($this->postJson("{$this->address}/next", ['lesson' => 'zip', 'because' => 'no, this', 'given' => '']), 409, 'given', 'another teacher');
        $now = $this->getJson($this->address)->assertJsonPath('in_hand.lesson', 'guides')->json('assigned');
        $this->postJson("{$this->address}/next", ['lesson' => 'first-seam', 'because' => 'as agreed', 'given' => $now])->assertNoContent();
        $this->getJson($this->address)->assertJsonPath('given.0.title', 'First seam')->assertJsonPath('given.1.because', 'wants it')->assertJsonPath('given.1.instead_of', 'Safe seat');
        self::assertSame(2, LessonAssignment::query()->where('student_id', $this->student)->count());
    }

    public function test_the_own_page_shows_only_their_own_and_is_taken_back(): void
    {
        $this->putJson($this->address, ['note' => 'secret of the teacher', 'wishes' => [], 'own_machine' => true])->assertNoContent();
        $token = $this->postJson("{$this->address}/page")->assertCreated()->json('page');
        self::assertIsString($token);
        self::assertMatchesRegularExpression('/^[0-9a-zA-Z]{40}$/', $token);
        $this->app?->make('auth')->forgetGuards();

        $page = $this->getJson("/api/page/$token")->assertOk()->assertJsonPath('name', 'Ona')->assertJsonPath('title', 'Safe seat')->assertJsonPath('sheet', false)->assertHeader('X-Robots-Tag', 'noindex, nofollow');
        // Said to who sews; the teacher reads what the teacher does.
        $page->assertJsonPath('change', 'New: watch it shown, then sew the sampler.');
        $text = (string) $page->getContent();
        foreach (['secret of the teacher', 'Pim', 'Rue', $this->student, 'known'] as $private) {
            self::assertStringNotContainsString($private, $text);
        }
        self::assertNotSame([], $page->json('cautions'), 'cautions stand beside what is sewn');
        $this->assertProblem($this->getJson("/api/page/$token/sheet"), 422, 'what', 'no sampler');
        // Nothing else opens with it, and no other link.
        $this->getJson($this->address)->assertUnauthorized();
        $this->getJson('/api/page/'.str_repeat('a', 40))->assertNotFound();
        $this->getJson("/api/page/{$token}x")->assertNotFound();

        $this->actingAs(\App\Models\User::query()->where('studio_id', $this->class->studio_id)->firstOrFail());
        $newer = $this->postJson("{$this->address}/page")->assertCreated()->json('page');
        $this->getJson("/api/page/$token")->assertNotFound();
        $this->deleteJson("{$this->address}/page")->assertNoContent();
        $this->getJson("/api/page/$newer")->assertNotFound();
    }

    public function test_the_practice_sheet_of_the_lesson_in_hand(): void
    {
        $this->postJson("{$this->address}/next", ['lesson' => 'first-seam', 'because' => 'bored beside Pim'])->assertNoContent();
        $token = (string) $this->postJson("{$this->address}/page")->json('page');
        $page = $this->getJson("/api/page/$token")->assertJsonPath('title', 'First seam')->assertJsonPath('sheet', true);
        self::assertStringNotContainsString('bored beside Pim', (string) $page->getContent(), 'why the teacher chose it is the teacher’s');
        self::assertStringStartsWith('%PDF', (string) $this->get("/api/page/$token/sheet")->assertOk()->getContent());
        $this->assertProblem($this->getJson("/api/page/$token/sheet?format=A0"), 422, 'format', 'Letter');
    }

    /** A clock set back: samples that lie ahead count as they are, and nothing fades before its time. */
    public function test_samples_dated_in_the_future(): void
    {
        Clock::fix(CarbonImmutable::parse(self::NOW, 'UTC')->addYear());
        $this->postJson('/api/samples', $this->seam($this->class, $this->student))->assertCreated();
        $known = fn (): mixed => DB::table('skill_standings')->where('student_id', $this->student)->where('skill', 'keep-allowance')->value('known');
        $before = $known();
        Clock::fix(CarbonImmutable::parse(self::NOW, 'UTC'));
        $this->getJson($this->address)->assertOk()->assertJsonPath('seam.0.sample.lesson', 'first-seam');
        self::assertSame('coming', array_column((array) $this->getJson($this->address)->json('skills'), 'level', 'id')['keep-allowance']);
        self::assertSame($before, $known());
    }

    public function test_a_question_stands_at_their_row_until_somebody_has_looked(): void
    {
        $token = (string) $this->postJson("{$this->address}/page")->json('page');
        $student = basename($this->address);
        $asked = fn (): ?string => array_column((array) $this->getJson("/api/classes/{$this->class->id}/today")->json('students'), 'asked', 'student')[$student]['text'] ?? null;
        self::assertNull($asked());
        $this->postJson("/api/page/$token/ask", ['text' => 'Is this too loose?'])->assertNoContent();
        $this->getJson("/api/page/$token")->assertJsonPath('asked.text', 'Is this too loose?');
        self::assertSame('Is this too loose?', $asked());
        $this->postJson('/api/samples', $this->seam($this->class, $student))->assertCreated();
        self::assertNull($asked(), 'looked at');
        $this->postJson("/api/page/$token/ask", ['text' => null])->assertNoContent();
        self::assertSame('', $asked());
        $this->deleteJson("/api/page/$token/ask")->assertNoContent();
        self::assertNull($asked());
        $this->assertProblem($this->postJson("/api/page/$token/ask", ['text' => str_repeat('x', 301)]), 422, 'text', '300');
        $this->postJson('/api/page/'.str_repeat('a', 40).'/ask', ['text' => null])->assertNotFound();
        // What they sewed is shown to them, with the one thing it said.
        $this->getJson("/api/page/$token")->assertJsonPath('earlier.0.lesson', 'first-seam');
    }

    public function test_practice_at_home_makes_a_skill_coming_and_moves_nothing_else(): void
    {
        $token = (string) $this->postJson("{$this->address}/page")->json('page');
        $student = basename($this->address);
        $this->postJson("{$this->address}/next", ['lesson' => 'first-seam', 'because' => ''])->assertNoContent();
        $readings = $this->seam($this->class, $student)['readings'];
        $next = fn (): mixed => $this->getJson($this->address)->json('advice.lesson');
        $before = $next();
        for ($n = 0; $n < 8; $n++) {
            $this->postJson("/api/page/$token/looks", ['id' => (string) Str::ulid(), 'lesson' => 'first-seam', 'place' => 'home', 'readings' => $readings])->assertCreated();
        }
        $view = $this->getJson($this->address)->assertOk();
        self::assertSame([], array_filter(array_column((array) $view->json('skills'), 'level'), fn (mixed $l): bool => in_array($l, ['sure', 'refresh-due'], true)));
        self::assertContains('coming', array_column((array) $view->json('skills'), 'level'));
        self::assertSame($before, $next(), 'the next lesson goes by what the teacher looked at');
        self::assertSame(0, Sample::query()->count());
        $view->assertJsonPath('own_looks.0.place', 'home')->assertJsonPath('own_looks.0.agreed', null);
    }

    public function test_who_looks_first_is_told_how_far_the_teacher_saw_the_same(): void
    {
        $token = (string) $this->postJson("{$this->address}/page")->json('page');
        $student = basename($this->address);
        $seam = $this->seam($this->class, $student);
        $id = (string) Str::ulid();
        $look = ['id' => $id, 'lesson' => 'first-seam', 'place' => 'class', 'readings' => $seam['readings']];
        $this->postJson("/api/page/$token/looks", $look)->assertCreated()->assertJsonPath('looks.0.agreed', null);
        // Sent again after a broken line it is there once.
        $this->postJson("/api/page/$token/looks", $look)->assertCreated()->assertJsonCount(1, 'looks');
        $this->postJson('/api/samples', $seam)->assertCreated();
        $page = $this->getJson("/api/page/$token");
        self::assertSame($page->json('agreed.of'), $page->json('agreed.alike'));
        self::assertGreaterThan(0, $page->json('agreed.of'));
        $this->assertProblem($this->postJson("/api/page/$token/looks", ['id' => (string) Str::ulid(), 'readings' => ['seam.nothing' => ['1']]] + $look), 422, 'readings.seam.nothing', 'no such reading');
        $this->postJson('/api/page/'.str_repeat('a', 40).'/looks', $look)->assertNotFound();
        $this->deleteJson($this->address)->assertNoContent();
        $this->getJson("/api/page/$token")->assertNotFound();
    }

    public function test_a_machine_of_their_own_shows_its_dials_and_wears_no_machine_of_the_room(): void
    {
        $token = (string) $this->postJson("{$this->address}/page")->json('page');
        $this->postJson("{$this->address}/next", ['lesson' => 'first-seam', 'because' => ''])->assertNoContent();
        $this->getJson("/api/page/$token")->assertJsonPath('home', null)->assertJsonPath('machine', 'Machine 1');
        $form = $this->getJson("/api/page/$token/home")->assertOk()->assertJsonPath('facts', null)->assertJsonPath('starts.0.title', 'like Machine 1');
        self::assertContains('a usual computerised machine', array_column((array) $form->json('starts'), 'title'));
        // Like the one of the seat, but it stitches at most 2 mm and its tension is marked otherwise.
        $facts = ['longest_stitch_mm' => 2.0, 'plate_lines_mm' => [10]] + (array) $form->json('starts.0.facts');
        $said = ['name' => 'Kitchen', 'drive' => 'mechanical', 'tension_mark' => '5', 'facts' => $facts, 'feet' => ['standard', 'zip']];
        $this->assertProblem($this->putJson("/api/page/$token/home", ['feet' => ['standard', 'wheel']] + $said), 422, 'feet[1]', 'no such foot');
        $this->assertProblem($this->putJson("/api/page/$token/home", ['facts' => ['longest_stitch_mm' => 99] + $facts] + $said), 422, 'facts.longest_stitch_mm', '12');
        $this->assertProblem($this->putJson("/api/page/$token/home", ['name' => ''] + $said), 422, 'name', 'must');
        $this->putJson('/api/page/'.str_repeat('a', 40).'/home', $said)->assertNotFound();
        $this->getJson("{$this->address}")->assertJsonPath('home', null)->assertJsonPath('own_machine', false);
        $this->putJson("/api/page/$token/home", $said)->assertNoContent();
        $this->getJson($this->address)->assertJsonPath('home', 'Kitchen')->assertJsonPath('own_machine', true);
        $this->getJson("{$this->address}/home")->assertJsonPath('feet', ['standard', 'zip'])->assertJsonPath('facts.tension_mark', '5');
        // In the studio by the seat's machine, at home by their own.
        $this->getJson("/api/page/$token")->assertJsonPath('home', 'Kitchen')->assertJsonPath('machine', 'Machine 1')->assertJsonPath('cannot', null);
        $home = $this->getJson("/api/page/$token?at=home")->assertJsonPath('machine', 'Kitchen')->assertJsonPath('title', 'First seam');
        self::assertStringContainsString('2.5', (string) $home->json('cannot'), 'its longest stitch is too short for this seam');
        $this->putJson("{$this->address}/home", ['facts' => ['longest_stitch_mm' => 4.0] + $facts] + $said)->assertNoContent();
        $home = $this->getJson("/api/page/$token?at=home")->assertJsonPath('cannot', null);
        self::assertStringContainsString('length 2.5', implode(' ', (array) $home->json('dials')));
        self::assertStringStartsWith('%PDF', (string) $this->get("/api/page/$token/sheet?at=home")->assertOk()->getContent());
        $readings = $this->seam($this->class, $this->student)['readings'];
        $this->postJson("/api/page/$token/looks", ['id' => (string) Str::ulid(), 'lesson' => 'first-seam', 'place' => 'home', 'readings' => $readings])->assertCreated()->assertJsonPath('machine', 'Kitchen');
        // Brought along: its dials in Look, and what was sewn on it is laid at no machine of the room.
        $look = $this->getJson("{$this->address}/look?lesson=first-seam&machine=own")->assertOk()->assertJsonPath('machine', 'own')->assertJsonPath('cannot', null);
        self::assertSame('Kitchen (their own)', array_column((array) $look->json('machines'), 'name', 'id')['own']);
        self::assertCount(2, array_filter(array_column(array_column((array) $look->json('feet'), 'facts'), 'name'), fn (string $name): bool => str_ends_with($name, '(their own)')));
        $hours = fn (): float => (float) array_sum(array_column((array) $this->getJson('/api/room')->json('machines'), 'needle_hours'));
        $before = $hours();
        $this->postJson('/api/samples', $this->seam($this->class, $this->student, ['settings' => ['machine' => 'Kitchen (their own)'], 'faults' => []]))->assertCreated();
        self::assertSame($before, $hours());
        $this->postJson('/api/samples', $this->seam($this->class, $this->student, ['sure' => true]))->assertCreated();
        self::assertGreaterThan($before, $hours());
        // What is corrected stays sewn where it was, also when the machine is called something else since.
        $own = Sample::query()->where('on_own', true)->sole();
        $this->putJson("{$this->address}/home", ['name' => 'Attic'] + $said)->assertNoContent();
        $this->postJson('/api/samples', $this->seam($this->class, $this->student, ['replaces' => $own->id, 'settings' => ['machine' => 'Kitchen (their own)']]))->assertCreated();
        self::assertTrue(Sample::query()->where('replaces_id', $own->id)->sole()->on_own);
        $this->deleteJson("/api/page/$token/home")->assertNoContent();
        $this->getJson("/api/page/$token?at=home")->assertJsonPath('home', null)->assertJsonPath('machine', 'Machine 1');
    }
}
