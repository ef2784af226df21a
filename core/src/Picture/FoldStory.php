<?php

declare(strict_types=1);

namespace OpenSeam\Core\Picture;

use OpenSeam\Core\Data;
use OpenSeam\Core\InputError;

/**
 * How something is folded and sewn, act after act: a strip with named parts, the
 * creases, and what each needle is meant to hold. What cannot be folded, or a
 * needle that holds something else, is refused with its place.
 */
final readonly class FoldStory
{
    public const HOW = ['sewn', 'basted', 'pinned'];

    /**
     * @param  array<string, float>  $parts  end of each along the cloth, mm, by name, from the beginning
     * @param  list<FoldStep>  $steps
     */
    private function __construct(public string $id, public string $title, public array $parts, public float $lengthMm, public float $thicknessMm, public array $steps) {}

    /** @throws InputError naming what cannot be */
    public static function read(Data $d): self
    {
        $parts = self::parts($d);
        $thickness = $d->numberWithin('thickness_mm', 0.4, 0.05, 5);
        $strip = FoldedStrip::flat((float) end($parts), $d->flag('right_side_up'));
        $steps = [new FoldStep($d->text('say'), $strip, [])];
        $seams = [];
        foreach ($d->parts('acts') as $act) {
            $needle = $crease = null;
            if ($act->has('fold')) {
                $fold = $act->part('fold');
                $crease = ['at' => $fold->number('at_mm'), 'start' => $fold->among('moves', ['start', 'rest'], 'start') === 'start', 'over' => $fold->among('goes', ['over', 'under'], 'over') === 'over'];
                $strip = $strip->fold($crease['at'], $crease['start'], $crease['over'], $fold->path('at_mm'));
            } elseif ($act->flag('turn')) {
                $strip = $strip->turnedOver();
            } elseif ($act->has('stitch')) {
                $seams[] = self::stitched($act->part('stitch'), $strip, $parts);
                $needle = $strip->x($act->part('stitch')->number('at_mm'));
            }
            $steps[] = new FoldStep($act->text('say'), $strip, $seams, $needle, $crease);
        }

        return new self($d->text('id'), $d->text('title'), $parts, $strip->length(), $thickness, $steps);
    }

    /**
     * @return non-empty-array<string, float>
     *
     * @throws InputError
     */
    private static function parts(Data $d): array
    {
        $parts = [];
        $at = 0.0;
        foreach ($d->parts('parts') as $part) {
            $long = $part->numberWithin('mm', null, 0.5, 5000);
            $name = $part->text('name');
            isset($parts[$name]) && throw InputError::at($part->path('name'), $name, 'Each part has a name of its own.');
            $parts[$name] = $at += $long;
        }

        return $parts !== [] ? $parts : throw InputError::at($d->path('parts'), [], 'A strip has at least one part.');
    }

    /**
     * @param  array<string, float>  $parts
     *
     * @throws InputError when the needle holds other parts than it should
     */
    private static function stitched(Data $d, FoldedStrip $strip, array $parts): Seam
    {
        $at = $d->number('at_mm');
        $at > 0 && $at < $strip->length() || throw InputError::at($d->path('at_mm'), $at, sprintf('It is sewn on the strip: more than 0 and less than %g mm from its beginning.', $strip->length()));
        $x = $strip->x($at);
        $places = array_map(fn (FoldedPiece $p): float => $p->from + $p->way * ($x - $p->x), $strip->under($x));
        $held = array_map(fn (float $place): string => self::partAt($parts, $place), $places);
        $held === $d->texts('through') || throw InputError::at($d->path('through'), $d->texts('through'), 'From the top the needle goes through: '.(implode(', ', $held) ?: 'a crease, or nothing').'.');

        $how = $d->among('how', self::HOW, 'sewn');

        return new Seam($how === 'basted' || $how === 'pinned' ? $how : 'sewn', $places);
    }

    /** @param  array<string, float>  $parts */
    private static function partAt(array $parts, float $place): string
    {
        foreach ($parts as $name => $to) {
            if ($place <= $to + FoldedStrip::NEAR_MM) {
                return $name;
            }
        }

        return (string) array_key_last($parts);
    }
}
