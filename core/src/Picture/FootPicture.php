<?php

declare(strict_types=1);

namespace OpenSeam\Core\Picture;

use OpenSeam\Core\Data;
use OpenSeam\Core\InputError;
use OpenSeam\Core\Machine\Foot;
use OpenSeam\Core\Machine\FootBook;

/**
 * A presser foot to scale: from above as it lies before who sews, its sole, or
 * from the side with its mount. Opening, edges and swing are its measures; what
 * else is seen on it comes from its kind's "look" in resources/feet.json.
 */
final class FootPicture implements Drawer
{
    /** From the needle to the back and to the front end of a usual foot, mm; common practice, no source. */
    private const BACK_MM = 14.0;

    private const FRONT_MM = 9.0;

    private const VIEWS = ['above', 'sole', 'side'];

    public function draw(Data $d, Shown $of): Picture
    {
        $foot = Foot::read(Data::of(['kind' => FootBook::standard()->get($d->text('foot'), $d->path('foot'))->id]));
        $view = $d->among('view', self::VIEWS, 'above');
        if ($view === 'side') {
            return self::side($foot);
        }
        $pen = new Pen;
        self::over($pen, $foot, $view === 'sole', $d->has('side') ? $d->among('side', ['left', 'right'], 'right') : 'right');
        if ($d->has('guide_mm')) {
            self::guide($pen, $foot, $d->numberWithin('guide_mm', null, 0, 60));
        }
        if ($d->has('swing_mm')) {
            self::swing($pen, $foot, $d->numberWithin('swing_mm', null, 0, 12), $d->numberWithin('position_mm', 0.0, -4.5, 4.5));
        }
        $picture = $pen->picture(true);

        return $view === 'sole' ? $picture->mirrored() : $picture;
    }

    /** Of a foot of the room, with its own measures: from above, its sole, or from the side. */
    public static function of(Foot $foot, string $view): Picture
    {
        $pen = new Pen;
        if ($view === 'side') {
            return self::side($foot);
        }
        self::over($pen, $foot, $view === 'sole', 'right');

        return $view === 'sole' ? $pen->picture(true)->mirrored() : $pen->picture(true);
    }

    private static function over(Pen $pen, Foot $foot, bool $sole, string $side): void
    {
        $look = FootLook::of($foot->kind->id);
        $back = -($look->backMm ?? self::BACK_MM);
        $front = $look->frontMm ?? self::FRONT_MM;
        [$left, $right] = [-max(1.2, $foot->edgeLeftMm), max(1.2, $foot->edgeRightMm)];
        match ($look->toes) {
            'one' => self::oneToe($pen, $side === 'right' ? 1 : -1, $back, $front),
            'ring' => $pen->oval('metal', 0, 0, 7.0, 7.0)->oval('dark', 0, 0, $foot->openingRightMm, $foot->openingRightMm),
            default => self::twoToes($pen, $foot, $look, $left, $right, $back, $front),
        };
        foreach ($look->has as $has) {
            self::feature($pen, $has, $foot, $sole, $left, $right, $back, $front);
        }
        if (! $sole && ! in_array('upper-feed', $look->has, true)) {
            $pen->box('metal', -2.2, $back + 3.0, 2.2, $back + 5.2)->line('heavy', -3.4, $back + 4.1, 3.4, $back + 4.1);
        }
        $pen->oval('ink', 0, 0, 0.45);
    }

    /** A plate with an opening where the needle goes down and, between its toes, a slot to the front. */
    private static function twoToes(Pen $pen, Foot $foot, FootLook $look, float $left, float $right, float $back, float $front): void
    {
        $toe = $front;
        $slot = $look->toes === 'open' ? min($foot->openingLeftMm, $foot->openingRightMm) : 1.0;
        $pen->shape('metal', [
            [$left, $back + 2.0], [$left + 1.5, $back], [$right - 1.5, $back], [$right, $back + 2.0], [$right, $toe - 2.5], [$right - 1.5, $toe],
            ...($look->toes === 'closed' ? [] : [[$slot, $toe], [$slot, 1.2], [-$slot, 1.2], [-$slot, $toe]]),
            [$left + 1.5, $toe], [$left, $toe - 2.5],
        ]);
        $opening = $foot->largestSwingMm > 0 ? 1.8 : 0.9;
        $pen->box('dark', -$foot->openingLeftMm, -$opening, $foot->openingRightMm, $opening);
        if ($foot->edgeInnerMm !== null) {
            foreach ([-1, 1] as $way) {
                $pen->line('thin', $way * $foot->edgeInnerMm, 2.2, $way * $foot->edgeInnerMm, $toe - 1);
            }
        }
        $pen->line('thin', $left + 0.4, 0, $left + 1.6, 0)->line('thin', $right - 1.6, 0, $right - 0.4, 0);
    }

