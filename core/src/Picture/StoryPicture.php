<?php

declare(strict_types=1);

namespace OpenSeam\Core\Picture;

use OpenSeam\Core\Data;
use OpenSeam\Core\InputError;

/** One step of a fold that the lesson tells: cut across, and from above. */
final class StoryPicture implements Drawer
{
    public function draw(Data $d, Shown $of): Picture
    {
        $id = $d->text('fold');
        foreach ($of->folds as $story) {
            if ($story->id === $id) {
                $last = count($story->steps);
                $at = $d->whole('step');
                $at >= 1 && $at <= $last || throw InputError::at($d->path('step'), $at, "“{$story->title}” has the steps 1 to $last.");

                return FoldDrawing::whole($story, $story->steps[$at - 1]);
            }
        }
        throw InputError::at($d->path('fold'), $id, 'The lesson tells no such fold. Its folds: '.(implode(', ', array_map(fn (FoldStory $s): string => $s->id, $of->folds)) ?: 'none').'.');
    }
}
