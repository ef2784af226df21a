<?php

declare(strict_types=1);

namespace App\Places\Look;

use App\Models\Sample;
use App\Models\SamplePhoto;
use App\Records\Shelf;
use App\Support\CleanPicture;
use App\Support\Clock;
use App\Support\Conflict;
use Illuminate\Support\Facades\DB;
use OpenSeam\Core\InputError;

/** Pins a photo to a row of a kept sample, drawn anew without what the camera wrote into it. */
final readonly class KeepPhoto
{
    /** More than that nobody looks at again. */
    public const MOST = 6;

    public function __construct(private Shelf $shelf) {}

    /**
     * @throws InputError for a row the sampler does not have, a seventh photo, or what is no picture
     * @throws Conflict when the id is taken by another photo
     */
    public function __invoke(Sample $sample, string $id, ?string $row, string $bytes): SamplePhoto
    {
        $lesson = $this->shelf->lessonAt($sample->lesson, $sample->lesson_version);
        $rows = array_keys($lesson->sampler->rows ?? []);
        $row === null || in_array($row, $rows, true) || throw InputError::at('row', $row, 'The lesson has these rows: '.implode(', ', $rows).'.');
        $clean = CleanPicture::of($bytes);

        return DB::transaction(function () use ($sample, $id, $row, $clean): SamplePhoto {
            Sample::query()->whereKey($sample->id)->lockForUpdate()->first();
            $kept = SamplePhoto::listed()->withoutGlobalScopes()->find($id);
            if ($kept !== null) {
                // Sent again after a broken line: once is enough.
                return $kept->sample_id === $sample->id ? $kept : throw Conflict::photoTaken($id);
            }
            SamplePhoto::query()->where('sample_id', $sample->id)->count() < self::MOST
                || throw InputError::at('sample', $sample->id, sprintf('A sample can have %d photos. Remove one first.', self::MOST));

            return SamplePhoto::query()->create([
                'id' => $id, 'studio_id' => $sample->studio_id, 'sample_id' => $sample->id, 'row' => $row,
                'width' => $clean->width, 'height' => $clean->height, 'image' => $clean->jpeg, 'kept_at' => Clock::now(),
            ]);
        });
    }
}
