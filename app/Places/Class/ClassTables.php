<?php

declare(strict_types=1);

namespace App\Places\Class;

use App\Models\SewingClass;
use App\Models\Studio;
use App\Places\Materials\ShowMaterials;
use App\Records\ClassAsRead;
use App\Records\KeptSample;
use App\Records\ReadClass;
use App\Records\Shelf;
use App\Records\StudentAsRead;
use App\Support\Csv;
use App\Views\MaterialLineView;
use App\Views\Titles;
use OpenSeam\Core\InputError;
use OpenSeam\Core\Measure\Unit;
use OpenSeam\Core\Sampler\FieldKind;

/** The lists of a class as tables for other programs. Lengths are in mm, dates in the studio's own zone. */
final readonly class ClassTables
{
    public const KINDS = ['students', 'samples', 'standings', 'materials'];

    /** One reading a row; a fault that was seen stands as a reading of its own. */
    public const SAMPLE = ['sample', 'student', 'seat', 'session', 'date', 'lesson', 'title', 'reading', 'label', 'mark', 'value', 'unit', 'verdict'];

    public function __construct(private ReadClass $read, private Shelf $shelf, private ShowMaterials $materials) {}

    /** @throws InputError for a table there is not */
    public function __invoke(SewingClass $class, string $kind): string
    {
        return match ($kind) {
            'students' => $this->students($class),
            'samples' => $this->samples($class),
            'standings' => $this->standings($class),
            'materials' => $this->materials($class),
            default => throw InputError::at('of', $kind, 'It must be one of: '.implode(', ', self::KINDS).'.'),
        };
    }

    private function reading(SewingClass $class): ClassAsRead
    {
        return ($this->read)($class, Unit::Millimetre);
    }

    private function students(SewingClass $class): string
    {
        $bundle = $this->shelf->bundle();

        return Csv::write(['name', 'seat', 'hand', 'machine at home', 'machine', 'next', 'samples', 'note'], array_map(fn (StudentAsRead $s): array => [
            $s->enrolment->student->name, $s->enrolment->seat, $s->enrolment->student->hand, $s->enrolment->student->own_machine, $s->enrolment->machine?->name,
            Titles::of($bundle, $s->lesson(), $s->drill()), count($s->samples), $s->enrolment->note,
        ], array_values($this->reading($class)->students)));
    }

    private function samples(SewingClass $class): string
    {
        $reading = $this->reading($class);
        $zone = Studio::query()->findOrFail($class->studio_id)->timezone;
        $numbers = [];
        foreach ($reading->sessions as $session) {
            $numbers[$session->id] = $session->position + 1;
        }
        $rows = [];
        foreach ($reading->students as $s) {
            foreach ($s->samples as $kept) {
                array_push($rows, ...self::sample($s, $kept, $numbers[$kept->sample->plan_session_id ?? ''] ?? null, $kept->sample->kept_at->setTimezone($zone)->format('Y-m-d H:i')));
            }
        }

        return Csv::write(self::SAMPLE, $rows);
    }

    /** @return list<list<scalar|null>> */
    private static function sample(StudentAsRead $s, KeptSample $kept, ?int $session, string $date): array
    {
        $of = [$kept->sample->id, $s->enrolment->student->name, $s->enrolment->seat, $session, $date, $kept->sample->lesson, $kept->lesson()->title];
        $verdict = $kept->verdict()?->value;
        $fields = $kept->lesson()->sampler->fields();
        $rows = [];
        foreach ($kept->readings()->values as $key => $values) {
            $field = $fields[$key] ?? null;
            foreach ($values as $i => $value) {
                if ($value !== null && $field !== null) {
                    $unit = match (true) {
                        $field->values()[$i]->length => 'mm',
                        $field->kind === FieldKind::YesNo => 'yes-no',
                        $field->kind === FieldKind::Choice => 'step',
                        default => 'count',
                    };
                    $rows[] = [...$of, $key, $field->label, $i + 1, $unit === 'yes-no' ? ($value > 0 ? 'yes' : 'no') : ($unit === 'step' ? $value + 1 : $value), $unit, $verdict];
                }
            }
        }
        foreach ($kept->grade()->faults as $fault) {
            $rows[] = [...$of, 'fault', $fault->seen, 1, $fault->id, 'fault', $verdict];
        }

        return $rows;
    }

    private function standings(SewingClass $class): string
    {
        $skills = $this->shelf->bundle()->skills;
        $rows = [];
        foreach ($this->reading($class)->students as $s) {
            foreach ($s->standings as $skill => $standing) {
                $rows[] = [$s->enrolment->student->name, $s->enrolment->seat, $skill, $skills->get((string) $skill)->title, $s->levels[$skill]->value, round($standing->faded, 4), count($standing->showings)];
            }
        }

        return Csv::write(['student', 'seat', 'skill', 'title', 'level', 'known', 'showings'], $rows);
    }

    private function materials(SewingClass $class): string
    {
        return Csv::write(['item', 'title', 'needed', 'unit', 'in the cupboard', 'to buy', 'price', 'cost', 'there', 'how'], array_map(fn (MaterialLineView $l): array => [
            $l->item, $l->title, $l->amount, $l->unit, $l->have, $l->buy, $l->price, $l->cost, $l->ticked, $l->how,
        ], ($this->materials)($class, null, null)->lines));
    }
}
