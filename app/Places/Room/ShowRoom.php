<?php

declare(strict_types=1);

namespace App\Places\Room;

use App\Models\Machine;
use App\Models\SewingClass;
use App\Records\CaseHistory;
use App\Records\FeetUse;
use App\Records\MachineCare;
use App\Records\RoomInventory;
use App\Records\Shelf;
use App\Support\CurrentStudio;
use App\Views\FootView;
use App\Views\MachineView;
use App\Views\NamedView;
use OpenSeam\Core\Advice\FeetAdviser;
use OpenSeam\Core\Data;
use OpenSeam\Core\Machine\ButtonholeWay;
use OpenSeam\Core\Machine\Drive;
use OpenSeam\Core\Machine\FootBook;
use OpenSeam\Core\Machine\OwnButtonhole;
use OpenSeam\Core\Machine\Refusal;
use OpenSeam\Core\Machine\Room;
use OpenSeam\Core\Machine\Setup;
use OpenSeam\Core\Stitch\StitchBook;
use OpenSeam\Core\Tables;
use OpenSeam\Core\Words;

/** The room: what works with what, what is due, and what the running course is short of. */
final readonly class ShowRoom
{
    public function __construct(private Shelf $shelf, private CaseHistory $cases, private FeetUse $uses) {}

    public function __invoke(?SewingClass $class): RoomView
    {
        $book = RoomInventory::read();
        $care = MachineCare::of($book->machines, $this->shelf);
        $drifts = $this->drifts();
        $named = fn (array $parts): array => array_values(array_map(fn (Data $d): NamedView => new NamedView($d->text('id'), $d->text('title')), $parts));
        $mounts = FootBook::standard()->mounts();

        return new RoomView(
            array_values($book->machines->map(fn (Machine $m): RoomMachineView => $this->machine($m, $care, $drifts[$m->id] ?? []))->all()),
            array_values($book->feet->map(FootView::of(...))->all()),
            array_values(array_map(StitchView::of(...), StitchBook::standard()->all())),
            $this->cells($book),
            $class === null ? [] : $this->lessons($class, $book),
            array_values(array_map(FootKindView::of(...), FootBook::standard()->all())),
            array_map(fn (string $id, string $title): NamedView => new NamedView($id, $title), array_keys($mounts), $mounts),
            array_map(fn (array $w): NamedView => new NamedView($w['id'], $w['title']), FeetAdviser::wants()),
            $named(Tables::read('needles')->parts('cloths')),
            $named(Tables::read('needles')->parts('kinds')),
            array_map(fn (Drive $d): array => $d->usual(), array_column(Drive::cases(), null, 'value')),
            array_map(OwnButtonhole::asked(...), array_column(ButtonholeWay::ofMachines(), null, 'value')),
            (object) $this->uses->inAYear((string) app(CurrentStudio::class)->id()),
        );
    }

    /** @param  list<string>  $drifts */
    private function machine(Machine $m, MachineCare $care, array $drifts): RoomMachineView
    {
        return new RoomMachineView(
            MachineView::of($m), $care->last($m->id, 'needle')?->toIso8601ZuluString(), $care->last($m->id, 'clean')?->toIso8601ZuluString(),
            $care->needleHours($m->id), $care->due($m->id), array_map(ServiceView::of(...), $care->log($m->id)), $drifts,
        );
    }

    /** @return array<string, list<string>> in words, by machine */
    private function drifts(): array
    {
        $said = [];
        $words = Words::in();
        foreach ($this->cases->drifts((string) app(CurrentStudio::class)->id()) as $d) {
            $said[$d->machine][] = $words->say('room.drifts', ['fault' => ucfirst($this->shelf->bundle()->faults[$d->fault]->seen ?? $d->fault), 'with' => (string) $d->with, 'of' => (string) $d->of, 'elsewhere' => (string) $d->elsewhere, 'others' => (string) $d->ofElsewhere]);
        }

        return $said;
    }

    /** @return list<RoomCellView> */
    private function cells(RoomInventory $book): array
    {
        $cells = [];
        $whole = new Room($book->machines->keyBy('id')->map(fn (Machine $m) => $m->core())->all(), $book->room->feet);
        foreach ($whole->table() as $machine => $row) {
            foreach ($row as $stitch => $cell) {
                $usual = $whole->usual($whole->machines[$machine], (string) $stitch);
                $instead = $cell['works'] ? [] : array_slice($book->room->instead(new Setup($usual), (string) $machine), 0, 2);
                $cells[] = new RoomCellView(
                    (string) $machine, (string) $stitch, $cell['works'], $cell['foot'], $cell['clearance'], $usual->widthMm, $usual->lengthMm,
                    implode(' ', array_map(fn (Refusal $r): string => $r->text, $cell['refusals'])),
                    implode(', ', array_map(fn (array $i): string => $book->room->machines[$i['machine']]->name.' with “'.$book->room->feet[$i['foot']]->name.'”', $instead)),
                );
            }
        }

        return $cells;
    }

    /** @return list<RoomLessonView> */
    private function lessons(SewingClass $class, RoomInventory $book): array
    {
        $students = max(1, $class->enrolments()->count());
        $words = Words::in();
        $found = [];
        foreach ($this->shelf->order($class->course) as $id) {
            $lesson = $this->shelf->taught($class)->lesson($id);
            $cannot = $book->cannot($lesson);
            if ($cannot !== null) {
                $found[] = new RoomLessonView($id, $lesson->title, 'cannot', $cannot);
            }
            foreach ($book->forLesson($lesson)->shortages($students) as $short) {
                $found[] = new RoomLessonView($id, $lesson->title, 'short', $words->say('room.short', [
                    'feet' => (string) $short['feet'], 'foot' => $short['foot'], 'students' => (string) $students, 'rounds' => (string) $short['rounds'],
                ]));
            }
        }

        return $found;
    }
}
