<?php

declare(strict_types=1);

namespace App\Places\Workshop;

use App\Http\Body;
use OpenApi\Attributes as OA;
use OpenSeam\Core\Buttonhole\ButtonShape;
use OpenSeam\Core\Buttonhole\Cloth;
use OpenSeam\Core\Buttonhole\HoleChoice;
use OpenSeam\Core\Buttonhole\Job;
use OpenSeam\Core\Buttonhole\LengthRules;
use OpenSeam\Core\Buttonhole\SizeWay;
use OpenSeam\Core\Machine\OwnButtonhole;

/** A buttonhole job as it is typed: whatever is not known yet may be left out. */
#[OA\Schema(properties: [
    new OA\Property(property: 'job', description: 'what is left out, or null, is not known or not chosen yet'),
])]
final class ButtonholeBody extends Body
{
    /** @return array<string, list<string>> what a job may say */
    private static function fields(): array
    {
        $mm = fn (float $most): array => ['numeric', 'min:0', "max:$most"];
        $of = fn (array $values): array => ['string', 'in:'.implode(',', $values)];

        return [
            'shape' => $of(array_column(ButtonShape::cases(), 'value')), 'diameter_mm' => $mm(200), 'thickness_mm' => $mm(200), 'wrap_mm' => $mm(1000), 'shank' => ['boolean'], 'count' => ['integer', 'min:1', 'max:40'],
            'part' => $of(HoleChoice::PARTS), 'weight' => $of(Cloth::WEIGHTS), 'stretch' => $of(Cloth::STRETCH), 'delicate' => ['boolean'], 'fraying' => ['boolean'], 'hard_wear' => ['boolean'],
            'layers' => ['integer', 'min:1', 'max:20'], 'interfacing' => ['integer', 'min:0', 'max:10'], 'pattern_says' => $of(Job::DIRECTIONS), 'pattern_text' => ['string', 'max:200'],
            'kind' => $of(OwnButtonhole::KINDS), 'direction' => $of(Job::DIRECTIONS), 'school' => $of(LengthRules::IDS), 'told' => $of(array_column(SizeWay::cases(), 'value')), 'ease_mm' => $mm(10),
            'beginner' => ['boolean'], 'band_mm' => $mm(500), 'over' => $of(Job::OVER), 'thread' => ['string', 'max:60'], 'needle' => ['string', 'max:30'], 'density' => ['string', 'max:30'], 'opened_by' => ['string', 'max:20'],
            'first_mm' => $mm(2000), 'last_mm' => $mm(2000), 'slack_mm' => $mm(100), 'anchor_mm' => $mm(2000), 'holes' => ['integer', 'min:2', 'max:4'], 'hole_mm' => $mm(20), 'spacing_mm' => $mm(30), 'needle_size' => ['numeric', 'min:50', 'max:140'],
        ];
    }

    /** @return array<string, list<string>> what is looked at on a button that was sewn on */
    private static function sewnOn(): array
    {
        return [...array_fill_keys(['swings_1', 'swings_2'], ['integer', 'min:0', 'max:60']), 'off_mm' => ['numeric', 'min:0', 'max:100'], ...array_fill_keys(['lies', 'firm', 'flat'], ['boolean'])];
    }

    /** @return list<string> */
    private static function names(): array
    {
        return [...array_keys(self::fields()), 'stabiliser', 'positions_mm', 'sewn_on'];
    }

    public function rules(): array
    {
        $rules = [
            'class' => ['nullable', 'string', 'max:26'], 'student' => ['nullable', 'string', 'max:26'], 'machine' => ['nullable', 'string', 'max:26'], 'foot' => ['nullable', 'string', 'max:26'],
            'job' => ['required', 'array:'.implode(',', self::names())],
            'job.stabiliser' => ['sometimes', 'nullable', 'array', 'max:4'], 'job.stabiliser.*' => ['string', 'max:40'],
            'job.positions_mm' => ['sometimes', 'nullable', 'array', 'max:40'], 'job.positions_mm.*' => ['numeric', 'min:0', 'max:2000'],
            'job.sewn_on' => ['sometimes', 'nullable', 'array:'.implode(',', array_keys(self::sewnOn()))],
        ];
        foreach (self::fields() + array_combine(array_map(fn (string $name): string => "sewn_on.$name", array_keys(self::sewnOn())), self::sewnOn()) as $field => $allowed) {
            $rules["job.$field"] = ['sometimes', 'nullable', ...$allowed];
        }

        return $rules;
    }

    public function messages(): array
    {
        return ['job.sewn_on.array' => 'A look at a button has these fields and no others: '.implode(', ', array_keys(self::sewnOn())).'.', 'job.array' => 'A job has these fields and no others: '.implode(', ', self::names()).'.'] + parent::messages();
    }

    /** @return array<string, mixed> */
    public function job(): array
    {
        return array_filter($this->asSent('job'), fn (mixed $v): bool => $v !== null);
    }
}