    /** A narrow toe beside the needle; on the other side the needle stands in the open. */
    private static function oneToe(Pen $pen, int $way, float $back, float $front): void
    {
        $pen->shape('metal', [[$way * 0.9, -1.2], [$way * 0.9, $back], [$way * 7.5, $back], [$way * 7.5, $front - 2.5], [$way * 6.0, $front], [$way * 1.6, $front], [$way * 1.5, 1.6], [$way * 2.6, 1.2], [$way * 2.6, -1.2]])
            ->shape('arrow', [[-$way * 5.0, 0], [-$way * 2.4, 0]])->label('open-side', -$way * 7.0, -3.0);
    }

    private static function feature(Pen $pen, string $has, Foot $foot, bool $sole, float $left, float $right, float $back, float $front): void
    {
        match ($has) {
            'groove' => $sole ? $pen->box('dark', -$foot->openingLeftMm, $back + 1, $foot->openingRightMm, -1.8) : $pen->line('ghost', -$foot->openingLeftMm, $back + 1, -$foot->openingLeftMm, -1.8)->line('ghost', $foot->openingRightMm, $back + 1, $foot->openingRightMm, -1.8),
            'two-grooves' => self::bands($pen, $sole, $back, $front, 1.2, 3.6),
            'channels' => self::bands($pen, $sole, $back, $front, 0.9, 3.0),
            'blade' => $pen->box('body', 0.2, $back + 2, 0.9, $front + 4),
            'finger' => $pen->box('body', $foot->openingRightMm - 2.4, -6, $foot->openingRightMm - 1.8, 3)->box('body', $right - 1.2, $back + 2, $right, $front + 2),
            'wall' => $pen->box('body', $right, $back + 1, $right + 0.8, $front),
            'scroll' => $pen->arc('heavy', 1.2, 6.4, 3.0, 3.4, 0.7, -3.0)->arc('heavy', 1.0, 6.6, 1.7, 2.2, -3.0, 0.4)->line('ghost', -0.8, $back + 1, -0.8, 2)->line('ghost', 0.8, $back + 1, 0.8, 2),
            'arm' => $pen->box('body', $right - 1, -9.0, 25.0, -7.8),
            'upper-feed' => $pen->box('body', $left - 1, $back - 3, $right + 1, $back + 6)->shape('heavy', self::teeth($left + 0.6, $left + 2.4, $back + 7, $front - 2))->shape('heavy', self::teeth($right - 2.4, $right - 0.6, $back + 7, $front - 2)),
            'rollers' => $pen->box('dark', -4.5, $front - 4.6, 4.5, $front - 1.6)->box('dark', -4.5, $back + 6, 4.5, $back + 9)->line('thin', -4.5, $front - 3.1, 4.5, $front - 3.1),
            'coated' => $pen->shape('thin', [[$left + 0.8, $back + 3], [$left + 3.2, $back + 1]])->shape('thin', [[$left + 0.8, -3], [$left + 3.2, -6]])->shape('thin', [[$right - 3.2, $back + 3], [$right - 0.8, $back + 1]])->shape('thin', [[$right - 3.2, -3], [$right - 0.8, -6]])->shape('thin', [[$right - 3.2, 6], [$right - 0.8, 3]])->shape('thin', [[$left + 0.8, 6], [$left + 3.2, 3]]),
            'spring' => $pen->shape('heavy', [[2, -8], [4.4, -9], [2, -10], [4.4, -11], [2, -12], [4.4, -13]])->box('metal', -1.5, $back - 4, 1.5, -6.6),
            'funnel' => $pen->shape('glass', [[-4.5, 3.4], [4.5, 3.4], [10.0, $front + 6], [-10.0, $front + 6]])->shape('ink', [[-4.5, 3.4], [-10.0, $front + 6]])->shape('ink', [[4.5, 3.4], [10.0, $front + 6]])->line('thin', 0, 4, 0, $front + 6),
            'pads' => $pen->box('body', $left, -2, -$foot->openingLeftMm, 2)->box('body', $foot->openingRightMm, -2, $right, 2),
            'holder' => $pen->box('glass', $left + 1, $back + 1, $right - 1, $back + 14)->oval('wood', 0, $back + 7.5, 4.6)->line('dark', 0, 0, 0, 0),
            'slider' => $pen->box('glass', $left - 1.6, $back, $left - 0.4, $front)->shape('ink', self::teeth($left - 1.6, $left - 0.4, $back + 2, $front - 1)),
            default => null,
        };
    }

