<?php

declare(strict_types=1);

namespace OpenSeam\Core\Tests\Support\Worlds;

use Random\Engine\Xoshiro256StarStar;
use Random\Randomizer;

/** Chance with a seed of its own, so that learners do not disturb each other. */
final class Dice
{
    private Randomizer $lot;

    public function __construct(int $seed)
    {
        $this->lot = new Randomizer(new Xoshiro256StarStar($seed));
    }

    public function comes(float $chance): bool
    {
        return $this->draw() < $chance;
    }

    public function draw(): float
    {
        return $this->lot->getInt(0, (1 << 53) - 1) / (1 << 53);
    }

    /** A standard normal draw (Box & Muller 1958). */
    public function normal(): float
    {
        return sqrt(-2 * log(1 - $this->draw())) * cos(2 * M_PI * $this->draw());
    }

    /**
     * The checks of a skill in one sample: all right, or at least one wrong and the others each as it comes.
     * Checks of one sample hang together; they are no independent witnesses.
     *
     * @return list<float>
     */
    public function checks(bool $right, int $count): array
    {
        if ($right) {
            return array_fill(0, $count, 1.0);
        }
        $wrong = $this->lot->getInt(0, $count - 1);

        return array_map(fn (int $i): float => $i === $wrong || $this->comes(0.4) ? 0.0 : 1.0, range(0, $count - 1));
    }
}
