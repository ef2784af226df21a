<?php

declare(strict_types=1);

namespace App\Places\Look;

use App\Records\KeptSample;
use JsonSerializable;
use OpenApi\Attributes as OA;
use OpenSeam\Core\Course\Lesson;
use OpenSeam\Core\Fault\Fault;
use OpenSeam\Core\Measure\Unit;

/** The sample that is corrected, as it was typed. */
#[OA\Schema]
final readonly class ReplacedView implements JsonSerializable
{
    /**
     * @param  array<string, list<string>>  $readings
     * @param  list<string>  $faults
     * @param  array<string, string>  $settings
     * @param  array<string, array{verdict: string, because: string}>  $overruled
     */
    public function __construct(
        #[OA\Property] public string $id,
        #[OA\Property] public string $kept_at,
        #[OA\Property(type: 'object', additionalProperties: new OA\AdditionalProperties(type: 'array', items: new OA\Items(type: 'string')))] public array $readings,
        #[OA\Property(type: 'array', items: new OA\Items(type: 'string'))] public array $faults,
        #[OA\Property(type: 'object', additionalProperties: new OA\AdditionalProperties(type: 'string'))] public array $settings,
        #[OA\Property(type: 'object', additionalProperties: new OA\AdditionalProperties(required: ['verdict', 'because'], properties: [new OA\Property(property: 'verdict', type: 'string', enum: ['met', 'near', 'not-yet']), new OA\Property(property: 'because', type: 'string')], type: 'object'))] public array $overruled,
    ) {}

    /** As it is typed on the sheet of the lesson it was sewn by. */
    public static function of(KeptSample $old, Lesson $lesson, Unit $unit): self
    {
        return new self(
            $old->sample->id, $old->at->format('Y-m-d\TH:i:s\Z'), $old->readings()->written($lesson->sampler, $unit), array_map(fn (Fault $f): string => $f->id, $old->grade()->faults),
            array_filter($old->sample->settings, fn (?string $v): bool => $v !== null && $v !== ''), $old->sample->overruled ?? [],
        );
    }

    /** @return array<string, mixed> with an empty object where nothing is in it, not an empty list */
    public function jsonSerialize(): array
    {
        return ['readings' => (object) $this->readings, 'settings' => (object) $this->settings, 'overruled' => (object) $this->overruled] + get_object_vars($this);
    }
}
