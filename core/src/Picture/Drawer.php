<?php

declare(strict_types=1);

namespace OpenSeam\Core\Picture;

use OpenSeam\Core\Data;
use OpenSeam\Core\InputError;

/** Draws one kind of picture from what a lesson says of it. */
interface Drawer
{
    /** @throws InputError naming the field that cannot be drawn */
    public function draw(Data $d, Shown $of): Picture;
}
