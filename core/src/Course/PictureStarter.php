<?php

declare(strict_types=1);

namespace OpenSeam\Core\Course;

use OpenSeam\Core\Data;
use OpenSeam\Core\Sampler\Row;

/**
 * A picture for an act or a step that none was chosen for, from what the lesson
 * itself says: its sampler as far as it is by then, its stitches, its foot. What
 * was written before lessons had pictures is shown so.
 */
final class PictureStarter
{
    public static function of(Lesson $lesson, int $at, int $count): Data
    {
        $can = self::all($lesson);

        return Data::of($can[$count <= count($can) ? $at : $at % count($can)]);
    }

    /**
     * Everything that a picture could start from, as a teacher is offered it.
     *
     * @return non-empty-list<array<string, mixed>>
     */
    public static function all(Lesson $lesson): array
    {
        $can = [];
        $rows = $lesson->sampler->pieces === [] ? [] : array_values(array_filter($lesson->sampler->rows, fn (Row $r): bool => $r->path !== null));
        foreach ($rows as $row) {
            $can[] = ['kind' => 'row', 'rows' => [$row->id], 'with' => ['foot'], 'up_to' => 0.5];
        }
        $rows === [] || $can[] = ['kind' => 'row', 'with' => ['ruler']];
        foreach ($lesson->folds as $fold) {
            $can[] = ['kind' => 'fold', 'fold' => $fold->id, 'step' => count($fold->steps)];
        }
        foreach ($lesson->sews as $need) {
            $stitch = $need->setup->stitch;
            $stitch->kind->generator === 'pattern' && $can[] = ['kind' => 'stitches', 'rows' => [['stitch' => $stitch->kind->id, 'length_mm' => $stitch->lengthMm, ...($stitch->kind->swings() ? ['width_mm' => $stitch->widthMm] : [])]]];
            $can[] = ['kind' => 'foot', 'foot' => $need->usualFoot()];
        }
        $lesson->machine && $can[] = ['kind' => 'hands', 'scene' => 'steer', 'zone' => true];

        return [...$can, ['kind' => 'machine', 'threaded' => 6], ['kind' => 'tool', 'tool' => 'manual'], ['kind' => 'tool', 'tool' => 'write']];
    }
}
