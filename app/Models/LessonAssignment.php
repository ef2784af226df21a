<?php

declare(strict_types=1);

namespace App\Models;

use Carbon\CarbonImmutable;
use OpenSeam\Core\NextLesson\Kind;

/**
 * What a student was given to sew next: what the ladder proposed and what the
 * teacher chose.
 *
 * @property string $class_id
 * @property string $student_id
 * @property string|null $sample_id
 * @property Kind $kind
 * @property string|null $lesson
 * @property string|null $drill
 * @property string|null $proposed_lesson
 * @property string|null $proposed_drill
 * @property bool $overruled
 * @property string $overruled_because
 * @property bool $by_bench given because of who sits where, not because the teacher thought otherwise
 * @property CarbonImmutable $assigned_at
 */
final class LessonAssignment extends OwnedByStudio
{
    public $timestamps = false;

    protected $dateFormat = 'Y-m-d H:i:s.v';

    protected $casts = ['kind' => Kind::class, 'overruled' => 'bool', 'by_bench' => 'bool', 'assigned_at' => 'immutable_datetime'];
}
