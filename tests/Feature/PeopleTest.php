<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Models\Invitation;
use App\Models\PlanSession;
use App\Models\Role;
use App\Models\Sample;
use App\Models\SewingClass;
use App\Models\Studio;
use App\Models\User;
use App\Notifications\ChooseNewPassword;
use App\Places\Account\Registration;
use App\Records\Facts;
use App\Support\Clock;
use Carbon\CarbonImmutable;
use Illuminate\Support\Facades\Artisan;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Hash;
use Illuminate\Support\Facades\Notification;
use PHPUnit\Framework\Attributes\DataProvider;
use Tests\TestCase;

/** Several people in a studio, each with what they may; the ways in and out. */
final class PeopleTest extends TestCase
{
    private function join(User $owner, string $role): User
    {
        $link = (string) $this->actingAs($owner)->postJson('/api/studio/invitations', ['role' => $role])->assertCreated()->json('link');
        $this->app?->make('auth')->forgetGuards();
        $token = basename($link);
        $this->getJson("/api/join/$token")->assertOk()->assertJsonPath('role', $role)->assertJsonPath('studio', $owner->studio->name);
        $this->postJson("/api/join/$token", ['name' => "The $role", 'email' => "$role@room.example", 'password' => 'three plain words'])->assertNoContent();
        self::assertSame(404, $this->getJson("/api/join/$token")->status(), 'it works once');

        return User::query()->where('email', "$role@room.example")->firstOrFail();
    }

    /** It is fetched in the background, also while somebody signs in: a session of its own would sign them out again. */
    public function test_the_page_for_the_worker_brings_no_session(): void
    {
        $shell = $this->get('/shell')->assertOk();
        self::assertSame([], $shell->headers->getCookies());
        self::assertStringContainsString('id="root"', (string) $shell->getContent());
        self::assertNotSame([], $this->get('/')->assertOk()->headers->getCookies(), 'the usual one does');
    }

    public function test_invited_by_link_they_join_with_their_role(): void
    {
        $owner = $this->teacher();
        self::assertSame(Role::Owner, $owner->role);
        $helper = $this->join($owner, 'helper');
        self::assertSame([Role::Helper, $owner->studio_id], [$helper->role, $helper->studio_id]);
        // Only a digest of the link was kept.
        self::assertSame(64, strlen(Invitation::query()->firstOrFail()->token_hash));
        $this->actingAs($owner)->getJson('/api/studio')->assertOk()->assertJsonCount(2, 'people')->assertJsonPath('invitations', []);
    }

    public function test_an_invitation_goes_by_mail_and_can_be_taken_back(): void
    {
        Notification::fake();
        $id = (string) $this->actingAs($this->teacher())->postJson('/api/studio/invitations', ['role' => 'teacher', 'email' => 'new@room.example'])->assertCreated()->assertJsonPath('mailed', true)->json('id');
        Notification::assertSentOnDemandTimes(\App\Notifications\Invited::class, 1);
        $this->deleteJson("/api/studio/invitations/$id")->assertNoContent();
        self::assertSame(0, Invitation::query()->count());
    }

