<?php

declare(strict_types=1);

namespace App\Places\Room;

use App\Models\Machine;
use App\Records\RoomInventory;
use App\Views\DialView;
use OpenSeam\Core\Course\Lesson;
use OpenSeam\Core\Course\SewNeed;
use OpenSeam\Core\Machine\DialTranslator;
use OpenSeam\Core\Machine\Foot;
use OpenSeam\Core\Machine\Machine as CoreMachine;
use OpenSeam\Core\Machine\Room;
use OpenSeam\Core\Words;

/** A lesson's settings for each machine of the room, as that machine's own dials say them. */
final readonly class ShowDials
{
    /**
     * @param  RoomInventory|null  $book  where it is read already
     * @return list<DialView>
     */
    public function __invoke(Lesson $lesson, ?RoomInventory $book = null): array
    {
        if (! $lesson->machine) {
            return [];
        }
        $book ??= RoomInventory::read();

        return array_values($book->machines->map(function (Machine $m) use ($lesson, $book): DialView {
            $here = $book->onMachine($lesson, $m->id) ?? $lesson;

            return new DialView($m->id, $m->name, $this->settings($here, $m->core(), $book), $book->cannotOn($lesson, $m->id), $this->instead($lesson, $here));
        })->all());
    }

    /** @return list<string> a lesson in the way it is sewn on a machine, as that machine's dials say it */
    public function settings(Lesson $lesson, CoreMachine $machine, RoomInventory $book): array
    {
        return array_values(array_unique(array_filter(array_map(fn (SewNeed $need): ?string => $this->say($machine, $need, $book), $lesson->sews))));
    }

    /** In which other way it is sewn there. */
    private function instead(Lesson $lesson, Lesson $here): ?string
    {
        if ($here->way->stitches !== [] && $lesson->way->stitches === []) {
            return Words::in()->say('dial.own', ['n' => (string) count($here->way->stitches)]);
        }
        foreach ($here->settings as $setting) {
            $school = $setting->inUse();
            if ($school !== null && in_array($school->id, $here->way->schools, true) && ! in_array($school->id, $lesson->way->schools, true)) {
                return Words::in()->say('dial.instead', ['setting' => $setting->name, 'value' => $setting->value]);
            }
        }

        return $here === $lesson ? null : Words::in()->say('dial.usual');
    }

    private function say(CoreMachine $m, SewNeed $need, RoomInventory $book): ?string
    {
        $words = Words::in();
        $asked = $need->setup->stitch;
        $dial = DialTranslator::to($m, $asked);
        if (! $dial->possible) {
            return null;
        }
        $parts = [$dial->stitch === '' ? $asked->kind->title : $words->say('dial.stitch', ['name' => $dial->stitch, 'stitch' => $asked->kind->title])];
        if ($dial->fixed !== '') {
            $parts[] = $words->say('dial.fixed', ['name' => $dial->fixed]);
        } else {
            $asked->kind->swings() && $parts[] = $words->say('dial.width', ['n' => $words->number($dial->widthDial)]);
            $asked->kind->feedDropped || $parts[] = $words->say('dial.length', ['n' => $words->number($dial->lengthDial)]);
        }
        $room = new Room([$m], array_filter($book->room->feet, fn (Foot $f): bool => $need->feet === [] || in_array($f->kind->id, $need->feet, true)));
        $best = $room->bestFoot('0', $need->setup)['foot'];
        $best === null || $parts[] = '“'.$room->feet[$best]->name.'”';
        $tape = $best === null ? null : $room->feet[$best]->tapeMm;
        $tape === null || $parts[] = $words->say('dial.tape', ['width' => $words->length($tape)]);

        return implode(', ', $parts);
    }
}
