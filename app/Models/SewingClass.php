<?php

declare(strict_types=1);

namespace App\Models;

use App\Support\Reader;
use Carbon\CarbonImmutable;
use Database\Factories\SewingClassFactory;
use Illuminate\Database\Eloquent\Builder;
use Illuminate\Database\Eloquent\Collection;
use Illuminate\Database\Eloquent\Factories\HasFactory;
use Illuminate\Database\Eloquent\Relations\BelongsToMany;
use Illuminate\Database\Eloquent\Relations\HasMany;
use Illuminate\Database\Eloquent\Relations\HasOne;
use Illuminate\Database\Eloquent\SoftDeletes;
use OpenSeam\Core\Course\SessionFrame;
use OpenSeam\Core\NextLesson\Policy;
use OpenSeam\Core\Skill\School;

/**
 * @property string $name
 * @property string $course
 * @property Policy $policy
 * @property School $school
 * @property int $helpers
 * @property int $settle_minutes
 * @property int $clear_minutes
 * @property int $review_every sessions; 0: none
 * @property int $review_minutes
 * @property int $pace_percent of the usual time
 * @property string|null $made_by
 * @property array<string, list<string>>|null $lesson_schools followed where a lesson names several, by lesson; the usual ones where none is named
 * @property string|null $calendar_hash of the private address by which a calendar follows its plan
 * @property bool $shared other teachers see it too
 * @property CarbonImmutable|null $archived_at
 * @property CarbonImmutable|null $deleted_at
 * @property Collection<int, Enrolment> $enrolments
 * @property CoursePlan|null $plan
 */
final class SewingClass extends OwnedByStudio
{
    /** @use HasFactory<SewingClassFactory> */
    use HasFactory;

    use SoftDeletes;

    protected static function booted(): void
    {
        parent::booted();
        self::addGlobalScope('seen', fn (Builder $query) => app(Reader::class)->limit($query, 'classes.id'));
    }

    protected $table = 'classes';

    protected $attributes = ['policy' => 'gate', 'school' => 'tracing', 'helpers' => 0, 'settle_minutes' => 5, 'clear_minutes' => 10, 'review_every' => 0, 'review_minutes' => 20, 'pace_percent' => 100, 'shared' => true];

    protected $casts = ['policy' => Policy::class, 'school' => School::class, 'helpers' => 'int', 'settle_minutes' => 'int', 'clear_minutes' => 'int', 'review_every' => 'int', 'review_minutes' => 'int', 'pace_percent' => 'int', 'lesson_schools' => 'array', 'shared' => 'bool', 'archived_at' => 'immutable_datetime', 'deleted_at' => 'immutable_datetime'];

    /** @return HasMany<Enrolment, $this> */
    public function enrolments(): HasMany
    {
        return $this->hasMany(Enrolment::class, 'class_id')->orderBy('seat')->orderBy('id');
    }

    /** @return BelongsToMany<Student, $this> who sits in it now */
    public function students(): BelongsToMany
    {
        return $this->belongsToMany(Student::class, 'enrolments', 'class_id', 'student_id')->wherePivotNull('deleted_at');
    }

    /** @return HasOne<CoursePlan, $this> */
    public function plan(): HasOne
    {
        return $this->hasOne(CoursePlan::class, 'class_id');
    }

    /** What its sessions hold besides lessons. */
    public function frame(): SessionFrame
    {
        return new SessionFrame($this->settle_minutes, $this->clear_minutes, $this->review_every, $this->review_minutes);
    }
}
