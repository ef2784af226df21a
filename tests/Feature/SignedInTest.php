<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Models\Studio;
use App\Models\User;
use App\Support\SignedIn;
use Illuminate\Support\Facades\Auth;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Schema;
use Tests\TestCase;

/** Whoever is signed in is read with their studio at once, and is the same as read one after the other. */
final class SignedInTest extends TestCase
{
    public function test_no_column_of_a_studio_is_left_out(): void
    {
        self::assertEqualsCanonicalizing(Schema::getColumnListing('studios'), Studio::COLUMNS);
    }

    public function test_one_question_gives_what_two_give(): void
    {
        $teacher = $this->teacher();
        $teacher->studio->forceFill(['tracing' => '{"a":1}', 'currency' => 'EUR', 'delete_after_days' => 400])->save();
        $provider = Auth::createUserProvider('users');
        self::assertInstanceOf(SignedIn::class, $provider);
        DB::enableQueryLog();
        $read = $provider->retrieveById($teacher->id);
        self::assertCount(1, DB::getQueryLog());
        self::assertInstanceOf(User::class, $read);
        $plain = User::query()->findOrFail($teacher->id);
        self::assertSame($plain->getAttributes(), $read->getAttributes());
        self::assertEquals($plain->studio->getAttributes(), $read->studio->getAttributes());
        self::assertSame([true, true], [$read->exists, $read->studio->exists]);
        self::assertFalse($read->isDirty() || $read->studio->isDirty());
        // It can be changed and kept as ever, and nothing of the studio gets into the person.
        $read->forceFill(['name' => 'Another name'])->save();
        self::assertSame('Another name', User::query()->findOrFail($teacher->id)->name);
        self::assertNull($provider->retrieveById('01h00000000000000000000000'));
    }

    public function test_a_person_without_a_session_is_nobody(): void
    {
        $this->assertProblem($this->getJson('/api/me'), 401, '(sign-in)', 'not signed in');
        $teacher = $this->teacher();
        $this->actingAs($teacher)->getJson('/api/me')->assertOk()->assertJsonPath('studio', 'Test room');
    }
}
