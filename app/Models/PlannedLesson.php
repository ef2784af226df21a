<?php

declare(strict_types=1);

namespace App\Models;

use Database\Factories\PlannedLessonFactory;
use Illuminate\Database\Eloquent\Factories\HasFactory;

/**
 * @property string $plan_session_id
 * @property string $lesson
 * @property int $position
 * @property bool $at_home sewn at home after the session
 */
final class PlannedLesson extends OwnedByStudio
{
    /** @use HasFactory<PlannedLessonFactory> */
    use HasFactory;

    protected $casts = ['position' => 'int', 'at_home' => 'bool'];
}
