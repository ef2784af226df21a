<?php

declare(strict_types=1);

namespace App\Views;

use OpenApi\Attributes as OA;
use OpenSeam\Core\Curriculum\Bundle;
use OpenSeam\Core\Words;

/**
 * A stretch of the session, in minutes from its start.
 *
 * @phpstan-import-type Piece from \OpenSeam\Core\Course\SessionTape
 */
#[OA\Schema]
final readonly class TapePieceView
{
    public function __construct(
        #[OA\Property(enum: ['settle', 'review', 'show', 'sew', 'look', 'free', 'clear'])] public string $kind,
        #[OA\Property] public float $from,
        #[OA\Property] public float $to,
        #[OA\Property] public int $round,
        #[OA\Property(nullable: true)] public ?string $lesson,
        #[OA\Property] public string $title,
    ) {}

    /** @param  Piece  $p */
    public static function of(array $p, Bundle $bundle, Words $words): self
    {
        return new self($p['kind'], $p['from'], $p['to'], $p['round'], $p['lesson'], $words->say("tape.{$p['kind']}", ['lesson' => $p['lesson'] === null ? '' : $bundle->lessons->title($p['lesson']) ?? $p['lesson'], 'round' => (string) $p['round']]));
    }
}
