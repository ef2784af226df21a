<?php

declare(strict_types=1);

namespace App\Console;

use App\Models\CupboardItem;
use App\Models\Enrolment;
use App\Models\Foot;
use App\Models\Machine;
use App\Models\PlanSession;
use App\Models\ServiceEntry;
use App\Models\SewingClass;
use App\Models\Student;
use App\Models\Studio;
use App\Models\User;
use App\Places\Class\Comers;
use App\Places\Look\RecordSample;
use App\Places\Plan\PlanCourse;
use App\Records\CourseDates;
use App\Records\NewSample;
use App\Records\OpenStudio;
use App\Support\Clock;
use App\Support\CurrentStudio;
use Carbon\CarbonImmutable;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Str;
use LogicException;
use OpenSeam\Core\Data;
use OpenSeam\Core\Machine\Machine as CoreMachine;

/**
 * Loads the invented demo studio: database/demo/studio.json. Its fourth session
 * is laid so that it is running now; everything is kept through the same acts
 * as in class, at its own time.
 */
final readonly class LoadDemo
{
    /** How far into its session the demo class is. */
    private const MINUTES_IN = 45;

    public function __construct(private OpenStudio $open, private PlanCourse $plan, private RecordSample $record, private CurrentStudio $studio) {}

    public function __invoke(): Studio
    {
        /** @var array<string, mixed> $json */
        $json = json_decode((string) file_get_contents(database_path('demo/studio.json')), true, 64, JSON_THROW_ON_ERROR);
        $data = Data::of($json);
        $real = Clock::now();
        try {
            return $this->studio->everywhere(fn (): Studio => DB::transaction(fn (): Studio => $this->load($data, $real)));
        } finally {
            Clock::fix(null);
        }
    }

    private function load(Data $data, CarbonImmutable $now): Studio
    {
        $teacher = $data->part('teacher');
        $user = ($this->open)($data->text('studio'), $teacher->text('name'), $teacher->text('email'), $teacher->text('password'), 'UTC');
        $user->studio->update(['demo' => true]);
        $machines = [];
        foreach ($data->parts('machines') as $m) {
            $facts = array_diff_key($m->raw(), ['usable' => 1, 'note' => 1]);
            $machines[$m->text('name')] = Machine::query()->create([
                'studio_id' => $user->studio_id, 'name' => $m->text('name'), 'drive' => $m->text('drive'), 'tension_mark' => $m->text('tension_mark'),
                'usable' => $m->flag('usable', true), 'note' => $m->text('note', ''), 'facts' => CoreMachine::read(Data::of($facts))->facts(),
            ]);
        }
        foreach ($data->parts('feet') as $f) {
            Foot::add($user->studio_id, $f->raw());
        }
        foreach ($data->parts('service') as $e) {
            ServiceEntry::query()->create([
                'studio_id' => $user->studio_id, 'machine_id' => $machines[$e->text('machine')]->id, 'kind' => $e->text('kind'), 'note' => $e->text('note', ''),
                'done_at' => $now->subDays($e->whole('days_ago')),
            ]);
        }
        foreach ($data->parts('cupboard') as $c) {
            CupboardItem::query()->create(['studio_id' => $user->studio_id, 'item' => $c->text('item'), 'have' => $c->number('have'), 'price' => $c->number('price')]);
        }
        $class = $this->class($data, $user, $now);
        $this->samples($data, $class, $user, $now);
        $this->later($data->part('later'), $user, $now);

        return $user->studio;
    }

    private function class(Data $data, User $user, CarbonImmutable $now): SewingClass
    {
        $c = $data->part('class');
        $tonight = $now->subMinutes(self::MINUTES_IN)->floorMinutes(15);
        $first = $tonight->subWeeks($c->whole('session_in_hand') - 1);

        return ($this->plan)(
            $user->studio_id, $c->text('name'), $c->text('course'),
            new Comers(array_map(fn (Data $s): string => $s->text('name'), $data->parts('students'))),
            new CourseDates($first, $c->whole('sessions'), $c->whole('minutes')), $c->whole('helpers'), 1,
        );
    }

    /** A course that has not begun. */
    private function later(Data $c, User $user, CarbonImmutable $now): void
    {
        ($this->plan)(
            $user->studio_id, $c->text('name'), $c->text('course'), new Comers($c->texts('students')),
            new CourseDates($now->addDays($c->whole('starts_in_days'))->setTimeFromTimeString($c->text('time')), $c->whole('sessions'), $c->whole('minutes')),
            $c->whole('helpers'), 1, ['home' => $c->texts('home')], ['review_every' => $c->whole('review_every')],
        );
    }

    private function samples(Data $data, SewingClass $class, User $user, CarbonImmutable $now): void
    {
        $sessions = $class->plan()->with('sessions')->firstOrFail()->sessions->keyBy(fn (PlanSession $s): int => $s->position + 1);
        $students = Enrolment::query()->with('student')->where('class_id', $class->id)->get()->keyBy(fn (Enrolment $e): string => $e->student->name);
        $all = [];
        foreach ($data->parts('students') as $s) {
            foreach ($s->parts('samples') as $sample) {
                $at = ($sessions->get($sample->whole('session')) ?? throw new LogicException('The demo has no session '.$sample->whole('session').'.'))->starts_at->addMinutes($sample->whole('minute'));
                $all[] = [$at, ($students->get($s->text('name')) ?? throw new LogicException('The demo has nobody called '.$s->text('name').'.'))->student, $sample];
            }
        }
        usort($all, fn (array $a, array $b): int => $a[0] <=> $b[0]);
        foreach ($all as [$at, $student, $sample]) {
            if ($at < $now) {
                $this->keep($data, $class, $user, $student, $sample, $at);
            }
        }
    }

    private function keep(Data $data, SewingClass $class, User $user, Student $student, Data $sample, CarbonImmutable $at): void
    {
        Clock::fix($at);
        $lesson = $sample->text('lesson');
        // What most samples of a lesson look like, and what this one has instead.
        $readings = array_merge($data->part('usual')->part($lesson)->raw(), $sample->part('with')->raw());
        foreach ($sample->texts('without') as $reading) {
            unset($readings[$reading]);
        }
        $settings = array_map(fn (mixed $v): string => is_scalar($v) ? (string) $v : '', $data->part('settings')->part($lesson)->raw());
        /** @var array<string, string> $settings */
        ($this->record)($user, $class, $student, new NewSample(
            strtolower((string) Str::ulid($at)), $lesson, $readings, $sample->texts('faults'), $settings, $sample->has('drill') ? $sample->text('drill') : null,
        ));
    }
}
