<?php

declare(strict_types=1);

namespace OpenSeam\Core\Buttonhole;

enum ButtonShape: string
{
    case Flat = 'flat';
    case Domed = 'domed';
    case Ball = 'ball';
}
