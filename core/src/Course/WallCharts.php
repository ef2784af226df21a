<?php

declare(strict_types=1);

namespace OpenSeam\Core\Course;

use OpenSeam\Core\Data;
use OpenSeam\Core\Fault\Fault;
use OpenSeam\Core\InputError;
use OpenSeam\Core\Machine\Foot;
use OpenSeam\Core\Machine\Machine;
use OpenSeam\Core\Machine\Room;
use OpenSeam\Core\Picture\FaultPicture;
use OpenSeam\Core\Picture\FootPicture;
use OpenSeam\Core\Picture\MachineLook;
use OpenSeam\Core\Picture\Picture;
use OpenSeam\Core\Picture\PictureBook;
use OpenSeam\Core\Picture\Shown;
use OpenSeam\Core\Tables;
use OpenSeam\Core\Words;

/**
 * What hangs on the wall: pictures with a line each, from resources/charts.json and
 * from what stands in the room.
 *
 * @phpstan-type Cell array{picture: Picture, say: string}
 */
final readonly class WallCharts
{
    public const ALL = ['safety', 'threading', 'tension', 'zigzag', 'feet', 'faults'];

    /** A row of the zigzag ladder, mm. */
    private const ROW_MM = 55.0;

    /** @param  array<string, Fault>  $faults */
    public function __construct(private Room $room, private array $faults, private Words $words) {}

    /**
     * @return list<Cell>
     *
     * @throws InputError for a chart that is none
     */
    public function of(string $chart): array
    {
        return match ($chart) {
            'safety', 'tension' => $this->drawn($chart, new MachineLook, ''),
            'threading' => $this->threading(),
            'zigzag' => $this->zigzag(),
            'feet' => $this->feet(),
            'faults' => $this->faults(),
            default => throw InputError::at('chart', $chart, 'It must be one of: '.implode(', ', self::ALL).'.'),
        };
    }

    /** @return list<Cell> */
    private function drawn(string $chart, MachineLook $look, string $machine): array
    {
        $book = new PictureBook;

        return array_map(fn (Data $d): array => ['picture' => $book->draw($d->part('picture'), new Shown(machine: $look)), 'say' => $this->words->say($d->text('say'), ['machine' => $machine])], Tables::read('charts')->parts($chart));
    }

    /** @return list<Cell> once for all machines that look alike */
    private function threading(): array
    {
        $alike = [];
        foreach ($this->room->machines as $machine) {
            $alike[serialize(MachineLook::of($machine))][] = $machine;
        }
        $cells = [];
        foreach ($alike as $machines) {
            $cells = [...$cells, ...$this->drawn('threading', MachineLook::of($machines[0]), implode(', ', array_map(fn (Machine $m): string => $m->name, $machines)))];
        }

        return $cells === [] ? $this->drawn('threading', new MachineLook, $this->words->say('chart.threading')) : $cells;
    }

    /** @return list<Cell> */
    private function zigzag(): array
    {
        $book = new PictureBook;
        $cells = [];
        foreach (Tables::read('charts')->parts('zigzag') as $d) {
            [$width, $length] = [$d->number('width_mm'), $d->number('length_mm')];
            $cells[] = [
                'picture' => $book->draw(Data::of(['kind' => 'stitches', 'long_mm' => self::ROW_MM, 'bare' => true, 'rows' => [['stitch' => 'zigzag', 'width_mm' => $width, 'length_mm' => $length]]]), new Shown),
                'say' => $this->words->say('chart.zigzag.row', ['width' => $this->words->mm($width, 0), 'length' => $this->words->mm($length, 1)]),
            ];
        }

        return $cells;
    }

    /** @return list<Cell> each kind once, with the measures of the first of it */
    private function feet(): array
    {
        $kinds = [];
        foreach ($this->room->feet as $foot) {
            $kinds[$foot->kind->id] ??= $foot;
        }

        return array_values(array_map(fn (Foot $f): array => ['picture' => FootPicture::of($f, 'above'), 'say' => "{$f->kind->title}: {$f->kind->about}. {$f->kind->caution}"], $kinds));
    }

    /** @return list<Cell> */
    private function faults(): array
    {
        $cells = [];
        foreach ($this->faults as $fault) {
            $picture = FaultPicture::of($fault);
            $picture === null || $cells[] = ['picture' => $picture, 'say' => ucfirst($fault->seen).': '.$fault->first->text];
        }

        return $cells;
    }
}
