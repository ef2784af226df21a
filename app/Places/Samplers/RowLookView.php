<?php

declare(strict_types=1);

namespace App\Places\Samplers;

use App\Views\PictureView;
use OpenApi\Attributes as OA;
use OpenSeam\Core\Measure\Length;
use OpenSeam\Core\Measure\Unit;
use OpenSeam\Core\Picture\RowLook;
use OpenSeam\Core\Picture\RowLooks;
use OpenSeam\Core\Sampler\Field;
use OpenSeam\Core\Words;

/** A way a row may look: tapped, it is a reading by eye. */
#[OA\Schema]
final readonly class RowLookView
{
    /** @param  list<string>  $typed */
    public function __construct(
        #[OA\Property(description: 'row and reading')] public string $key,
        #[OA\Property(description: 'the reading by name')] public string $of,
        #[OA\Property] public string $says,
        #[OA\Property(enum: ['met', 'near', 'not-yet', 'unsure'])] public string $verdict,
        #[OA\Property(type: 'array', items: new OA\Items(type: 'string'), description: 'what is typed for it, with what an eye leaves open')] public array $typed,
        #[OA\Property] public PictureView $picture,
    ) {}

    public static function of(string $key, Field $field, RowLook $look, Words $words): self
    {
        $says = $look->answer !== '' ? $look->answer : $words->say("row-look.$look->pattern");

        return new self($key, $field->label, $says, $look->verdict->value, array_map(fn (float $value, int $i): string => self::typed($field, $value, $i, $words->unit), $look->values, array_keys($look->values)), PictureView::of($look->picture, $words));
    }

    /** As it is typed: an answer by its number, counted as it is, a length with what an eye leaves open. */
    private static function typed(Field $field, float $value, int $i, Unit $unit): string
    {
        $open = RowLooks::byEyeMm($field, $i);

        return $open === null ? (string) (int) round($value) : self::length($value, $open, $unit);
    }

    /** As it is typed, with what an eye leaves open. */
    private static function length(float $mm, float $limit, Unit $unit): string
    {
        return $unit === Unit::Inch
            ? sprintf('%.3f ±%.3f', Length::mm($mm)->inInches(), Length::mm($limit)->inInches())
            : sprintf('%.1f ±%.1f', $mm, $limit);
    }
}
