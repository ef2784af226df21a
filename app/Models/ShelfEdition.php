<?php

declare(strict_types=1);

namespace App\Models;

use Carbon\CarbonImmutable;
use Database\Factories\ShelfEditionFactory;
use Illuminate\Database\Eloquent\Factories\HasFactory;

/**
 * The studio's shelf at a moment: which version of which lesson lies over the
 * course's own, and its own skills, faults and courses. Written once.
 *
 * @property int $number
 * @property string $what
 * @property array{lessons: array<string, int>, skills: list<array<string, mixed>>, faults: list<array<string, mixed>>, courses: list<array<string, mixed>>} $manifest
 * @property string|null $made_by
 * @property CarbonImmutable $made_at
 */
final class ShelfEdition extends OwnedByStudio
{
    /** @use HasFactory<ShelfEditionFactory> */
    use HasFactory;

    public const NOTHING = ['lessons' => [], 'skills' => [], 'faults' => [], 'courses' => []];

    public $timestamps = false;

    protected $dateFormat = 'Y-m-d H:i:s.v';

    protected $casts = ['made_at' => 'immutable_datetime', 'number' => 'int', 'manifest' => 'array'];
}
