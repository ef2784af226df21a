<?php

declare(strict_types=1);

namespace App\Places\Look;

use App\Models\CameraComparison;
use App\Support\Clock;
use Illuminate\Support\Facades\DB;
use OpenSeam\Core\InputError;
use OpenSeam\Core\Sampler\Readings;
use OpenSeam\Core\Scan\Compared;

/** Keeps what one sample measured by ruler and by camera. */
final readonly class CompareCamera
{
    /** More tell nothing new; begun anew there is room again. */
    private const MOST_SAMPLES = 60;

    /** Further apart no ruler and camera are that read the same, mm: something was typed elsewhere. */
    private const FURTHEST_MM = 10.0;

    public function __construct(private AskedLesson $asked) {}

    /** @throws InputError when a reading does not fit, or nothing was read both ways */
    public function __invoke(CompareBody $body): void
    {
        $sample = strtolower($body->word('id'));
        $sampler = $this->asked->in($body->word('lesson'), $body->validated('version') === null ? null : $body->whole('version'), $body->way())->sampler;
        $unit = $body->teacher()->unit;
        $pairs = Compared::all($sample, $sampler, self::readings('ruler', fn (): Readings => Readings::typed($sampler, $body->ruler(), $unit)), self::readings('camera', fn (): Readings => Readings::typed($sampler, $body->camera(), $unit)));
        $pairs !== [] || throw InputError::at('ruler', null, 'Nothing was read both by ruler and by camera: type at least one value that the picture told.');
        foreach ($pairs as $pair) {
            abs($pair->offMm()) <= self::FURTHEST_MM || throw InputError::at('ruler', round($pair->ruler->value, 2), sprintf('The picture says %.2f mm and the ruler %.2f mm: more than %d mm apart it is not the same place.', $pair->camera->value, $pair->ruler->value, self::FURTHEST_MM));
        }
        if (CameraComparison::query()->where('sample', $sample)->exists()) {
            return;
        }
        CameraComparison::query()->distinct()->count('sample') < self::MOST_SAMPLES || throw InputError::at('id', self::MOST_SAMPLES, sprintf('%d samples were compared, which is enough. Begin anew, or drop one.', self::MOST_SAMPLES));
        $now = Clock::now();
        DB::transaction(function () use ($pairs, $sample, $now): void {
            foreach ($pairs as $pair) {
                CameraComparison::query()->create(['sample' => $sample, 'what' => $pair->of->value, 'ruler_mm' => $pair->ruler->value, 'ruler_u_mm' => $pair->ruler->u, 'camera_mm' => $pair->camera->value, 'camera_u_mm' => $pair->camera->u, 'compared_at' => $now]);
            }
        });
    }

    /** @param  callable(): Readings  $read */
    private static function readings(string $which, callable $read): Readings
    {
        try {
            return $read();
        } catch (InputError $e) {
            throw InputError::at((string) preg_replace('/^readings/', $which, $e->field), $e->got, $e->getMessage());
        }
    }
}
