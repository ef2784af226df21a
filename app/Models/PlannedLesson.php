<?php

declare(strict_types=1);

namespace App\Models;

/**
 * @property string $plan_session_id
 * @property string $lesson
 * @property int $position
 */
final class PlannedLesson extends OwnedByStudio
{
    protected $casts = ['position' => 'int'];
}
