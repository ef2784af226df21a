<?php

declare(strict_types=1);

namespace OpenSeam\Core\Picture;

use OpenSeam\Core\Data;
use OpenSeam\Core\InputError;

/**
 * How something is folded and sewn, act after act: strips with named parts, how
 * they are laid, the creases, and what each needle is meant to hold. What cannot
 * be folded, a needle that holds something else, and a fold that would tear a
 * seam are refused with their place.
 */
final readonly class FoldStory
{
    public const HOW = ['sewn', 'basted', 'pinned'];

    /** @param  list<FoldStep>  $steps */
    private function __construct(public string $id, public string $title, public FoldStrips $strips, public float $lengthMm, public float $thicknessMm, public array $steps) {}

    /** @throws InputError naming what cannot be */
    public static function read(Data $d): self
    {
        $strips = (new FoldStrips)->with($d, 'cloth');
        $thickness = $d->numberWithin('thickness_mm', 0.4, 0.05, 5);
        $cloth = FoldedCloth::flat($strips->lengthOf(0), $d->flag('right_side_up'));
        $steps = [new FoldStep($d->text('say'), $cloth, [])];
        $seams = [];
        foreach ($d->parts('acts') as $act) {
            $needle = $creases = null;
            $over = true;
            if ($act->has('fold')) {
                $fold = $act->part('fold');
                $creases = [$strips->crease($fold), ...array_map($strips->crease(...), $fold->parts('also'))];
                $over = self::goesOver($fold);
                $cloth = $cloth->folded($creases, $over, $fold->path('at_mm'));
            } elseif ($act->has('lay')) {
                $lay = $act->part('lay');
                $strips = $strips->with($lay);
                $cloth = $cloth->laid($strips->lengthOf($cloth->strips()), $lay->flag('right_side_up'), $lay->number('at_mm'), $lay->among('runs', ['on', 'back'], 'on') === 'on' ? 1 : -1, self::goesOver($lay));
            } elseif ($act->flag('turn')) {
                $cloth = $cloth->turnedOver();
            } elseif ($act->flag('turn_out')) {
                $cloth = $cloth->turnedOut(self::tube($act, $seams), $act->path('turn_out'));
            } elseif ($act->has('stitch')) {
                $seams[] = self::stitched($act->part('stitch'), $cloth, $strips);
                $needle = $strips->crease($act->part('stitch'));
                $needle = $cloth->x($needle->place, $needle->strip);
            } elseif ($act->has('take_out')) {
                $out = $act->among('take_out', self::HOW, '');
                $seams = array_values(array_filter($seams, fn (Seam $s): bool => $s->how !== $out));
            }
            self::mustHold($seams, $cloth, $act);
            $steps[] = new FoldStep($act->text('say'), $cloth, $seams, $needle, $creases, $over);
        }
        $lengths = array_map($cloth->length(...), range(0, $cloth->strips() - 1));

        return new self($d->text('id'), $d->text('title'), $strips, max($lengths), $thickness, $steps);
    }

    private static function goesOver(Data $d): bool
    {
        return $d->among('goes', ['over', 'under'], 'over') === 'over';
    }

    /**
     * @throws InputError when the needle holds other parts than it should
     */
    private static function stitched(Data $d, FoldedCloth $cloth, FoldStrips $strips): Seam
    {
        $at = $strips->crease($d);
        $long = $cloth->length($at->strip);
        $at->place > 0 && $at->place < $long || throw InputError::at($d->path('at_mm'), $at->place, sprintf('It is sewn on the strip: more than 0 and less than %g mm from its beginning.', $long));
        $x = $cloth->x($at->place, $at->strip);
        $places = array_map(fn (FoldedPiece $p): array => ['strip' => $p->strip, 'at' => $p->from + $p->way * ($x - $p->x)], $cloth->under($x));
        $held = array_map(fn (array $p): string => $strips->partAt($p['strip'], $p['at']), $places);
        $places !== [] && $held === $d->texts('through') || throw InputError::at($d->path('through'), $d->texts('through'), 'From the top the needle goes through: '.(implode(', ', $held) ?: 'a crease, or nothing').'.');

        $how = $d->among('how', self::HOW, 'sewn');

        return new Seam($how === 'basted' || $how === 'pinned' ? $how : 'sewn', $places, $d->flag('to_nothing'));
    }

    /**
     * @param  list<Seam>  $seams
     *
     * @throws InputError where a fold would pull sewn cloth apart
     */
    private static function mustHold(array $seams, FoldedCloth $cloth, Data $act): void
    {
        foreach ($seams as $seam) {
            $seam->holds($cloth) || throw InputError::at($act->path('fold'), $seam->how, sprintf('What is %s at %g mm would be pulled apart: it moves together, opens about the seam, or the seam is taken out first.', $seam->how, $seam->places[0]['at']));
        }
    }

    /**
     * The two seams that make a tube, along each of its two strips.
     *
     * @param  list<Seam>  $seams
     * @return array{array{float, float}, array{float, float}}
     *
     * @throws InputError
     */
    private static function tube(Data $act, array $seams): array
    {
        $at = [];
        foreach ($seams as $seam) {
            foreach ($seam->how === 'sewn' ? $seam->places : [] as $place) {
                $at[$place['strip']][] = $place['at'];
            }
        }
        $of = function (int $strip) use ($at, $act): array {
            $both = $at[$strip] ?? [];
            sort($both);

            return count($both) === 2 ? [$both[0], $both[1]] : throw InputError::at($act->path('turn_out'), count($both), 'A tube is two strips sewn together by two seams.');
        };

        return [$of(0), $of(1)];
    }
}
