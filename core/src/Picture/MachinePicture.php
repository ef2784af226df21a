<?php

declare(strict_types=1);

namespace OpenSeam\Core\Picture;

use OpenSeam\Core\Data;
use OpenSeam\Core\InputError;

/**
 * The machine from where one sits. What is spoken of is ringed and named; the top
 * thread goes as far as it has been threaded, its stations numbered. A schematic
 * of our own: the machine's manual decides.
 */
final class MachinePicture implements Drawer
{
    private const WINDOWS = ['head' => [16.0, 28.0, 152.0, 262.0], 'bed' => [8.0, 160.0, 214.0, 294.0], 'top' => [150.0, -4.0, 420.0, 152.0], 'right' => [280.0, 40.0, 520.0, 334.0], 'bobbin' => [8.0, 218.0, 170.0, 294.0]];

    private const ALWAYS = ['head', 'takeup', 'guide', 'spool', 'winder', 'winder-disc', 'wheel', 'dial', 'lifter', 'feed', 'plate', 'reverse'];

    public function draw(Data $d, Shown $of): Picture
    {
        $art = LineArt::standard();
        $look = $of->machine;
        $plugged = ! $d->flag('off');
        $parts = [
            ...$look->body(), ...self::ALWAYS, $look->sideThreading ? 'tension-side' : 'tension',
            ...match (true) {
                $look->screen => ['screen'],
                $look->straightOnly => [],
                default => ['selector', 'width'],
            },
            ...($look->crank ? ['crank'] : ['light', 'switch', 'lead', 'socket', $plugged ? 'plug-in' : 'plug', 'pedal']),
            'bobbin-'.$look->bobbin, ...($d->flag('no_needle') ? [] : ['needle', ...($look->sideThreading && $d->texts('lit') === ['needle'] ? ['needle-side'] : [])]), $d->flag('foot_up') ? 'foot-up' : 'foot',
        ];
        $pen = new Pen;
        foreach ($parts as $part) {
            $pen->add($art->of('machine', $part, 'machine'));
        }
        $near = $d->has('near') ? $d->among('near', array_keys(self::WINDOWS), 'head') : null;
        $large = $near === null ? 1.0 : 0.6;
        $d->has('threaded') && $this->thread($pen, ThreadWay::on($look), $d->whole('threaded'), $d);
        foreach ($d->texts('lit') as $i => $lit) {
            $this->light($pen, $lit, $d->path("lit[$i]"), $look, $large, $near === null ? null : self::WINDOWS[$near]);
        }
        $d->flag('wheel') && $pen->arrow(12, 430, 70, 442, 90, 442, 122, 430, 148)->label('towards-you', 400, 184);

        return $pen->picture(false, $near === null ? null : self::WINDOWS[$near]);
    }

    /** @throws InputError when there are not so many stations */
    private function thread(Pen $pen, ThreadWay $way, int $upTo, Data $d): void
    {
        $last = ThreadWay::STATIONS;
        $upTo >= 1 && $upTo <= $last || throw InputError::at($d->path('threaded'), $upTo, "The top thread has the stations 1 to $last.");
        $pen->shape('thread', $way->upTo($upTo));
        foreach (array_slice($way->stations, 0, $upTo) as $i => ['x' => $x, 'y' => $y, 'beside' => $side]) {
            $size = 13.0;
            $pen->oval('paper', $x + $side, $y, $size)->oval($i === $upTo - 1 ? 'lit' : 'ink', $x + $side, $y, $size)->label('', $x + $side, $y + 7, number: (string) ($i + 1));
        }
    }

    /**
     * @param  array{float, float, float, float}|null  $window
     *
     * @throws InputError when the machine has no such part
     */
    private function light(Pen $pen, string $lit, string $field, MachineLook $look, float $large, ?array $window): void
    {
        $instead = ['bobbin' => "bobbin-$look->bobbin", 'tension' => $look->sideThreading ? 'tension-side' : 'tension', 'body' => $look->body()[0], 'plug' => $look->crank ? 'crank' : 'plug', 'pedal' => $look->crank ? 'crank' : 'pedal', 'switch' => $look->crank ? 'crank' : 'switch', 'selector' => $look->screen ? 'screen' : 'selector', 'width' => $look->screen ? 'screen' : 'width'];
        $part = LineArt::standard()->of('machine', $instead[$lit] ?? $lit, $field);
        // What only some machines have is drawn where it is spoken of.
        in_array($instead[$lit] ?? $lit, self::ALWAYS, true) || $pen->add($part);
        $box = $part->box();
        $x = $box['left'] + $box['width'] / 2;
        $y = $box['top'] + $box['height'] / 2;
        $r = max($box['height'], 14.0) / 2 + 6 * $large;
        $pen->oval('lit', $x, $y, max($box['width'], 14.0) / 2 + 6 * $large, $r);
        [$left, $right] = $window === null ? [0.0, 520.0] : [$window[0], $window[2]];
        $over = $window !== null && $y - $r - 10 * $large < $window[1];
        $pen->label("part-$lit", $x, $over ? $y + $r + 20 * $large : $y - $r - 8 * $large, match (true) {
            $x < $left + ($right - $left) * 0.25 => 'start',
            $x > $left + ($right - $left) * 0.75 => 'end',
            default => 'middle',
        });
    }
}
