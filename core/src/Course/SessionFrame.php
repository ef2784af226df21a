<?php

declare(strict_types=1);

namespace OpenSeam\Core\Course;

/** What a class's sessions hold besides lessons: opening up, clearing up, and every few sessions time to look back. */
final readonly class SessionFrame
{
    /**
     * @param  float  $settle  minutes to open up and find seats; common practice, no source
     * @param  float  $clear  minutes to cover machines and sweep threads; common practice, no source
     * @param  int  $reviewEvery  sessions from one review to the next; 0: none
     * @param  float  $review  minutes of a review
     */
    public function __construct(public float $settle = 5.0, public float $clear = 10.0, public int $reviewEvery = 0, public float $review = 20.0) {}

    /** @param  int  $session  counted from 0 */
    public function reviewAt(int $session): float
    {
        return $this->reviewEvery > 0 && ($session + 1) % $this->reviewEvery === 0 ? $this->review : 0.0;
    }

    /**
     * The minutes of a session that lessons can use.
     *
     * @param  int  $session  counted from 0
     * @param  float  $minutes  from the first knock to the last light
     */
    public function usable(int $session, float $minutes): float
    {
        return max(0.0, $minutes - $this->settle - $this->clear - $this->reviewAt($session));
    }
}
