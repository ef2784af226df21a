<?php

declare(strict_types=1);

namespace OpenSeam\Core\Picture;

use OpenSeam\Core\Data;

/** Something that lies on the table or is held in the hand; crossed out where it is not to be done. */
final class ToolPicture implements Drawer
{
    public function draw(Data $d, Shown $of): Picture
    {
        $pen = (new Pen)->add(LineArt::standard()->of('tools', $d->text('tool'), $d->path('tool')));

        return ($d->flag('wrong') ? $pen->cross(50, 34, 20) : $pen)->picture();
    }
}
