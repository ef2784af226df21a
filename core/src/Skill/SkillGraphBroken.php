<?php

declare(strict_types=1);

namespace OpenSeam\Core\Skill;

use OpenSeam\Core\ValueRefused;

/** A set of skills that does not make an order. */
final class SkillGraphBroken extends ValueRefused
{
    /** @param  list<string>  $ids the skills round the cycle, first again at the end */
    public static function cycle(array $ids): self
    {
        return new self('These skills need each other in a circle: '.implode(' needs ', $ids).'. Take one of these needs out.');
    }

    public static function unknownNeed(string $skill, string $need): self
    {
        return new self(sprintf('Skill "%s" needs "%s", which is not among the skills.', $skill, $need));
    }

    public static function twice(string $id): self
    {
        return new self(sprintf('Skill "%s" is given twice.', $id));
    }

    public static function unknown(string $id): self
    {
        return new self(sprintf('There is no skill "%s".', $id));
    }
}