    public function test_a_helper_records_samples_of_the_day_and_sees_no_notes(): void
    {
        $owner = $this->teacher();
        $class = $this->sewingClass($owner);
        $student = $this->student($class);
        $this->putJson("/api/classes/{$class->id}/students/$student", ['note' => 'shy', 'wishes' => [], 'own_machine' => false])->assertNoContent();
        $mine = $this->seam($class, $student);
        $this->postJson('/api/samples', $mine)->assertCreated();
        $this->postJson("/api/samples/{$mine['id']}/notes", ['text' => 'between us'])->assertOk();
        $helper = $this->join($owner, 'helper');
        $this->actingAs($helper);
        $this->getJson('/api/me')->assertOk()->assertJsonPath('classes.0.id', $class->id)->assertJsonPath('role', 'helper');
        $this->getJson("/api/classes/{$class->id}/today")->assertOk();
        $own = $this->seam($class, $student);
        $this->postJson('/api/samples', $own)->assertCreated();
        $this->getJson("/api/samples/{$mine['id']}")->assertOk()->assertJsonPath('notes', [])->assertJsonPath('may', false);
        // Puts right what they kept themselves, and nothing else.
        $this->postJson("/api/samples/{$own['id']}/withdraw")->assertOk();
        $this->postJson("/api/samples/{$mine['id']}/withdraw")->assertForbidden();
        $this->assertProblem($this->postJson('/api/samples', $this->seam($class, $student, ['replaces' => $mine['id']])), 422, 'replaces', 'helper');
        foreach ([['get', "/api/classes/{$class->id}/students/$student"], ['get', "/api/classes/{$class->id}/plan"], ['get', "/api/classes/{$class->id}"], ['get', '/api/studio'], ['post', '/api/classes'], ['delete', "/api/classes/{$class->id}"], ['get', "/api/classes/{$class->id}/students/$student/data?as=json"]] as [$method, $address]) {
            $this->json(strtoupper($method), $address)->assertForbidden();
        }
        // Tomorrow there is no class: nothing is seen.
        Clock::fix(CarbonImmutable::parse(self::NOW, 'UTC')->addDay());
        $this->getJson('/api/me')->assertJsonPath('classes', []);
        $this->getJson("/api/classes/{$class->id}/today")->assertNotFound();
        $this->getJson("/api/samples/{$own['id']}")->assertForbidden();
    }

    public function test_a_teacher_sees_own_and_shared_classes_an_owner_all(): void
    {
        $owner = $this->teacher();
        $class = $this->sewingClass($owner);
        $student = $this->student($class);
        $sample = $this->seam($class, $student);
        $this->postJson('/api/samples', $sample)->assertCreated();
        $teacher = $this->join($owner, 'teacher');
        $this->actingAs($teacher)->getJson("/api/classes/{$class->id}")->assertOk();
        $this->patchJson("/api/classes/{$class->id}", ['shared' => false])->assertNoContent();
        $this->getJson("/api/classes/{$class->id}")->assertNotFound();
        self::assertSame([], collect((array) $this->getJson('/api/find')->assertOk()->json())->where('kind', 'student')->all());
        $this->getJson("/api/samples/{$sample['id']}")->assertForbidden();
        $this->postJson("/api/samples/{$sample['id']}/notes", ['text' => 'x'])->assertForbidden();
        $this->postJson('/api/studio/invitations', ['role' => 'owner'])->assertForbidden();
        $this->patchJson('/api/studio', ['name' => 'Mine'])->assertForbidden();
        $this->actingAs($owner)->getJson("/api/classes/{$class->id}")->assertOk();
    }

    public function test_somebody_always_owns_the_studio(): void
    {
        $owner = $this->teacher();
        $teacher = $this->join($owner, 'teacher');
        $this->actingAs($owner);
        $this->assertProblem($this->putJson("/api/studio/people/{$owner->id}", ['role' => 'helper']), 422, 'role', 'own the studio');
        $this->assertProblem($this->deleteJson("/api/studio/people/{$owner->id}"), 422, 'person', 'own the studio');
        $this->putJson("/api/studio/people/{$teacher->id}", ['role' => 'owner'])->assertNoContent();
        $this->deleteJson("/api/studio/people/{$owner->id}")->assertNoContent();
        // Nobody of another studio is in reach.
        $stranger = $this->teacher('Next door');
        $this->actingAs($stranger)->deleteJson("/api/studio/people/{$teacher->id}")->assertNotFound();
    }

