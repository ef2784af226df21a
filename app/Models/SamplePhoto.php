<?php

declare(strict_types=1);

namespace App\Models;

use Carbon\CarbonImmutable;
use Database\Factories\SamplePhotoFactory;
use Illuminate\Database\Eloquent\Builder;
use Illuminate\Database\Eloquent\Collection;
use Illuminate\Database\Eloquent\Factories\HasFactory;

/**
 * A photo pinned to a row of a sample.
 *
 * @property string $sample_id
 * @property string|null $row null: of the whole piece
 * @property int $width
 * @property int $height
 * @property string $image JPEG; empty where it lies on a disk (Support/Photos)
 * @property string|null $stored_on the disk; null: in the row itself
 * @property CarbonImmutable $kept_at
 */
final class SamplePhoto extends OwnedByStudio
{
    /** @use HasFactory<SamplePhotoFactory> */
    use HasFactory;

    public $timestamps = false;

    protected $dateFormat = 'Y-m-d H:i:s.v';

    protected $casts = ['kept_at' => 'immutable_datetime'];

    /**
     * Everything but the picture itself, newest first.
     *
     * @return Builder<SamplePhoto>
     */
    public static function listed(): Builder
    {
        return self::query()->select('sample_photos.id', 'sample_photos.studio_id', 'sample_id', 'row', 'width', 'height', 'sample_photos.kept_at')->orderByDesc('sample_photos.kept_at')->orderByDesc('sample_photos.id');
    }

    /** @return Collection<int, SamplePhoto> */
    public static function ofLesson(string $student, string $lesson): Collection
    {
        return self::listed()->join('samples', 'samples.id', '=', 'sample_photos.sample_id')
            ->where('samples.student_id', $student)->where('samples.lesson', $lesson)->get();
    }
}
