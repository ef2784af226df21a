<?php

declare(strict_types=1);

namespace OpenSeam\Core\Scan;

/** Where a row runs beside its edge, as it was followed in a strip. */
final readonly class FollowedRow
{
    private function __construct(private RowStrip $strip, private RowTrace $trace) {}

    public static function of(RowStrip $strip, RowTrace $trace): self
    {
        return new self($strip, $trace);
    }

    /**
     * @param  float  $along  its edge, mm
     * @return float mm from the line through that edge
     */
    public function at(float $along): float
    {
        return $this->strip->from + $this->trace->at(($along - $this->strip->start) / RowStrip::STEP_MM) * RowStrip::STEP_MM;
    }

    /** @return array{float, float} mm along its edge, where it is first and last seen */
    public function ends(): array
    {
        $at = fn (int $band): float => $this->strip->start + $band * RowTrace::BAND * RowStrip::STEP_MM;

        return [$at((int) array_key_first($this->trace->away)), $at((int) array_key_last($this->trace->away) + 1)];
    }
}
