<?php

declare(strict_types=1);

namespace App\Models;

/**
 * @property string $plan_session_id
 * @property string $lesson
 * @property int $position
 * @property bool $at_home sewn at home after the session
 */
final class PlannedLesson extends OwnedByStudio
{
    protected $casts = ['position' => 'int', 'at_home' => 'bool'];
}
