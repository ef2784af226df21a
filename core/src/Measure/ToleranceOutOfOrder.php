<?php

declare(strict_types=1);

namespace OpenSeam\Core\Measure;

use OpenSeam\Core\ValueRefused;

final class ToleranceOutOfOrder extends ValueRefused
{
    public static function nearInsideMet(float $met, float $near): self
    {
        return new self(sprintf('The near tolerance (%g) must be at least the met tolerance (%g), and neither below 0.', $near, $met));
    }

    public static function bands(): self
    {
        return new self('The near band must hold the met band, and each band must run from low to high.');
    }
}
