<?php

declare(strict_types=1);

namespace App\Places\Finder;

use App\Models\Enrolment;
use App\Models\Machine;
use App\Records\Shelf;
use OpenSeam\Core\Course\Lesson;

/** Students and machines of this studio, lessons of the shelf and tools whose name holds what is typed. */
final readonly class FindAnything
{
    private const MOST = 12;

    private const TOOLS = ['stitch' => 'Stitch picture', 'buttonhole' => 'Buttonhole and button', 'faults' => 'Fault finder', 'picture' => 'Picture ruler', 'worked' => 'What worked', 'guide' => 'Guide finder', 'clearance' => 'Clearance', 'needle' => 'Needle and thread', 'dial' => 'Dial translator', 'tension' => 'Tension', 'feet' => 'Which feet'];

    public function __construct(private Shelf $shelf) {}

    /** @return list<FoundView> */
    public function __invoke(string $words): array
    {
        if ($words === '') {
            return [];
        }
        $students = Enrolment::query()->with('student')->whereHas('sewingClass', fn ($query) => $query->withoutTrashed())
            ->whereHas('student', fn ($query) => $query->where('name', 'like', '%'.addcslashes($words, '%_\\').'%'))
            ->orderByDesc('id')->limit(self::MOST)->get()
            ->map(fn (Enrolment $e): FoundView => new FoundView('student', $e->student->name, 'seat '.$e->seat, "/class/{$e->class_id}?student={$e->student_id}"))->all();
        $lessons = array_map(
            fn (Lesson $l): FoundView => new FoundView('lesson', $l->title, $l->why, "/samplers/{$l->id}"),
            array_filter($this->shelf->bundle()->lessons, fn (Lesson $l): bool => mb_stripos($l->title, $words) !== false),
        );

        $machines = Machine::standing()->where('name', 'like', '%'.addcslashes($words, '%_\\').'%')->limit(self::MOST)->get()
            ->map(fn (Machine $m): FoundView => new FoundView('machine', $m->name, $m->usable ? $m->drive : 'do not use', '/room?show=machines'))->all();
        $tools = [];
        foreach (self::TOOLS as $id => $name) {
            mb_stripos($name, $words) !== false && $tools[] = new FoundView('tool', $name, 'Workshop', "/workshop/$id");
        }

        return array_slice([...array_values($students), ...array_values($lessons), ...array_values($machines), ...$tools], 0, self::MOST);
    }
}
