<?php

declare(strict_types=1);

namespace App\Records;

use App\Models\Enrolment;
use App\Models\OwnLook;
use App\Models\SewingClass;
use App\Models\SkillStanding;
use App\Support\CurrentStudio;
use DateTimeImmutable;
use DateTimeZone;
use OpenSeam\Core\Skill\Evidence;
use OpenSeam\Core\Skill\OwnPractice;
use OpenSeam\Core\Skill\Standing;
use OpenSeam\Core\Skill\StandingLedger;
use OpenSeam\Core\Skill\TracingTable;

/** Keeps the derived standings beside the samples they come from. */
final class Standings
{
    /** @var array<string, array{TracingTable, StandingLedger}> by studio and edition of its shelf */
    private array $read = [];

    public function __construct(private readonly Shelf $shelf, private readonly CurrentStudio $studio) {}

    /** The numbers of the skill model: this studio's own where its samples gave better ones. */
    public function table(): TracingTable
    {
        return $this->read()[0];
    }

    public function book(): StandingLedger
    {
        return $this->read()[1];
    }

    /** @return array{TracingTable, StandingLedger} */
    private function read(): array
    {
        $key = $this->studio->id().'/'.$this->studio->edition();
        if (! isset($this->read[$key])) {
            $table = TracingTable::of($this->shelf->bundle()->skills, $this->studio->tracing());
            $this->read[$key] = [$table, new StandingLedger($table)];
        }

        return $this->read[$key];
    }

    /** The studio's numbers have changed. */
    public function forget(): void
    {
        $this->read = [];
    }

    /**
     * Works a student's standings out anew and stores them, for each class they are in that was not
     * put away: their history goes with them. The one place that writes them: keeping a sample and rebuilding
     * everything are the same act.
     *
     * @param  list<Evidence>  $evidence
     */
    public function store(string $studio, string $student, array $evidence): void
    {
        $taught = SewingClass::query()->withoutGlobalScope('seen')->withTrashed()->whereNull('archived_at')->select('id');
        foreach (Enrolment::query()->withoutGlobalScope('seen')->where('student_id', $student)->whereIn('class_id', $taught)->orderBy('class_id')->pluck('class_id') as $class) {
            $this->storeIn($studio, is_string($class) ? $class : '', $student, $evidence);
        }
    }

    /**
     * The same for one class.
     *
     * @param  list<Evidence>  $evidence
     */
    public function storeIn(string $studio, string $class, string $student, array $evidence): void
    {
        $last = $evidence === [] ? new DateTimeImmutable('@0') : $evidence[count($evidence) - 1]->at;
        $rows = [];
        foreach ($this->book()->standings($evidence, $last) as $standing) {
            $rows[] = [
                'id' => self::id($class, $student, $standing->skill),
                'studio_id' => $studio, 'class_id' => $class, 'student_id' => $student, 'skill' => $standing->skill,
                'known' => $standing->known,
                'showings' => json_encode(array_map(fn (float $w): float => round($w, 6), $standing->showings), JSON_THROW_ON_ERROR),
                'last_shown_at' => $standing->lastShownAt?->format('Y-m-d H:i:s.v'),
            ];
        }
        SkillStanding::query()->where('class_id', $class)->where('student_id', $student)->delete();
        SkillStanding::query()->insert($rows);
    }

    /** Those of classes that were put away go: years of them would stand between those that are asked for. */
    public function letGo(): void
    {
        SkillStanding::query()->whereIn('class_id', SewingClass::query()->withoutGlobalScope('seen')->withTrashed()->whereNotNull('archived_at')->select('id'))->delete();
    }

    /**
     * Standings as the core sees them at a moment: the stored ones, or of a class that was put away those of its records.
     *
     * @param  list<string>  $students
     * @param  callable(): array<string, list<KeptSample>>  $records  by student
     * @return array<string, array<string, Standing>> by student and skill
     */
    public function of(SewingClass $class, array $students, DateTimeImmutable $now, callable $records): array
    {
        $standings = $class->archived_at === null ? $this->stored($class->id, $students, $now)
            : array_map(fn (array $kept): array => $this->book()->standings(array_map(fn (KeptSample $k): Evidence => $k->past()->evidence, $kept), $now), $records());

        // What they sewed and read by themselves since, each by the student it is of.
        $practice = new OwnPractice($this->table());
        foreach (OwnLook::ofStudents($students)->where('place', 'home')->groupBy('student_id') as $student => $looks) {
            $standings[$student] = $practice->after($standings[$student] ?? [], array_values($looks->map(fn (OwnLook $l): Evidence => $l->evidence())->all()));
        }

        return $standings;
    }

    /**
     * A class has thousands: read as plain rows.
     *
     * @param  list<string>  $students
     * @return array<string, array<string, Standing>>
     */
    private function stored(string $class, array $students, DateTimeImmutable $now): array
    {
        $book = $this->book();
        $utc = new DateTimeZone('UTC');
        $standings = [];
        foreach (SkillStanding::query()->where('class_id', $class)->whereIn('student_id', $students)->select('student_id', 'skill', 'known', 'showings', 'last_shown_at')->toBase()->get() as $row) {
            /** @var object{student_id: string, skill: string, known: float|string, showings: string, last_shown_at: string} $row */
            $at = new DateTimeImmutable($row->last_shown_at, $utc);
            $known = (float) $row->known;
            $showings = array_map(fn (mixed $w): float => is_numeric($w) ? (float) $w : 0.0, array_values((array) json_decode($row->showings, true)));
            $standings[$row->student_id][$row->skill] = new Standing($row->skill, $known, $book->fade($row->skill, $known, $at, $now), $showings, $at);
        }

        return $standings;
    }

    /** The same id each time, so that a rebuild changes nothing at all. */
    private static function id(string $class, string $student, string $skill): string
    {
        $alphabet = '0123456789abcdefghjkmnpqrstvwxyz';
        $hash = hash('sha256', "$class|$student|$skill", true);
        $id = '';
        for ($i = 0; $i < 26; $i++) {
            $id .= $alphabet[ord($hash[$i]) % 32];
        }

        return $id;
    }
}
