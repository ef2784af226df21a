<?php

declare(strict_types=1);

namespace App\Models;

use Illuminate\Database\Eloquent\Collection;
use Illuminate\Database\Eloquent\Relations\HasMany;

/**
 * @property string $class_id
 * @property int $version
 * @property Collection<int, PlanSession> $sessions
 */
final class CoursePlan extends OwnedByStudio
{
    protected $attributes = ['version' => 1];

    protected $casts = ['version' => 'int'];

    /** @return HasMany<PlanSession, $this> */
    public function sessions(): HasMany
    {
        return $this->hasMany(PlanSession::class)->orderBy('position');
    }
}
