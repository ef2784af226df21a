<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Models\FaultHunt;
use App\Models\Foot;
use App\Models\Machine;
use App\Models\SewingClass;
use App\Models\Student;
use App\Records\Adviser;
use App\Records\KeptSample;
use App\Records\RoomInventory;
use App\Records\Shelf;
use App\Records\StudentRecords;
use App\Support\Clock;
use App\Support\CurrentStudio;
use App\Support\NearMemory;
use Illuminate\Support\Facades\DB;
use OpenSeam\Core\Course\Drill;
use OpenSeam\Core\Measure\Unit;
use OpenSeam\Core\NextLesson\Candidate;
use OpenSeam\Core\NextLesson\Policy;
use OpenSeam\Core\NextLesson\Reason;
use OpenSeam\Core\Skill\School;
use OpenSeam\Core\Words;
use Tests\TestCase;

/** What is remembered of kept samples is what working it out anew says, whatever happens to them; and it saves the reading. */
final class ShownBeforeTest extends TestCase
{
    private NearMemory $memory;

    private SewingClass $class;

    private string $student;

    protected function setUp(): void
    {
        parent::setUp();
        Shelf::compile();
        $this->class = $this->sewingClass($this->teacher());
        $this->student = $this->student($this->class);
        $this->memory = NearMemory::own();
        $this->app?->instance(NearMemory::class, $this->memory);
    }

    /** @param  array<string, mixed>  $but */
    private function keepOne(array $but = []): string
    {
        $body = $this->seam($this->class, $this->student, $but);
        $this->postJson('/api/samples', $body)->assertCreated();

        return is_string($body['id']) ? $body['id'] : '';
    }

    /** @return list<string> all that is said of each sample, one line each */
    private function said(NearMemory $memory, ?Words $words = null): array
    {
        $this->app?->forgetInstance(StudentRecords::class);
        $this->app?->instance(NearMemory::class, $memory);
        $kept = app(CurrentStudio::class)->within($this->class->studio_id, fn (): array => app(StudentRecords::class)->of([$this->student], $words ?? Words::in())[$this->student]);

        return array_map(fn (KeptSample $k): string => serialize([$k->past()->lesson, $k->past()->evidence->sample, $k->past()->evidence->at->format('Uv'), $k->past()->evidence->weights, $k->past()->evidence->uses, $k->past()->evidence->extras, $k->past()->findings, $k->verdict(), $k->grade()->verdict(), $k->readings()->values]), $kept);
    }

    private function assertTheSame(?Words $words = null): void
    {
        self::assertSame($this->said(NearMemory::standard(), $words), $this->said($this->memory, $words));
        // And once more, now that all of it is remembered.
        self::assertSame($this->said(NearMemory::standard(), $words), $this->said($this->memory, $words));
    }

    /** @return int queries of readings meanwhile */
    private function readings(callable $do): int
    {
        $asked = 0;
        DB::listen(function ($query) use (&$asked): void {
            $asked += str_contains($query->sql, 'from `sample_readings`') ? 1 : 0;
        });
        $do();
        DB::getEventDispatcher()?->forget(\Illuminate\Database\Events\QueryExecuted::class);

        return $asked;
    }

    public function test_it_is_what_is_worked_out_anew_whatever_happens(): void
    {
        $first = $this->keepOne();
        $this->keepOne(['faults' => ['loops-under']]);
        $this->assertTheSame();
        // In another unit, and said to whoever sews.
        $this->assertTheSame(Words::in(Unit::Inch));
        $this->assertTheSame(Words::in()->theirs());
        // Corrected: the first one counts no more, and the new one stands in its place.
        $this->keepOne(['replaces' => $first, 'readings' => ['seam.allowance' => ['20', '20', '20', '20', '20'], 'seam.back-start' => ['3']]]);
        $this->assertTheSame();
        // What the teacher says instead.
        $last = $this->keepOne(['faults' => ['loops-under'], 'overruled' => ['seam.pull' => ['verdict' => 'near', 'because' => 'seen']]]);
        $this->assertTheSame();
        // A cause found behind its faults speaks against its skill.
        FaultHunt::query()->create(['studio_id' => $this->class->studio_id, 'student_id' => $this->student, 'sample_id' => $last, 'seen' => ['loops-under'], 'known' => [], 'trials' => [], 'cause' => 'top-not-seated', 'opened_at' => now(), 'closed_at' => now()]);
        $this->assertTheSame();
    }

