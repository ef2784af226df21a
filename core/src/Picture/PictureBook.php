<?php

declare(strict_types=1);

namespace OpenSeam\Core\Picture;

use OpenSeam\Core\Data;
use OpenSeam\Core\InputError;

/** Every kind of picture that a lesson can show, by name. */
final readonly class PictureBook
{
    /** @var array<string, Drawer> */
    private array $drawers;

    public function __construct()
    {
        $this->drawers = [
            'machine' => new MachinePicture, 'discs' => new DiscsPicture, 'foot' => new FootPicture, 'needle' => new NeedlePicture, 'bobbin' => new BobbinPicture,
            'stitches' => new StitchPicture, 'tension' => new TensionSection, 'seam' => new SeamPicture, 'fold' => new StoryPicture, 'hands' => new HandsPicture,
            'row' => new RowPicture, 'corner' => new CornerPicture, 'span' => new SpanPicture, 'tally' => new TallyPicture, 'buttonhole' => new HolePicture, 'tool' => new ToolPicture, 'blind-hem' => new BlindHemPicture, 'beside' => new BesidePicture($this),
        ];
    }

    /** @return list<string> */
    public function kinds(): array
    {
        return array_keys($this->drawers);
    }

    /** @throws InputError naming what cannot be drawn */
    public function draw(Data $d, Shown $of): Picture
    {
        $kind = $d->among('kind', $this->kinds(), '');
        $picture = $this->drawers[$kind]->draw($d, $of)->trimmed();
        if (! $d->has('note')) {
            return $picture;
        }
        $box = $picture->box();

        return new Picture($picture->shapes, [...$picture->labels, new Label($d->text('note'), $box['left'] + $box['width'] / 2, $box['top'] + $box['height'] + $picture->wordMm())], $picture->toScale, $picture->window);
    }
}
