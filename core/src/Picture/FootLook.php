<?php

declare(strict_types=1);

namespace OpenSeam\Core\Picture;

use OpenSeam\Core\InputError;
use OpenSeam\Core\Machine\FootBook;

/** What is seen on a kind of foot beside its measures. Common practice, no source. */
final readonly class FootLook
{
    public const TOES = ['two', 'open', 'closed', 'one', 'ring'];

    public const HAS = ['groove', 'two-grooves', 'channels', 'blade', 'finger', 'wall', 'scroll', 'arm', 'upper-feed', 'rollers', 'coated', 'spring', 'funnel', 'pads', 'holder', 'slider'];

    /** @param  list<string>  $has  of HAS */
    private function __construct(public string $toes, public array $has, public ?float $backMm, public ?float $frontMm) {}

    /** @throws InputError for a kind that is not there, or a look that cannot be drawn */
    public static function of(string $kind): self
    {
        $d = FootBook::standard()->get($kind)->look;
        foreach ($d->texts('has') as $i => $has) {
            in_array($has, self::HAS, true) || throw InputError::at($d->path("has[$i]"), $has, 'It must be one of: '.implode(', ', self::HAS).'.');
        }

        return new self($d->among('toes', self::TOES, 'two'), $d->texts('has'), $d->numberOrNull('back_mm'), $d->numberOrNull('front_mm'));
    }
}
