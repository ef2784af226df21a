<?php

declare(strict_types=1);

namespace OpenSeam\Core\Sampler;

use OpenSeam\Core\Data;
use OpenSeam\Core\Stitch\Path;
use OpenSeam\Core\Tables;

/**
 * A printed sheet to sew on without thread: lines to follow and dots to stop on, for a page of a given size. Mirrored for
 * left-handed people, whose lines begin on the other side. Lengths in mm from the page's top left corner. What the sheets are
 * and say: resources/paper-drive.json.
 */
final readonly class PaperSheet
{
    /**
     * @param  list<Path>  $lines
     * @param  list<array{float, float}>  $dots  stop here
     */
    private function __construct(public string $id, public string $title, public string $task, public array $lines, public array $dots) {}

    /**
     * @param  float  $widthMm  of the page
     * @param  float  $heightMm  of the page
     * @return list<self>
     */
    public static function all(float $widthMm, float $heightMm, bool $leftHanded = false): array
    {
        $of = Tables::read('paper-drive');
        $area = PaperArea::of($of, $widthMm, $heightMm);
        $sheets = array_map(function (Data $sheet) use ($of, $area): self {
            [$lines, $dots] = match ($sheet->text('drawn')) {
                'lanes' => [$area->lanes($of->number('lane_mm')), []],
                'bends' => [$area->bends($of->numbers('bends_mm'), $of->number('between_bends_mm')), []],
                'square-spiral' => [[$area->squareSpiral($of->number('lane_mm'), $of->whole('square_corners'))], []],
                'round-spiral' => [[$area->roundSpiral($of->number('lane_mm'), $of->number('round_turns'))], []],
                'stops' => $area->stops($of->number('dot_every_mm')),
                default => [[], []],
            };

            return new self($sheet->text('id'), $sheet->text('title'), $sheet->text('task'), $lines, $dots);
        }, $of->parts('sheets'));

        return $leftHanded ? array_map(fn (self $s): self => $s->mirrored($widthMm), $sheets) : $sheets;
    }

    private function mirrored(float $width): self
    {
        $dots = [];
        foreach ($this->dots as [$x, $y]) {
            $dots[] = [$width - $x, $y];
        }

        return new self($this->id, $this->title, $this->task, array_map(fn (Path $p): Path => $p->mirrored($width), $this->lines), $dots);
    }
}
