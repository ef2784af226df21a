<?php

declare(strict_types=1);

namespace App\Models;

use Carbon\CarbonImmutable;
use Database\Factories\BenchPlanFactory;
use Illuminate\Database\Eloquent\Factories\HasFactory;

/**
 * What the teacher says of who sits where in one session, and how it began.
 *
 * @phpstan-type Held array<string, array{machine?: string, lesson?: string}>
 *
 * @phpstan-import-type Piece from \OpenSeam\Core\Course\SessionTape
 *
 * @phpstan-type Kept list<array{student: string, lesson: string, machine: string|null, foot: string|null, round: int}>
 *
 * @property string $plan_session_id
 * @property int $version
 * @property int $most_lessons
 * @property Held $held by student
 * @property array<string, string> $away late, absent or left, by student
 * @property Kept $seats
 * @property list<Piece> $tape of the rounds, as it was begun
 * @property CarbonImmutable|null $started_at
 */
final class BenchPlan extends OwnedByStudio
{
    /** @use HasFactory<BenchPlanFactory> */
    use HasFactory;

    /** Different lessons at once that one teacher keeps an eye on; common practice, no source. */
    public const MOST_LESSONS = 4;

    public const AWAY = ['late', 'absent', 'left'];

    public $timestamps = false;

    protected $dateFormat = 'Y-m-d H:i:s.v';

    protected $attributes = ['version' => 0, 'most_lessons' => self::MOST_LESSONS, 'held' => '{}', 'away' => '{}', 'seats' => '[]', 'tape' => '[]'];

    protected $casts = ['held' => 'array', 'away' => 'array', 'seats' => 'array', 'tape' => 'array', 'version' => 'int', 'most_lessons' => 'int', 'started_at' => 'immutable_datetime'];
}
