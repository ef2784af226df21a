<?php

declare(strict_types=1);

namespace OpenSeam\Core\Buttonhole;

use OpenSeam\Core\ValueRefused;

/** What a machine, a foot or the marks are told, so that a buttonhole comes out as long as it is wanted. Lengths in mm. */
final readonly class SetLength
{
    private function __construct(
        public float $mm,
        /** Of a slider, to the half line. */
        public ?float $lines = null,
        /** Finished, as nearly as it can be set. */
        public ?float $comesOutMm = null,
        /** That, less what is wanted. */
        public ?float $errorMm = null,
        /** Beyond the button in the foot; below 0: so much less. */
        public ?float $addMm = null,
    ) {}

    /**
     * @param  float  $offsetMm  finished less set, on this machine
     * @param  float|null  $lineMm  of a slider
     * @param  float  $stepMm  of a number that is typed; 0: by any
     *
     * @throws ValueRefused when nothing is left to set, or a slider has no lines
     */
    public static function of(SizeWay $way, float $finishedMm, float $diameterMm, float $offsetMm = 0.0, ?float $lineMm = null, float $stepMm = 0.0): self
    {
        $set = $finishedMm - $offsetMm;
        $set > 0 || throw new ValueRefused(sprintf('With this offset nothing is left to set: %g mm finished is less than it.', $finishedMm));

        return match ($way) {
            SizeWay::Slider => self::lines($set, $finishedMm, $offsetMm, $lineMm ?? throw new ValueRefused('For a slider the distance of its lines must be given.')),
            SizeWay::Typed => self::typed($stepMm > 0 ? max($stepMm, round($set / $stepMm) * $stepMm) : $set, $finishedMm, $offsetMm),
            SizeWay::ButtonInFoot => new self($set, addMm: $set - $diameterMm),
            default => new self($set),
        };
    }

    private static function lines(float $set, float $finished, float $offset, float $line): self
    {
        $lines = max(0.5, round(2 * $set / $line) / 2);

        return new self($set, $lines, $lines * $line + $offset, $lines * $line + $offset - $finished);
    }

    private static function typed(float $typed, float $finished, float $offset): self
    {
        return new self($typed, comesOutMm: $typed + $offset, errorMm: $typed + $offset - $finished);
    }

    /** @return array<string, float> what there is to say of it */
    public function said(): array
    {
        return array_filter(['mm' => $this->mm, 'lines' => $this->lines, 'comes_out_mm' => $this->comesOutMm, 'error_mm' => $this->errorMm, 'add_mm' => $this->addMm], fn (?float $v): bool => $v !== null);
    }
}