    private static function bands(Pen $pen, bool $sole, float $back, float $front, float $from, float $to): void
    {
        foreach ([-1, 1] as $way) {
            if ($sole) {
                $pen->box('dark', min($way * $from, $way * $to), $back + 0.6, max($way * $from, $way * $to), $front - 0.4);
            } else {
                $pen->line('ghost', $way * $from, $back + 1, $way * $from, $front - 1)->line('ghost', $way * $to, $back + 1, $way * $to, $front - 1);
            }
        }
    }

    /** @return list<array{float, float}> */
    private static function teeth(float $x1, float $x2, float $from, float $to): array
    {
        $points = [];
        for ($y = $from, $i = 0; $y <= $to; $y += 1.2, $i++) {
            $points[] = [$i % 2 === 0 ? $x1 : $x2, $y];
        }

        return $points;
    }

    private static function guide(Pen $pen, Foot $foot, float $at): void
    {
        $foot->guide !== null || throw InputError::at('guide_mm', $at, "A foot of the kind “{$foot->kind->title}” has no guide.");
        $pen->box('body', $at, -10.0, $at + 1.2, 6.0)->measure(0, $at, 12.5, 1.0);
    }

    private static function swing(Pen $pen, Foot $foot, float $width, float $position): void
    {
        foreach ([$position - $width / 2, $position + $width / 2] as $x) {
            $pen->oval('mark', $x, 0, 0.55);
            ($x < -$foot->openingLeftMm || $x > $foot->openingRightMm) && $pen->cross($x, 0, 1.8);
        }
        $width > 0 && $pen->line('lit', $position - $width / 2, 0, $position + $width / 2, 0);
    }

    private static function side(Foot $foot): Picture
    {
        $look = FootLook::of($foot->kind->id);
        $back = -($look->backMm ?? self::BACK_MM);
        $front = $look->frontMm ?? self::FRONT_MM;
        $pen = new Pen;
        // From its right side: the front, with the toes turned up, is on the left.
        $pen->shape('metal', [[-$front, -2.6], [-$front + 3.5, -1.6], [-$back, -1.6], [-$back, 0.0], [-$front + 4.0, 0.0], [-$front - 0.4, -1.4]]);
        [$low, $high] = [$foot->mount === 'high' ? 26.0 : 14.0, $foot->mount === 'slant'];
        $pen->shape('metal', [[2.2 + ($high ? 4 : 0), -$low], [5.8 + ($high ? 4 : 0), -$low], [5.8, -6.0], [2.2, -6.0]])->oval('dark', 4.0 + ($high ? 3 : 0), -$low + 3, 1.1);
        str_starts_with($foot->mount, 'snap') && $pen->box('metal', 1.4, -6.0, 6.6, -3.6)->oval('ink', 4.0, -2.6, 0.9);
        str_starts_with($foot->mount, 'snap') || $pen->box('metal', 2.2, -6.0, 5.8, -1.6);
        $pen->line('heavy', 0, -16, 0, 1.6);
        foreach ($look->has as $has) {
            match ($has) {
                'groove', 'two-grooves' => $pen->box('dark', 1.0, -0.7, -$back, 0.0),
                'channels' => $pen->box('dark', -$front + 4, -1.2, -$back, 0.0),
                'scroll' => $pen->arc('heavy', -$front + 3, -2.6, 2.2, 1.9, 0.5, 5.6),
                'rollers' => $pen->oval('dark', -$front + 3, -1.3, 1.5)->oval('dark', -$back - 6, -1.3, 1.5),
                'blade' => $pen->box('body', -$front - 3, -1.6, 4.0, 1.0),
                'upper-feed' => $pen->box('body', 1.0, -12.0, 12.0, -3.0)->shape('heavy', array_map(fn (array $p): array => [$p[1], $p[0]], self::teeth(-0.2, 0.8, -6, 6))),
                'spring' => $pen->shape('heavy', [[2.6, -6], [5.4, -7.2], [2.6, -8.4], [5.4, -9.6], [2.6, -10.8]]),
                'arm', 'wall', 'finger' => $pen->box('body', -5.0, -1.6, 6.0, 0.8),
                default => null,
            };
        }

        return $pen->line('measure', -$front - 3, 0, -$back + 3, 0)->picture(true);
    }
}
