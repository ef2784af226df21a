<?php

declare(strict_types=1);

namespace OpenSeam\Core;

use Throwable;

/** Everything the core refuses, by whatever class: one thing to catch. Nothing was stored. */
interface CoreError extends Throwable {}
