<?php

declare(strict_types=1);

namespace OpenSeam\Core\Measure;

use OpenSeam\Core\ValueRefused;

/** Ordinary least squares of a straight line y = intercept + slope·x. */
final readonly class LeastSquares
{
    private function __construct(
        public float $slope,
        public float $intercept,
        /** √(SSE/(n−2)); 0 when two points fix the line. */
        public float $residualSd,
        public float $sumSquaresSlope,
        public float $sumSquaresResidual,
        public float $meanY,
        public int $n,
    ) {}

    /**
     * @param  list<float>  $xs
     * @param  list<float>  $ys  as many as $xs
     *
     * @throws ValueRefused below two points, or all at one x
     */
    public static function fit(array $xs, array $ys): self
    {
        $n = count($xs);
        if ($n < 2 || $n !== count($ys)) {
            throw new ValueRefused('A line needs two or more points.');
        }
        $meanX = array_sum($xs) / $n;
        $meanY = array_sum($ys) / $n;
        $sxx = 0.0;
        $sxy = 0.0;
        foreach ($xs as $i => $x) {
            $sxx += ($x - $meanX) ** 2;
            $sxy += ($x - $meanX) * ($ys[$i] - $meanY);
        }
        if ($sxx <= 0.0) {
            throw new ValueRefused('A line needs points at two different places.');
        }
        $slope = $sxy / $sxx;
        $intercept = $meanY - $slope * $meanX;
        $sse = 0.0;
        foreach ($xs as $i => $x) {
            $sse += ($ys[$i] - $intercept - $slope * $x) ** 2;
        }

        return new self($slope, $intercept, $n > 2 ? sqrt($sse / ($n - 2)) : 0.0, $slope ** 2 * $sxx, $sse, $meanY, $n);
    }

    public function at(float $x): float
    {
        return $this->intercept + $this->slope * $x;
    }
}
