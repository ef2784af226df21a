<?php

declare(strict_types=1);

namespace App\Models;

use App\Support\Reader;
use Carbon\CarbonImmutable;
use Database\Factories\EnrolmentFactory;
use Illuminate\Database\Eloquent\Builder;
use Illuminate\Database\Eloquent\Collection;
use Illuminate\Database\Eloquent\Factories\HasFactory;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Illuminate\Database\Eloquent\SoftDeletes;

/**
 * @property string $class_id
 * @property string $student_id
 * @property string|null $machine_id
 * @property int $seat
 * @property string $note the teacher's own, for nobody else
 * @property string $asks  from their own page; empty: please look
 * @property CarbonImmutable|null $asked_at  null: nothing is asked
 * @property CarbonImmutable|null $joined_at  into this class; null: before it was noted
 * @property string|null $page_hash of the private link of the page the student sees without signing in
 * @property CarbonImmutable|null $page_until
 * @property CarbonImmutable|null $deleted_at taken out of the class
 * @property Student $student
 * @property SewingClass|null $sewingClass also one that is put away or deleted
 * @property Machine|null $machine
 */
final class Enrolment extends OwnedByStudio
{
    /** @use HasFactory<EnrolmentFactory> */
    use HasFactory;

    use SoftDeletes;

    protected static function booted(): void
    {
        parent::booted();
        self::addGlobalScope('seen', fn (Builder $query) => app(Reader::class)->limit($query, 'enrolments.class_id'));
    }

    protected $casts = ['joined_at' => 'immutable_datetime', 'asked_at' => 'immutable_datetime', 'seat' => 'int', 'page_until' => 'immutable_datetime', 'deleted_at' => 'immutable_datetime'];

    protected $dateFormat = 'Y-m-d H:i:s.v';

    /**
     * Who sits where in a class, with student and machine.
     *
     * @return Collection<int, self> in the order of the seats
     */
    public static function seated(string $class, ?string $student = null): Collection
    {
        return self::query()->with(['student', 'machine'])->whereHas('student')->where('class_id', $class)
            ->when($student !== null, fn (Builder $query) => $query->where('student_id', $student))
            ->orderBy('seat')->orderBy('id')->get();
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
