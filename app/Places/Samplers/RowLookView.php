<?php

declare(strict_types=1);

namespace App\Places\Samplers;

use App\Views\PictureView;
use OpenApi\Attributes as OA;
use OpenSeam\Core\Grading\RowLook;
use OpenSeam\Core\Grading\RowLooks;
use OpenSeam\Core\Measure\Length;
use OpenSeam\Core\Measure\Unit;
use OpenSeam\Core\Sampler\Field;
use OpenSeam\Core\Sampler\FieldKind;
use OpenSeam\Core\Words;

/** A way a row may look: tapped, it is a reading by eye. */
#[OA\Schema]
final readonly class RowLookView
{
    /** @param  list<string>  $typed */
    public function __construct(
        #[OA\Property(description: 'row and reading')] public string $key,
        #[OA\Property] public string $says,
        #[OA\Property(enum: ['met', 'near', 'not-yet', 'unsure'])] public string $verdict,
        #[OA\Property(type: 'array', items: new OA\Items(type: 'string'), description: 'what is typed for it, with what an eye leaves open')] public array $typed,
        #[OA\Property] public PictureView $picture,
    ) {}

    public static function of(string $key, Field $field, RowLook $look, Words $words): self
    {
        $counts = $field->kind === FieldKind::Stitches;
        $typed = fn (float $value, int $i): string => $counts && $i === 0 ? (string) (int) $value : self::length($value, $counts ? RowLooks::SPAN_BY_EYE_MM : RowLooks::BY_EYE_MM, $words->unit);

        return new self($key, $words->say("row-look.$look->pattern"), $look->verdict->value, array_map($typed, $look->values, array_keys($look->values)), PictureView::of($look->picture, $words));
    }

    /** As it is typed, with what an eye leaves open. */
    private static function length(float $mm, float $limit, Unit $unit): string
    {
        return $unit === Unit::Inch
            ? sprintf('%.3f ±%.3f', Length::mm($mm)->inInches(), Length::mm($limit)->inInches())
            : sprintf('%.1f ±%.1f', $mm, $limit);
    }
}