    public function test_what_somebody_who_left_had_kept_stays(): void
    {
        $owner = $this->teacher();
        $class = $this->sewingClass($owner);
        $student = $this->student($class);
        $teacher = $this->join($owner, 'teacher');
        $sample = $this->seam($class, $student);
        $this->actingAs($teacher)->postJson('/api/samples', $sample)->assertCreated();
        $this->actingAs($owner)->deleteJson("/api/studio/people/{$teacher->id}")->assertNoContent();
        $this->getJson("/api/samples/{$sample['id']}")->assertOk()->assertJsonPath('versions.0.by', null);
    }

    /** @return iterable<string, array{string, bool}> */
    public static function passwords(): iterable
    {
        yield 'nine' => ['nine lett', false];
        yield 'a common one' => ['password1234', false];
        yield 'a common one in disguise' => ['P4ssw0rd2024!', false];
        yield 'a run of keys' => ['qwertyuiop', false];
        yield 'one letter' => ['aaaaaaaaaaaaa', false];
        yield 'three words' => ['calico madder chalk', true];
        yield 'long and odd' => ['zT4k!wq0-pp1', true];
    }

    #[DataProvider('passwords')]
    public function test_passwords_are_long_and_none_of_the_first_that_are_tried(string $password, bool $good): void
    {
        $response = $this->postJson('/api/studios', ['studio' => 'Attic', 'name' => 'Wren', 'email' => 'wren@attic.example', 'password' => $password, 'timezone' => 'UTC']);
        $good ? $response->assertNoContent() : $response->assertStatus(422)->assertJsonPath('error.field', 'password');
    }

    public function test_a_changed_password_signs_out_everywhere_else(): void
    {
        $user = $this->teacher();
        DB::table('sessions')->insert(['id' => 'elsewhere', 'user_id' => $user->id, 'user_agent' => 'Mozilla/5.0 (X11; Linux) Firefox/140', 'payload' => '', 'last_activity' => time()]);
        $this->actingAs($user)->getJson('/api/me/devices')->assertOk()->assertJsonPath('0.what', 'Firefox, Linux')->assertJsonMissingPath('0.user_agent');
        $this->assertProblem($this->putJson('/api/me/password', ['current' => 'wrong one', 'password' => 'calico madder chalk']), 422, 'current', 'not your present');
        $this->putJson('/api/me/password', ['current' => 'a long password', 'password' => 'calico madder chalk'])->assertNoContent();
        self::assertTrue(Hash::check('calico madder chalk', $user->refresh()->password));
        self::assertSame(0, DB::table('sessions')->where('id', 'elsewhere')->count());
    }

    public function test_a_forgotten_password_by_a_link_that_works_once(): void
    {
        Notification::fake();
        $user = $this->teacher();
        $this->postJson('/api/forgot-password', ['email' => 'nobody@room.example'])->assertNoContent();
        Notification::assertNothingSent();
        $this->postJson('/api/forgot-password', ['email' => strtoupper($user->email)])->assertNoContent();
        $address = '';
        Notification::assertSentTo($user, ChooseNewPassword::class, function (ChooseNewPassword $n) use ($user, &$address): bool {
            $address = $n->address($user);

            return true;
        });
        $token = basename((string) parse_url($address, PHP_URL_PATH));
        self::assertNotSame($token, DB::table('password_reset_tokens')->where('email', $user->email)->value('token'), 'a digest is kept');
        $body = ['token' => $token, 'email' => $user->email, 'password' => 'calico madder chalk'];
        $this->assertProblem($this->postJson('/api/new-password', ['token' => 'x'] + $body), 422, 'token', 'does not work');
        $this->postJson('/api/new-password', $body)->assertNoContent();
        $this->assertProblem($this->postJson('/api/new-password', $body), 422, 'token', 'does not work');
        $this->postJson('/api/sign-in', ['email' => $user->email, 'password' => 'calico madder chalk'])->assertNoContent();
    }

