<?php

declare(strict_types=1);

namespace App\Places\Workshop;

use App\Views\PictureView;
use OpenApi\Attributes as OA;
use OpenSeam\Core\Advice\FootNamer;
use OpenSeam\Core\Data;
use OpenSeam\Core\Machine\Foot;
use OpenSeam\Core\Machine\FootBook;
use OpenSeam\Core\Machine\Machine;
use OpenSeam\Core\Machine\Room;
use OpenSeam\Core\Picture\FootPicture;
use OpenSeam\Core\Stitch\StitchKind;
use OpenSeam\Core\Words;

/** A kind that a foot may be: what it sews, on which machines here, what to measure, and what it must not do. */
#[OA\Schema]
final readonly class FootGuessView
{
    /**
     * @param  list<string>  $stitches
     * @param  list<string>  $machines
     * @param  list<string>  $measures
     */
    public function __construct(
        #[OA\Property] public string $kind,
        #[OA\Property] public string $title,
        #[OA\Property] public string $about,
        #[OA\Property(description: '0 to 1')] public float $probability,
        #[OA\Property(type: 'array', items: new OA\Items(type: 'string'), description: 'stitches that it is made for')] public array $stitches,
        #[OA\Property(type: 'array', items: new OA\Items(type: 'string'), description: 'machines of the room that can swing what it is for')] public array $machines,
        #[OA\Property(type: 'array', items: new OA\Items(type: 'string'), description: 'names of what is measured before it is used')] public array $measures,
        #[OA\Property(description: 'what strikes it')] public string $strikes,
        #[OA\Property] public string $caution,
        #[OA\Property(description: 'of this kind that are there already')] public int $have,
        #[OA\Property] public PictureView $picture,
        #[OA\Property] public PictureView $side,
    ) {}

    public static function of(string $id, float $probability, Room $room): self
    {
        $kind = FootBook::standard()->get($id);
        $foot = Foot::read(Data::of(['kind' => $id]));
        $words = Words::in();
        $have = array_sum(array_map(fn (Foot $f): int => $f->kind->id === $id ? $f->count : 0, $room->feet));

        return new self(
            $id, $kind->title, $kind->about, round($probability, 3),
            array_map(fn (StitchKind $s): string => $s->title, FootNamer::sews($foot)), array_map(fn (Machine $m): string => $m->name, FootNamer::on($foot, $room)),
            array_map(fn (string $m): string => $words->say("foot-measure.$m"), FootNamer::measures($kind)),
            FootNamer::strikes($foot, $words),
            $kind->caution, $have, PictureView::of(FootPicture::of($foot, 'above'), $words), PictureView::of(FootPicture::of($foot, 'side'), $words),
        );
    }
}
