<?php

declare(strict_types=1);

namespace OpenSeam\Core;

use InvalidArgumentException;

/** A value that a thing of the core cannot be made of; where a field was typed it becomes an InputError with the field's name. */
class ValueRefused extends InvalidArgumentException implements CoreError {}
