<?php

declare(strict_types=1);

namespace App\Records;

use App\Models\Foot;
use App\Models\Machine;
use App\Models\Student;
use App\Support\NearMemory;
use Illuminate\Database\Eloquent\Collection;
use Illuminate\Database\Eloquent\Model;
use OpenSeam\Core\Course\Lesson;
use OpenSeam\Core\Course\LessonRoom;
use OpenSeam\Core\Curriculum\Bundle;
use OpenSeam\Core\Machine\Foot as CoreFoot;
use OpenSeam\Core\Machine\HomeMachine;
use OpenSeam\Core\Machine\Machine as CoreMachine;
use OpenSeam\Core\Machine\Room;
use OpenSeam\Core\Words;

/** The machines and feet of the studio in hand, and what can be sewn with them. */
final class RoomInventory
{
    /** In a list of machines: the one that the student brings along. */
    public const OWN = 'own';

    private const KNOWN_SECONDS = 12 * 3600;

    private ?string $key = null;

    /** @var array<string, string|null>|null why lessons cannot be sewn here, by lesson and way; null: not fetched yet */
    private ?array $known = null;

    /** @var array<string, LessonRoom> */
    private array $byLesson = [];

    /**
     * @param  Collection<int, Machine>  $machines  all that stand there
     * @param  Collection<int, Foot>  $feet
     */
    private function __construct(public readonly Collection $machines, public readonly Collection $feet, public readonly Room $room) {}

    /** Of one studio, or of the one in hand. */
    public static function read(?string $studio = null): self
    {
        $of = fn ($query) => $query->when($studio !== null, fn ($q) => $q->where('studio_id', $studio))->get();

        return self::of($of(Machine::standing()), $of(Foot::standing()));
    }

    /**
     * @param  Collection<int, Machine>  $machines  all that stand there
     * @param  Collection<int, Foot>  $feet
     */
    public static function of(Collection $machines, Collection $feet): self
    {
        return new self($machines, $feet, new Room(
            // A machine that is out of use is in the room but not in any plan.
            $machines->where('usable', true)->keyBy('id')->map(fn (Machine $m): CoreMachine => $m->core())->all(),
            $feet->keyBy('id')->map(fn (Foot $f): CoreFoot => $f->core())->all(),
        ));
    }

    /** With what a student may bring along: their own machine and its feet. */
    public function with(Student $student): self
    {
        $home = $student->atHome();
        if ($home === null) {
            return $this;
        }
        $own = self::own($home, Words::in()->say('room.own', ['machine' => $home->machine->name]), true);

        return self::of($this->machines->concat($own->machines), $this->feet->concat($own->feet));
    }

    /** Where the student practises: their own machine alone; null where it is not known. */
    public static function atHome(Student $student): ?self
    {
        $home = $student->atHome();

        return $home === null ? null : self::own($home, $home->machine->name, false);
    }

    /** @param  bool  $amongOthers  its feet are told apart from those of the room */
    private static function own(HomeMachine $home, string $name, bool $amongOthers): self
    {
        $said = fn (CoreFoot $f): string => $amongOthers ? Words::in()->say('room.own', ['machine' => $f->name]) : $f->name;

        return self::of(
            new Collection([(new Machine(['name' => $name, 'drive' => $home->machine->drive->value, 'tension_mark' => $home->machine->marks->tension, 'facts' => $home->machine->facts()]))->forceFill(['id' => self::OWN])]),
            new Collection(array_map(fn (CoreFoot $f): Foot => (new Foot(['name' => $said($f), 'kind' => $f->kind->id, 'count' => 1, 'facts' => ['name' => $said($f)] + $f->facts()]))->forceFill(['id' => self::OWN.'-'.$f->kind->id]), $home->feet)),
        );
    }

    public function forLesson(Lesson $lesson): LessonRoom
    {
        return $this->byLesson["$lesson->id $lesson->version ".$lesson->way->key()] ??= LessonRoom::of($lesson, $this->room);
    }

    /** The lesson as it is sewn on a machine; null where it is not sewn there. */
    public function onMachine(Lesson $lesson, ?string $machine): ?Lesson
    {
        return $machine === null || ! $lesson->machine ? null : $this->forLesson($lesson)->on($machine);
    }

    /** In its own way, with its sampler made from the machine's stitches where it asks for that; null where there is no such machine. */
    public function fromItsStitches(Lesson $lesson, ?string $machine): ?Lesson
    {
        $found = $machine === null ? null : $this->machines->firstWhere('id', $machine);

        return $found === null ? null : $lesson->on($found->core());
    }

    /** Why nobody could sew a lesson here; null when somebody can. */
    public function cannot(Lesson $lesson): ?string
    {
        if (LessonRoom::isSewnAsTaught($lesson, $this->room)) {
            return null;
        }
        $fit = $this->forLesson($lesson);

        return $fit->places > 0 ? null : implode(' ', $fit->reasons);
    }

    /**
     * The same of a lesson of a bundle, which is read only where it is not known from before. What each
     * lesson is in this room is the same each time, as long as neither of them changes.
     */
    public function cannotTeach(Bundle $bundle, string $lesson): ?string
    {
        $memory = app(NearMemory::class);
        $stamp = $memory->remembers() ? app(Shelf::class)->stamp() : null;
        if ($stamp === null) {
            return $this->cannot($bundle->lesson($lesson));
        }
        $facts = fn (Model $m): array => $m->getAttributes();
        $this->key ??= 'cannot/'.hash('xxh128', serialize([$stamp, app(Shelf::class)->unit(), $this->machines->map($facts)->all(), $this->feet->map($facts)->all()]));
        /** @var array<string, string|null> $known */
        $known = $this->known ??= (array) ($memory->fetch([$this->key])[$this->key] ?? []);
        $of = "$lesson ".$bundle->lessons->way($lesson)->key();
        if (! array_key_exists($of, $known)) {
            $this->known = $known + [$of => $this->cannot($bundle->lesson($lesson))];
            $memory->put([$this->key => $this->known], self::KNOWN_SECONDS);
        }

        return $this->known[$of];
    }

    /** Why a lesson cannot be sewn on one machine, though it can on others; null when it can. */
    public function cannotOn(Lesson $lesson, ?string $machine): ?string
    {
        $found = $machine === null ? null : $this->machines->firstWhere('id', $machine);
        if ($found === null || ! $lesson->machine) {
            return null;
        }
        $words = Words::in();
        if (! $found->usable) {
            return $words->say($found->note === '' ? 'room.out-of-use' : 'room.out-of-use-why', ['machine' => $found->name, 'why' => $found->note]);
        }
        $fit = $this->forLesson($lesson);
        if (in_array($found->id, $fit->machines, true)) {
            return null;
        }
        $alone = LessonRoom::of($lesson, new Room([$found->id => $found->core()], $this->room->feet));
        $others = $this->machines->whereIn('id', array_slice($fit->machines, 0, 3))->pluck('name')->implode(', ');

        return implode(' ', $alone->reasons).($others === '' ? '' : ' '.$words->say('room.instead', ['machines' => $others]));
    }
}
