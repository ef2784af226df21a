<?php

declare(strict_types=1);

namespace App\Models;

use Illuminate\Database\Eloquent\Relations\BelongsTo;

/**
 * @property string $class_id
 * @property string $student_id
 * @property string|null $machine_id
 * @property int $seat
 * @property Student $student
 * @property Machine|null $machine
 */
final class Enrolment extends OwnedByStudio
{
    protected $casts = ['seat' => 'int'];

    /** @return BelongsTo<Student, $this> */
    public function student(): BelongsTo
    {
        return $this->belongsTo(Student::class);
    }

    /** @return BelongsTo<Machine, $this> */
    public function machine(): BelongsTo
    {
        return $this->belongsTo(Machine::class);
    }
}
