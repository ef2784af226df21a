<?php

declare(strict_types=1);

namespace App\Models;

use Illuminate\Database\Eloquent\Collection;
use Illuminate\Database\Eloquent\Relations\HasMany;
use Illuminate\Database\Eloquent\Relations\HasOne;
use OpenSeam\Core\NextLesson\Policy;
use OpenSeam\Core\Skill\School;

/**
 * @property string $name
 * @property string $course
 * @property Policy $policy
 * @property School $school
 * @property int $helpers
 * @property Collection<int, Enrolment> $enrolments
 * @property CoursePlan|null $plan
 */
final class SewingClass extends OwnedByStudio
{
    protected $table = 'classes';

    protected $attributes = ['policy' => 'gate', 'school' => 'tracing', 'helpers' => 0];

    protected $casts = ['policy' => Policy::class, 'school' => School::class, 'helpers' => 'int'];

    /** @return HasMany<Enrolment, $this> */
    public function enrolments(): HasMany
    {
        return $this->hasMany(Enrolment::class, 'class_id')->orderBy('seat')->orderBy('id');
    }

    /** @return HasOne<CoursePlan, $this> */
    public function plan(): HasOne
    {
        return $this->hasOne(CoursePlan::class, 'class_id');
    }
}