    public function test_one_who_guesses_does_not_lock_out_the_room(): void
    {
        $user = $this->teacher();
        $right = ['email' => $user->email, 'password' => 'a long password'];
        $this->postJson('/api/sign-in', $right)->assertNoContent();
        for ($i = 0; $i < 60; $i++) {
            $this->postJson('/api/sign-in', ['email' => "guess$i@room.example", 'password' => 'whatever it is'])->assertStatus(422);
        }
        $this->postJson('/api/sign-in', ['email' => 'guess@room.example', 'password' => 'whatever it is'])->assertStatus(429);
        $this->postJson('/api/sign-in', $right)->assertNoContent();
        // An account is guarded too, wherever the guesses come from.
        for ($i = 0; $i < 5; $i++) {
            $this->postJson('/api/sign-in', ['password' => 'wrong one here'] + $right)->assertStatus(422);
        }
        $this->postJson('/api/sign-in', $right)->assertStatus(429)->assertHeader('Retry-After');
    }

    public function test_a_studio_is_opened_with_a_link_that_works_once(): void
    {
        config(['seam.registration' => 'invitation']);
        $body = ['studio' => 'Attic', 'name' => 'Wren', 'email' => 'wren@attic.example', 'password' => 'three plain words', 'timezone' => 'UTC'];
        $this->getJson('/api/registration')->assertOk()->assertJsonPath('open', false);
        $this->assertProblem($this->postJson('/api/studios', $body), 422, 'link', 'opened here with a link');
        $link = $this->app?->make(Registration::class)->newLink() ?? '';
        self::assertStringNotContainsString($link, (string) Facts::of(Facts::OPENING));
        $this->assertProblem($this->postJson('/api/studios', ['link' => strtolower($link)] + $body), 422, 'link', 'opened here with a link');
        $this->postJson('/api/studios', ['link' => $link] + $body)->assertNoContent();
        $this->assertProblem($this->postJson('/api/studios', ['link' => $link, 'email' => 'x@attic.example'] + $body), 422, 'link', 'opened here with a link');
        self::assertSame(1, Studio::query()->where('name', 'Attic')->count());
        // Closed after the first one, no link opens another.
        config(['seam.registration' => 'closed']);
        $this->artisan('seam:user', ['what' => 'invite-studio'])->assertFailed();
        $more = $this->app?->make(Registration::class)->newLink() ?? '';
        $this->assertProblem($this->postJson('/api/studios', ['link' => $more, 'email' => 'x@attic.example'] + $body), 422, 'link', 'opened here with a link');
    }

    public function test_a_private_page_ends_and_is_compared_exactly(): void
    {
        $class = $this->sewingClass($this->teacher());
        $student = $this->student($class);
        $made = $this->postJson("/api/classes/{$class->id}/students/$student/page")->assertCreated();
        $token = (string) $made->json('page');
        $last = PlanSession::ofClass($class->id)->get()->last();
        self::assertNotNull($last);
        self::assertSame($last->endsAt()->addWeeks(4)->toIso8601ZuluString(), $made->json('until'));
        self::assertSame(0, DB::table('enrolments')->where('page_hash', $token)->count());
        $this->app?->make('auth')->forgetGuards();
        $this->getJson("/api/page/$token")->assertOk()->assertHeader('Referrer-Policy', 'no-referrer')->assertHeader('X-Robots-Tag', 'noindex, nofollow');
        self::assertStringContainsString('no-store', (string) $this->getJson("/api/page/$token")->headers->get('Cache-Control'));
        self::assertStringContainsString('no-store', (string) $this->get("/my/$token")->headers->get('Cache-Control'));
        foreach ([strtolower($token), strtoupper($token), "$token\n", "$token ", substr($token, 0, 39)] as $other) {
            self::assertSame(404, $this->getJson('/api/page/'.rawurlencode($other))->status());
        }
        Clock::fix($last->endsAt()->addWeeks(4)->addMinute());
        self::assertSame(404, $this->getJson("/api/page/$token")->status());
    }