    public function test_what_is_remembered_is_not_read_again(): void
    {
        for ($i = 0; $i < 6; $i++) {
            $this->keepOne();
        }
        self::assertGreaterThan(0, $this->readings(fn () => $this->read()));
        self::assertSame(0, $this->readings(fn () => $this->read()));
        // Of the newest ones what was typed is read, once for all of them; of an older one all others too.
        self::assertSame(1, $this->readings(fn () => $this->read(5)));
        self::assertSame(2, $this->readings(fn () => $this->read(5, 0, 1)));
        // Another version of the course asks for all of it anew.
        $compiled = dirname(storage_path()).'/cache/curriculum.php';
        touch($compiled, time() - 60);
        clearstatcache();
        self::assertGreaterThan(0, $this->readings(fn () => $this->read()));
    }

    /** @return array{string, string|null, string, list<string>, list<mixed>, list<int>} all that the ladder says of the student, with the rows of its exercises */
    private function advised(NearMemory $memory): array
    {
        foreach ([StudentRecords::class, Adviser::class] as $anew) {
            $this->app?->forgetInstance($anew);
        }
        $this->app?->instance(NearMemory::class, $memory);

        return app(CurrentStudio::class)->within($this->class->studio_id, function (): array {
            $kept = app(StudentRecords::class)->of([$this->student], Words::in())[$this->student];
            $a = app(Adviser::class)->adviseOn($this->class->refresh(), $kept, Student::query()->findOrFail($this->student), Clock::now(), Words::in());

            return [
                $a->kind->value, $a->lesson, $a->change->text, array_map(fn (Reason $r): string => $r->text, $a->reasons),
                array_map(fn (Candidate $c): array => [$c->kind, $c->lesson, $c->drill?->id, $c->drill?->text, $c->minutes, $c->gainPerMinute, $c->ready, $c->passed], $a->candidates),
                array_map(fn (?Drill $d): int => count($d?->sampler()->rows ?? []), [$a->drill, $a->warmUp, $a->homework, ...array_map(fn (Candidate $c): ?Drill => $c->drill, $a->candidates)]),
            ];
        });
    }

    public function test_what_the_ladder_said_is_what_it_says_anew_whatever_happens(): void
    {
        $same = function (): array {
            $new = $this->advised(NearMemory::standard());
            self::assertSame(serialize($new), serialize($this->advised($this->memory)));
            self::assertSame(serialize($new), serialize($this->advised($this->memory)), 'remembered');

            return $new;
        };
        $this->keepOne(['readings' => ['seam.allowance' => ['16', '16', '16', '16', '16'], 'seam.back-start' => ['0'], 'seam.back-end' => ['0'], 'seam.pull' => ['0']]]);
        $first = $same();
        self::assertGreaterThan(0, max($first[5]), 'an exercise is among it, with its rows');
        $this->keepOne();
        $second = $same();
        self::assertNotSame(serialize($first), serialize($second));
        // How the class is taught, and what the student wishes, are part of it.
        $this->class->update(['policy' => Policy::Together]);
        $same();
        Student::query()->whereKey($this->student)->update(['wishes' => ['buttonhole'], 'own_machine' => true]);
        $same();
        $this->class->update(['school' => School::TwoOfThree]);
        $same();
    }

    /** @return list<string|null> why each lesson cannot be sewn in the room */
    private function cannot(NearMemory $memory): array
    {
        $this->app?->instance(NearMemory::class, $memory);
        $bundle = app(Shelf::class)->taught($this->class->refresh());

        return array_map(fn (string $id): ?string => RoomInventory::read($this->class->studio_id)->cannotTeach($bundle, $id), $bundle->lessons->ids());
    }

    public function test_what_cannot_be_sewn_in_a_room_follows_the_room(): void
    {
        $known = function (): array {
            $new = $this->cannot(NearMemory::standard());
            self::assertSame($new, $this->cannot($this->memory));
            self::assertSame($new, $this->cannot($this->memory), 'remembered');

            return $new;
        };
        $whole = $known();
        self::assertContains(null, $whole);
        // Every foot is lent out.
        Foot::query()->where('studio_id', $this->class->studio_id)->get()->each(fn (Foot $f) => $f->update(['count' => 0]));
        $none = $known();
        self::assertNotSame($whole, $none);
        // And every machine is at the mechanic's.
        Machine::query()->where('studio_id', $this->class->studio_id)->get()->each(fn (Machine $m) => $m->update(['usable' => false]));
        self::assertNotSame($none, $known());
    }

    /** Reads them, and what was typed of some. */
    private function read(int ...$typed): void
    {
        $this->app?->forgetInstance(StudentRecords::class);
        app(CurrentStudio::class)->within($this->class->studio_id, function () use ($typed): void {
            $kept = app(StudentRecords::class)->of([$this->student], Words::in())[$this->student];
            array_map(fn (KeptSample $k): string => $k->past()->lesson, $kept);
            array_map(fn (int $i): array => $kept[$i]->readings()->values, $typed);
        });
    }
}
