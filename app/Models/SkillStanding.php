<?php

declare(strict_types=1);

namespace App\Models;

use Carbon\CarbonImmutable;
use Database\Factories\SkillStandingFactory;
use Illuminate\Database\Eloquent\Factories\HasFactory;

/**
 * Where a student stands with a skill. Derived from the samples; rebuilt by
 * `php artisan seam:rebuild-standings`.
 *
 * @property string $class_id
 * @property string $student_id
 * @property string $skill
 * @property float $known
 * @property list<float> $showings
 * @property CarbonImmutable $last_shown_at
 */
final class SkillStanding extends OwnedByStudio
{
    /** @use HasFactory<SkillStandingFactory> */
    use HasFactory;

    public $timestamps = false;

    protected $dateFormat = 'Y-m-d H:i:s.v';

    protected $casts = ['known' => 'float', 'showings' => 'array', 'last_shown_at' => 'immutable_datetime'];
}