    public function test_a_foreign_host_is_refused(): void
    {
        $kernel = $this->app?->make(\Illuminate\Contracts\Http\Kernel::class);
        self::assertNotNull($kernel);
        self::assertContains('^127\.0\.0\.1$', \App\Support\KnownHosts::patterns());
        self::assertSame([], preg_grep('/evil/', \App\Support\KnownHosts::patterns()));
        config(['seam.hosts' => ['sewing.example']]);
        self::assertContains('^sewing\.example$', \App\Support\KnownHosts::patterns());
    }

    public function test_the_warning_of_an_old_backup(): void
    {
        $this->actingAs($this->teacher());
        Facts::note(Facts::LAST_BACKUP, now()->subDays(2)->addHour()->toIso8601ZuluString());
        $this->getJson('/api/me')->assertJsonPath('warning', null);
        Facts::note(Facts::LAST_BACKUP, now()->subDays(4)->toIso8601ZuluString());
        self::assertStringContainsString('4 days old', (string) $this->getJson('/api/me')->json('warning'));
    }

    public function test_two_teachers_keep_at_once_and_both_see_it(): void
    {
        $owner = $this->teacher();
        $class = $this->sewingClass($owner);
        $teacher = $this->join($owner, 'teacher');
        $pulse = fn (): mixed => $this->getJson("/api/classes/{$class->id}/pulse")->assertOk()->json('at');
        $this->actingAs($owner);
        $before = $pulse();
        self::assertSame($before, $pulse(), 'nothing happened');
        $this->actingAs($teacher)->postJson('/api/samples', $this->seam($class, $this->student($class)))->assertCreated();
        $this->actingAs($owner);
        self::assertNotSame($before, $after = $pulse());
        $this->postJson("/api/classes/{$class->id}/students/".$this->student($class, 2).'/next', ['lesson' => 'guides'])->assertNoContent();
        self::assertNotSame($after, $pulse());
        self::assertSame(1, Sample::query()->count());
        self::assertSame(1, SewingClass::query()->count());
    }

    public function test_the_studio_says_where_other_devices_open_it(): void
    {
        $this->actingAs($this->teacher());
        config(['app.url' => 'http://127.0.0.1:8377']);
        $this->getJson('/api/studio')->assertOk()->assertJsonPath('address', null)->assertJsonPath('address_code', [])->assertJsonPath('own_authority', false);
        config(['app.url' => 'https://192.0.2.7:8443', 'app.own_authority' => true]);
        $rows = $this->getJson('/api/studio')->assertOk()->assertJsonPath('address', 'https://192.0.2.7:8443')->assertJsonPath('own_authority', true)->json('address_code');
        // ISO/IEC 18004: 26 bytes at level M take version 2, 25 cells; each finder is 7 cells with a light ring around its middle.
        self::assertIsArray($rows);
        self::assertCount(25, $rows);
        foreach (['1111111', '1000001', '1011101', '1011101', '1011101', '1000001', '1111111'] as $y => $finder) {
            self::assertSame($finder, substr($rows[$y], 0, 7));
            self::assertSame($finder, substr($rows[$y], -7));
            self::assertSame($finder, substr($rows[18 + $y], 0, 7));
        }
    }

    public function test_the_square_in_the_terminal_has_its_light_margin_all_around(): void
    {
        Artisan::call('seam:qr', ['address' => 'https://192.0.2.7:8443']);
        $lines = array_map(fn (string $l): string => substr($l, 2), explode("\n", rtrim(Artisan::output(), "\n")));
        self::assertSame(str_repeat('█', 29), $lines[0]);
        self::assertSame('██ ▄▄▄▄▄ █', mb_substr($lines[1], 0, 10));
        foreach ($lines as $line) {
            self::assertSame('██', mb_substr($line, 0, 2));
            self::assertContains(mb_substr($line, -2), ['██', '▀▀']);
        }
    }
}
