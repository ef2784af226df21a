<?php

declare(strict_types=1);

namespace App\Models;

use Carbon\CarbonImmutable;
use Database\Factories\LessonTextFactory;
use Illuminate\Database\Eloquent\Factories\HasFactory;

/**
 * One version of a lesson of the studio's own, as in a bundle. Written once.
 *
 * @property string $lesson
 * @property int $version
 * @property string $body JSON
 * @property string|null $kept_by
 * @property CarbonImmutable $kept_at
 */
final class LessonText extends OwnedByStudio
{
    /** @use HasFactory<LessonTextFactory> */
    use HasFactory;

    public $timestamps = false;

    protected $dateFormat = 'Y-m-d H:i:s.v';

    protected $casts = ['kept_at' => 'immutable_datetime', 'version' => 'int'];
}
