<?php

declare(strict_types=1);

namespace App\Places\Workshop;

use App\Views\PictureView;
use OpenApi\Attributes as OA;
use OpenSeam\Core\Machine\BlindHem;
use OpenSeam\Core\Picture\BlindHemPicture;
use OpenSeam\Core\Words;

/** How deep a blind hem bites, drawn, and the one move that puts it right. */
#[OA\Schema]
final readonly class BlindHemView
{
    public function __construct(
        #[OA\Property(description: 'into the fold, mm; below 0 it misses by so much')] public float $bite_mm,
        #[OA\Property(description: 'shown on the right side, mm')] public float $pick_mm,
        #[OA\Property(enum: ['good', 'picks', 'misses', 'split', 'on-blade'])] public string $verdict,
        #[OA\Property(description: 'the verdict in words')] public string $says,
        #[OA\Property(nullable: true, description: 'the one move, in words; null: leave it')] public ?string $move,
        #[OA\Property(nullable: true, enum: ['width', 'position', 'blade'])] public ?string $control,
        #[OA\Property(nullable: true, description: 'set to, mm')] public ?float $to_mm,
        #[OA\Property(nullable: true, description: 'which control has the finest step here, in words')] public ?string $finest,
        #[OA\Property] public PictureView $picture,
    ) {}

    /** @param  array{width: float, position: float, blade: float}  $steps */
    public static function of(BlindHem $set, array $steps, bool $stretch, ?float $pick, Words $words): self
    {
        $move = $set->verdict === 'good' && $pick === null ? null : $set->move($steps, $pick);
        $finest = BlindHem::finest($steps);

        return new self(
            $set->biteMm, $set->pickMm(), $set->verdict,
            $words->say("blind-hem.$set->verdict", ['pick' => $words->mm($set->pickMm(), 1), 'by' => $words->mm(abs($set->biteMm), 1)]),
            $move === null ? null : $words->say('blind-hem.move', ['control' => $words->say("blind-hem.control.{$move['control']}"), 'from' => $words->number($move['from'], 2), 'to' => $words->mm($move['to'], 2), 'pick' => $words->mm($move['pick_mm'], 1)]),
            $move['control'] ?? null, $move['to'] ?? null,
            $finest === null ? null : $words->say('blind-hem.finest', ['control' => $words->say("blind-hem.control.$finest"), 'step' => $words->mm($finest === 'width' ? $steps[$finest] / 2 : $steps[$finest], 2)]),
            PictureView::of(BlindHemPicture::of($set, $stretch), $words),
        );
    }
}
