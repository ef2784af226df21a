<?php

declare(strict_types=1);

namespace App\Models;

use App\Support\Reader;
use Carbon\CarbonImmutable;
use Illuminate\Database\Eloquent\Builder;
use Illuminate\Database\Eloquent\Collection;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Illuminate\Database\Eloquent\SoftDeletes;

/**
 * @property string $class_id
 * @property string $student_id
 * @property string|null $machine_id
 * @property int $seat
 * @property string $note the teacher's own, for nobody else
 * @property string|null $page_hash of the private link of the page the student sees without signing in
 * @property CarbonImmutable|null $page_until
 * @property CarbonImmutable|null $deleted_at taken out of the class
 * @property Student $student
 * @property SewingClass|null $sewingClass also one that is put away or deleted
 * @property Machine|null $machine
 * @property int $class_size students of its class, where it was read by seated()
 */
final class Enrolment extends OwnedByStudio
{
    use SoftDeletes;

    protected static function booted(): void
    {
        parent::booted();
        self::addGlobalScope('seen', fn (Builder $query) => app(Reader::class)->limit($query, 'enrolments.class_id'));
    }

    protected $casts = ['seat' => 'int', 'page_until' => 'immutable_datetime', 'deleted_at' => 'immutable_datetime'];

    protected $dateFormat = 'Y-m-d H:i:s.v';

    /**
     * Who sits where in a class, with student and machine, in one query.
     *
     * @return Collection<int, self> in the order of the seats
     */
    public static function seated(string $class, ?string $student = null): Collection
    {
        $query = self::query()
            ->join('students', 'students.id', '=', 'enrolments.student_id')->whereNull('students.deleted_at')
            ->leftJoin('machines', 'machines.id', '=', 'enrolments.machine_id')
            ->where('enrolments.class_id', $class);
        if ($student !== null) {
            $query->where('enrolments.student_id', $student);
        }
        $query->select('enrolments.*', 'students.name as student_name', 'students.wishes as student_wishes', 'students.own_machine as student_own_machine', 'machines.name as machine_name')
            ->selectRaw('(select count(*) from enrolments as all_of_class join students as all_students on all_students.id = all_of_class.student_id where all_of_class.class_id = enrolments.class_id and all_of_class.deleted_at is null and all_students.deleted_at is null) as class_size');
        $rows = $query->orderBy('enrolments.seat')->orderBy('enrolments.id')->get();
        foreach ($rows as $row) {
            $own = $row->getAttributes();
            $row->setRelation('student', (new Student)->newFromBuilder(['id' => $row->student_id, 'studio_id' => $row->studio_id, 'name' => $own['student_name'], 'wishes' => $own['student_wishes'], 'own_machine' => $own['student_own_machine']]));
            $row->setRelation('machine', $row->machine_id === null ? null : (new Machine)->newFromBuilder(['id' => $row->machine_id, 'name' => $own['machine_name']]));
        }

        return $rows;
    }

    /** @return BelongsTo<Student, $this> */
    public function student(): BelongsTo
    {
        return $this->belongsTo(Student::class);
    }

    /** @return BelongsTo<SewingClass, $this> also one that is put away or deleted */
    public function sewingClass(): BelongsTo
    {
        return $this->belongsTo(SewingClass::class, 'class_id')->withTrashed();
    }

    /** @return BelongsTo<Machine, $this> */
    public function machine(): BelongsTo
    {
        return $this->belongsTo(Machine::class);
    }
}
