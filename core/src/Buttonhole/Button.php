<?php

declare(strict_types=1);

namespace OpenSeam\Core\Buttonhole;

use OpenSeam\Core\Near;
use OpenSeam\Core\ValueRefused;

/** A button as it is measured, mm. */
final readonly class Button
{
    private function __construct(
        public ButtonShape $shape,
        public float $diameterMm,
        public float $thicknessMm,
        /** The whole way round it, measured with a strip; null: not measured. */
        public ?float $wrapMm,
    ) {}

    /** @throws ValueRefused when a measure is 0 or below, or the wrap is shorter than twice the diameter of what is not a ball */
    public static function of(ButtonShape $shape, float $diameterMm, float $thicknessMm, ?float $wrapMm = null): self
    {
        if ($diameterMm <= 0 || $thicknessMm <= 0 || ($wrapMm !== null && $wrapMm <= 0)) {
            throw new ValueRefused('Diameter, thickness and wrap must be above 0.');
        }
        if ($wrapMm !== null && $wrapMm < 2 * $diameterMm - Near::DUST) {
            throw new ValueRefused(sprintf('The whole way round a button is at least twice its diameter: %.1f mm here.', 2 * $diameterMm));
        }

        return new self($shape, $diameterMm, $thicknessMm, $wrapMm);
    }

    /** Half the way round: as measured, or from its shape. */
    public function halfWrapMm(): float
    {
        return $this->wrapMm !== null ? $this->wrapMm / 2 : match ($this->shape) {
            ButtonShape::Flat => $this->diameterMm + $this->thicknessMm,
            ButtonShape::Ball => M_PI * $this->diameterMm / 2,
            ButtonShape::Domed => ($this->diameterMm + $this->arcMm()) / 2,
        };
    }

    /** Whether the half wrap is worked out from a shape that is only like the button's. */
    public function isEstimated(): bool
    {
        return $this->wrapMm === null && $this->shape === ButtonShape::Domed;
    }

    /** Over a dome that is a cap of a ball: chord d, height t. */
    private function arcMm(): float
    {
        [$d, $t] = [$this->diameterMm, min($this->thicknessMm, $this->diameterMm / 2)];
        $radius = ($d * $d / 4 + $t * $t) / (2 * $t);

        return 2 * $radius * asin(min(1.0, $d / 2 / $radius));
    }
}
