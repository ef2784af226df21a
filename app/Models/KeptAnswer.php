<?php

declare(strict_types=1);

namespace App\Models;

use Carbon\CarbonImmutable;
use Database\Factories\KeptAnswerFactory;
use Illuminate\Database\Eloquent\Factories\HasFactory;

/**
 * An answer of the workshop that a teacher kept beside a lesson's row or with a student.
 *
 * @property string|null $student_id
 * @property string|null $lesson
 * @property string|null $row
 * @property string $tool
 * @property string $text
 * @property CarbonImmutable $kept_at
 */
final class KeptAnswer extends OwnedByStudio
{
    /** @use HasFactory<KeptAnswerFactory> */
    use HasFactory;

    public $timestamps = false;

    protected $dateFormat = 'Y-m-d H:i:s.v';

    protected $casts = ['kept_at' => 'immutable_datetime'];
}
