<?php

declare(strict_types=1);

namespace OpenSeam\Core\Machine;

/** How a machine sews a buttonhole: who turns it round, and who says how long it gets. */
enum ButtonholeWay: string
{
    /** No buttonhole of its own. */
    case None = 'none';
    /** All by itself, told the length by a lever between two stops. */
    case OneStep = 'one-step';
    /** All by itself, told the length by a foot that senses. */
    case Sensing = 'one-step-sensing';
    /** The selector is turned for each side and bar. */
    case FourStep = 'four-step';
    /** The selector has three positions: one side, bars, the other side. */
    case ThreePosition = 'three-position';
    /** The foot shows when to turn. */
    case FootTells = 'foot-tells';
    /** The length is typed into the machine. */
    case Typed = 'typed';
    /** Any zigzag does it, set up by hand for each part. */
    case ByHand = 'by-hand';

    /** It turns round by itself: the hands only guide. */
    public function isOneStep(): bool
    {
        return in_array($this, [self::OneStep, self::Sensing, self::Typed], true);
    }

    /** @return list<self> what a machine can be said to have: all but by hand */
    public static function ofMachines(): array
    {
        return [self::None, self::OneStep, self::Sensing, self::FourStep, self::ThreePosition, self::FootTells, self::Typed];
    }

    /** The kind of foot it is sewn with. */
    public function foot(): string
    {
        return $this->isOneStep() ? 'buttonhole-one-step' : 'buttonhole-four-step';
    }
}
