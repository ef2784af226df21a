<?php

declare(strict_types=1);

namespace OpenSeam\Core\Scan;

use OpenSeam\Core\Measure\ChiSquare;

/**
 * Ruler beside camera: how far they are apart on the same samples, and whether the camera is as sure as it says. Differences
 * of one sample are one witness (they share how it lay), so what is told of chance goes by samples, not by values.
 */
final readonly class CameraAgreement
{
    /** Samples that have to be compared before anything follows from them. */
    public const ENOUGH = 10;

    /** Chance alone brings no more than that as often as 19 times of 20. */
    private const Z = 1.645;

    /** Two-sided, in standard uncertainties; with ten samples Student’s t is 2.26 (ISO 3534 tables, from memory). */
    private const SURE = 2.26;

    /** Less than that nobody has to do anything about, mm. */
    private const WORTH_MM = 0.1;

    private const LEAST = 0.5;

    private const MOST = 6.0;

    /**
     * @param  int  $samples  that it is known of
     * @param  int  $values  of them
     * @param  float  $biasMm  how much more the camera says on the whole
     * @param  float|null  $biasU  its standard uncertainty; null: from one sample nobody can tell
     * @param  float  $spreadMm  standard deviation of a difference
     * @param  float  $saidMm  what it would be if both are as sure as they say
     * @param  float  $factor  what the camera’s own uncertainty is multiplied with
     */
    private function __construct(public PictureValue $of, public int $samples, public int $values, public float $biasMm, public ?float $biasU, public float $spreadMm, public float $saidMm, public float $factor) {}

    /** @param  list<Compared>  $pairs  null where none is of this */
    public static function of(PictureValue $what, array $pairs): ?self
    {
        $pairs = array_values(array_filter($pairs, fn (Compared $p): bool => $p->of === $what));
        if ($pairs === []) {
            return null;
        }
        $off = array_map(fn (Compared $p): float => $p->offMm(), $pairs);
        $n = count($off);
        $bySample = [];
        foreach ($pairs as $pair) {
            $bySample[$pair->sample][] = $pair->offMm();
        }
        $means = array_map(self::mean(...), array_values($bySample));
        $k = count($means);
        $bias = self::mean($means);
        $mean = self::mean($off);
        $spread = sqrt(array_sum(array_map(fn (float $d): float => ($d - $mean) ** 2, $off)) / max(1, $n - 1));

        return new self(
            $what, $k, $n, $bias, $k < 2 ? null : sqrt(array_sum(array_map(fn (float $m): float => ($m - $bias) ** 2, $means)) / ($k - 1) / $k),
            $spread, sqrt(self::mean(array_map(fn (Compared $p): float => $p->saidVariance(), $pairs))), self::factor($pairs, $k),
        );
    }

    /** @param  list<Compared>  $pairs */
    public static function trust(array $pairs): CameraTrust
    {
        $factors = [];
        foreach (PictureValue::measured() as $what) {
            $found = self::of($what, $pairs);
            $found === null || $factors[$what->value] = $found->factor;
        }

        return new CameraTrust($factors);
    }

    public function isEnough(): bool
    {
        return $this->samples >= self::ENOUGH;
    }

    /** It reads more, or less, than the ruler by so much that it is worth finding out why. */
    public function isBiased(): bool
    {
        return $this->isEnough() && abs($this->biasMm) >= self::WORTH_MM && abs($this->biasMm) > self::SURE * (float) $this->biasU;
    }

    /**
     * 1 unless the samples say otherwise: more where they are further apart than chance brings, less only as far as the
     * ruler was fine enough to prove it.
     *
     * @param  list<Compared>  $pairs
     */
    private static function factor(array $pairs, int $samples): float
    {
        if ($samples < self::ENOUGH) {
            return 1.0;
        }
        $square = self::mean(array_map(fn (Compared $p): float => $p->offMm() ** 2, $pairs));
        $camera = self::mean(array_map(fn (Compared $p): float => $p->camera->u ** 2, $pairs));
        $ruler = self::mean(array_map(fn (Compared $p): float => $p->ruler->u ** 2, $pairs));
        if ($camera <= 0.0) {
            return 1.0;
        }
        // In units of what both say of themselves: 1 on the whole.
        $apart = self::mean(array_map(fn (Compared $p): float => $p->offMm() ** 2 / max(1e-12, $p->saidVariance()), $pairs));
        if ($apart > ChiSquare::at(self::Z, $samples) / $samples) {
            return min(self::MOST, max(1.0, sqrt(max(0.0, $square - $ruler) / $camera)));
        }

        // How well the ruler was read is only said: all that is between the two counts as the camera’s.
        return max(self::LEAST, min(1.0, sqrt($square * $samples / ChiSquare::at(-self::Z, $samples) / $camera)));
    }

    /** @param  list<float>  $of */
    private static function mean(array $of): float
    {
        return array_sum($of) / max(1, count($of));
    }
}
